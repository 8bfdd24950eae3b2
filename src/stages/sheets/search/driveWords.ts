import { SCREW_ENDS_WORDS } from '@/core/document/kinds'
import type { Catalogue } from '@/core/document/parts/types'

import type { DrivePoint } from '@/core/search/field'

/** The parts of a drive: its screw and how it is held, its bearings, what joins it to the motor, and the motor. */
export const drivePartsWords = (point: DrivePoint, catalogue: Catalogue): string[] =>
  [
    catalogue.screw.get(point.screw)?.name,
    SCREW_ENDS_WORDS[point.ends],
    catalogue.bearing.get(point.bearing)?.name,
    catalogue.coupler.get(point.coupler ?? '')?.name,
    catalogue.belt.get(point.belt ?? '')?.name,
    catalogue.motor.get(point.motor)?.name,
  ].filter(name => name !== undefined)

/** A drive in words: all of its parts, in a line. */
export const driveWords = (point: DrivePoint, catalogue: Catalogue): string =>
  drivePartsWords(point, catalogue).join('; ')
