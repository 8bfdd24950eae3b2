import type { ScrewEnds } from '../../document/kinds'
import type { EvaluationContext } from '../../evaluation/context'

import { chosenBrake } from './brake'
import { isBelted, nutTurns } from './transmission'

/** What the far end costs against the bearings of the fixed one: nothing, a plain bearing, or as much again. */
export const FAR_END_SHARE: Record<ScrewEnds, number> = {
  'fixed-free': 0,
  'supported-supported': 0.4,
  'fixed-supported': 0.4,
  'fixed-fixed': 1,
}

/**
 * Price of the whole drive: every part for every screw, and the bearings of the far end, and the brake where one is chosen.
 *
 * @throws NotKnown while a part is not chosen
 */
export const driveEur = (t: EvaluationContext): number => {
  const link = isBelted(t) ? t.part('belt') : t.part('coupler')
  const far = nutTurns(t) ? 0 : FAR_END_SHARE[t.axis.ends]
  const bearings = t.part('bearing').priceEur * (1 + far)
  const brake = chosenBrake(t)?.priceEur ?? 0
  return (
    (t.part('screw').priceEur + bearings + link.priceEur + t.part('motor').priceEur + brake) *
    t.axis.drive.screws
  )
}

/** How much room the drive takes across, under the table: its nut or its blocks, whichever is larger. */
export const driveHeightMm = (t: EvaluationContext): number =>
  Math.max(t.part('screw').nutFlangeDiameterMm, t.part('bearing').blockHeightMm)
