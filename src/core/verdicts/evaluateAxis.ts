import type { Axis } from '../job/types'
import type { Catalogue } from '../sizing/parts'
import type { UnitSystem } from '../units/quantity'
import { ALIGN_CHECKS } from './alignChecks'
import { runCheck } from './check'
import { byUrgency, type Finding } from './finding'
import { PROVE_CHECKS } from './proveChecks'
import { ROOM_CHECKS } from './roomChecks'
import { DRIVE_CHECKS } from './sizing/axisChecks'
import { LINK_CHECKS } from './sizing/linkChecks'
import { MOTOR_CHECKS } from './sizing/motorChecks'
import { SCREW_CHECKS } from './sizing/screwChecks'
import { THRUST_CHECKS } from './sizing/thrustChecks'
import { type Figure, Trace } from './trace'

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
