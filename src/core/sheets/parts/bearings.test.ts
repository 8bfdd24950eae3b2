import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { CATALOGUE } from '../../machine/parts'
import { evaluateAxis } from '../evaluateAxis'

const [X, , Z] = skarrow().job.axes as [Axis, Axis, Axis]
const on = (bearing: string, axis: Axis = X): Axis => ({ ...axis, parts: { ...axis.parts, bearing } })
const find = (axis: Axis, id: 'bearing.life' | 'bearing.preload') =>
  evaluateAxis(axis, CATALOGUE, 'mm').finding(id)
/** Where the load is what wears them, and not a preload that only one of them has. */
const loaded = (axis: Axis): Axis => ({ ...axis, goals: { ...axis.goals, cuttingForceN: 2500 } })
const marginOf = (axis: Axis) => find(axis, 'bearing.life')?.margin ?? 0

test.each([10, 12, 15, 17, 20])(
  'deep-groove bearings of %i mm under load never outlive an angular pair of their bore',
  bore => {
    expect(marginOf(loaded(on(`deep-groove-${bore}`)))).toBeLessThan(marginOf(loaded(on(`back-${bore}`))))
  },
)

test('a wave spring cannot hold a stretched screw, and is no reason against a sliding far end', () => {
  const stretched: Axis = { ...on('deep-groove-12'), ends: 'fixed-fixed' }
  const verdict = find(stretched, 'bearing.preload')
  expect(verdict?.state).toBe('fails')
  expect(verdict?.sentence).toContain('cannot hold a screw stretched')
  expect(find({ ...stretched, ends: 'fixed-supported' }, 'bearing.preload')?.state).not.toBe('fails')
  // Nothing warms, nothing is stretched.
  const cold: Axis = { ...stretched, goals: { ...stretched.goals, temperatureRiseK: 0 } }
  expect(find(cold, 'bearing.preload')?.state).not.toBe('fails')
})

test('a set with play says so, and that nothing takes it out; weight closes it', () => {
  const level = find(on('double-row-12'), 'bearing.preload')
  expect(level).toMatchObject({ state: 'close' })
  expect(level?.sentence).toContain('4 µm of play and no preload')
  const { goals } = Z
  const upright: Axis = { ...on('double-row-12', Z), goals: { ...goals, cuttingForceN: 0 } }
  expect(find(upright, 'bearing.preload')?.sentence).toMatch(/on one flank|each reversal/)
})
