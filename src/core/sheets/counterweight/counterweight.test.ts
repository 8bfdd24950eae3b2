import fc from 'fast-check'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { remedied } from '../../evaluation/remedy'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'
import { remediesFor } from '../remediesFor'
import { HERE } from '../shared/steps/fixtures/here'
import { refusalOf } from '../shared/steps/holds'
import { procedure } from '../shared/steps/procedure'
import type { Counterweight } from './model'

const [X] = skarrow().job.axes as [Axis]
const MASS_KG = X.dimensions.movingMassKg.value as number
const NOTHING: Counterweight = {
  wayLengthMm: null,
  beyondFixedMm: null,
  beyondFarMm: null,
  weightArmMm: null,
  weightKg: 0,
}
const having = (weight: Partial<Counterweight>, more: Partial<Axis> = {}): Axis => ({
  ...X,
  ...more,
  counterweight: { ...NOTHING, ...weight },
})
const judged = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm').finding('room.counterweight')

/** Where the middle of all lies beyond the middle of the way, over half of the way: from 1 on it tips. */
const leanOf = ({ wayLengthMm, beyondFixedMm, weightArmMm, weightKg }: Counterweight) =>
  (MASS_KG * (beyondFixedMm ?? 0) - weightKg * (weightArmMm ?? 0)) /
  (MASS_KG + weightKg) /
  ((wayLengthMm ?? 0) / 2)

test('nothing measured says nothing; half measured asks for the rest', () => {
  expect(judged(having({}))).toBeNull()
  expect(judged(having({ beyondFixedMm: 200 }))).toMatchObject({ state: 'unknown' })
  expect(judged(having({ beyondFixedMm: 200, wayLengthMm: 300 }))?.state).toBe('unknown')
  // On its middle third it needs no weight, and nobody asks where one would lie.
  expect(judged(having({ beyondFixedMm: 40, wayLengthMm: 300 }))?.state).toBe('holds')
})

test('holds exactly where the middle of all lies on the middle third of the way, and fails where it tips', () => {
  const given = fc.record({
    wayLengthMm: fc.integer({ min: 100, max: 600 }),
    beyondFixedMm: fc.integer({ min: 0, max: 500 }),
    beyondFarMm: fc.constant(null),
    weightArmMm: fc.integer({ min: 0, max: 600 }),
    weightKg: fc.oneof(fc.constant(0), fc.integer({ min: 0, max: 400 })),
  })
  const seen = new Set<string>()
  fc.assert(
    fc.property(given, weight => {
      const bare = Math.abs(leanOf({ ...weight, weightKg: 0 }))
      const lean = bare <= 1 / 3 ? bare : leanOf(weight)
      // Within a hair of an edge rounding decides.
      fc.pre([1 / 3, 1].every(edge => Math.abs(Math.abs(lean) - edge) > 1e-6))
      const state = judged(having(weight))?.state
      seen.add(String(state))
      if (Math.abs(lean) < 1 / 3) expect(state).toBe('holds')
      else if (lean < -1) expect(state).toBe('fails')
      else if (lean > 0 && bare > 1) expect(state).toBe('fails')
      else expect(state).toBe('close')
    }),
    { numRuns: 400 },
  )
  expect([...seen].toSorted()).toEqual(['close', 'fails', 'holds'])
})

test('the way out is as much as is enough, and it holds', () => {
  const tips = having({ wayLengthMm: 300, beyondFixedMm: 220, weightArmMm: 350 })
  expect(judged(tips)?.state).toBe('fails')
  const [remedy] = remediesFor(tips, CATALOGUE, 'mm', 'room.counterweight')
  const mended = remedied(tips, remedy as NonNullable<typeof remedy>)
  expect(mended.counterweight.weightKg).toBe(Math.ceil((MASS_KG * (220 - 50)) / (350 + 50)))
  expect(judged(mended)?.state).toBe('holds')
  const far = having({ ...mended.counterweight, beyondFixedMm: null, beyondFarMm: 220 })
  expect(judged(far)).toMatchObject({ state: 'holds' })
  // What holds it down over one end is too much over an end that it hardly leaves.
  expect(judged(having({ ...mended.counterweight, beyondFarMm: 60, weightKg: 1500 }))?.sentence).toMatch(
    /too much/,
  )
})

test('a hold of the build stands before the table is run out over an end that needs it, and asks for the weight', () => {
  const idsOf = (axis: Axis) => procedure(evaluateAxis(axis, CATALOGUE, 'mm'))?.map(({ id }) => id) ?? []
  const inTurn = { buildSchools: { ...X.buildSchools, ends: 'both' as const }, ticks: {} }
  const steady = having({ wayLengthMm: 300, beyondFixedMm: 40 }, inTurn)
  expect(idsOf(steady).filter(id => id.startsWith('weigh'))).toEqual([])
  const tips = having({ wayLengthMm: 300, beyondFixedMm: 220, beyondFarMm: 180, weightArmMm: 350 }, inTurn)
  const ids = idsOf(tips)
  expect(ids.indexOf('weigh-fixed')).toBe(ids.indexOf('run-fixed') - 1)
  expect(ids.indexOf('weigh-far')).toBe(ids.indexOf('run-far') - 1)
  const t = evaluateAxis(tips, CATALOGUE, 'mm')
  const steps = procedure(t) ?? []
  const done = Object.fromEntries(
    steps.slice(0, ids.indexOf('weigh-fixed')).map(({ id }) => [id, '2026-11-21T08:00:00.000Z']),
  )
  const there = evaluateAxis({ ...tips, ticks: done }, CATALOGUE, 'mm')
  expect(refusalOf(steps, 'run-fixed', there, HERE)).toMatch(/Counterweight ready for the fixed end/)
  expect(refusalOf(steps, 'weigh-fixed', there, HERE)).toMatch(/tips off its way/)
  // What is too light is not what the step says to lay on.
  const leastKg = Math.ceil((MASS_KG * (220 - 50)) / (350 + 50))
  expect(steps.find(({ id }) => id === 'weigh-fixed')?.how).toMatch(
    new RegExp(`^${leastKg} kg to lie 350 mm`),
  )
  const weighed = evaluateAxis(
    { ...tips, ticks: done, counterweight: { ...tips.counterweight, weightKg: 40 } },
    CATALOGUE,
    'mm',
  )
  expect(refusalOf(steps, 'weigh-fixed', weighed, HERE)).toBe(null)
  // A table that was run out and back before anybody asked needs nothing any more.
  const past = { ...inTurn, ticks: { ...done, 'run-fixed': '2026-11-21T09:00:00.000Z' } }
  expect(idsOf({ ...tips, ...past })).not.toContain('weigh-fixed')
  expect(idsOf({ ...tips, ...past })).toContain('weigh-far')
})
