import { CATALOGUE } from '@/core/sizing/parts'
import type { DrivePoint } from '@/core/sizing/search/search'

/** A drive in words: its screw, its bearings, what joins it to the motor, and the motor. */
export function driveWords(point: DrivePoint): string {
  const names = [
    CATALOGUE.screw.get(point.screw)?.name,
    `held ${point.ends}`,
    CATALOGUE.bearing.get(point.bearing)?.name,
    CATALOGUE.coupler.get(point.coupler ?? '')?.name,
    CATALOGUE.belt.get(point.belt ?? '')?.name,
    CATALOGUE.motor.get(point.motor)?.name,
  ]
  return names.filter(Boolean).join('; ')
}
