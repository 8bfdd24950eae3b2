import type { DrivePart } from '../../drawing/driveLine'
import { attempt } from '../../evaluation/attempt'
import type { Cause } from '../../machine/align/tightSpots'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { DRAG_CHECKS } from './check'
import { DRAG_ROUNDS, TURN_ROUNDS } from './model'
import { dragMap } from './rounds'

/** Where each cause is laid on the drive line. */
const PART_OF: Readonly<Record<Cause, DrivePart>> = {
  coupler: 'coupler',
  fixed: 'bearing',
  screw: 'screw',
  nut: 'nut',
  preload: 'nut',
  gib: 'way',
  ways: 'way',
  spot: 'screw',
  far: 'far',
}

/** What it takes to turn the screw, along the travel and over one turn: the map of what binds. */
export const drag = defineSheet({
  id: 'drag',
  stage: 'align',
  title: 'Drag and tight spots',
  fields: { dragRounds: DRAG_ROUNDS, turnRounds: TURN_ROUNDS },
  checks: DRAG_CHECKS,
  overlay(context) {
    const found = attempt(() => dragMap(context)).value
    if (!found) return {}
    return {
      marks: found.map.felt
        .filter(({ counts }) => counts)
        .map(({ cause, torqueNm }) => ({
          part: PART_OF[cause],
          state: cause === found.map.named ? ('fails' as const) : ('close' as const),
          text: `binds ${say(Math.abs(torqueNm), 'torque', context.units, 2)}`,
        })),
    }
  },
})
