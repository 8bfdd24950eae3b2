import fc from 'fast-check'
import { demoJobs } from '../demo'
import type { Axis } from '../document/axis'
import { GOAL_KEYS, GOALS } from '../document/dimensions'
import { type PART_KINDS, SCREW_ENDS } from '../document/kinds'

import type { State } from '../evaluation/finding'
import { remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '.'
import { evaluateAxis } from './evaluateAxis'
import { remediesFor } from './remedies'

// Each check must be seen to hold, to be close where it can be, and to fail; and it must have a way out that works.

const demos = demoJobs().flatMap(({ job }) => job.axes)
const id = (kind: (typeof PART_KINDS)[number]) => fc.constantFrom(...CATALOGUE[kind].keys())
const strained: fc.Arbitrary<Axis> = fc
  .record({
    axis: fc.constantFrom(...demos),
    parts: fc.record({
      screw: id('screw'),
      bearing: id('bearing'),
      coupler: id('coupler'),
      belt: id('belt'),
      motor: id('motor'),
    }),
    transmission: fc.constantFrom('direct' as const, 'belt' as const),
    screws: fc.constantFrom(1 as const, 2 as const),
    handwheelKept: fc.boolean(),
    ends: fc.constantFrom(...SCREW_ENDS),
    goal: fc.constantFrom(...GOAL_KEYS),
    times: fc.constantFrom(0.1, 0.3, 0.6, 1, 1.5, 3, 10, 30),
    parallelMm: fc.constantFrom(0.01, 0.05, 0.1, 0.16, 0.4),
    radiusMm: fc.constantFrom(20, 60, 120),
    centresMm: fc.constantFrom(70, 120, 200),
  })
  .map(
    ({
      axis,
      parts,
      transmission,
      screws,
      handwheelKept,
      ends,
      goal,
      times,
      parallelMm,
      radiusMm,
      centresMm,
    }) => ({
      ...axis,
      parts,
      ends,
      drive: { ...axis.drive, transmission, screws, handwheelKept },
      driveSizes: { ...axis.driveSizes, handwheelRadiusMm: radiusMm, beltCentresMm: centresMm },
      goals: {
        ...axis.goals,
        [goal]: Math.min(Math.max(axis.goals[goal] * times, GOALS[goal].min), GOALS[goal].max),
      },
      dimensions: {
        ...axis.dimensions,
        shaftParallelMm: { value: parallelMm, provenance: 'measured' as const },
      },
    }),
  )

/** Checks that pass or fail and know nothing between. */
const PLAIN = ['coupler.bores', 'belt.bores', 'bearing.seat', 'axis.unpoweredDrop']
const SIZING = [
  ...PLAIN,
  'motor.torqueMargin',
  'motor.inertiaRatio',
  'motor.step',
  'screw.criticalSpeed',
  'screw.buckling',
  'screw.life',
  'screw.leadAccuracy',
  'screw.warmth',
  'nut.speedValue',
  'nut.staticSafety',
  'nut.preload',
  'bearing.preload',
  'bearing.life',
  'coupler.torque',
  'coupler.misalignment',
  'belt.pull',
  'belt.mesh',
  'axis.lostMotion',
  'axis.stallThrust',
  'axis.handwheel',
]

const seen = new Map<string, Partial<Record<State, Axis[]>>>()
for (const axis of [...demos, ...fc.sample(strained, { numRuns: 6000, seed: 20_261_125 })])
  for (const { checkId, state } of evaluateAxis(axis, CATALOGUE, 'mm').findings) {
    const states = seen.get(checkId) ?? {}
    const examples = states[state] ?? []
    if (examples.length < 6) examples.push(axis)
    states[state] = examples
    seen.set(checkId, states)
  }

test.each(SIZING)('%s is seen in every state that it knows', checkId => {
  const states = Object.keys(seen.get(checkId) ?? {})
  const wanted = PLAIN.includes(checkId) ? ['holds', 'fails'] : ['holds', 'close', 'fails']
  expect(states).toEqual(expect.arrayContaining(wanted))
})

test.each(SIZING)('%s has a way out that makes it hold', checkId => {
  const broken = [...(seen.get(checkId)?.fails ?? []), ...(seen.get(checkId)?.close ?? [])]
  const mended = broken.some(axis =>
    remediesFor(axis, CATALOGUE, 'mm', checkId as CheckId).some(remedy => {
      const { state } = remedy
      const after = evaluateAxis(remedied(axis, remedy), CATALOGUE, 'mm').findings
      const now = after.find(finding => finding.checkId === checkId)?.state ?? 'holds'
      expect(now).toBe(state)
      return now === 'holds'
    }),
  )
  expect(mended).toBe(true)
})

test('a margin of 1 is where a check begins to hold', () => {
  for (const axis of demos)
    for (const { state, margin } of evaluateAxis(axis, CATALOGUE, 'mm').findings)
      if (margin !== null) expect(margin >= 1 - 1e-9).toBe(state === 'holds')
})
