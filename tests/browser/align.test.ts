import { addressOf } from '@/stages/job/place'
import { type Bench, withApp } from './harness'

const app = withApp({ env: { DUSK_DEMO: '1' } })
const DEMO = {
  'skarrow-x': 'demo-skarrow-8',
  'skarrow-y': 'demo-skarrow-8',
  'ostrey-x': 'demo-ostrey-254',
  'long-tom-x': 'demo-long-tom-2400',
  'long-tom-y': 'demo-long-tom-2400',
} as const

/** The demo, at a sheet of Align of an axis. */
async function at(
  axisId: keyof typeof DEMO,
  sheet: 'gib' | 'flange' | 'drag' | 'rails' | 'square' | 'shafts' | 'preload' | 'runOut' | 'screwLine',
) {
  const bench = await app.open(addressOf({ jobId: DEMO[axisId], axisId, stage: 'align', sheet }))
  await bench.page.waitForSelector('#sheet section')
  return bench
}
const ADVICE = '[aria-label="What to do"]'
/** Rows of a table of readings: the columns of a row are named by its number. */
const typeDown = (bench: Bench, first: string, readings: readonly number[]) =>
  bench.typeReadings(first, readings)

test('a flange on a rough casting: shimmed where it says, swept again, square; what was done stands in the log', async () => {
  const bench = await at('skarrow-y', 'flange')
  await bench.sees(
    /It stands proud at 65° \(2 o'clock\)\. Put 217 µm ± \d+ µm on the face of the casting at 245°/,
    ADVICE,
  )
  await bench.click('button', 'Close the round')
  await bench.click('button', 'Start the next round')
  await bench.sees('round 2')
  await bench.sees('Sweep the face and read at three or more angles', ADVICE)
  await bench.fill('What was done since the last round', '0.22 shim at 8 o’clock', 'Tab')
  // In the wrong unit once: a thousandth of a thou is nothing that this gauge shows.
  await bench.choose('Readings are typed in', 'thou')
  await bench.fill('Reading, angle 1', '0.001', 'Tab')
  await bench.sees(/finer than the gauge can show/, ADVICE)
  await bench.sees('finer than the gauge: another unit?', '[data-cell="0 readingUm"] [data-odd]')
  await bench.choose('Readings are typed in', 'um')
  await typeDown(bench, 'Reading, angle 1', [5, 0, -5, 0, 5, 0])
  await bench.lacks('another unit?', 'table')
  // The first angle again says whether the base stood: before that nothing is turned.
  await bench.sees('Read the first place once more, in the last row', ADVICE)
  await bench.sees('the first place again: has the base moved?', '[data-cell="6 readingUm"]')
  await bench.fill('Reading, angle 7', '45', 'Tab')
  await bench.sees('The first place reads 40 µm more at the end than at the start', ADVICE)
  await bench.sees('moved: clamp it anew, read all again', '[data-cell="6 readingUm"]')
  await bench.fill('Reading, angle 7', '5', 'Tab')
  await bench.becomes('align.flange', 'holds')
  await bench.sees('the base stood', ADVICE)
  // A slip of the pen stands out at its cell, and stops the advice.
  await bench.fill('Reading, angle 4', '500', 'Tab')
  await bench.sees('far off the others', '[data-cell="3 readingUm"] [data-odd]')
  await bench.becomes('align.flange', 'unknown')
  await bench.fill('Reading, angle 4', '0', 'Tab')
  await bench.becomes('align.flange', 'holds')
  // With calipers it is said beforehand what they can tell.
  await bench.fill('Step of the gauge', '50', 'Tab')
  await bench.sees(/It can find what is badly off, not set it/, '[data-resolution]')
  await bench.fill('Step of the gauge', '10', 'Tab')
  await bench.sees(/Round 2.*out of square over the bolt circle/s)
  await bench.click('button', 'Close the round')
  await bench.fill('Put in for now, to be done properly later', 'kitchen foil under the flange', null)
  await bench.click('button', 'Note it as a temporary fix')
  await bench.stage('Log')
  await bench.sees(/Nut flange and faces, round 2\. After: 0\.22 shim at 8 o’clock\. Holds/)
  await bench.sees('kitchen foil under the flange')
  expect(bench.errors).toEqual([])
})

test('a gib that locks on the way: locked, set, and a round that made it worse is said', async () => {
  const bench = await at('ostrey-x', 'gib')
  await bench.sees('the gib walks with the slide', ADVICE)
  await bench.click('button', 'Close the round')
  await bench.click('button', 'Start the next round')
  await bench.choose('Wound slowly, it locks', 'nowhere')
  await bench.choose('Readings are typed in', 'thou')
  await typeDown(bench, 'Play to the side, place 1', [3, 4, 4])
  await bench.sees(/Push the gib in by .* in/, ADVICE)
  await bench.sees('Worse than the round before')
  await bench.click('button', 'Close the round')
  await bench.click('button', 'Start the next round')
  await bench.choose('Wound slowly, it locks', 'nowhere')
  await typeDown(bench, 'Play to the side, place 1', [1, 1, 1])
  await bench.becomes('align.gib', 'holds')
  expect(bench.errors).toEqual([])
})

test('a set-up that binds only near the motor: the fixed block is named, laid on the drive line, and gone once it is set', async () => {
  const bench = await at('skarrow-y', 'drag')
  await bench.sees('it is the fixed block', ADVICE)
  // While a round is open the drive line is folded: it opens at a press.
  await bench.click('button', 'Open the drive line')
  await bench.sees('binds 0.27 N·m')
  await bench.page.waitForSelector('[data-band="level"] ~ [data-band="fixed"]')
  await bench.click('button', 'Close the round')
  await bench.click('button', 'Start the next round')
  await typeDown(
    bench,
    'Away from the motor, place 1',
    [3.5, 3.4, 3.4, 3.4, 3.3, 3.5, 3.4, 3.5, 3.4, 3.3, 3.4, 3.4],
  )
  await bench.becomes('align.drag', 'holds')
  await bench.sees('nothing binds that these readings can tell', ADVICE)
  // A drill stands in for the scale once its clutch is calibrated.
  await bench.click('button', 'Drill’s clutch')
  for (const [index, pull] of ['4', '14'].entries()) {
    await bench.click('button', 'Another setting')
    await bench.fill(`Pull where it slips, pull at a setting ${index + 1}`, pull)
  }
  await bench.sees('0.6 N·m')
  expect(bench.errors).toEqual([])
})

test('a second rail and a gantry out of square: the end to tap, the turn of the second screw', async () => {
  const bench = await at('long-tom-x', 'rails')
  await bench.sees('tap its end at 2,300 mm back by that', ADVICE)
  await bench.click('button', 'Start the next round')
  await typeDown(bench, 'Reading, place 1', [0, 10, 20, 10, 20, 10, 0])
  await bench.becomes('align.rails', 'holds')
  await bench.sheet('Square')
  await bench.sees(/The second side is ahead: .* turn its screw back by/, ADVICE)
  await bench.fill('Diagonal A', '2059.2')
  await bench.fill('Diagonal B', '2059.1')
  await bench.becomes('align.square', 'holds')
  // A diagonal that no such rectangle has stays as it was typed, with what is wrong.
  await bench.fill('Diagonal A', 'long')
  await bench.sees('Got “long”')
  expect(await bench.value('Diagonal A')).toBe('long')
  expect(bench.errors).toEqual([])
})

test('a coupler out of line was moved over; what was read goes where the coupler is judged by it', async () => {
  const bench = await at('skarrow-x', 'shafts')
  await bench.sees(/Round 1.*Fails.*Round 2.*Holds/s)
  await bench.click('button', 'Judge the coupler by 0.04 mm and 0.19°')
  await bench.comesTo('Motor shaft at an angle to the screw', '0.19')
  expect(bench.errors).toEqual([])
})

test('two screws: each has rounds of its own, and the one that hangs low is named', async () => {
  const bench = await at('long-tom-x', 'screwLine')
  await bench.sees(/Second screw: .*Raise the far block by 29\d/, ADVICE)
  await bench.sees(/Round 1, first screw.*Round 2, second screw/s)
  await bench.click('button', 'Start the next round')
  // As the first one hangs: in line.
  await bench.typeReadings('Height, place 1', [0, -1400, -430, -40, 0, 0, 0, 0])
  await bench.becomes('align.height', 'holds')
  await bench.sees('Both screws', ADVICE)
  // What was done to one of them asks for the square again.
  await bench.fill('What was done since the last round', 'far block raised', 'Tab')
  await bench.sheet('Square')
  await bench.sees(/since then: far block raised\. Home again, and square again/, ADVICE)
  expect(bench.errors).toEqual([])
})

test('a bent screw: tight once a turn with the coupler off, and a journal that runs out', async () => {
  const bench = await at('long-tom-y', 'drag')
  await bench.click('button', 'Over one turn')
  await bench.sees(/Tight once a turn/, ADVICE)
  await bench.go(
    addressOf({ jobId: DEMO['skarrow-y'], axisId: 'skarrow-y', stage: 'align', sheet: 'runOut' }),
  )
  await bench.sees(/Journal in the far block, 260 µm: it matters/, ADVICE)
  await bench.sees('a thread that is straight and a journal that is not can be turned again', ADVICE)
  // Turned again, it runs true.
  await bench.fill('Least to most over a turn, place 3', '5', 'Tab')
  await bench.becomes('align.runOut', 'holds')
  expect(bench.errors).toEqual([])
})

test('a preload by hand: turned too far, too little, and right, with what each opens under and lives', async () => {
  const bench = await at('skarrow-x', 'preload')
  await bench.click('button', 'Start the next round')
  await bench.sees('Turn the locknut until the play has just gone', ADVICE)
  await bench.fill("Play at the screw's end", '12', 'Tab')
  await bench.sees('12 µm of play. Put the tip on the block itself', ADVICE)
  await bench.sees('tighten the locknut until it has just gone', ADVICE)
  await bench.fill("Play at the screw's end", '0', 'Tab')
  await bench.fill('Locknut turned from no play', '16', 'Tab')
  await bench.becomes('align.preload', 'fails')
  await bench.sees('Too tight shortens the life', ADVICE)
  await bench.sees(/least.*wanted.*most.*as set/s, '#sheet table')
  await bench.fill('Locknut turned from no play', '8', 'Tab')
  await bench.becomes('align.preload', 'holds')
  await bench.sees(/the pair opens at .* N and is good for/, ADVICE)
  expect(bench.errors).toEqual([])
})

test('the school that is taken stands with what it costs and risks, and is kept', async () => {
  const bench = await at('skarrow-x', 'screwLine')
  await bench.unfold('How it is read')
  await bench.sees('Costs three rounds as a rule')
  await bench.choose('Blocks are set', 'fixed')
  await bench.sees('the far block stays where it was bolted')
  await bench.isSaved()
  await bench.reload()
  await bench.unfold('How it is read')
  await bench.sees('Costs two rounds as a rule')
  expect(bench.errors).toEqual([])
})
