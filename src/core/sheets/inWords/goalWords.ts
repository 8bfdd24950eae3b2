import type { Axis } from '../../document/axis'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'

/**
 * What is asked of an axis, in a few plain sentences.
 *
 * @example goalWords(axis, 'mm')[0] // 'It is to move 68 kg over 400 mm at up to 3,000 mm/min.'
 */
export function goalWords(
  { goals, dimensions }: Pick<Axis, 'goals' | 'dimensions'>,
  units: UnitSystem,
): string[] {
  const { movingMassKg, inclineDeg } = dimensions
  const mass = movingMassKg.value === null ? 'its load' : say(movingMassKg.value, 'mass', units)
  const leans = inclineDeg.value !== null && inclineDeg.value > 0
  const how = leans ? `, standing at ${say(inclineDeg.value ?? 0, 'angle', units)},` : ''
  const length = (mm: number) => say(mm, 'length', units)
  const small = (um: number) => say(um, 'smallLength', units)
  const share = say(goals.cuttingShare, 'share', units, 0)
  return [
    `It is to move ${mass}${how} over ${length(goals.wantedTravelMm)} at up to ${say(goals.topSpeedMmPerMin, 'speed', units)}.`,
    goals.cuttingShare > 0
      ? `It cuts for ${share} of the time, pushing ${say(goals.cuttingForceN, 'force', units)} at ${say(goals.cuttingFeedMmPerMin, 'speed', units)}.`
      : 'It does not cut while it moves.',
    `It may lose ${small(goals.backlashTargetUm)} at a reversal, be off by ${small(goals.accuracyTargetUm)} over the travel, and is to last ${say(goals.wantedLifeHours, 'hours', units)}.`,
  ]
}
