import type { DrivePart } from '../../drawing/driveLine'
import type { Subject } from '../../evaluation/finding'
import { defineSheet } from '../sheet'
import { DRIVE_CHECKS } from './driveChecks'
import { LEADSCREW_CHECKS } from './leadscrewChecks'
import { LIMITS } from './limits'
import { LINK_CHECKS } from './linkChecks'
import { MOTOR_CHECKS } from './motorChecks'
import { THRUST_CHECKS } from './thrustChecks'

/** Subjects that stand on the drive line themselves. */
const PART_OF: Partial<Record<Subject, DrivePart>> = {
  screw: 'screw',
  nut: 'nut',
  bearing: 'bearing',
  coupler: 'coupler',
  belt: 'belt',
  motor: 'motor',
}

/** The parts of the drive, and everything that a drive is held to. */
export const parts = defineSheet({
  id: 'parts',
  stage: 'size',
  title: 'Parts of the drive',
  checks: { ...MOTOR_CHECKS, ...LEADSCREW_CHECKS, ...THRUST_CHECKS, ...LINK_CHECKS, ...DRIVE_CHECKS },
  limits: LIMITS,
  /** One finding a part, the worst. */
  overlay({ findings }) {
    const seen = new Set<DrivePart>()
    const marks = findings.flatMap(({ subject, stage, title, state }) => {
      const part = PART_OF[subject]
      if (!part || stage !== 'size' || seen.has(part)) return []
      seen.add(part)
      return [{ part, state, text: title }]
    })
    return { marks }
  },
})
