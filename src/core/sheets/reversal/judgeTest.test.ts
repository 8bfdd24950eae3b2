import fc from 'fast-check'
import { skarrow } from '../../demo/skarrow'
import { driveLine } from '../../drawing/driveLine'
import { numbered } from '../../field/field'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { overlayOf } from '../overlay'
import { reversal } from './calculation'
import { compareTests, judgeReversal, judgeTest, stationLosingMost, unexplained } from './judgeTest'
import type { ReversalTest } from './model'

const test3 = (...stations: [number, number[], number[]][]): ReversalTest => ({
  id: 't',
  startedAt: '',
  finishedAt: null,
  label: 'test',
  stations: numbered(
    'station',
    stations.map(([positionMm, approachPositiveUm, approachNegativeUm]) => ({
      positionMm,
      approachPositiveUm,
      approachNegativeUm,
    })),
  ),
})
const judge = (reversalUm: number, standardUncertaintyUm: number, readings = 5, targetUm = 30) =>
  judgeReversal({ reversalUm, standardUncertaintyUm }, readings, targetUm)

test('a rest that the parts do not account for counts only beyond twice the uncertainty', () => {
  const rest = (reversalUm: number, standardUncertaintyUm: number) =>
    unexplained({ reversalUm, standardUncertaintyUm }, 9.3)
  expect(rest(43.6, 0.85)).toEqual({ um: expect.closeTo(34.3, 9), counts: true })
  expect(rest(-43.6, 0.85)).toEqual(rest(43.6, 0.85))
  expect(rest(11.3, 1).counts).toBe(false)
  expect(rest(11.31, 1).counts).toBe(true)
  // Less than the parts should lose is no fault.
  expect(rest(6, 0.5)).toEqual({ um: expect.closeTo(-3.3, 9), counts: false })
})

describe('verdict on a reversal', () => {
  test('it holds only with twice its uncertainty inside the target', () => {
    expect(judge(20, 5).state).toBe('holds')
    expect(judge(20.1, 5).state).not.toBe('holds')
    expect(judge(-20, 5).state).toBe('holds')
    expect(judge(45, 5).state).toBe('fails')
    expect(judge(40.1, 5).state).toBe('fails')
  })

  test('in between it asks for as many more readings as would settle it, or calls it close', () => {
    const between = judge(20, 6)
    expect(between).toMatchObject({ state: 'unknown', moreReadings: 3 })
    // With that many the uncertainty, falling with the square root, is small enough.
    expect(20 + 2 * 6 * Math.sqrt(5 / 8)).toBeLessThanOrEqual(30)
    expect(20 + 2 * 6 * Math.sqrt(5 / 7)).toBeGreaterThan(30)
    expect(judge(29.9, 3)).toMatchObject({ state: 'close', moreReadings: 0 })
    expect(judge(30, 3)).toMatchObject({ state: 'close' })
  })

  test('more uncertainty never turns a doubtful verdict into a sure one', () => {
    const sure = ['holds', 'fails']
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (um, u) => {
          if (!sure.includes(judge(um, u).state)) expect(sure).not.toContain(judge(um, u * 1.5 + 0.01).state)
        },
      ),
    )
  })
})

test('the order of the readings and a shift of the gauge do not matter', () => {
  const readings = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 2, maxLength: 8 })
  fc.assert(
    fc.property(readings, readings, fc.double({ min: -50, max: 50, noNaN: true }), (up, down, shift) => {
      const one = reversal({ approachPositiveUm: up, approachNegativeUm: down })
      const other = reversal({
        approachPositiveUm: up.toReversed().map(x => x + shift),
        approachNegativeUm: down.map(x => x + shift),
      })
      expect(other.reversalUm).toBeCloseTo(one.reversalUm, 6)
      expect(other.standardUncertaintyUm).toBeCloseTo(one.standardUncertaintyUm, 6)
    }),
  )
})

test('a test is judged by its worst station and skips what is not read', () => {
  const mixed = test3([50, [1, 2, 1], [-2, -1, -2]], [150, [25, 26, 25], [-20, -21, -20]], [250, [1], []])
  expect(stationLosingMost(mixed)?.station.positionMm).toBe(150)
  expect(judgeTest(mixed, 30)?.verdict.state).toBe('fails')
  expect(judgeTest(test3([50, [1], [2, 3]]), 30)).toBeNull()
})

describe('before against after', () => {
  const before = test3([50, [20, 22, 21], [-20, -22, -21]], [150, [20, 22, 21], [-20, -22, -21]])
  test('only a difference larger than twice its combined uncertainty counts', () => {
    const after = test3([50.4, [5, 7, 6], [-5, -7, -6]], [150, [20, 23, 21], [-20, -22, -20]])
    const [first, second] = compareTests(before, after)
    expect(first).toMatchObject({
      positionMm: 50,
      beforeUm: 42,
      afterUm: 12,
      differenceUm: -30,
      counts: true,
    })
    expect(first?.combinedUncertaintyUm).toBeCloseTo(Math.sqrt(4 / 3), 9)
    expect(second?.counts).toBe(false)
  })

  test('without a shared place the worst of each are compared; unread tests not at all', () => {
    expect(compareTests(before, test3([300, [1, 2], [-1, -2]]))).toMatchObject([
      { positionMm: null, beforeUm: 42, afterUm: 3 },
    ])
    expect(compareTests(before, test3([300, [1], [-1]]))).toEqual([])
  })
})

test('card and drive line speak of one station, also where the one that loses most is read too loosely to judge', () => {
  const [X] = skarrow().job.axes
  if (!X) throw new Error('the demo has no axis')
  const station = (id: string, positionMm: number, up: number[], down: number[]) => ({
    id,
    positionMm,
    approachPositiveUm: up,
    approachNegativeUm: down,
  })
  const read = {
    id: 'now',
    startedAt: '2026-11-25T08:00:00.000Z',
    finishedAt: null,
    label: 'Now',
    stations: [
      station('steady', 60, [18, 18, 18, 18, 18], [-17, -17, -17, -17, -17]),
      station('loose', 200, [45, 5, 40, 2, 28], [-2, -41, -3, -39, -15]),
    ],
  }
  const axis = { ...X, tests: [read], goals: { ...X.goals, backlashTargetUm: 30 } }
  expect(stationLosingMost(read)?.station.id).toBe('loose')
  expect(judgeTest(read, 30)?.station.id).toBe('steady')
  const context = evaluateAxis(axis, CATALOGUE, 'mm')
  const finding = context.finding('prove.reversal')
  expect(finding?.state).toBe('fails')
  expect(finding?.sentence).toContain('35 µm ± 0 µm at 60 mm')
  expect(overlayOf('prove', context, driveLine(context, 0.5)).marks).toContainEqual(
    expect.objectContaining({ state: 'fails', text: 'measured 35 µm' }),
  )
})
