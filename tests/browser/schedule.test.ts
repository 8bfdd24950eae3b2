import { downloads, onDisk, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })

/** Waits until no better plan is looked for: rows do not change places under a hand any more. */
const planStands = (bench: Bench) =>
  bench.page.waitForFunction(
    () =>
      document.querySelector('[data-finish]') &&
      !document.querySelector('[role=status][aria-busy]') &&
      !document.querySelector('[aria-busy] [data-task]'),
    { timeout: 30_000 },
  )
/** The schedule of a demo job, once its plan stands. */
async function scheduleOf(jobId: string): Promise<Bench> {
  const bench = await app.open(`/job/${jobId}/machine/schedule`)
  await planStands(bench)
  return bench
}
const finish = async (bench: Bench) => {
  await bench.page.waitForSelector('[data-finish]', { timeout: 30_000 })
  return bench.text('[data-finish]')
}
/** The day on which everything is done, as a number that grows with it. */
function dayOf(said: string): number {
  const [, day] = /done on \w+, (\w+ \d+)/.exec(said) ?? []
  if (!day) throw new Error(`no day in “${said}”`)
  const [from, to] = [new Date(`${day}, ${new Date().getFullYear()}`).getTime(), Date.now() - 86_400_000]
  return from < to ? new Date(`${day}, ${new Date().getFullYear() + 1}`).getTime() : from
}
/** Waits until what is said of the end is no longer what it was. */
async function changes(bench: Bench, before: string): Promise<string> {
  await bench.page.waitForFunction(
    was => document.querySelector('[data-finish]')?.textContent?.split(',')[0] !== was,
    { timeout: 30_000 },
    before.split(',')[0],
  )
  return finish(bench)
}

test.each(['demo-skarrow-8', 'demo-ostrey-254', 'demo-long-tom-2400'])(
  'the schedule of %s says what is next and when everything is done, and proves it',
  async jobId => {
    const bench = await scheduleOf(jobId)
    await bench.sees(/Next, /, '[data-next-task]')
    await bench.sees('Nothing gets it done sooner: that is proved.', '[data-finish]')
    expect(await finish(bench)).toMatch(/Everything is done on .+ of work/)
    // The chart draws a bar for every task, and says so to those who do not see it.
    await bench.page.waitForSelector('[role=img][aria-label^="Chart of the plan"] g > title')
    const tasks = await bench.page.$$eval('[data-task]', all => all.length)
    const bars = await bench.page.$$eval('[aria-label^="Chart of the plan"] g > title', all => all.length)
    expect(tasks).toBeGreaterThan(20)
    expect(bars).toBe(tasks)
    expect(bench.errors).toEqual([])
  },
)

test('a late parcel is in the plan; later still, an evening more and a borrowed mill are answered at once', async () => {
  const bench = await scheduleOf('demo-skarrow-8')
  await bench.sees('Stepper 57 mm frame, 1.2 N·m, 36 V, late', '[data-task="all.parcel:part:step-57-12"]')
  await bench.choose('What would it do if', 'all.parcel:part:jaw-30-set')
  await bench.sees(/Everything would be done on .+ later\./, '[data-what-if]')
  await bench.choose('What would it do if', 'evening')
  await bench.sees(/Everything would be done on .+ sooner\./, '[data-what-if]')
  await bench.choose('What would it do if', 'otherMill')
  await bench.sees(/Everything would be done on .+: (no sooner and no later|.+ sooner)\./, '[data-what-if]')
  expect(bench.errors).toEqual([])
})

test('a task that is done leaves the plan with what it took, stands in the log, and can be opened again', async () => {
  const bench = await scheduleOf('demo-skarrow-8')
  await bench.sees('Done: 24 of 52')
  await bench.click('button', 'Begin: Z: Far block')
  await bench.page.waitForFunction(() => !document.querySelector('[aria-label="Begin: Z: Far block"]'))
  await planStands(bench)
  await bench.click('button', 'Done: Z: Far block')
  await bench.page.waitForSelector('[data-task="skarrow-z.make:farBlock"]', { hidden: true, timeout: 30_000 })
  await bench.sees('Done: 25 of 52')
  await bench.unfold('Show what is done')
  await bench.click('button', 'Open again: Z: Far block')
  await bench.page.waitForSelector('[data-task="skarrow-z.make:farBlock"]', { timeout: 30_000 })
  await bench.axis('Z')
  await bench.sheet('All lines')
  await bench.sees('Done: Far block, axis Z')
  expect(bench.errors).toEqual([])
})

test('a bracket is made another way, and minutes are set', async () => {
  const bench = await scheduleOf('demo-skarrow-8')
  const before = await finish(bench)
  await bench.choose('Way: Z: Nut bracket', 'drill')
  await bench.sees('Z: Nut bracket', '[data-task="skarrow-z.make:nutBracket"]')
  await planStands(bench)
  await bench.fill('Minutes: Z: Nut bracket', '2000')
  expect(await changes(bench, before)).not.toBe(before)
  await bench.fill('Minutes: Z: Nut bracket', '-3')
  expect(
    await bench.page.$$eval('[data-task="skarrow-z.make:nutBracket"] [role=alert]', all => all.length),
  ).toBe(1)
  expect(bench.errors).toEqual([])
})

test('hours that cannot be are said beside the table and left out; others change the end', async () => {
  const bench = await scheduleOf('demo-skarrow-8')
  const before = await finish(bench)
  await bench.sheet('Working hours')
  await bench.click('button', 'Another time')
  const [, from, to] = await bench.page.$$(
    '[aria-label="Working time 4"] input, [aria-label="Working time 4"] select',
  )
  if (!from || !to) throw new Error('the row has no fields')
  await to.evaluate(element => {
    const field = element as HTMLInputElement
    field.value = '06:00'
    field.focus()
    field.blur()
  })
  await bench.sees('Working time 4: To: got 06:00, takes a time after 18:00', 'main')
  await bench.sheet('Schedule')
  await bench.sees('1 of the working hours cannot be as they stand')
  // The three evenings that can be stand: the same day as before, once the best plan is found.
  await planStands(bench)
  expect(dayOf(await finish(bench))).toBe(dayOf(before))
  await bench.sheet('Working hours')
  const [, , last] = await bench.page.$$(
    '[aria-label="Working time 4"] input, [aria-label="Working time 4"] select',
  )
  await last?.evaluate(element => {
    const field = element as HTMLInputElement
    field.value = '22:00'
    field.focus()
    field.blur()
  })
  await bench.lacks('got 06:00', 'main')
  await bench.sheet('Schedule')
  // A fourth evening a week gets it done sooner.
  await changes(bench, before)
  await planStands(bench)
  expect(dayOf(await finish(bench))).toBeLessThan(dayOf(before))
  expect(bench.errors).toEqual([])
})

test('the plan goes out as a calendar, and days off come in from one', async () => {
  const bench = await scheduleOf('demo-ostrey-254')
  const next = await downloads(bench.page)
  await bench.click('button', 'Save as a calendar')
  const { name, text } = await next()
  expect(name).toMatch(/^ostrey.*\.ics$/)
  expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/)
  expect(text.match(/BEGIN:VEVENT/g)?.length).toBeGreaterThan(20)
  await bench.sheet('Working hours')
  const off = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'BEGIN:VEVENT',
    'UID:1',
    'DTSTART;VALUE=DATE:20270802',
    'DTEND;VALUE=DATE:20270809',
    'SUMMARY:Regatta week',
    'END:VEVENT',
    'END:VCALENDAR',
  ].join('\r\n')
  await pickFile(bench.page, onDisk('regatta.ics', off), 'main input[type=file]')
  await bench.sees('1 taken.')
  await bench.sees('Days off', 'main')
  expect(
    await bench.page.$$eval('[aria-label^="Days off "] input', all =>
      all.map(one => (one as HTMLInputElement).value),
    ),
  ).toContain('Regatta week')
  await pickFile(bench.page, onDisk('letter.ics', 'Dear all'), 'main input[type=file]')
  await bench.sees('Got a file that is no calendar')
  await bench.sees('Nothing was changed.')
  // Letters that can be read in several ways are asked about.
  const old = Buffer.from(
    off.replace('Regatta week', 'Fête').replace('20270802', '20270901').replace('20270809', '20270902'),
    'latin1',
  )
  await pickFile(bench.page, onDisk('old.ics', old), 'main input[type=file]')
  await bench.sees('Which of these reads right?')
  await bench.click('button', '“SUMMARY:Fête” Western European')
  await bench.sees('1 taken.')
  // Rules that lead nowhere hold nothing up, and can be stopped.
  const nowhere = Array.from({ length: 60 }, (_, index) =>
    [
      'BEGIN:VEVENT',
      `UID:${index}`,
      'DTSTART;VALUE=DATE:20261201',
      'RRULE:FREQ=DAILY;INTERVAL=7;BYDAY=MO',
      'END:VEVENT',
    ].join('\r\n'),
  )
  const slow = ['BEGIN:VCALENDAR', 'VERSION:2.0', ...nowhere, 'END:VCALENDAR'].join('\r\n')
  await pickFile(bench.page, onDisk('slow.ics', slow), 'main input[type=file]')
  await bench.sees('Looking through the calendar…')
  await bench.click('button', 'Stop')
  await bench.sees('Called off. Nothing was changed.')
  expect(bench.errors).toEqual([])
})

test('cuts that are made are ticked on their list, leave the plan, and can be taken back', async () => {
  const bench = await app.open('/job/demo-skarrow-8/skarrow-x/room/cuts')
  await bench.sees('Made on Oct 12, 2026')
  await bench.click('button', 'Not all of them')
  await bench.click('button', 'All 6 cuts are made')
  await bench.sees(/Made on \w+ \d+, \d{4}/)
  await bench.isSaved()
  await bench.stage('Log')
  await bench.sees('Open again: Cuts (6), axis X.')
  await bench.sees('Done: Cuts (6), axis X.')
  expect(bench.errors).toEqual([])
})
