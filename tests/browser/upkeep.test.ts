import { downloads } from './files'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })
const MACHINE = '/job/demo-skarrow-8/machine'
const GUARD = 'Guard of the belt is taped on'
const daysFrom = (days: number) => {
  const day = new Date()
  day.setDate(day.getDate() + days)
  return [day.getFullYear(), day.getMonth() + 1, day.getDate()]
    .map(part => String(part).padStart(2, '0'))
    .join('-')
}
/** Types a day into a date field, as the browser's own picker sets it. */
async function setDay(bench: Bench, label: string, day: string) {
  const field = `::-p-xpath(//input[@type="date"][@id=//label[normalize-space()="${label}"]/@for])`
  const handle = await bench.page.waitForSelector(field)
  await handle?.evaluate((element, value) => {
    const input = element as HTMLInputElement
    input.focus()
    Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(input, value)
    input.dispatchEvent(new Event('input', { bubbles: true }))
    input.dispatchEvent(new Event('change', { bubbles: true }))
    input.blur()
  }, day)
}

test('a fix that concerns safety asks in the list, on the machine and on paper, and blocks the acceptance until it is mended', async () => {
  const bench = await app.open('/job/demo-skarrow-8/skarrow-x/log/log')
  await bench.standsOnTheBench()
  await bench.fill('What happened', GUARD, null)
  await bench.press('input[type=radio][value=fix]')
  // Ticked beforehand by its words; what cannot be read stays, with what is wrong beside it.
  await bench.page.waitForSelector('form input[type=checkbox]:checked')
  await bench.fill('To be mended once the machine has run', 'soon', null)
  await bench.click('button', 'Enter it')
  await bench.sees('Got soon, takes 0 to 1000000 h, or nothing.')
  expect(await bench.value('What happened')).toBe(GUARD)
  await bench.fill('To be mended once the machine has run', '', null)
  await setDay(bench, 'To be mended by', daysFrom(3))
  await bench.click('button', 'Enter it')
  await bench.page.waitForSelector('[data-asks="safety"]')
  // A guard over the belt is none of the drive: what was proved still holds.
  await bench.page.waitForSelector('[data-check="prove.reversal"][data-state="fails"]')
  // One of the demo's own is given a day that has passed.
  const [foil] = await bench.page.$$eval('[data-fix] button', all =>
    all
      .map(one => one.getAttribute('aria-label') ?? '')
      .filter(name => name.startsWith('When it asks: Foil')),
  )
  await bench.click('button', foil as string)
  await setDay(bench, 'To be mended by', daysFrom(-1))
  await bench.click('button', 'It asks so')
  await bench.page.waitForSelector('[data-asks="due"]')
  await bench.go(`${MACHINE}/overview`)
  await bench.sees(`X: mend for good: ${GUARD}; it concerns safety`, '[aria-label="What is due"]')
  await bench.sees(/X: mend for good: Foil.*due since/, '[aria-label="What is due"]')
  await bench.go(`${MACHINE}/acceptance`)
  await bench.sees('Nobody can take it over yet')
  const accept = await bench.find('button', 'It is accepted with its open points')
  expect(await accept.evaluate(element => (element as unknown as HTMLButtonElement).disabled)).toBe(true)
  await bench.fill('Serial number', 'SK8-1974-117', 'Tab')
  await bench.isSaved()
  await bench.go('/job/demo-skarrow-8/skarrow-x/handover')
  await bench.sees('Not to be taken over or run')
  await bench.sees('SK8-1974-117')
  await bench.sees(`For the time being: ${GUARD} (concerns safety, to be mended by`)
  await bench.load('/')
  await bench.sees(`X: mend for good: ${GUARD}; it concerns safety`, '[data-asked="safety"]')
  await bench.click(
    'link',
    `X: mend for good: ${GUARD}; it concerns safety; due on ${await shown(bench, daysFrom(3))}`,
  )
  await bench.standsOnTheBench()
  await bench.click('button', `Mended: ${GUARD}`)
  await bench.page.waitForFunction(() => !document.querySelector('[data-asks="safety"]'))
  await bench.go(`${MACHINE}/acceptance`)
  await bench.click('button', 'It is accepted with its open points')
  await bench.sees('Accepted on')
  expect(bench.errors).toEqual([])
})
/** A day as the page says it. */
const shown = (bench: Bench, day: string) =>
  bench.page.evaluate(
    at =>
      new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' }).format(
        new Date(`${at}T00:00:00`),
      ),
    day,
  )

test('upkeep: the usual ones, the hours that it runs, what is done, and its calendar', async () => {
  const bench = await app.open(`${MACHINE}/upkeep`)
  await bench.page.waitForSelector('[data-sheet="upkeep"] section')
  await bench.sees('X: grease it')
  await bench.click('button', 'Put the usual ones in')
  await bench.sees('10 more without a day yet')
  await bench.page.waitForSelector('[data-week="unknown"]')
  // Two readings of the counter; one that shows less than before does not count, and says so.
  await bench.fill('The counter shows today', '24 kg', 'Tab')
  await bench.sees('The unit “kg” is not known here')
  await bench.fill('The counter shows today', '124', 'Tab')
  await bench.click('button', 'Note the counter')
  await bench.click('button', 'Another reading')
  await bench.fill('Hours run, reading of the hour counter 2', '100', 'Tab')
  await setDay(bench, 'Read on, reading of the hour counter 2', daysFrom(-28))
  await bench.page.waitForSelector('[data-week="read"]')
  await bench.sees('6.0 h a week, as its counter was read')
  await bench.fill('Hours run, reading of the hour counter 2', '130', 'Tab')
  await bench.sees('got 124 h, takes 130 h or more')
  await bench.page.waitForSelector('[data-week="unknown"]')
  await bench.fill('Hours run, reading of the hour counter 2', '100', 'Tab')
  await bench.sees('It has run about 124 h')
  // What is found good keeps the tests; it stands in the log, and its next day is known.
  await bench.unfold('10 more without a day yet')
  await bench.click('button', 'Found good: X: Gib: play to the side, drag')
  await bench.sees('365 days after the last time')
  await bench.click('button', 'Found good: X: Screws of nut, blocks, motor: torque')
  await bench.page.waitForSelector(
    `[data-due-on="${daysFrom(Math.ceil((250 / 6) * 7))}"], [data-due-on="${daysFrom(Math.ceil((250 / 6) * 7) - 1)}"]`,
  )
  const saved = await downloads(bench.page)
  await bench.click('button', 'Save as a calendar')
  const { name, text } = await saved()
  expect(name).toMatch(/skarrow.*upkeep.*\.ics$/)
  expect(text).toContain('Skarrow 8: X: Gib: play to the side\\, drag')
  expect(text.match(/BEGIN:VEVENT/g)?.length).toBe(3)
  await bench.go('/job/demo-skarrow-8/skarrow-x/log/log')
  await bench.sees('Upkeep: Gib: play to the side, drag, found good, at 124 h.')
  await bench.page.waitForSelector('[data-check="prove.reversal"][data-state="fails"]')
  expect(bench.errors).toEqual([])
})
