import { hasBelt, turnsNut } from '../../document/axis'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { beltCentres, beltLength, beltStiffness, beltTension } from '../sizing/belt'
import { couplerWindup } from '../sizing/coupler'
import { drivenTorqueNm, motorAsSet } from './motorTorque'

export const isBelted = (t: EvaluationContext) => hasBelt(t.axis.drive)

/** Whether the nut turns, on bearings of its own, and the screw stands. */
export const nutTurns = (t: EvaluationContext) => turnsNut(t.axis.drive)

/** Motor turns per screw turn. */
export const ratio = (t: EvaluationContext): number => {
  if (!isBelted(t)) return 1
  const { teethMotor, teethScrew } = t.part('belt')
  return teethScrew / teethMotor
}

/** Share of the torque that comes through a belt. */
export const beltEfficiency = (t: EvaluationContext) => (isBelted(t) ? t.part('belt').efficiency : 1)

/** How far the coupler or the pulley sits on the screw's end. */
export const hubLengthMm = (t: EvaluationContext) =>
  isBelted(t) ? t.part('belt').widthMm + 4 : t.part('coupler').lengthMm / 2

/** The belt of whole teeth that suits the wanted centres, and how it then runs. */
export const beltRun = remembered((t: EvaluationContext) => {
  const { pitchMm, teethMotor, teethScrew } = t.part('belt')
  const pulleys = {
    pitchMm,
    teethSmall: Math.min(teethMotor, teethScrew),
    teethLarge: Math.max(teethMotor, teethScrew),
  }
  const wanted = beltLength({ ...pulleys, centreDistanceMm: t.axis.driveSizes.beltCentresMm })
  const beltTeeth = Math.round(wanted.beltTeeth)
  const { centreDistanceMm } = t.figure('beltCentres', beltCentres, { ...pulleys, beltTeeth })
  const run = t.figure('beltRun', beltLength, { ...pulleys, centreDistanceMm })
  return { ...run, beltTeeth, centreDistanceMm }
})

/** Pull, tension and note of the belt at the motor's greatest torque. */
export const beltLoad = remembered((t: EvaluationContext) => {
  const { pitchMm, teethMotor, teethScrew, massPerLengthKgPerM, tensionFactor } = t.part('belt')
  const torqueNm = drivenTorqueNm(motorAsSet(t))
  return t.figure('beltTension', beltTension, {
    torqueNm: teethMotor <= teethScrew ? torqueNm : torqueNm * ratio(t),
    teethSmall: Math.min(teethMotor, teethScrew),
    pitchMm,
    spanMm: beltRun(t).spanMm,
    massPerLengthKgPerM,
    tensionFactor,
  })
})

/** Twist of coupler or belt under a torque at the screw, as movement of the table. */
export const windUp = (t: EvaluationContext, torqueNm: number) => {
  const torsionalStiffnessNmPerRad = isBelted(t)
    ? t.figure('beltStiffness', beltStiffness, {
        cordStiffnessN: t.part('belt').cordStiffnessN,
        spanMm: beltRun(t).spanMm,
        pitchMm: t.part('belt').pitchMm,
        teethScrew: t.part('belt').teethScrew,
      }).torsionalStiffnessNmPerRad
    : t.part('coupler').torsionalStiffnessNmPerRad
  const { leadMm } = t.part('screw')
  return t.figure('couplerWindup', couplerWindup, { torqueNm, torsionalStiffnessNmPerRad, leadMm })
}

/** Play of the belt's teeth as movement of the table: one turn of the screw pulley is one lead. */
export const beltPlayUm = (t: EvaluationContext): number => {
  if (!isBelted(t)) return 0
  const { toothPlayUm, pitchMm, teethScrew } = t.part('belt')
  return (toothPlayUm * t.part('screw').leadMm) / (pitchMm * teethScrew)
}

/** Whether the motor knows where it stands, and loses no steps; false while none is chosen. */
export const isClosedLoop = ({ axis, catalogue }: Pick<EvaluationContext, 'axis' | 'catalogue'>): boolean =>
  catalogue.motor.get(axis.parts.motor ?? '')?.loop === 'closed'
