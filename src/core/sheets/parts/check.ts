import { DRIVE_CHECKS } from './driveChecks'
import { LEADSCREW_CHECKS } from './leadscrewChecks'
import { LINK_CHECKS } from './linkChecks'
import { MOTOR_CHECKS } from './motorChecks'
import { THRUST_CHECKS } from './thrustChecks'

/** Everything that a drive is held to. */
export const PARTS_CHECKS = {
  ...MOTOR_CHECKS,
  ...LEADSCREW_CHECKS,
  ...THRUST_CHECKS,
  ...LINK_CHECKS,
  ...DRIVE_CHECKS,
}
