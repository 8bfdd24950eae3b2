import type { RemedyFinder } from '../../evaluation/remedy'
import { offered } from '../../evaluation/remedy'
import { goal } from '../../machine/commonRemedies'
import { isServo } from '../shared/steps/controller'

/** Coarser steps: half the microsteps, or of a servo half the counts, until the controller keeps up. */
const coarser: RemedyFinder = trial =>
  [2, 4, 8, 16]
    .flatMap(by =>
      offered(({ axis, catalogue }) => {
        const motor = catalogue.motor.get(axis.parts.motor ?? '')
        if (!motor) return null
        if (isServo(motor)) {
          const counts = Math.floor((axis.controller.countsPerRev ?? motor.fullStepsPerRev) / by)
          return {
            change: draft => {
              draft.controller.countsPerRev = counts
            },
            label: `${counts} counts a turn, by the gear of its drive`,
            cost: 'a setting of the drive; coarser steps',
          }
        }
        const microsteps = axis.drive.microsteps / by
        if (!Number.isInteger(microsteps) || microsteps < 1) return null
        return {
          change: draft => {
            draft.drive.microsteps = microsteps
          },
          label: `${microsteps} microsteps to a step`,
          cost: 'a setting of the driver; it runs rougher',
        }
      })(trial),
    )
    .slice(0, 1)

export const REMEDIES = {
  'controller.pulses': [coarser, goal('topSpeedMmPerMin')],
} as const
