import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { EvaluationContext } from '../evaluation/context'
import { CATALOGUE } from '../machine/parts'
import { targetsFor } from '../sheets/fullTest/calculation'
import { courseOf } from '../sheets/fullTest/course'
import { newFullTest } from '../sheets/fullTest/edits'
import { programRefusal, testProgram, travelFor } from '../sheets/fullTest/program'
import { Controller, type ControllerSetup } from './controller'

const SETUP: ControllerSetup = {
  limitsMm: { X: [0, 400], Z: [-100, 0] },
  rapidMmPerMin: 3000,
  mostFeedMmPerMin: 2000,
  dwellUnit: 'seconds',
}
/** A controller that was given some lines, each of which it took. */
function given(lines: string[], setup = SETUP) {
  const controller = new Controller(setup)
  for (const line of lines) expect([line, controller.send(line)]).toMatchObject([line, { is: 'ok' }])
  return controller
}
const reasonOf = (controller: Controller, line: string) => {
  const answer = controller.send(line)
  return answer.is === 'ok' ? 'ok' : `${answer.is} ${answer.line}: ${answer.reason}`
}

test('it moves at its feed and stands where it was sent', () => {
  const mill = given(['G21 G90 G94', 'G1 X300 F600'])
  mill.pass(10)
  expect(mill.positionMm('X')).toBeCloseTo(100, 9)
  expect(mill.state).toBe('runs')
  mill.pass(1000)
  expect([mill.positionMm('X'), mill.positionMm('Z'), mill.state]).toEqual([300, 0, 'idle'])
})

test('inches, steps from where it stands, rapid moves, home and dwells', () => {
  const mill = given(['G20 G91', 'G1 X2 Z-1 F10', 'G0 X1', 'G4 P1.5', 'G28 X0'])
  // √5 in at 10 in a minute; 25.4 mm at 3,000 mm a minute; a dwell; home over 76.2 mm.
  expect(mill.secondsLeft).toBeCloseTo(
    (Math.sqrt(5) / 10) * 60 + (25.4 / 3000) * 60 + 1.5 + (76.2 / 3000) * 60,
    9,
  )
  mill.pass(Math.sqrt(5) * 6 + 25.4 / 50 + 0.5)
  expect(mill.state).toBe('dwells')
  expect(mill.positionMm('X')).toBeCloseTo(76.2, 9)
  mill.pass(60)
  expect([mill.positionMm('X'), mill.positionMm('Z')]).toEqual([0, -25.4])
  const counts = given(['G4 P1500'], { ...SETUP, dwellUnit: 'milliseconds' })
  expect(counts.secondsLeft).toBeCloseTo(1.5, 9)
})

test('held, it stands until it is let go on', () => {
  const mill = given(['G90 G21 G1 X100 F600'])
  mill.pass(4)
  mill.hold()
  mill.pass(100)
  expect([mill.positionMm('X'), mill.state]).toEqual([40, 'held'])
  mill.resume()
  mill.pass(6)
  expect([mill.positionMm('X'), mill.state]).toEqual([100, 'idle'])
})

test.each([
  ['G2 X1', 'error 1: does not know G2'],
  ['M3', 'error 1: does not know M3'],
  ['Y5', 'error 1: does not know Y here'],
  ['hello', 'error 1: “HELLO” is no word'],
  ['G1 X', 'error 1: “X” is no word'],
  ['G1 X10', 'error 1: has no feed: say one with F'],
  ['X10 F100', 'error 1: moves, but neither G0 nor G1 says how'],
  ['G0 G1 X1', 'error 1: has G0 and G1; takes one of them'],
  ['G1 X1 X2 F9', 'error 1: has X twice'],
  ['G1 X1 F0', 'error 1: asks for a feed of 0; takes more than 0, up to 2000'],
  ['G1 X1 F2001', 'error 1: asks for a feed of 2001; takes more than 0, up to 2000'],
  ['G4', 'error 1: has a dwell without P, its time'],
  ['G4 P-1', 'error 1: asks for a dwell of -1; takes 0 or more'],
  ['G28', 'error 1: goes home with no axis named'],
  ['G4 P1 X3', 'error 1: has a dwell and a move; takes one of them'],
  ['(read', 'error 1: has a comment that does not end'],
  ['G1 X400.001 F100', 'alarm 1: X would go to 400.001 mm; takes 0 to 400'],
  [' '.repeat(10_000_000), 'error 1: has 10,000,000 letters; takes up to 256'],
])('“%.30s” is refused', (line, reason) => {
  const mill = new Controller(SETUP)
  expect(reasonOf(mill, line)).toBe(reason)
  expect([mill.positionMm('X'), mill.lineInHand]).toEqual([0, null])
})

test('a line that is refused changes nothing, not even what it says beside', () => {
  const mill = given(['G21 G90 G1 F500'])
  expect(reasonOf(mill, 'G20 G91 F3 Q1')).toBe('error 2: does not know Q here')
  mill.send('X50')
  expect(mill.secondsLeft).toBeCloseTo(6, 9)
})

test('an alarm stops it where it is, and takes nothing more until it is cleared', () => {
  const mill = given(['G21 G90 G1 X100 F600'])
  mill.pass(5)
  expect(reasonOf(mill, 'G1 X500')).toMatch(/^alarm 2/)
  mill.pass(100)
  expect([mill.positionMm('X'), mill.state]).toEqual([50, 'alarm'])
  expect(reasonOf(mill, 'G1 X10')).toMatch(/^error 3: stands in an alarm/)
  mill.clear()
  mill.send('G1 X60')
  mill.pass(1)
  expect(mill.positionMm('X')).toBe(60)
})

test('after the end of the program only nothing may come', () => {
  const mill = given(['M2', '', '(done)'])
  expect(reasonOf(mill, 'G0 X1')).toBe('error 4: comes after the end of the program')
})

test('lines that come faster than it moves are refused, and none of them is lost without a word', () => {
  const mill = given(['G21 G90 G1 F100'])
  const answers = Array.from({ length: 10_000 }, (_, index) => mill.send(`X${index % 400}`).is)
  const taken = answers.filter(one => one === 'ok').length
  expect(taken).toBe(64)
  mill.pass(1e9)
  expect(mill.positionMm('X')).toBe(63)
})

test('whatever comes is answered, and it never stands outside its limits', () => {
  const word = fc.oneof(
    fc.constantFrom('G0', 'G1', 'G4', 'G20', 'G21', 'G28', 'G90', 'G91', 'M2', 'P1', 'F500', '(a)', ';'),
    fc
      .tuple(fc.constantFrom('X', 'Z', 'F', 'N', 'Q'), fc.integer({ min: -500, max: 500 }))
      .map(([a, b]) => `${a}${b}`),
    fc.string({ maxLength: 4 }),
  )
  const act = fc.oneof(
    fc.array(word, { maxLength: 5 }).map(words => ({ send: words.join(' ') })),
    fc.integer({ min: 0, max: 90 }).map(pass => ({ pass })),
    fc.constantFrom({ hold: true }, { hold: false }, { clear: true }),
  )
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), acts => {
      const mill = new Controller(SETUP)
      let sent = 0
      for (const one of acts) {
        if ('send' in one) {
          sent += 1
          const answer = mill.send(one.send)
          expect(answer.line).toBe(sent)
          if (answer.is !== 'ok') expect(answer.reason).not.toBe('')
        } else if ('pass' in one) mill.pass(one.pass)
        else if ('clear' in one) mill.clear()
        else if (one.hold) mill.hold()
        else mill.resume()
        for (const [letter, [least, most]] of Object.entries(SETUP.limitsMm)) {
          expect(mill.positionMm(letter)).toBeGreaterThanOrEqual(least)
          expect(mill.positionMm(letter)).toBeLessThanOrEqual(most)
        }
        expect(mill.secondsLeft).toBeGreaterThanOrEqual(0)
      }
      // What was begun comes to its end, however the time is cut.
      mill.resume()
      mill.pass(mill.secondsLeft + 1)
      if (mill.state !== 'alarm') expect(mill.lineInHand).toBeNull()
    }),
  )
})

test.each(['mm', 'inch'] as const)(
  'the program of a full test in %s stops at every place where a reading is taken, in its order',
  units => {
    const axis = skarrow().job.axes[0] as Axis
    const t = new EvaluationContext(axis, CATALOGUE, units)
    for (const [count, runs] of [
      [5, 2],
      [7, 5],
      [20, 10],
    ] as const) {
      const targets = targetsFor(axis, travelFor(t), count, 5, units)
      const test = {
        ...newFullTest(
          undefined,
          targets,
          { label: 'Tried', startedAt: '', gaugeStepUm: 1 },
          () => `${Math.random()}`,
        ),
        runs,
      }
      expect(programRefusal(t, test)).toBeNull()
      const mill = new Controller({ ...SETUP, limitsMm: { X: [0, travelFor(t) as number] } })
      const program = testProgram({
        machine: 'Mill',
        axis: 'X',
        letter: 'X',
        dwellUnit: 'seconds',
        units,
        test,
      })
      const stopsMm: number[] = []
      for (const line of program.split('\n')) {
        expect([line, mill.send(line)]).toMatchObject([line, { is: 'ok' }])
        if (/^N\d+ G4/.test(line)) {
          mill.pass(mill.secondsLeft - test.dwellS / 2)
          expect(mill.state).toBe('dwells')
          stopsMm.push(mill.positionMm('X'))
        }
        mill.pass(mill.secondsLeft + 1)
      }
      const wanted = courseOf(test).map(({ targetMm }) => targetMm)
      expect(stopsMm).toHaveLength(wanted.length)
      for (const [index, mm] of wanted.entries())
        expect(Math.abs((stopsMm[index] as number) - mm)).toBeLessThan(0.0013)
    }
  },
)
