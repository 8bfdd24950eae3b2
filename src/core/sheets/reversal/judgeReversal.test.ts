import fc from 'fast-check'
import { skarrow } from '../../demo/skarrow'
import { driveLine } from '../../drawing/driveLine'
import { blankRecord, numbered } from '../../field/field'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis, overlayFor } from '../evaluateAxis'
import { overlayOf } from '../overlay'
import { compareTests } from '../shared/proofs/compare'
import { NOTHING_NOTED } from '../shared/proofs/conditions'
import { reversal } from '../shared/proofs/reversal'
import { UNCERTAINTY } from '../shared/proofs/uncertaintyModel'
import { judgeReversal, judgeTest, oddReadings, unexplained } from './judgeReversal'
import type { ReversalTest } from './model'

const STEP_UM = 1
const testOf = (...stations: [number, number[], number[]][]): ReversalTest => ({
  id: 't',
  startedAt: '',
  finishedAt: null,
  label: 'test',
  gaugeStepUm: STEP_UM,
  ...NOTHING_NOTED,
  stations: numbered(
    'station',
    stations.map(([positionMm, approachPositiveUm, approachNegativeUm]) => ({
      positionMm,
      approachPositiveUm,
      approachNegativeUm,
    })),
  ),
})
/** Readings from both sides with this spread about their means. */
const figuresOf = (reversalUm: number, spreadUm: number, readings = 5) => {
  const about = (mean: number) =>
    Array.from({ length: readings }, (_, index) => mean + spreadUm * (index - (readings - 1) / 2))
  return reversal({
    approachPositiveUm: about(reversalUm),
    approachNegativeUm: about(0),
    resolutionUm: STEP_UM,
  })
}
const judge = (reversalUm: number, spreadUm: number, readings = 5, targetUm = 30) =>
  judgeReversal(figuresOf(reversalUm, spreadUm, readings), readings, targetUm, STEP_UM)

test('a rest that the parts do not account for counts only beyond its uncertainty', () => {
  expect(unexplained({ reversalUm: 43.6, expandedUm: 1.9 }, 9.3)).toEqual({
    um: expect.closeTo(34.3, 9),
    counts: true,
  })
  expect(unexplained({ reversalUm: -43.6, expandedUm: 1.9 }, 9.3).counts).toBe(true)
  expect(unexplained({ reversalUm: 11.3, expandedUm: 2 }, 9.3).counts).toBe(false)
  // Less than the parts should lose is no fault.
  expect(unexplained({ reversalUm: 6, expandedUm: 0.5 }, 9.3).counts).toBe(false)
})

describe('verdict on a reversal', () => {
  test('it holds only with its uncertainty inside the target, and fails only with it outside', () => {
    const { expandedUm } = figuresOf(20, 2)
    // Five readings a side, spread by 1.6: eight degrees of freedom, and Student's 2.3 instead of 2.
    expect(expandedUm / figuresOf(20, 2).standardUncertaintyUm).toBeGreaterThan(2.25)
    // Looked at after every reading: 1.4 times as clear of the target as of one look.
    const clearUm = 1.4 * expandedUm
    expect(judge(30 - clearUm - 0.01, 2).state).toBe('holds')
    expect(judge(30 - clearUm + 0.01, 2).state).not.toBe('holds')
    expect(judge(30 + clearUm + 0.01, 2).state).toBe('fails')
    expect(judge(30 + clearUm - 0.01, 2).state).not.toBe('fails')
    expect(judge(-20, 2).state).toBe('holds')
  })

  test('fewer than five readings a side are a look: it asks for the rest', () => {
    expect(judge(5, 0.5, 3)).toMatchObject({ state: 'unknown', moreReadings: 2 })
    expect(judge(90, 0.5, 4)).toMatchObject({ state: 'unknown', moreReadings: 1 })
  })

  test('in between it asks for as many more readings as would settle it, or calls it close', () => {
    const between = judge(24, 4)
    expect(between.state).toBe('unknown')
    expect(judge(24, 4, 5 + between.moreReadings + 12).state).not.toBe('fails')
    expect(judge(29.8, 4)).toMatchObject({ state: 'close', moreReadings: 0 })
  })

  test('at the limit it says "holds" wrongly as seldom as it may, also when it is looked at reading by reading', () => {
    // Gauss's law out of a seeded source: a reversal of exactly the target, read one by one from five to ten a side.
    let seed = 7
    const uniform = () => {
      seed = (seed * 1_103_515_245 + 12_345) % 2 ** 31
      return (seed + 0.5) / 2 ** 31
    }
    const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
    const RUNS = 2000
    let once = 0
    let ever = 0
    for (let run = 0; run < RUNS; run++) {
      const up: number[] = []
      const down: number[] = []
      let held = false
      for (let readings = 1; readings <= 10; readings++) {
        up.push(30 + 4 * normal())
        down.push(4 * normal())
        if (readings < 2) continue
        const figures = reversal({ approachPositiveUm: up, approachNegativeUm: down, resolutionUm: 1 })
        const holds = judgeReversal(figures, readings, 30, 1).state === 'holds'
        if (readings === 5 && holds) once++
        held ||= holds
      }
      if (held) ever++
    }
    expect(once / RUNS).toBeLessThan(0.035)
    expect(ever / RUNS).toBeLessThan(0.08)
  })

  test('more spread never turns a doubtful verdict into a sure one', () => {
    const sure = ['holds', 'fails']
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (um, spreadUm) => {
          if (!sure.includes(judge(um, spreadUm).state))
            expect(sure).not.toContain(judge(um, spreadUm * 1.5 + 0.01).state)
        },
      ),
    )
  })
})

test('the order of the readings and a shift of the gauge do not matter', () => {
  const readings = fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: 2, maxLength: 8 })
  fc.assert(
    fc.property(readings, readings, fc.double({ min: -50, max: 50, noNaN: true }), (up, down, shift) => {
      const one = reversal({ approachPositiveUm: up, approachNegativeUm: down, resolutionUm: 1 })
      const other = reversal({
        approachPositiveUm: up.toReversed().map(x => x + shift),
        approachNegativeUm: down.map(x => x + shift),
        resolutionUm: 1,
      })
      expect(other.reversalUm).toBeCloseTo(one.reversalUm, 6)
      expect(other.expandedUm).toBeCloseTo(one.expandedUm, 5)
    }),
  )
})

test('a test is judged by its worst station and skips what is not read', () => {
  const five = (mean: number) => [mean, mean + 1, mean, mean - 1, mean]
  const mixed = testOf([50, five(1), five(-2)], [150, five(25), five(-20)], [250, [1], []])
  expect(judgeTest(mixed, 30)).toMatchObject({ station: { positionMm: 150 }, verdict: { state: 'fails' } })
  expect(judgeTest(testOf([50, [1], [2, 3]]), 30)).toBeNull()
})

describe('odd readings', () => {
  const [station] = testOf([50, [24, 22, 25, 230, 24], [-20, -21, 0.0254, -22, -19]]).stations
  if (!station) throw new Error('no station')
  test('one that stands apart is marked, and one that is finer than the gauge can show', () => {
    expect(oddReadings(station, STEP_UM)).toMatchObject([
      { side: 'approachPositiveUm', index: 3, why: 'apart' },
      { side: 'approachNegativeUm', index: 2, why: 'finer' },
    ])
    // Of ten readings one is taken for a slip at a time: the other stands apart once that is mended.
    const [mended] = testOf([50, [24, 22, 25, 23, 24], [-20, -21, 0.0254, -22, -19]]).stations
    expect(mended && oddReadings(mended, STEP_UM)).toMatchObject([
      { side: 'approachNegativeUm', index: 2, why: 'finer' },
      { side: 'approachNegativeUm', index: 2, why: 'apart' },
    ])
  })
  test('readings that only spread are left alone', () => {
    const [plain] = testOf([50, [24, 22, 25, 23, 24], [-20, -21, -18, -22, -19]]).stations
    expect(plain && oddReadings(plain, STEP_UM)).toEqual([])
    // Alike to within a step of the gauge, none is apart.
    const [alike] = testOf([50, [24, 24, 24, 25, 24], [0, 0, 0, 0, 1]]).stations
    expect(alike && oddReadings(alike, STEP_UM)).toEqual([])
  })
})

describe('before against after', () => {
  const before = testOf([50, [20, 22, 21], [-20, -22, -21]], [150, [20, 22, 21], [-20, -22, -21]])
  test('only a difference larger than its uncertainty counts', () => {
    const after = testOf([50.4, [5, 7, 6], [-5, -7, -6]], [150, [20, 23, 21], [-20, -22, -20]])
    const [first, second] = compareTests(before, after)
    expect(first).toMatchObject({
      positionMm: 50,
      beforeUm: 42,
      afterUm: 12,
      differenceUm: -30,
      counts: true,
    })
    expect(first?.expandedUm).toBeGreaterThan(2 * Math.sqrt(4 / 3))
    expect(second?.counts).toBe(false)
  })

  test('readings all alike count by the step of the gauge, and not at all where nobody entered it', () => {
    const alike = (um: number) => testOf([50, [um, um], [0, 0]])
    expect(compareTests(alike(10), alike(10.5))[0]?.counts).toBe(false)
    expect(compareTests(alike(10), alike(20))[0]?.counts).toBe(true)
    const unknown = (um: number) => ({ ...alike(um), gaugeStepUm: null })
    expect(compareTests(unknown(10), unknown(20))[0]?.counts).toBe(false)
  })

  test('without a shared place the worst of each are compared; unread tests not at all', () => {
    expect(compareTests(before, testOf([300, [1, 2], [-1, -2]]))).toMatchObject([
      { positionMm: null, beforeUm: 42, afterUm: 3 },
    ])
    expect(compareTests(before, testOf([300, [1], [-1]]))).toEqual([])
  })
})

test('card and drive line speak of one station, also where the one that loses most is read too loosely to judge', () => {
  const [X] = skarrow().job.axes
  if (!X) throw new Error('the demo has no axis')
  const read = testOf(
    [60, [18, 18, 18, 18, 18], [-17, -17, -17, -17, -17]],
    [200, [45, 5, 40, 2, 28], [-2, -41, -3, -39, -15]],
  )
  const axis = {
    ...X,
    tests: [read],
    uncertainty: blankRecord(UNCERTAINTY.of),
    goals: { ...X.goals, backlashTargetUm: 30 },
  }
  expect(judgeTest(read, 30)?.station.positionMm).toBe(60)
  const context = evaluateAxis(axis, CATALOGUE, 'mm')
  const finding = context.finding('prove.reversal')
  expect(finding?.state).toBe('fails')
  expect(finding?.sentence).toContain('35 µm ± 0.8 µm at 60 mm')
  expect(overlayOf('prove', context, driveLine(context, 0.5), overlayFor).marks).toContainEqual(
    expect.objectContaining({ state: 'fails', text: 'measured 35 µm' }),
  )
})
