import { hasBelt, turnsNut } from '../document/axis'
import type { PartOf } from '../document/parts/types'

import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'

import { nutRange } from '../machine/travel/placement'

/** The parts that can be picked on the drive line. */
export const DRIVE_PARTS = ['motor', 'coupler', 'belt', 'bearing', 'screw', 'nut', 'far', 'way'] as const
export type DrivePart = (typeof DRIVE_PARTS)[number]

/** A box in the side elevation: x along the screw from the fixed block's inner face, y up from its axis. */
export interface Box {
  part: DrivePart
  role: 'body' | 'flange' | 'bracket' | 'shaft' | 'thread' | 'way' | 'table' | 'handwheel' | 'run'
  xMm: number
  yMm: number
  widthMm: number
  heightMm: number
  /** Drawn dashed, of a usual size: the part is not chosen or the dimension is not known. */
  guessed: boolean
}

/** The side elevation of a drive, to scale. */
export interface DriveLine {
  boxes: Box[]
  leftMm: number
  rightMm: number
  topMm: number
  bottomMm: number
  spanMm: number
  leadMm: number
  nutRadiusMm: number
  /** Where the bracket face stands, and where its soft limits are; null while the travel is not known. */
  nutAtMm: number
  limits: { firstMm: number; lastMm: number } | null
}

const USUAL = {
  spanMm: 500,
  wayMm: 45,
  bracketMm: 16,
  screwMm: 20,
  nutMm: 46,
  nutDiameterMm: 36,
  flangeMm: 11,
  flangeDiameterMm: 58,
  blockMm: 42,
  blockHeightMm: 60,
  couplerMm: 40,
  couplerDiameterMm: 32,
  pulleyMm: 19,
  pulleyDiameterMm: 40,
  motorMm: 80,
  frameMm: 57,
  shaftMm: 8,
}
const CLEAR_MM = 6

/**
 * Lays out the drive of an axis to scale, from its survey and its parts.
 *
 * @param position share of the travel at which the nut stands, 0 at the fixed end to 1 at the far end
 * @returns boxes in millimetres; parts that are not chosen yet are drawn in a usual size and marked as guessed
 */
export function driveLine(context: EvaluationContext, position: number): DriveLine {
  const { axis, catalogue } = context
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const bearing = catalogue.bearing.get(axis.parts.bearing ?? '')
  const belt = catalogue.belt.get(axis.parts.belt ?? '')
  const coupler = catalogue.coupler.get(axis.parts.coupler ?? '')
  const motor = catalogue.motor.get(axis.parts.motor ?? '')
  const spanMm = axis.dimensions.supportSpanMm.value ?? USUAL.spanMm
  const wayMm = axis.dimensions.screwToWayMm.value ?? USUAL.wayMm
  const bracketMm = axis.dimensions.bracketThicknessMm.value ?? USUAL.bracketMm
  const limits = knownRange(context)
  const nutAtMm = limits ? limits.firstMm + position * (limits.lastMm - limits.firstMm) : spanMm / 2
  const blockMm = bearing?.blockLengthMm ?? USUAL.blockMm
  const blockHeightMm = bearing?.blockHeightMm ?? USUAL.blockHeightMm
  const farMm = axis.ends === 'fixed-free' ? 0 : axis.ends === 'fixed-fixed' ? blockMm : 0.6 * blockMm
  const belted = hasBelt(axis.drive)
  const hubMm = belted ? (belt ? belt.widthMm + 4 : USUAL.pulleyMm) : (coupler?.lengthMm ?? USUAL.couplerMm)
  // Beside a belt the motor lies under the screw, at the distance of the centres.
  const motorYMm = belted ? -axis.driveSizes.beltCentresMm : 0
  const motorFaceMm = -blockMm - 2 * CLEAR_MM - hubMm
  const motorMm = motor?.lengthMm ?? USUAL.motorMm
  const frameMm = motor?.frameMm ?? USUAL.frameMm
  const shaftMm = motor?.shaftMm ?? USUAL.shaftMm
  const screwMm = screw?.nominalDiameterMm ?? USUAL.screwMm
  const bodyMm = screw?.nutBodyLengthMm ?? USUAL.nutMm
  const flangeMm = screw?.nutFlangeThicknessMm ?? USUAL.flangeMm
  const flangeDiameterMm = screw?.nutFlangeDiameterMm ?? USUAL.flangeDiameterMm
  const towardsFar = axis.nutFacing === 'far' ? 1 : -1
  const along = (startMm: number, lengthMm: number) =>
    towardsFar === 1 ? nutAtMm + startMm : nutAtMm - startMm - lengthMm
  const couplerBox = () =>
    box(
      'coupler',
      'body',
      -blockMm - CLEAR_MM - hubMm,
      hubMm,
      coupler?.diameterMm ?? USUAL.couplerDiameterMm,
      !coupler,
    )
  const tableMm = Math.max(flangeDiameterMm / 2 + 10, wayMm * 0.6)
  const turning = turnsNut(axis.drive)
  const clampMm = 0.5 * blockMm
  /** Where the nut turns: the screw clamped at its ends, and housing, belt and motor along with the nut. */
  const standing = () => {
    const pulleyAtMm = along(blockMm + CLEAR_MM, hubMm)
    const motorAtMm = along(blockMm + CLEAR_MM - motorMm, motorMm)
    return [
      box('motor', 'body', motorAtMm, motorMm, frameMm, !motor, motorYMm - frameMm / 2),
      box('far', 'body', -clampMm, clampMm, 2 * screwMm, !screw),
      ...(farMm > 0 ? [box('far', 'body', spanMm, clampMm, 2 * screwMm, !screw)] : []),
      box(
        'screw',
        'thread',
        -clampMm / 2,
        spanMm + clampMm / 2 + (farMm > 0 ? clampMm / 2 : 0),
        screwMm,
        !screw,
      ),
      ...beltBoxes(pulleyAtMm, hubMm, motorYMm, belt),
      box('bearing', 'body', along(0, blockMm), blockMm, blockHeightMm, !bearing),
    ]
  }
  const turned = () => [
    box('motor', 'body', motorFaceMm - motorMm, motorMm, frameMm, !motor, motorYMm - frameMm / 2),
    box('motor', 'shaft', motorFaceMm, CLEAR_MM + hubMm / 2, shaftMm, !motor, motorYMm - shaftMm / 2),
    box(
      'screw',
      'shaft',
      -blockMm - CLEAR_MM - hubMm / 2,
      blockMm + CLEAR_MM + hubMm / 2,
      bearing?.boreMm ?? screwMm * 0.6,
      !screw,
    ),
    box('screw', 'thread', 0, spanMm + farMm / 2, screwMm, !screw),
    ...(belted ? beltBoxes(-blockMm - CLEAR_MM - hubMm, hubMm, motorYMm, belt) : [couplerBox()]),
    box('bearing', 'body', -blockMm, blockMm, blockHeightMm, !bearing),
    ...(farMm > 0 ? [box('far', 'body', spanMm, farMm, blockHeightMm, !bearing)] : []),
  ]
  const boxes = [
    box(
      'way',
      'way',
      -blockMm,
      spanMm + blockMm + Math.max(farMm, 10),
      10,
      axis.dimensions.screwToWayMm.value === null,
      -wayMm - 10,
    ),
    box('way', 'table', nutAtMm - spanMm * 0.18, spanMm * 0.36, 12, false, tableMm),
    ...(turning ? standing() : turned()),
    ...(axis.drive.handwheelKept
      ? [box('far', 'handwheel', spanMm + farMm + CLEAR_MM, 14, 2 * axis.driveSizes.handwheelRadiusMm, false)]
      : []),
    box(
      'nut',
      'bracket',
      along(0, bracketMm),
      bracketMm,
      tableMm + flangeDiameterMm / 2 + 4,
      !screw,
      -flangeDiameterMm / 2 - 4,
    ),
    box('nut', 'body', along(0, bodyMm), bodyMm, screw?.nutBodyDiameterMm ?? USUAL.nutDiameterMm, !screw),
    box('nut', 'flange', along(-flangeMm, flangeMm), flangeMm, flangeDiameterMm, !screw),
  ]
  return {
    boxes,
    leftMm: Math.min(...boxes.map(b => b.xMm)),
    rightMm: Math.max(...boxes.map(b => b.xMm + b.widthMm)),
    topMm: Math.max(...boxes.map(b => b.yMm + b.heightMm)),
    bottomMm: Math.min(...boxes.map(b => b.yMm)),
    spanMm,
    leadMm: screw?.leadMm ?? 5,
    nutRadiusMm: flangeDiameterMm / 2,
    nutAtMm,
    limits,
  }
}

const box = (
  part: DrivePart,
  role: Box['role'],
  xMm: number,
  widthMm: number,
  heightMm: number,
  guessed: boolean,
  yMm = -heightMm / 2,
): Box => ({ part, role, xMm, yMm, widthMm, heightMm, guessed })

/** Two pulleys and the run of the belt between them, seen from the side. */
function beltBoxes(xMm: number, widthMm: number, motorYMm: number, belt: PartOf['belt'] | undefined): Box[] {
  const diameterMm = (teeth: number | undefined) =>
    belt && teeth ? (belt.pitchMm * teeth) / Math.PI : USUAL.pulleyDiameterMm
  const onMotorMm = diameterMm(belt?.teethMotor)
  const onScrewMm = diameterMm(belt?.teethScrew)
  const topMm = onScrewMm / 2
  const bottomMm = motorYMm - onMotorMm / 2
  return [
    box('belt', 'run', xMm + 2, widthMm - 4, topMm - bottomMm, !belt, bottomMm),
    box('belt', 'body', xMm, widthMm, onScrewMm, !belt),
    box('belt', 'body', xMm, widthMm, onMotorMm, !belt, motorYMm - onMotorMm / 2),
  ]
}

const knownRange = (context: EvaluationContext) => attempt(() => nutRange(context)).value ?? null
