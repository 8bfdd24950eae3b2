import fc from 'fast-check'
import { skarrow } from '../../../demo/skarrow'
import type { Axis } from '../../../document/axis'
import { EvaluationContext } from '../../../evaluation/context'
import { blankRecord } from '../../../field/field'
import { CATALOGUE } from '../../../machine/parts'
import { evaluateAxis } from '../../evaluateAxis'
import { reversal } from './reversal'
import { contributorsOf, narrows, reversalWithAll, standardOf, uncertaintyOf, withAll } from './uncertainty'
import { UNCERTAINTY, type Uncertainty } from './uncertaintyModel'

const NOTHING = blankRecord(UNCERTAINTY.of)
const [X] = skarrow().job.axes as [Axis]
const of = (uncertainty: Partial<Uncertainty>) =>
  new EvaluationContext({ ...X, uncertainty: { ...NOTHING, ...uncertainty } }, CATALOGUE)
const read = reversal({
  approachPositiveUm: [24, 22, 25, 23, 24],
  approachNegativeUm: [-21, -23, -19, -22, -20],
  resolutionUm: 1,
})
const FIGURE = {
  standardUm: read.standardUncertaintyUm,
  degrees: read.effectiveDegrees,
  stepUm: 1,
  steps: 2,
  lengthMm: 400,
  byScale: true,
}

test('with nothing entered a figure is as uncertain as its readings say', () => {
  expect(reversalWithAll(of({}), 'r', read, 1).expandedUm).toBe(read.expandedUm)
  // Taken apart into spread and step and put together again, it is the same.
  const together = uncertaintyOf({ contributors: contributorsOf(NOTHING, FIGURE), confidence: 0.95 })
  expect(together.combinedUm).toBeCloseTo(read.standardUncertaintyUm, 12)
  expect(together.effectiveDegrees).toBeCloseTo(read.effectiveDegrees as number, 9)
  expect(together.expandedUm).toBeCloseTo(read.expandedUm, 9)
})

test('each contributor comes in by its own law and where it belongs', () => {
  const standard = (asked: Partial<Uncertainty>, figure = FIGURE) =>
    Object.fromEntries(
      contributorsOf({ ...NOTHING, ...asked }, figure).map(one => [one.name, standardOf(one)]),
    )
  // Two micrometres to either side, anywhere within: 2 / sqrt 3.
  expect(standard({ gaugeErrorUm: 2 }).gauge).toBeCloseTo(1.1547, 4)
  // A degree over 400 mm of steel: 11.7e-6 * 400 mm = 4.68 um, / sqrt 3.
  expect(standard({ temperatureK: 1 }).temperature).toBeCloseTo(4.68 / Math.sqrt(3), 9)
  // A stem that leans by two degrees reads 400 mm by 0.24 mm too long.
  expect(standard({ outOfLineDeg: 2 }).outOfLine).toBeCloseTo((400_000 * 0.000609173) / Math.sqrt(3), 1)
  expect(standard({ temperatureK: 5 }, { ...FIGURE, byScale: false }).temperature).toBeUndefined()
  expect(standard({ settingUpUm: 3 }).settingUp).toBeCloseTo(Math.sqrt(3), 12)
  // Over a reversal of 45 um a leaning stem is nothing, and both sides are read at one warmth.
  const { contributors } = reversalWithAll(of({ outOfLineDeg: 2, temperatureK: 5 }), 'r', read, 1)
  expect(contributors.map(({ name }) => name)).toEqual(['readings', 'step', 'outOfLine'])
  expect(standardOf(contributors[2] as (typeof contributors)[number])).toBeLessThan(0.05)
})

test('more that is unknown never makes a figure surer', () => {
  const um = fc.double({ min: 0, max: 50, noNaN: true })
  fc.assert(
    fc.property(
      um,
      um,
      fc.double({ min: 0, max: 10, noNaN: true }),
      (gaugeErrorUm, settingUpUm, temperatureK) => {
        const asked = { gaugeErrorUm, settingUpUm, temperatureK }
        const { expandedUm } = withAll(of(asked), 'a', FIGURE, read.expandedUm)
        expect(expandedUm).toBeGreaterThanOrEqual(read.expandedUm)
        // Never less than nearly twice the standard of any one of them.
        for (const one of contributorsOf({ ...NOTHING, ...asked }, FIGURE))
          expect(expandedUm).toBeGreaterThan(1.9 * standardOf(one) - 1e-9)
      },
    ),
  )
})

test('what is most of it is named, with what makes it less', () => {
  expect(withAll(of({ settingUpUm: 30 }), 'a', FIGURE, 1).most).toBe('settingUp')
  expect(narrows('temperature')).toContain('side by side')
  expect(withAll(of({ gaugeErrorUm: 0 }), 'a', FIGURE, read.expandedUm).most).toBe('readings')
})

test('a verdict has it in it: what held by its readings alone no longer does by a gauge that is off', () => {
  const tested = (uncertainty: Partial<Uncertainty>, targetUm: number) => {
    const axis = {
      ...X,
      uncertainty: { ...NOTHING, ...uncertainty },
      goals: { ...X.goals, backlashTargetUm: targetUm },
    }
    return evaluateAxis(axis, CATALOGUE, 'mm').finding('prove.reversal')
  }
  expect(tested({}, 60)).toMatchObject({ state: 'holds' })
  const doubtful = tested({ gaugeErrorUm: 30 }, 60)
  expect(doubtful?.state).toBe('close')
  expect(doubtful?.sentence).toContain('Most of the ± is the error of the gauge: a gauge with a better sheet')
  expect(doubtful?.figure?.expanded).toBeGreaterThan(30)
  // More readings do not help against it, and are not asked for.
  expect(doubtful?.sentence).not.toContain('Take')
  expect(tested({}, 30)?.state).toBe('fails')
  expect(tested({ gaugeErrorUm: 30 }, 30)?.state).not.toBe('fails')
})
