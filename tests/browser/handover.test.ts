import { addressOf } from '@/stages/job/place'
import { downloads, onDisk, onPaper, pickFile } from './files'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })
const ADVICE = '[aria-label="What to do"]'

type ProveSheet =
  | 'reversal'
  | 'fullTest'
  | 'beforeAfter'
  | 'slowFast'
  | 'whereLost'
  | 'circle'
  | 'uncertainty'
  | 'findFault'

/** The demo mill, at a sheet of Prove of its table. */
async function at(sheet: ProveSheet) {
  const bench = await app.open(
    addressOf({ jobId: 'demo-skarrow-8', axisId: 'skarrow-x', stage: 'prove', sheet }),
  )
  await bench.page.waitForSelector('#sheet section')
  return bench
}
/** A reversal test at its first station, the slide coming up and down in turn. */
async function reversalTest(bench: Bench, label: string, up: number, down: number, step: number) {
  await bench.sheet('Reversal test')
  await bench.fill('What is new since the last one', label, null)
  await bench.click('button', 'Start a test')
  await bench.sees(`Test: ${label}`)
  await readReversal(bench, up, down, step)
}
const readReversal = (bench: Bench, up: number, down: number, step: number) =>
  bench.typeReadings(
    'Station 1, coming up to it, reading 1',
    Array.from({ length: 5 }, (_, index) => [up + step * (index % 2), down - step * (index % 2)]).flat(),
  )
/** Readings of a full test of an axis that loses little, as a file of inches. */
const fullTestFile = (name: string, travelIn: number) =>
  onDisk(
    name,
    [
      'targetIn,way,run,readingThou',
      ...[0.2, 0.27, 0.49, 0.73, 0.97].flatMap(share =>
        Array.from({ length: 5 }, (_, run) => [
          `${(share * travelIn).toFixed(3)},up,${run + 1},${(0.2 + 0.04 * (run % 2)).toFixed(2)}`,
          `${(share * travelIn).toFixed(3)},down,${run + 1},${(-0.16 - 0.04 * (run % 2)).toFixed(2)}`,
        ]).flat(),
      ),
      '',
    ].join('\n'),
  )
async function fullTest(bench: Bench, label: string, travelIn: number) {
  await bench.sheet('Full test')
  await bench.fill('Name of the test', label, null)
  await bench.click('button', 'Start a full test')
  await bench.sees(/0 of \d+ readings/)
  await bench.unfold('Plan and program')
  await bench.fill('Step of the gauge', '0.04', 'Tab')
  await bench.unfold('Readings as a file')
  await pickFile(bench.page, fullTestFile(`${label}.csv`, travelIn), 'input[aria-label="File of readings"]')
  await bench.sees('50 readings taken from')
  await bench.sees('All readings are taken')
}

test('in inches: the fault is found by readings, its step opened again, the mending proved, and the whole machine handed over', async () => {
  const bench = await at('findFault')
  await bench.click('button', 'Units: mm. Switch to inch')
  await bench.click('button', 'Start a search')
  await bench.answer('complaint', 'reverses-short')
  await bench.sees('Next: indicator on the end of the screw')
  // The five places, in thou: what the end of the screw moves is the bearings.
  await bench.click('link', 'Or read it: Where it is lost')
  await bench.click('button', 'Start a round')
  await bench.fill('Pushed and pulled with', '45', 'Tab')
  await bench.typeReadings(
    'Motor hub, push and pull 1',
    [0.8, 0.96, 1.36, 1.48, 1.52].flatMap(thou => [thou, thou, thou]),
  )
  await bench.sees(/Most in the fixed bearings: 1\.\d+ thou ± .*take up the locknut/, ADVICE)
  await bench.sees('Fixed bearings first: take up the locknut', '[aria-label="What mends it"]')
  await bench.sheet('Find the fault')
  await bench.answer('block', 'still')
  await bench.page.waitForSelector('[data-found="fixed-bearing-play"]')
  // Minutes of checks asked for: well under an hour.
  await bench.sees('About 6 minutes of checks so far.')
  await bench.click('button', 'Open again under Build: Set the locknut')
  await bench.lacks('Open again under Build', '[data-found]')
  await bench.click('button', 'It is mended')
  await bench.sees('Test again now: indicator on the end of the screw.')
  await reversalTest(bench, 'Locknut taken up', 0.2, -0.16, 0.04)
  await bench.becomes('prove.reversal', 'holds')
  await bench.sheet('Before and after')
  await bench.sees(/before\s+after/i)
  await bench.sees('less: it counts', '[data-compared]')
  await fullTest(bench, 'Locknut taken up', 16)
  await bench.becomes('prove.accuracy', 'holds')
  await bench.becomes('prove.fullReversal', 'holds')
  // Push and pull from before the mending still says that it is loose: read again.
  await bench.sheet('Push and pull')
  await bench.click('button', 'Close the round')
  await bench.click('button', 'Start the next round')
  await bench.typeReadings('Reading, push 1', [-0.36, -0.28, -0.2, 0.2, 0.28, 0.36, -0.36])
  await bench.becomes('prove.pushPull', 'holds')
  for (const [axis, travelIn] of [
    ['Y', 7.8],
    ['Z', 11.8],
  ] as const) {
    await bench.axis(axis)
    await reversalTest(bench, 'As built', 0.2, -0.16, 0.04)
    await bench.fill('Step of the gauge', '0.04', 'Tab')
    await bench.sees(/Holds\s+0\.\d+ thou ±/, '[data-station-result]')
    await fullTest(bench, 'As built', travelIn)
    await bench.becomes('prove.accuracy', 'holds')
  }
  await bench.sheet('Acceptance')
  await bench.sees(/X\s+Lost motion, measured\s+0\.\d+ thou ± 0\.\d+ thou\s+1\.18 thou\s+Holds/)
  await bench.fill('Made for', 'The yard shed', 'Tab')
  await bench.fill('Tested by', 'E. Vale', 'Tab')
  await bench.isSaved()
  await bench.click('link', 'The sheet, to print')
  await bench.sees('Acceptance: Skarrow 8')
  const pdf = await bench.page.pdf({ format: 'letter', printBackground: true })
  const text = onPaper('pdftotext', ['-layout', '-', '-'], pdf).stdout.toString('utf8')
  expect(text).toMatch(/Made for\s+The yard shed/)
  for (const axis of ['Axis X: Table', 'Axis Y: Saddle', 'Axis Z: Quill head']) expect(text).toContain(axis)
  expect(text.match(/Lost motion, measured\s+1\.18 thou\s+0\.\d+ thou ± 0\.\d+ thou\s+Holds/g)).toHaveLength(
    3,
  )
  expect(text).toMatch(/Before and after, at [\d.]+\s+in:\s+1\.\d+\s+thou.*which\s+counts/s)
  expect(text).toContain('Day and signature')
  // The five places were read before the mending: they are asked for again, not handed over.
  expect(text).toMatch(/Where it is lost: Read before the last change: read it again\./)
  expect(text.replace('Foil shim of 0.12 mm', '')).not.toMatch(/\d mm\b|µm/)
  expect(bench.errors).toEqual([])
})

test('acceptance: open points, the day, its calendar, table and JSON; proved again only when every axis is tested since', async () => {
  const bench = await at('reversal')
  await bench.sheet('Acceptance')
  await bench.sees('Still open: 15')
  await bench.sees('Y: Reversal test: not tested.', '[data-open-points]')
  await bench.click('button', 'Another open point')
  await bench.fill('What is still open, open point 1', 'Guards to be fitted', 'Tab')
  await bench.sees('Still open: 16')
  const saved = await downloads(bench.page)
  await bench.click('button', 'Save as a table (CSV)')
  const table = await saved()
  expect(table.name).toBe('skarrow-8-acceptance.csv')
  expect(table.text).toMatch(/X,"?Lost motion, measured"?,43\.6,3(\.0\d)?,30,µm,fails,/)
  expect(table.text).toContain('Guards to be fitted')
  await bench.click('button', 'Save as JSON')
  const json = JSON.parse((await saved()).text)
  expect(json).toMatchObject({ format: 'dusk-bench-acceptance', machine: 'Skarrow 8', isComplete: false })
  await bench.fill('It runs so many hours a week', '500', 'Tab')
  await bench.sees('Takes 0.1 to 168')
  await bench.fill('It runs so many hours a week', '5', 'Tab')
  await bench.click('button', 'It is accepted with its open points')
  await bench.sees(/Accepted on/)
  await bench.sees(
    /Proof after ten hours of running: due about .*Not tested since: X, Y, Z/,
    '[data-reproof="ten-hours"]',
  )
  const again = await bench.find('button', 'Proved again: proof after half a year')
  expect(await again.evaluate(element => (element as unknown as HTMLButtonElement).disabled)).toBe(true)
  await bench.click('button', 'Save the dates as a calendar')
  const calendar = (await saved()).text
  expect(calendar).toContain('SUMMARY:Skarrow 8: Proof after ten hours of running')
  expect(calendar.match(/BEGIN:VEVENT/g)).toHaveLength(2)
  await bench.isSaved()
  await bench.page.reload()
  await bench.comesTo('What is still open, open point 1', 'Guards to be fitted')
  await bench.click('link', 'The sheet, to print')
  await bench.sees(/Accepted on\s+\w/)
  await bench.sees('Guards to be fitted')
  await bench.click('button', 'Back to the acceptance')
  await bench.page.waitForSelector('[data-sheet="acceptance"] section')
  await bench.axis('X')
  await bench.stage('Log')
  await bench.sees(
    /Accepted on .* Proof after ten hours of running: about .* 16 points are open: X: Lost motion/,
  )
  expect(bench.errors).toEqual([])
})

test('slow against fast: a pair is started, read, and told; how an older test was taken is noted afterwards', async () => {
  const bench = await at('slowFast')
  await bench.click('button', 'Start a slow test, 100 mm/min')
  await bench.sees('Test: Slow')
  await bench.sees('How it is taken: came at 100 mm/min')
  await readReversal(bench, 10, -10, 1)
  await bench.sheet('Slow, fast, cold, warm')
  await bench.click('button', 'Start a fast test, 3,000 mm/min')
  await bench.sees('Test: Fast')
  await readReversal(bench, 40, -40, 1)
  await bench.sheet('Slow, fast, cold, warm')
  await bench.becomes('prove.slowFast', 'fails')
  await bench.sees(/20\.8 µm at 100 mm\/min and 80\.8 µm at 3,000 mm\/min.*More is lost fast/, ADVICE)
  await bench.page.waitForSelector(
    '[aria-label^="Chart of the reversal at each place, slow and fast"] svg path',
  )
  // The two differ in warmth too: they are no pair any more, and the one before them is taken.
  await bench.choose('The machine was, Slow', 'cold')
  await bench.choose('The machine was, Fast', 'warm')
  await bench.sees(/“Gib nipped up” of .* against “Fast” of/)
  expect(bench.errors).toEqual([])
})

test('a square over its diagonals, in the wrong unit first; what it is cut and measured by goes to paper', async () => {
  const bench = await at('circle')
  await bench.click('button', 'Start a round')
  await bench.fill('The other axis', 'Y', 'Tab')
  await bench.fill('A diagonal is read to', '5', 'Tab')
  await bench.fill('Diagonal from near left to far right', '5.57', 'Tab')
  await bench.sees('Was it typed in another unit', ADVICE)
  await bench.fill('Diagonal from near left to far right', '5.5708 in', 'Tab')
  await bench.sees('Measure the other diagonal too', ADVICE)
  await bench.fill('Diagonal from near right to far left', '141.36', 'Tab')
  await bench.becomes('prove.cutSquare', 'fails')
  await bench.sees(/out of square over a side of 100 mm.*lean towards each other/, ADVICE)
  await bench.page.waitForSelector('svg[aria-label^="The square as it came out"]')
  await bench.click('link', 'How to cut and measure it, to print')
  await bench.sees('Part to cut: Skarrow 8, X and Y')
  const pdf = await bench.page.pdf({ format: 'a4', printBackground: true })
  const text = onPaper('pdftotext', ['-layout', '-', '-'], pdf).stdout.toString('utf8')
  expect(text).toContain('Diagonal 1 to 3')
  expect(text).toContain('boss 90 mm across')
  expect(text.split('\f')).toHaveLength(2)
  await bench.click('button', 'Back to circle and square')
  await bench.page.waitForSelector('[data-sheet="circle"]')
  expect(bench.errors).toEqual([])
})

test('uncertainty: a gauge that is off takes a verdict back and says what would narrow it; nothing typed is lost', async () => {
  const bench = await at('reversal')
  await reversalTest(bench, 'Locknut taken up', 5, -4, 1)
  await bench.becomes('prove.reversal', 'holds')
  await bench.sheet('Uncertainty')
  await bench.fill('The gauge is off by up to', '40', 'Tab')
  await bench.becomes('prove.reversal', 'close')
  await bench.sees('Most of the ± is the error of the gauge', '[data-uncertain]')
  await bench.page.waitForSelector('[aria-label^="Chart of the standard uncertainty of Reversal"] svg path')
  await bench.unfold('Contributor by contributor')
  await bench.sees(/Error of the gauge\s+40 µm\s+anywhere within\s+23\.1 µm/)
  await bench.fill('Out of line by up to', '120', 'Tab')
  await bench.sees('Got 120°. Takes 0° to 45°.')
  await bench.fill('The gauge is off by up to', '', 'Tab')
  await bench.becomes('prove.reversal', 'holds')
  expect(bench.errors).toEqual([])
})

test('the readings of a full test go out and come back as a file; what is wrong in one is said by its line; charts are saved', async () => {
  const bench = await at('fullTest')
  const saved = await downloads(bench.page)
  await bench.unfold('Readings as a file')
  await bench.click('button', 'Save the readings (CSV)')
  const file = await saved()
  expect(file.text).toContain('targetMm,way,run,readingUm')
  await bench.click('button', 'Save the picture: deviations at each target')
  const picture = await saved()
  expect(picture.name).toBe('skarrow-8-x-deviations-at-each-target.svg')
  expect(picture.text).toContain('going up')
  expect(picture.text).not.toContain('var(')
  expect(picture.text.match(/<path [^>]*recharts-line-curve|recharts-curve/g)?.length).toBeGreaterThanOrEqual(
    6,
  )
  await bench.unfold('Run by run')
  await bench.page.waitForSelector(
    '[aria-label^="Chart of the deviations run by run"] svg path.recharts-curve',
  )
  await bench.fill('Name of the test', 'From a file', null)
  await bench.click('button', 'Start a full test')
  await bench.sees('0 of 70 readings')
  await bench.unfold('Readings as a file')
  const input = 'input[aria-label="File of readings"]'
  await pickFile(bench.page, onDisk('wrong.csv', file.text.replace('5,up,1,23', '5,sideways,1,23')), input)
  await bench.sees('line 2, column B way: got sideways, takes up or down. Nothing was taken.')
  await bench.sees('0 of 70 readings')
  await pickFile(bench.page, onDisk('readings.csv', file.text), input)
  await bench.sees('70 readings taken from readings.csv.')
  await bench.sees('70 of 70 readings')
  await bench.sees('By ISO 230-2: accuracy 57 µm', '[data-full-figures]')
  expect(bench.errors).toEqual([])
})
