import { type Bench, withApp, withoutScrews } from './harness'

const app = withApp()

/** The accessible name of what has the focus. */
const focused = (bench: Bench) =>
  bench.page.evaluate(() => {
    const element = document.activeElement as HTMLElement | null
    const label = element?.id ? document.querySelector(`label[for="${element.id}"]`)?.textContent : null
    return label ?? element?.getAttribute('aria-label') ?? element?.textContent ?? ''
  })
const press = async (bench: Bench, ...keys: string[]) => {
  for (const key of keys) await bench.page.keyboard.press(key as 'Enter')
}
/** Tabs on until what has the focus is called so. */
async function tabTo(bench: Bench, name: string | RegExp, most = 120) {
  for (let i = 0; i < most; i++) {
    await press(bench, 'Tab')
    const now = await focused(bench)
    if (typeof name === 'string' ? now === name : name.test(now)) return
  }
  throw new Error(`Tab does not reach ${name}; it is at ${await focused(bench)}`)
}
const alt = async (bench: Bench, digit: string) => {
  await bench.page.keyboard.down('Alt')
  await bench.page.keyboard.press(`Digit${digit}` as 'Digit1')
  await bench.page.keyboard.up('Alt')
}

test('with the keyboard alone: a job from start to a first verdict, a round and a note', async () => {
  const bench = await app.open()
  await tabTo(bench, 'New job')
  await press(bench, 'Enter')
  await bench.find('textbox', 'Name of the machine')
  await tabTo(bench, 'Name of the machine')
  await bench.page.keyboard.type('Quay mill')
  await press(bench, 'Enter')
  await bench.standsOnTheBench()

  // The first stop of Tab skips to the sheet; then Enter goes from reading to reading.
  await tabTo(bench, 'Skip to the sheet', 1)
  await press(bench, 'Enter')
  // Past its incline with where that comes from, and what could be read from outside.
  await tabTo(bench, 'Travel that the ways allow', 5)
  await bench.page.keyboard.type('410')
  await press(bench, 'Enter')
  expect(await focused(bench)).toBe('Screw axis to the top of the way')
  await bench.page.keyboard.type('47.5')
  await press(bench, 'Enter', 'Escape')

  // Parts, by tab and Enter.
  await alt(bench, '2')
  await bench.page.waitForSelector('[data-sheet="inWords"]')
  for (const id of ['search', 'drive', 'parts']) {
    await press(bench, 'j')
    await bench.page.waitForSelector(`[data-sheet="${id}"] section`)
  }
  await tabTo(bench, 'Find a part')
  await bench.page.keyboard.type('20 x 5 double')
  await tabTo(bench, 'Take Ball screw 20 x 5, double nut with spacer')
  await press(bench, 'Enter')
  await bench.page.waitForSelector('[data-check="nut.speedValue"][data-state="holds"]')
  await bench.page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await tabTo(bench, /^Motornot chosen yet/)
  await press(bench, 'Enter')
  await tabTo(bench, 'Take Stepper 57 mm frame, 2.2 N·m, 48 V')
  await press(bench, 'Space')
  await bench.find('button', 'Stepper 57 mm frame, 2.2 N·m, 48 V, taken; put back')

  // A part on the drive line.
  await bench.page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await tabTo(bench, /^Nut in its bracket: Ball screw 20 x 5/)
  await press(bench, 'ArrowUp')
  expect(await focused(bench)).toMatch(/^(?!Nut)/)
  await press(bench, 'ArrowDown', 'Enter')
  await bench.sees('Preload as delivered', 'aside[aria-label="Sheet: Nut in its bracket"]')
  await press(bench, 'Enter')

  // Axes, undo, palette, help and note by their keys.
  await press(bench, ']')
  await bench.page.waitForSelector('a[data-axis="Y"][aria-current]')
  await press(bench, '[')
  await bench.page.waitForSelector('a[data-axis="X"][aria-current]')
  await bench.page.keyboard.down('Control')
  await press(bench, 'z')
  await bench.page.keyboard.up('Control')
  await bench.sees(/A motor: \d+ wait for it/)
  await bench.page.keyboard.down('Control')
  await press(bench, 'k')
  await bench.page.keyboard.up('Control')
  await bench.find('combobox', 'Find and go')
  await bench.page.keyboard.type('Line of the screw')
  await press(bench, 'Enter')
  await bench.sees('Start a round')
  await bench.page.keyboard.type('?')
  await bench.sees('Help and keys', '[role=dialog]')
  await press(bench, 'Escape')
  await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await bench.page.keyboard.type('n')
  await bench.find('textbox', 'What happened')
  await tabTo(bench, 'What happened')
  await bench.page.keyboard.type('Ways scraped')
  await tabTo(bench, 'Enter it')
  await press(bench, 'Enter')
  await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
  await alt(bench, '7')
  await bench.sees('Ways scraped')
  expect(bench.errors).toEqual([])
})

test('a gauge that types its reading and Enter works nothing but the fields', async () => {
  const bench = await app.openDemo()
  await bench.page.evaluate(() => (document.activeElement as HTMLElement).blur())
  const before = bench.page.url()
  await bench.page.keyboard.type('-1.234')
  await press(bench, 'Enter')
  expect(bench.page.url()).toBe(before)
  expect(await bench.page.$('[role=dialog]')).toBeNull()
})

test('units switch at any time, and switching drifts nothing', async () => {
  const bench = await app.openDemo()
  const fields: [sheet: string, field: string][] = [
    ['Geometry', 'Travel that the ways allow'],
    ['Loads', 'Moving mass, with the heaviest work'],
    ['Loads', 'Drag of gib, wipers and seals'],
    ['What you want from it', 'Top speed'],
    ['What you want from it', 'Lost motion accepted'],
  ]
  /** The value of every field, which is gone through without typing. */
  const read = async () => {
    const values: string[] = []
    for (const [sheet, name] of fields) {
      await bench.sheet(sheet)
      await (await bench.find('textbox', name)).focus()
      values.push(await bench.value(name))
    }
    return values
  }
  const metric = await read()
  for (let i = 0; i < 3; i++) {
    await bench.click('button', 'Units: mm. Switch to inch')
    await bench.find('button', 'Units: inch. Switch to mm')
    expect((await read())[0]).toBe('16.2441')
    await bench.click('button', 'Units: inch. Switch to mm')
    await bench.find('button', 'Units: mm. Switch to inch')
  }
  expect(await read()).toEqual(metric)
  await bench.click('button', 'Units: mm. Switch to inch')
  await bench.sheet('Parts of the drive')
  await bench.sees(/\d lbf·in/, 'aside[aria-label="Verdicts"]')
  const verdicts = withoutScrews(await bench.text('aside[aria-label="Verdicts"]'))
  expect(verdicts).not.toMatch(/\d (mm|N|µm)\b(?!·)/)
})

test('an inch job from the start: fractions and thousandths, the other unit beside', async () => {
  const bench = await app.open()
  await bench.startJob('Inch lathe', 'lathe', 'inch')
  await bench.fill('Travel that the ways allow', '19-3/4')
  expect(await bench.value('Travel that the ways allow')).toBe('19.75')
  await bench.sees('= 501.65 mm')
  await bench.fill('Thickness of the nut bracket', '18 mm')
  expect(await bench.value('Thickness of the nut bracket')).toBe('0.7087')
  await bench.sheet('What you want from it')
  await bench.fill('Lost motion accepted', '2 thou')
  expect(await bench.value('Lost motion accepted')).toBe('2')
  await bench.sees('= 50.8 µm')
  await bench.fill('Lost motion accepted', '0.001"')
  expect(await bench.value('Lost motion accepted')).toBe('1')
})

test('what cannot be read keeps its text, says why beside the field, and changes nothing', async () => {
  const bench = await app.openDemo()
  for (const [typed, says] of [
    ['12 furlongs', 'The unit “furlongs” is not known here: takes mm, cm, m, um'],
    ['5', 'Got 5 mm. Takes 10 mm to 10,000 mm.'],
    ['1,234', 'A comma before three digits can be read two ways'],
  ] as const) {
    await bench.fill('Travel that the ways allow', typed)
    await bench.sees(says)
    expect(await bench.value('Travel that the ways allow')).toBe(typed)
  }
  const field = await bench.find('textbox', 'Travel that the ways allow')
  expect(await field.evaluate(element => element.getAttribute('aria-invalid'))).toBe('true')
  await bench.page.keyboard.press('Escape')
  expect(await bench.value('Travel that the ways allow')).toBe('412.6')
})

test('verdicts say at once what a key changes, and change places when the typing rests', async () => {
  const bench = await app.openDemo()
  await bench.sheet('What you want from it')
  const lines = 'aside[aria-label="Verdicts"] ul > [data-check]'
  const shown = () => bench.page.$$eval(lines, all => all.map(one => (one as HTMLElement).dataset.check))
  expect(await shown()).not.toContain('nut.staticSafety')
  await bench.fill('Cutting force along the axis', '15000', null)
  // Folded among those that hold, it tells already; then it comes out of the fold.
  await bench.becomes('nut.staticSafety', 'fails')
  await bench.page.waitForSelector(`${lines}[data-check="nut.staticSafety"]`)
  await bench.fill('Cutting force along the axis', '600', null)
  await bench.becomes('nut.staticSafety', 'holds')
  await bench.page.waitForFunction(
    selector => !document.querySelector(`${selector}[data-check="nut.staticSafety"]`),
    {},
    lines,
  )
})

test('every figure of the demo opens to its working', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Parts of the drive')
  await bench.openHeld()
  const titles = await bench.page.$$eval('button[aria-label^="Working: "]', buttons =>
    buttons.map(button => button.getAttribute('aria-label') ?? ''),
  )
  expect(titles.length).toBeGreaterThanOrEqual(14)
  await bench.click('button', 'Working: Whip of the screw')
  await bench.page.waitForSelector('[role=dialog] [data-formula] math mfrac')
  // The formula, and under it the same with its numbers put in, and what comes of it.
  const numbers = await bench.text('[role=dialog] [data-numbers]')
  expect(numbers).toMatch(/\d{3}\.\d[\s\S]*rpm/)
  expect(await bench.text('[role=dialog]')).toContain('rpm')
  const shown = await bench.page.$$eval('[role=dialog] [data-value="allowableSpeedRpm"]', cells =>
    cells.map(cell => cell.textContent),
  )
  const sentence = await bench.text('[data-check="screw.criticalSpeed"]')
  expect(sentence.replace(/,/g, '')).toContain(String(Math.round(Number(shown[0]?.replace(/,/g, '')))))
})
