import type { Catalogue } from '@/core/document/parts/types'

import type { DrivePoint } from '@/core/search/field'

/** A drive in words: its screw, its bearings, what joins it to the motor, and the motor. */
export function driveWords(point: DrivePoint, catalogue: Catalogue): string {
  const names = [
    catalogue.screw.get(point.screw)?.name,
    `held ${point.ends}`,
    catalogue.bearing.get(point.bearing)?.name,
    catalogue.coupler.get(point.coupler ?? '')?.name,
    catalogue.belt.get(point.belt ?? '')?.name,
    catalogue.motor.get(point.motor)?.name,
  ]
  return names.filter(Boolean).join('; ')
}
