import fc from 'fast-check'
import { skarrow } from '../demo/skarrow'
import type { Axis } from '../document/axis'
import { shareUsed } from '../evaluation/finding'
import { type Remedy, remedied } from '../evaluation/remedy'
import { putPart } from '../machine/driveEdits'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '../sheets'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { strained } from '../sheets/fixtures/strainedAxes'
import { THIRTY_AXES } from '../sheets/fixtures/thirtyAxes'
import { TWELVE_AXES } from '../sheets/fixtures/twelveAxes'
import { newAxis } from '../sheets/newJob'
import { NOTHING_HERE } from './fixtures/lists'
import { waysOut } from './waysOut'

const [X] = skarrow().job.axes as [Axis]
const waysOf = (axis: Axis, checkId: CheckId) => waysOut(axis, CATALOGUE, NOTHING_HERE, 'mm', checkId)
const judged = (axis: Axis) => evaluateAxis(axis, CATALOGUE, 'mm')
/** What is done away with when the thing is that it is of. */
const MAY_GO = /^(coupler|belt)\.|^screw\.pretension$|^nut\.pressureSpeed$/

/** What a way out must be, whatever the axis. */
function isSound(axis: Axis, checkId: CheckId, remedy: Remedy) {
  const before = judged(axis)
  const after = judged(remedied(axis, remedy))
  expect(after.finding(checkId)?.state).toBe('holds')
  for (const was of before.findings) {
    if (was.checkId === checkId) continue
    const is = after.finding(was.checkId)
    const at = `${remedy.label}: ${was.title}`
    if (was.state !== 'fails') expect([at, is?.state]).not.toEqual([at, 'fails'])
    else if (is === null) expect([at, was.checkId]).toEqual([at, expect.stringMatching(MAY_GO)])
    else {
      if (is.state === 'unknown') expect([at, is.figure]).not.toEqual([at, null])
      if (is.state === 'fails')
        expect([at, (shareUsed(is) ?? 0) <= 1.0501 * (shareUsed(was) ?? Number.POSITIVE_INFINITY)]).toEqual([
          at,
          true,
        ])
    }
  }
  for (const is of after.findings)
    if (is.state === 'fails') expect(before.finding(is.checkId)?.state).toBe('fails')
}

describe('two things at fault', () => {
  /** A nut and bearings that both have play, and a motor that is only close: no single part cures the lost motion. */
  const planted: Axis = {
    ...X,
    parts: { ...X.parts, screw: 'ball-20-5-single', bearing: 'deep-groove-12', coupler: 'disc-34' },
    goals: { ...X.goals, backlashTargetUm: 14 },
  }
  const ways = waysOf(planted, 'axis.lostMotion')

  test('are mended together, cheapest first, before any wish is given up', () => {
    const [first] = ways
    expect(first?.label).toMatch(/^Both: Ball screw 20 x 5, .* Angular contact pair/)
    expect(ways.at(-1)?.cost).toContain('a wish given up')
    for (const way of ways) isSound(planted, 'axis.lostMotion', way)
    const { parts } = remedied(planted, first as Remedy)
    // Two places and no third.
    expect({ ...parts, screw: null, bearing: null }).toEqual({ ...planted.parts, screw: null, bearing: null })
  })

  test('nothing of two parts that mends it is cheaper', () => {
    const eur = (axis: Axis) =>
      (CATALOGUE.screw.get(axis.parts.screw ?? '')?.priceEur ?? 0) +
      1.4 * (CATALOGUE.bearing.get(axis.parts.bearing ?? '')?.priceEur ?? 0)
    const first = eur(remedied(planted, ways[0] as Remedy))
    const context = judged(planted)
    context.findings
    for (const screw of CATALOGUE.screw.keys())
      for (const bearing of CATALOGUE.bearing.keys()) {
        const tried: Axis = { ...planted, parts: { ...planted.parts, screw, bearing } }
        if (eur(tried) >= first - 1e-9) continue
        const after = context.next(tried)
        if (after.finding('axis.lostMotion')?.state !== 'holds') continue
        const broken = after.driveFindings.find(
          ({ checkId, state }) => state === 'fails' && context.finding(checkId)?.state !== 'fails',
        )
        expect([screw, bearing, broken?.title]).not.toEqual([screw, bearing, undefined])
      }
  })

  test('keep to what a search keeps to', () => {
    const kept: Axis = {
      ...planted,
      searchWithin: { ...planted.searchWithin, keepScrew: true, keepNut: true },
    }
    for (const way of waysOf(kept, 'axis.lostMotion').filter(({ label }) => label.startsWith('Both')))
      expect(remedied(kept, way).parts.screw).toBe(planted.parts.screw)
  })
})

test('a setting that costs nothing comes before a part: the current of the driver', () => {
  const strong: Axis = {
    ...X,
    parts: { ...X.parts, coupler: 'slit-32-clamp', motor: 'step-60-31' },
    goals: { ...X.goals, cuttingForceN: 150 },
  }
  const [first, ...others] = waysOf(strong, 'coupler.torque')
  expect(first?.label).toMatch(/^Driver down to [\d.]+ A of 5 A$/)
  expect(first?.cost).toContain('a setting of the driver')
  expect(others.length).toBeGreaterThan(0)
  const set = remedied(strong, first as Remedy)
  isSound(strong, 'coupler.torque', first as Remedy)
  // A tenth of an ampere more, and it does not hold.
  const more: Axis = { ...set, drive: { ...set.drive, currentA: (set.drive.currentA ?? 0) + 0.1 } }
  expect(judged(more).finding('coupler.torque')?.state).not.toBe('holds')
  // Less current is less of everything that rests on the motor, and back at the sheet's it is as it was.
  const torque = (axis: Axis) => judged(axis).finding('motor.torqueMargin')?.margin ?? 0
  expect(torque(set)).toBeLessThan(torque(strong))
  expect(torque({ ...strong, drive: { ...strong.drive, currentA: 5 } })).toBe(torque(strong))
})

test('a motor that is run on less than it bears is turned up first', () => {
  const low: Axis = {
    ...X,
    drive: { ...X.drive, currentA: 2 },
    parts: { ...X.parts, motor: 'step-60-31', coupler: 'disc-34' },
  }
  const [first] = waysOf(low, 'motor.torqueMargin')
  expect(first?.label).toMatch(/^Driver up to /)
})

test('another motor forgets the current that was set for the one before', () => {
  const set: Axis = structuredClone({ ...X, drive: { ...X.drive, currentA: 4.1 } })
  putPart(set, 'coupler', 'disc-34')
  expect(set.drive.currentA).toBe(4.1)
  putPart(set, 'motor', 'step-57-12')
  expect(set.drive.currentA).toBeNull()
})

test('nothing chosen yet has no ways out, and asks', () => {
  const axis = newAxis({ name: 'A', title: 'New' })
  expect(waysOf(axis, 'axis.lostMotion')).toEqual([])
})

test.each([...TWELVE_AXES, ...THIRTY_AXES].map(({ axis }) => [axis.title, axis] as const))(
  '%s: every way out mends its check, and makes no other fail, clearly worse, or vanish',
  (_, axis) => {
    for (const { checkId, state } of judged(axis).driveFindings)
      if (state === 'fails' || state === 'close')
        for (const way of waysOf(axis, checkId)) isSound(axis, checkId, way)
  },
)

test('so does it on strained axes', () => {
  fc.assert(
    fc.property(strained, axis => {
      for (const { checkId, state } of judged(axis).driveFindings.slice(0, 3))
        if (state === 'fails') for (const way of waysOf(axis, checkId)) isSound(axis, checkId, way)
    }),
    { numRuns: 12 },
  )
})
