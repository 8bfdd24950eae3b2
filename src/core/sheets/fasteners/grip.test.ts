import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { remedied } from '../../evaluation/remedy'
import { blankRow } from '../../field/field'
import { type BoltedJoint, JOINTS } from '../../machine/joints/model'
import { dowelsBearN, jointSlip } from '../../machine/joints/slip'
import { CATALOGUE } from '../../machine/parts'
import { shaftEndStress } from '../../machine/sizing/shaft'
import { evaluateAxis } from '../evaluateAxis'
import { remediesFor } from '../remediesFor'
import { fastenersOutcome } from './outcome'

const [X] = skarrow().job.axes as [Axis]
const joint = (change: Partial<BoltedJoint>): BoltedJoint =>
  blankRow(JOINTS, 'joint-a', {
    label: 'Fixed block to the bed',
    holds: 'fixedBlock',
    thread: 'M5',
    gripMm: 12,
    washerMm: 1,
    threadDepthMm: 20,
    count: 2,
    ...change,
  })
const axisWith = (change: Partial<BoltedJoint>, more: Partial<Axis> = {}): Axis => ({
  ...X,
  ...more,
  joints: [joint(change)],
})
const find = (axis: Axis, id: string) =>
  evaluateAxis(axis, CATALOGUE, 'mm').findings.find(({ checkId }) => checkId === id)

describe('the grip of a joint', () => {
  test('is what its screws press times the friction of its faces', () => {
    expect(jointSlip({ count: 2, boltPreloadN: 6000, forceN: 1800 })).toEqual({ gripN: 1800, safety: 1 })
    expect(dowelsBearN(6)).toBeCloseTo(11_310, 0)
  })

  test('two M5 hold no stretched screw, however far they go in', () => {
    const stretched = axisWith({}, { ends: 'fixed-fixed' })
    expect(find(stretched, 'room.joints')?.state).toBe('holds')
    const slip = find(stretched, 'joint.slip')
    expect(slip?.state).toBe('fails')
    expect(slip?.sentence).toMatch(/N of it the pull of the stretched screw.*creeps at the first crash/)
    // Six M8 do.
    expect(
      find(axisWith({ thread: 'M8', count: 6, threadDepthMm: 25 }, { ends: 'fixed-fixed' }), 'joint.slip')
        ?.state,
    ).toBe('holds')
  })

  test('has ways out that hold: stronger, larger, more, dowels; the dowels are ordered and have a step', () => {
    const weak = axisWith({ count: 2 })
    const ways = remediesFor(weak, CATALOGUE, 'mm', 'joint.slip')
    expect(ways.length).toBeGreaterThan(1)
    for (const way of ways) expect(find(remedied(weak, way), 'joint.slip')?.state).toBe('holds')
    const pinned = ways.find(({ label }) => label.includes('dowels'))
    if (!pinned) throw new Error('no dowels')
    const after = remedied(weak, pinned)
    const orders = fastenersOutcome.orders?.(after, CATALOGUE, 'mm') ?? []
    expect(orders).toContainEqual(expect.objectContaining({ key: 'dowel:5', count: 2 }))
  })

  test('of a flange does not rest on friction: the screws of a nut are pulled along themselves', () => {
    const { thread, count } = { thread: 'M5', count: 4 } as const
    const nut = find(axisWith({ holds: 'nut', thread, count }), 'joint.slip')
    const bracket = find(axisWith({ holds: 'bracket', thread, count }), 'joint.slip')
    expect(nut?.sentence).toContain('pulled along themselves')
    expect(bracket?.sentence).toContain('friction')
    expect((nut?.limit?.value ?? 0) / (bracket?.limit?.value ?? 1)).toBeCloseTo(1 / 0.15, 6)
  })

  test('is not judged of a far block that only supports, is asked for where the joint is not measured, and halves for two screws', () => {
    expect(find(axisWith({ holds: 'farBlock' }), 'joint.slip')).toBeUndefined()
    expect(find(axisWith({ holds: 'farBlock' }, { ends: 'fixed-fixed' }), 'joint.slip')?.state).toBe('fails')
    expect(find(axisWith({ gripMm: null }), 'joint.slip')?.state).toBe('unknown')
    const one = find(axisWith({ count: 8 }), 'joint.slip')?.limit?.value ?? 0
    const two =
      find(axisWith({ count: 8 }, { drive: { ...X.drive, screws: 2 } }), 'joint.slip')?.limit?.value ?? 0
    expect(two).toBeCloseTo(one / 2, 6)
  })
})

describe('the end of the screw', () => {
  test('of 8 mm does not hold a head that a servo of 28 N·m drives', () => {
    const { safety } = shaftEndStress({ diameterMm: 8, torqueNm: 28, bendingNm: 0 })
    expect(safety).toBeCloseTo(400 / (Math.sqrt(3) * 2 * ((16 * 28_000) / (Math.PI * 512))), 9)
    const thin: Axis = {
      ...X,
      dimensions: { ...X.dimensions, inclineDeg: { value: 90, provenance: 'measured' } },
      parts: { ...X.parts, bearing: 'back-10', motor: 'servo-130-2000' },
    }
    const found = find(thin, 'shaft.endStress')
    expect(found?.state).toBe('fails')
    expect(found?.sentence).toMatch(/twisted with up to 28 N·m by the motor.*It is what holds the load/)
    expect(find(X, 'shaft.endStress')?.state).toBe('holds')
  })

  test('is bent by a belt, twisted by a brake that is stronger than the motor, and mended by a thicker one', () => {
    const braked: Axis = { ...X, parts: { ...X.parts, brake: 'brake-240' } }
    expect(find(braked, 'shaft.endStress')?.sentence).toContain('24 N·m by the brake')
    const weak = { ...X, parts: { ...X.parts, bearing: 'back-10', motor: 'step-86-85', coupler: 'disc-56' } }
    const before = find(weak, 'shaft.endStress')
    for (const way of remediesFor(weak, CATALOGUE, 'mm', 'shaft.endStress'))
      expect([before?.state, find(remedied(weak, way), 'shaft.endStress')?.state]).toEqual([
        before?.state,
        'holds',
      ])
    expect(shaftEndStress({ diameterMm: 10, torqueNm: 3, bendingNm: 4 }).safety ?? 0).toBeLessThan(
      shaftEndStress({ diameterMm: 10, torqueNm: 3, bendingNm: 0 }).safety ?? 0,
    )
  })
})
