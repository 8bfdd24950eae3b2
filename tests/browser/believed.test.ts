import { addressOf } from '@/stages/job/place'
import { withApp } from './harness'

// Slips that a builder makes at the machine: each is asked about before anything is turned, and none is typed again.

const app = withApp({ env: { DUSK_DEMO: '1' } })
const ADVICE = '[aria-label="What to do"]'
const at = (stage: 'prove' | 'align', sheet: 'fullTest' | 'zeroTime' | 'flange' | 'screwLine', axis = 'x') =>
  app.open(addressOf({ jobId: 'demo-skarrow-8', axisId: `skarrow-${axis}`, stage, sheet }))

test('a jump in a full test is taken out of all that follow at one press, and counted again at another', async () => {
  const bench = await at('prove', 'fullTest')
  await bench.fill('Name of the test', 'With a lost cycle', null)
  await bench.click('button', 'Start a full test')
  await bench.sees('0 of 70 readings')
  await bench.unfold('Paste a column of readings')
  const field = await bench.find(
    'textbox',
    'In the order in which the axis moves, one a line, from the next place on',
  )
  await field.evaluate(element => (element as unknown as HTMLTextAreaElement).select())
  const wobble = [0, 1, 0, -1, 1, 0, -1]
  const course = Array.from({ length: 70 }, (_, index) => {
    const isUp = index % 14 < 7
    return (isUp ? 5 : -5) + (wobble[index % 7] as number) + (index >= 30 ? 60 : 0)
  })
  await bench.page.keyboard.sendCharacter(course.join('\n'))
  await bench.click('button', 'Put them in')
  await bench.sees('70 of 70 readings')
  await bench.becomes('prove.fullReversal', 'unknown')
  await bench.sees(/From run 3 going up at .* on, everything reads 60 µm more/, ADVICE)
  await bench.sees('none of the 40 readings after it need be typed again', ADVICE)
  await bench.press('[data-jump] button')
  await bench.becomes('prove.fullReversal', 'holds')
  await bench.sees('A jump of 60 µm was taken out', ADVICE)
  await bench.sees('read Lost steps, and take the test again for its accuracy', ADVICE)
  await bench.press('[data-shift] button')
  await bench.becomes('prove.fullReversal', 'unknown')
  await bench.stage('Log')
  await bench.sees('40 readings count 60 µm less')
  expect(bench.errors).toEqual([])
})

test('from cold the keyboard goes from place to place, and what warms is told from what creeps', async () => {
  const bench = await at('prove', 'zeroTime')
  await bench.click('button', 'Start a round')
  await bench.page.waitForFunction(() => document.activeElement?.closest('[data-cell]') !== null)
  // The drive line makes room for the table.
  await bench.page.waitForSelector('[data-folded]')
  const type = async (readings: readonly number[]) => {
    for (const one of readings) {
      await bench.page.keyboard.type(String(one))
      await bench.page.keyboard.press('Enter')
    }
  }
  // What is refused is typed over.
  await bench.page.keyboard.type('cold')
  await bench.page.keyboard.press('Enter')
  await bench.sees('Got “cold”')
  const grown = [0, 60, 103, 133, 155, 170, 181, 188, 194, 197, 200]
  await type(grown.flatMap(um => [Math.round(um / 9), um]))
  await bench.becomes('prove.zeroTime', 'fails')
  await bench.sees(/time constant of \d minutes.*Run it for \d+ minutes before a full test/s, ADVICE)
  await bench.page.waitForSelector('[aria-label^="Chart of the returns against the minutes run"] svg')
  expect(bench.errors).toEqual([])
})

test('which way the dial goes is asked before a flange is shimmed, and every sign is turned over at one press', async () => {
  const bench = await at('align', 'flange', 'y')
  await bench.sees(/It stands proud at 65° .*on the face of the casting at 245°/, ADVICE)
  await bench.choose('Tip pushed in by a finger, the dial reads', 'less')
  await bench.sees('The dial reads less as its tip is pushed in', ADVICE)
  await bench.click('button', 'Turn every sign over')
  await bench.sees(/It stands proud at 245° .*on the face of the casting at 65°/, ADVICE)
  // Readings that slipped by a row are moved.
  await bench.unfold('A reading was left out, or typed twice')
  await bench.page.waitForSelector('[data-move-column]')
  expect(bench.errors).toEqual([])
})
