import type { ScrewEnds } from '../../document/kinds'

/** Bores of the bearings that far ends run in. */
const FAR_BORES_MM = [6, 8, 10, 12, 15, 17, 20, 25, 30, 35]
/** A shoulder that a ring stands on. */
const SHOULDER_MM = 0.75

/**
 * The bore of the plain bearing at a far end that is only supported: no larger than that of the fixed end, and with a
 * shoulder on the root of the screw where there can be one.
 *
 * @example farBoreMm(17.1, 12) // 12
 */
export const farBoreMm = (rootDiameterMm: number, fixedBoreMm: number): number =>
  FAR_BORES_MM.findLast(boreMm => boreMm <= rootDiameterMm - 2 * SHOULDER_MM && boreMm <= fixedBoreMm) ??
  fixedBoreMm

/** Ends that take thrust: each has a set of the bearings chosen, with a locknut. */
export const fixedEnds = (ends: ScrewEnds): number => (ends === 'fixed-fixed' ? 2 : 1)
/** Whether the far end runs in a plain bearing of its own. */
export const hasPlainFarEnd = (ends: ScrewEnds): boolean =>
  ends === 'fixed-supported' || ends === 'supported-supported'

/** Pitch of the fine thread of the locknuts that are sold for a bore. */
export const locknutPitchMm = (boreMm: number): number => (boreMm <= 8 ? 0.75 : boreMm <= 20 ? 1 : 1.5)
