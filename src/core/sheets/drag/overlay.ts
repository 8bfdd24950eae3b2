import type { DrivePart } from '../../drawing/driveLine'
import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import type { Cause } from '../shared/rounds/tightSpots'
import type { DrawOverlay } from '../sheet'
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

/** The causes that the map names, each where it acts. */
export const dragOverlay: DrawOverlay = context => {
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
}
