import fc from 'fast-check'
import type { Axis } from '../document/axis'

import type { State } from '../evaluation/finding'
import { remedied } from '../evaluation/remedy'
import { CATALOGUE } from '../machine/parts'
import type { CheckId } from '.'
import { CHECKS, evaluateAxis } from './evaluateAxis'
import { DEMO_AXES, strained } from './fixtures/strainedAxes'
import { strainedMaking } from './fixtures/strainedMaking'
import { remediesFor } from './remediesFor'

// Each check must be seen to hold, to be close where it can be, and to fail; and it must have a way out that works.

/** Checks that pass or fail and know nothing between. */
const PLAIN = ['coupler.bores', 'belt.bores', 'brake.bore']
/** One that only warns. */
const WARNS = ['motor.resonance']
const SIZING = [
  ...PLAIN,
  'motor.torqueMargin',
  'motor.inertiaRatio',
  'screw.criticalSpeed',
  'screw.buckling',
  'screw.life',
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
  'axis.unpoweredDrop',
  'axis.positionBudget',
  'axis.cutDeflection',
  'bearing.seat',
  'belt.motorShaft',
  'drive.racking',
  'motor.resonance',
  'motor.rmsTorque',
  'nut.pressureSpeed',
  'screw.pretension',
  'shaft.endStress',
]

/** Where it fits, is straight and holds what it promised: known to pass or fail, or with something between. */
const MAKING = {
  'room.travel': ['holds', 'close', 'fails'],
  'room.section': ['holds', 'close', 'fails'],
  'room.holes': ['holds', 'fails'],
  'room.block': ['holds', 'close', 'fails'],
  'room.joints': ['holds', 'close', 'fails'],
  'room.chain': ['holds', 'close'],
  'joint.slip': ['holds', 'close', 'fails'],
  'controller.pulses': ['holds', 'close', 'fails'],
  'controller.measuredMove': ['holds', 'unknown'],
  'recess.fixed': ['holds', 'fails'],
  'recess.far': ['holds', 'fails'],
  'stopping.fixed': ['holds', 'close', 'fails'],
  'stopping.far': ['holds', 'close', 'fails'],
  'switches.fixed': ['holds', 'close', 'fails'],
  'switches.far': ['holds', 'close', 'fails'],
  'cable.chain': ['holds', 'close', 'fails'],
  'grease.access': ['holds', 'fails'],
  'align.height': ['holds', 'fails'],
  'align.side': ['holds', 'fails'],
  'align.preload': ['holds', 'close', 'fails'],
  'align.coupler': ['holds', 'close', 'fails'],
  'align.belt': ['holds', 'fails'],
  'align.drag': ['holds', 'fails'],
  'align.turn': ['holds', 'fails'],
  'align.flange': ['holds', 'fails'],
  'align.runOut': ['holds', 'close', 'fails'],
  'align.gib': ['holds', 'close', 'fails'],
  'align.rails': ['holds', 'fails'],
  'align.square': ['holds', 'fails'],
  'align.leadMismatch': ['holds', 'fails'],
  'align.overhang': ['holds', 'close', 'fails'],
  'align.droop': ['holds', 'fails'],
  'align.waysFriction': ['holds', 'close'],
  'prove.reversal': ['holds', 'close', 'fails'],
  'prove.accuracy': ['holds', 'fails'],
  'prove.fullReversal': ['holds', 'fails'],
  'prove.slowFast': ['holds', 'fails'],
  'prove.coldWarm': ['holds', 'fails'],
  'prove.pushPull': ['holds', 'fails'],
  'prove.whereLost': ['holds', 'fails'],
  'prove.steps': ['holds', 'fails'],
  'prove.circleSquare': ['holds', 'fails'],
  'prove.cutSquare': ['holds', 'fails'],
  'prove.circleScale': ['holds', 'fails'],
  'prove.scale': ['holds', 'fails'],
} as const satisfies Partial<Record<CheckId, readonly State[]>>
/** Of these the way out is work at the machine, which no change of the plan does for it. */
const BY_HAND = [
  'room.holes',
  'room.chain',
  'controller.measuredMove',
  'align.height',
  'align.side',
  'align.preload',
  'align.belt',
  'align.drag',
  'align.turn',
  'align.runOut',
  'align.leadMismatch',
  'align.overhang',
  'align.waysFriction',
  'prove.reversal',
]

test('no check is left out', () => {
  expect([...SIZING, ...Object.keys(MAKING)].toSorted()).toEqual([...CHECKS.keys()].toSorted())
})

const seen = new Map<string, Partial<Record<State, Axis[]>>>()
for (const axis of [
  ...DEMO_AXES,
  ...fc.sample(strained, { numRuns: 6000, seed: 20_261_125 }),
  ...fc.sample(strainedMaking, { numRuns: 1500, seed: 20_261_126 }),
])
  for (const { checkId, state } of evaluateAxis(axis, CATALOGUE, 'mm').findings) {
    const states = seen.get(checkId) ?? {}
    const examples = states[state] ?? []
    if (examples.length < 20) examples.push(axis)
    states[state] = examples
    seen.set(checkId, states)
  }

test.each(SIZING)('%s is seen in every state that it knows', checkId => {
  const states = Object.keys(seen.get(checkId) ?? {})
  const wanted = PLAIN.includes(checkId)
    ? ['holds', 'fails']
    : WARNS.includes(checkId)
      ? ['holds', 'close']
      : ['holds', 'close', 'fails']
  expect(states).toEqual(expect.arrayContaining(wanted))
})

test.each(Object.entries(MAKING))('%s is seen in every state that it knows', (checkId, wanted) => {
  expect(Object.keys(seen.get(checkId) ?? {})).toEqual(expect.arrayContaining([...wanted]))
})

const MENDABLE = [...SIZING, ...Object.keys(MAKING).filter(id => !BY_HAND.includes(id))] as CheckId[]
test.each(MENDABLE)('%s has a way out that makes it hold', checkId => {
  const broken = [...(seen.get(checkId)?.fails ?? []), ...(seen.get(checkId)?.close ?? [])]
  const mended = broken.some(axis =>
    remediesFor(axis, CATALOGUE, 'mm', checkId).some(remedy => {
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
  for (const axis of DEMO_AXES)
    for (const { state, margin } of evaluateAxis(axis, CATALOGUE, 'mm').findings)
      if (margin !== null) expect(margin >= 1 - 1e-9).toBe(state === 'holds')
})
