import type { Axis } from '../document/job'
import { runCheck } from '../evaluation/check'
import { type Figure, Trace } from '../evaluation/context'
import { byUrgency, type Finding } from '../evaluation/finding'
import type { Catalogue } from '../machine/parts'
import type { UnitSystem } from '../units/quantity'
import { DRIVE_CHECKS } from './parts/driveChecks'
import { SCREW_CHECKS } from './parts/leadscrewChecks'
import { LINK_CHECKS } from './parts/linkChecks'
import { MOTOR_CHECKS } from './parts/motorChecks'
import { THRUST_CHECKS } from './parts/thrustChecks'
import { PROVE_CHECKS } from './reversal/check'
import { ROOM_CHECKS } from './roomChecks'
import { ALIGN_CHECKS } from './screwLine/check'

const CHECKS = [
  ...MOTOR_CHECKS,
  ...SCREW_CHECKS,
  ...THRUST_CHECKS,
  ...LINK_CHECKS,
  ...DRIVE_CHECKS,
  ...ROOM_CHECKS,
  ...ALIGN_CHECKS,
  ...PROVE_CHECKS,
]

/** What an axis comes to: its findings, worst first, and the worked figures behind them by name. */
export interface Evaluation {
  findings: Finding[]
  figures: Record<string, Figure>
}

/**
 * Judges a whole axis in one pure pass, fast enough for every key stroke.
 *
 * @param units the units that sentences are written in
 * @returns findings with their reasons; checks that do not apply to the axis are left out
 */
export function evaluateAxis(axis: Axis, catalogue: Catalogue, units: UnitSystem): Evaluation {
  const t = new Trace(axis, catalogue)
  const findings = CHECKS.flatMap(check => runCheck(t, check, units) ?? [])
  return { findings: byUrgency(findings), figures: t.figures }
}
