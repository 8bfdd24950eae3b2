import { type Bench, withApp } from './harness'

const app = withApp()
const UP = 'Station 1, coming up to it, reading'
const DOWN = 'Station 1, coming down to it, reading'

/** A test of the demo that has just been started. */
async function atTest(): Promise<Bench> {
  const bench = await app.openDemo()
  await bench.stage('Prove')
  await bench.fill('What is new since the last one', 'Coupler tightened', null)
  await bench.click('button', 'Start a test')
  await bench.sees('Test: Coupler tightened')
  return bench
}
/** Pastes a text into a field, as from a spreadsheet. */
async function paste(bench: Bench, field: string, text: string) {
  await (await bench.find('textbox', field)).evaluate((element, pasted) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', pasted)
    element.focus()
    element.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }))
  }, text)
}

test('a reading without a unit is in the unit of the table; Enter goes up, down, up, down', async () => {
  const bench = await atTest()
  await bench.choose('Readings are typed in', 'thou')
  await (await bench.find('textbox', `${UP} 1`)).focus()
  await bench.page.keyboard.type('0,25')
  await bench.sees('= 6.3 µm')
  await bench.page.keyboard.press('Enter')
  for (const reading of ['-0.2', '0.26', '-0.21']) {
    await bench.page.keyboard.type(reading)
    await bench.page.keyboard.press('Enter')
  }
  expect(await bench.value(`${UP} 1`)).toBe('0.25')
  expect(await bench.value(`${UP} 2`)).toBe('0.26')
  expect(await bench.value(`${DOWN} 1`)).toBe('-0.2')
  expect(await bench.value(`${DOWN} 2`)).toBe('-0.21')
  // One typed with its unit is taken by it, and shown in that of the table; so are all of them in another one.
  await bench.fill(`${UP} 3`, '0.0065 mm')
  expect(await bench.value(`${UP} 3`)).toBe('0.26')
  await bench.choose('Readings are typed in', 'um')
  expect(await bench.value(`${UP} 1`)).toBe('6.3')
  expect(bench.errors).toEqual([])
})

test('a reading that cannot have been meant so is asked about, and changed only when told to', async () => {
  const bench = await atTest()
  await bench.choose('Readings are typed in', 'thou')
  await bench.fill('Step of the gauge', '10 um')
  await bench.fill(`${UP} 1`, '0.001', 'Tab')
  await bench.sees('Reading 1, 0.001 thou: finer than the gauge can show. Did you mean 1 thou (0.001 in)?')
  expect(await bench.value(`${UP} 1`)).toBe('0')
  await bench.click('button', 'Yes, 1 thou')
  expect(await bench.value(`${UP} 1`)).toBe('1')
  await bench.fill(`${UP} 2`, '1.2', 'Tab')
  await bench.fill(`${UP} 3`, '1.1', 'Tab')
  await bench.fill(`${UP} 4`, '30', 'Tab')
  await bench.sees(/Reading 4, 30 thou: far off those beside it/)
  await bench.click('button', 'Keep it')
  await bench.lacks('far off those beside it', 'main')
  expect(await bench.value(`${UP} 4`)).toBe('30')
  // The step of the gauge is set once: the next test starts with it.
  await bench.click('button', 'Close the test')
  await bench.click('button', 'Start a test')
  await bench.sees('Test: Test 4')
  expect(await bench.value('Step of the gauge')).toBe('10')
  expect(bench.errors).toEqual([])
})

test('a column is pasted from a spreadsheet, all of it or none; two columns fill both sides', async () => {
  const bench = await atTest()
  await paste(bench, `${UP} 1`, '6\t-6\r\n7\t-5\r\n6,5\t-6\r\n')
  await bench.sees('Station 1')
  await bench.page.waitForSelector(`::-p-aria([name="${DOWN} 4"])`)
  expect(await bench.value(`${UP} 3`)).toBe('6.5')
  expect(await bench.value(`${DOWN} 2`)).toBe('-5')
  await paste(bench, `${UP} 4`, '6\nsix\n7')
  await bench.sees('Line 2 of what was pasted: Got “six”')
  expect(await bench.page.$(`::-p-aria([name="${UP} 5"])`)).toBeNull()
  await bench.click('button', 'Undo: Readings pasted, axis X')
  await bench.page.waitForFunction(
    name => ![...document.querySelectorAll('label')].some(label => label.textContent === name),
    {},
    `${UP} 2`,
  )
  expect(bench.errors).toEqual([])
})

test('the heights of a round are typed down, then the sides; a column of them can be pasted', async () => {
  const bench = await app.openDemo()
  await bench.stage('Align')
  await bench.click('button', 'Start the next round')
  await bench.typeReadings('Height, place 1', [0, -4, -7, -9, 1, 2, 3, 4])
  const rows = await bench.page.$$eval('[data-sheet="screwLine"] table tbody tr', all => all.length)
  const sides = Array.from({ length: rows }, (_, index) => `Side, place ${index + 1}`)
  expect(await bench.value('Height, place 2')).toBe('-4')
  if (rows === 4)
    expect(await Promise.all(sides.map(name => bench.value(name)))).toEqual(['1', '2', '3', '4'])
  await paste(bench, 'Height, place 1', '0\n-3\n-5')
  await bench.page.waitForFunction(() =>
    [...document.querySelectorAll('input')].some(input => input.value === '-5'),
  )
  expect(await bench.value('Height, place 3')).toBe('-5')
  expect(bench.errors).toEqual([])
})

test('rows of any table are pasted from a cell on, and copied out', async () => {
  const bench = await app.openDemo()
  await bench.sheet('Room around the nut')
  // What comes onto the clipboard, by whichever way the browser lets it.
  await bench.page.evaluate(() => {
    const note = (text: string) => Object.assign(window, { copied: text })
    navigator.clipboard.writeText = async text => void note(text)
  })
  await bench.click('button', 'Copy the table: stations')
  await bench.sees('Copied.')
  const copied = await bench.page.evaluate(() => (window as unknown as { copied: string }).copied)
  expect(copied.split('\n')[0]).toContain('To the left, mm')
  expect(copied.split('\n')).toHaveLength(6)
  await paste(bench, 'To the left, station 5', '29\t36\n28,5\t35\n')
  await bench.find('textbox', 'To the left, station 6')
  expect(await bench.value('To the left, station 6')).toBe('28.5')
  expect(await bench.value('To the right, station 5')).toBe('36')
  await paste(bench, 'To the left, station 1', '30\nwide')
  await bench.sees('Line 2 of what was pasted, to the left: Got “wide”')
  expect(bench.errors).toEqual([])
})
