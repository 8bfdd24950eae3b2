import fc from 'fast-check'
import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { EvaluationContext } from '../../evaluation/context'
import { stall } from '../../machine/drive/strength'
import { CATALOGUE } from '../../machine/parts'
import { say } from '../../units/print'
import { evaluateAxis } from '../evaluateAxis'
import { newAxis } from '../newJob'
import { crashWords, heldWithoutPowerN, pushesOn, thrustLimits } from './thrustLimits'

const [X, , Z] = skarrow().job.axes as [Axis, Axis, Axis]
/** With a drive: the demo has none for it yet. */
const upright: Axis = { ...Z, parts: { ...X.parts } }
const on = (axis: Axis) => new EvaluationContext(axis, CATALOGUE)
const words = (axis: Axis) => crashWords(on(axis), (value, quantity) => say(value, quantity, 'mm'))
const limit = (axis: Axis, where: string, what: string) =>
  thrustLimits(on(axis)).find(one => one.where === where && one.what.startsWith(what))?.forceN ?? Number.NaN

test('each limit is the push at which its own check is used up', () => {
  const t = evaluateAxis(X, CATALOGUE, 'mm')
  const { thrustN } = stall(on(X))
  expect(limit(X, 'Motor', 'stalls')).toBe(thrustN)
  // A coupler used to its rating at the motor's greatest torque is reached where the motor stalls, and so on in proportion.
  const coupler = t.finding('coupler.torque')
  expect(limit(X, 'Coupler', 'is turned')).toBeCloseTo(thrustN / (coupler?.use ?? 0), 3)
  const end = t.finding('shaft.endStress')
  expect(limit(X, 'End of the screw', 'is twisted') / thrustN).toBeCloseTo(2 / (end?.use ?? 0), 6)
  const nut = t.finding('nut.preload')
  expect(limit(X, 'Nut', 'opens')).toBeCloseTo(nut?.limit?.value ?? 0, 6)
  const strut = t.finding('screw.buckling')
  expect(limit(X, 'Screw', 'bends out')).toBeCloseTo(2 * (strut?.limit?.value ?? 0), 6)
  const joint = t.finding('joint.slip')
  const weakest = Math.min(
    ...thrustLimits(on(X)).flatMap(({ ending, forceN }) =>
      ending === 'slips' && forceN !== null ? [forceN] : [],
    ),
  )
  if (joint?.figure && joint.use) expect(weakest).toBeCloseTo((joint.figure.value * 1.5) / joint.use, 0)
})

test('says what a slow crash takes with it, or that nothing is', () => {
  const [harm] = words(X)
  expect(harm).toMatch(/^In a slow crash the /)
  const strong: Axis = {
    ...X,
    joints: [],
    parts: { ...X.parts, coupler: 'disc-68', motor: 'step-42-05' },
  }
  expect(words(strong)[0]).toMatch(/the motor stalls at .* before anything slips or breaks/)
  expect(words({ ...strong, parts: { ...strong.parts, motor: 'step-110-160-80' } })[0]).toMatch(
    /before the motor stalls/,
  )
})

test('two screws push together, and a stretched screw leaves its bearings less', () => {
  const two: Axis = {
    ...X,
    joints: [],
    drive: { ...X.drive, screws: 2 },
    driveSizes: { ...X.driveSizes, screwSpacingMm: 800, offCentreMm: 0 },
  }
  expect(limit(two, 'Motor', 'stalls')).toBeCloseTo(2 * limit({ ...X, joints: [] }, 'Motor', 'stalls'), 6)
  const stretched: Axis = { ...X, ends: 'fixed-fixed' }
  expect(limit(stretched, 'Bearings', 'are dented')).toBeLessThan(limit(X, 'Bearings', 'are dented'))
})

test('an upright axis says what hangs on it, and what holds that without power', () => {
  expect(pushesOn(on(upright)).map(({ what }) => what)[1]).toContain('Weight of the')
  const held = heldWithoutPowerN(on(upright))
  const verdict = evaluateAxis(upright, CATALOGUE, 'mm').finding('axis.unpoweredDrop')
  // Held over what hangs is the reserve of its check.
  expect((held ?? 0) / (pushesOn(on(upright))[1]?.forceN ?? 1)).toBeCloseTo(2 / (verdict?.use ?? 1), 6)
  expect(heldWithoutPowerN(on(X))).toBeNull()
})

test('nothing chosen yet asks, and gives no figure', () => {
  const limits = thrustLimits(on(newAxis({ name: 'A', title: 'New' })))
  expect(limits.every(({ forceN, ask }) => forceN === null && ask !== null)).toBe(true)
  expect(words(newAxis({ name: 'A', title: 'New' }))).toEqual([])
})

test('a stronger motor moves no limit but its own', () => {
  fc.assert(
    fc.property(fc.constantFrom('step-57-12', 'step-57-22', 'step-60-31', 'step-86-45'), motor => {
      const axis: Axis = { ...X, joints: [], parts: { ...X.parts, motor } }
      const others = (of: Axis) =>
        thrustLimits(on(of))
          .filter(({ where }) => where !== 'Motor')
          .map(({ where, what, forceN }) => [where, what, Math.round(forceN ?? 0)])
      expect(others(axis)).toEqual(others({ ...X, joints: [] }))
    }),
  )
})
