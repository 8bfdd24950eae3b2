import { CLOSE_MARGIN, MOST_MARGIN } from '../evaluation/finding'
import { FAR_END_SHARE } from '../machine/drive/price'
import { endBendingNm } from '../machine/drive/strength'
import { isSprung, setLifeHours } from '../machine/sizing/bearingRating'
import { stepperTorque, tableTorque } from '../machine/sizing/motor'
import { OPENING_RATIO } from '../machine/sizing/screwLife'
import { shaftEndStress } from '../machine/sizing/shaft'
import type { Demand } from './demand'
import { type BearingLevel, beltPull, type LinkLevel, type MotorLevel, type ScrewLevel } from './levels'

/** A margin that a pair of parts decides; 0 when it fails whatever goes with it. */
const orFails = (margin: number, failsBelowMargin: number) =>
  margin < failsBelowMargin ? 0 : Math.min(margin, MOST_MARGIN)

/** Torque of the motor against what a coupler or belt bears, and whether its shaft goes in. */
function linkBears(demand: Demand, link: LinkLevel, motor: MotorLevel): number {
  const { shaftMm, shaftLoadLimitN } = motor.part
  const { drivenNm } = motor
  if (shaftMm < link.leastBoreMm || shaftMm > link.mostMotorBoreMm) return 0
  if (link.belt) {
    const { ratedPullN, serviceFactor } = link.belt
    const { effectivePullN, shaftLoadN } = beltPull(link.belt, drivenNm)
    const pull = orFails(
      demand.holds.pull / ((effectivePullN * serviceFactor) / ratedPullN),
      demand.fails.pull,
    )
    const shaft =
      shaftLoadLimitN === null
        ? MOST_MARGIN
        : orFails(demand.holds.motorShaft / (shaftLoadN / shaftLoadLimitN), demand.fails.motorShaft)
    return Math.min(pull, shaft)
  }
  if (!link.coupler) return 0
  const { ratedTorqueNm, serviceFactor } = link.coupler
  const use = (drivenNm * serviceFactor) / ratedTorqueNm
  return orFails(demand.holds.coupler / use, demand.fails.coupler)
}

/**
 * The margin of a link with a motor and the end of the screw that it sits on: what both bear, and whether their bores fit.
 *
 * @param whole also where the end bears too little, for its margin
 * @returns 0 when they do not go together, whatever the screw
 */
export function pairBears(
  demand: Demand,
  link: LinkLevel,
  motor: MotorLevel,
  seatMm: number,
  whole = false,
): number {
  if (!seatFits(link, seatMm)) return 0
  const bears = linkBears(demand, link, motor)
  if (bears === 0) return 0
  const { drivenNm } = motor
  const torqueNm = Math.max(drivenNm, demand.brake?.holdingTorqueNm ?? 0) * link.ratio
  const bendingNm = link.belt ? endBendingNm(beltPull(link.belt, drivenNm).shaftLoadN, link.hubMm) : 0
  const { safety } = shaftEndStress.compute({ diameterMm: seatMm, torqueNm, bendingNm })
  const end = Math.min(safety ?? MOST_MARGIN, MOST_MARGIN) / demand.holds.end
  return Math.min(bears, whole ? end : orFails(end, demand.fails.end))
}

/** Whether a link's bore takes the end of the screw that bearings of this seat leave for it. */
export const seatFits = (link: LinkLevel, seatMm: number): boolean =>
  seatMm >= link.leastBoreMm && seatMm <= link.mostScrewBoreMm

/** What a screw and its bearings decide together: shoulder, pull between two fixed ends, preload, life without a belt. */
export function bearingSuits(demand: Demand, screw: ScrewLevel, bearing: BearingLevel): number {
  const { boreMm, staticCapacityN } = bearing.part
  const { holds, fails } = demand
  const shoulderMm = Math.max(0, (screw.part.rootDiameterMm - boreMm) / 2)
  const shoulder = orFails(shoulderMm / holds.shoulder, fails.shoulder)
  if (shoulder === 0) return 0
  const loadN = demand.maxForceN + screw.pullN
  const pull =
    screw.ends === 'fixed-fixed'
      ? orFails(holds.pretension / (loadN / staticCapacityN), fails.pretension)
      : MOST_MARGIN
  return Math.min(
    shoulder,
    pull,
    staysClosed(demand, screw, bearing),
    bearingLasts(demand, screw, bearing, 0),
  )
}

const suits = new WeakMap<Demand, WeakMap<ScrewLevel, Map<BearingLevel, number>>>()

/** The same, worked out once for each screw and bearings of a demand: a search and its handful ask many times. */
export function knownSuits(demand: Demand, screw: ScrewLevel, bearing: BearingLevel): number {
  let ofDemand = suits.get(demand)
  if (!ofDemand) {
    ofDemand = new WeakMap()
    suits.set(demand, ofDemand)
  }
  let ofScrew = ofDemand.get(screw)
  if (!ofScrew) {
    ofScrew = new Map()
    ofDemand.set(screw, ofScrew)
  }
  let margin = ofScrew.get(bearing)
  if (margin === undefined) {
    margin = bearingSuits(demand, screw, bearing)
    ofScrew.set(bearing, margin)
  }
  return margin
}

/** Whether a set stays closed under the load: by its preload, by its spring, or by the weight that rests on it. */
function staysClosed(
  { holds, fails, maxForceN, oneFlank }: Demand,
  screw: ScrewLevel,
  { part }: BearingLevel,
) {
  const { axialPlayUm, preloadN } = part
  const loadN = maxForceN + screw.pullN
  if (axialPlayUm === 0)
    return orFails((OPENING_RATIO * preloadN) / Math.max(1, loadN) / holds.pairPreload, fails.pairPreload)
  if (!isSprung(part)) return oneFlank ? MOST_MARGIN : CLOSE_MARGIN
  if (screw.pullN > 0) return orFails(preloadN / loadN / holds.pairPreload, fails.pairPreload)
  return loadN > preloadN ? CLOSE_MARGIN : MOST_MARGIN
}

/** Margin of the bearings' life under the load, their preload, and a belt's pull. */
export function bearingLasts(
  demand: Demand,
  { mean, pullN }: ScrewLevel,
  { part }: BearingLevel,
  radialLoadN: number,
): number {
  const load = {
    externalN: mean.equivalentLoadN + pullN,
    radialLoadN,
    meanSpeedRpm: mean.meanSpeedRpm,
  }
  const lifeHours = setLifeHours(part, load, (_, calculate, inputs) => calculate.compute(inputs))
  if (lifeHours === null) return 0
  return orFails(lifeHours / demand.wantedLifeHours / demand.holds.bearingLife, demand.fails.bearingLife)
}

/** Torque of a motor at a speed. */
export const torqueAtNm = ({ part }: MotorLevel, speedRpm: number): number =>
  part.curve
    ? tableTorque.compute({ curve: part.curve, speedRpm }).torqueNm
    : stepperTorque.compute({ ...part, speedRpm }).torqueNm

/** Least torque of a motor over the speeds of a phase. */
export function leastTorqueNm(motor: MotorLevel, upToRpm: number): number {
  let least = torqueAtNm(motor, upToRpm)
  for (const { speedRpm } of motor.part.curve ?? [])
    if (speedRpm < upToRpm) least = Math.min(least, torqueAtNm(motor, speedRpm))
  return least
}

/** A whole drive as the search judges it. */
export interface Judged {
  /** Worst margin of all checks; 0 when one fails that has no figure. */
  margin: number
  feasible: boolean
  lostMotionUm: number
}

/** What a screw, its bearings and a link settle before any motor is tried. */
export interface Assembly {
  priceEur: number
  /** Least margin so far. */
  margin: number
  /** Lost motion without the lag of the motor. */
  lostMotionUm: number
  /** Torques at the motor, without its own inertia. */
  acceleratingNm: number
  cuttingNm: number
  frictionNm: number
  handNm: number
  loadInertiaKgM2: number
  angularAccelerationRadPerS2: number
  stallBearsN: number
  /** Torque over the duty, squared: what does not turn with the rotor, what does once, what does twice. */
  squares: [number, number, number]
}

/** Length of the whole screw: through the fixed block and into the hub, to the end of the far block. */
export const screwLengthMm = (spanMm: number, bearing: BearingLevel, link: LinkLevel) =>
  spanMm + 1.5 * bearing.part.blockLengthMm + link.hubMm

/** Two ends that take thrust need the bearings twice. */
const bearingSets = (screw: ScrewLevel) => (screw.ends === 'fixed-fixed' ? 2 : 1)

export const priceWithoutLinkEur = (screw: ScrewLevel, bearing: BearingLevel) =>
  screw.priceEur + bearing.priceEur * (1 + FAR_END_SHARE[screw.ends])

export const giveWithoutLinkUmPerN = (screw: ScrewLevel, bearing: BearingLevel) =>
  screw.screwUmPerN + screw.nutUmPerN + bearing.pairUmPerN / bearingSets(screw)

/** What a drive's give leaves in hand: under the cut, and while it speeds up; 0 when it fails. */
export function giveMargin(demand: Demand, giveUmPerN: number): number {
  const { holds, fails, cuttingForceN, accelerationMmPerS2 } = demand
  let margin = MOST_MARGIN
  if (cuttingForceN > 0)
    margin = orFails(holds.deflection / ((cuttingForceN * giveUmPerN) / demand.accuracyUm), fails.deflection)
  if (accelerationMmPerS2 > 0) {
    // A force of mass times acceleration on the drive's give: the same as the square of its frequency.
    const hangsUm = (demand.loadMassKg * accelerationMmPerS2 * giveUmPerN) / 1000
    const gives = orFails(holds.dynamicGive / (hangsUm / (demand.lostMotionUm / 2)), fails.dynamicGive)
    margin = Math.min(margin, gives)
  }
  return margin
}

const playWithoutLinkUm = ({ oneFlank }: Demand, screw: ScrewLevel, bearing: BearingLevel) =>
  oneFlank ? 0 : (screw.part.preloadN > 0 ? 0 : screw.part.nutPlayUm) + bearing.part.axialPlayUm

export const lostWithoutLinkUm = (demand: Demand, screw: ScrewLevel, bearing: BearingLevel) =>
  playWithoutLinkUm(demand, screw, bearing) + 2 * demand.frictionN * giveWithoutLinkUmPerN(screw, bearing)

export const emptyAssembly = (): Assembly => ({
  priceEur: 0,
  margin: 0,
  lostMotionUm: 0,
  acceleratingNm: 0,
  cuttingNm: 0,
  frictionNm: 0,
  handNm: 0,
  loadInertiaKgM2: 0,
  angularAccelerationRadPerS2: 0,
  stallBearsN: 0,
  squares: [0, 0, 0],
})

/** Puts screw, bearings and link together, writing into `out`, which saves making an object for each. */
export function assemble(
  demand: Demand,
  screw: ScrewLevel,
  bearing: BearingLevel,
  suits: number,
  link: LinkLevel,
  out: Assembly,
): void {
  const { ratio } = link
  const atMotor = ratio * link.efficiency
  const dragNm = screw.preloadDragNm + bearing.part.dragTorqueNm
  const screwMm = screwLengthMm(demand.spanMm, bearing, link)
  const turning = link.screwInertiaKgM2 + screw.inertiaPerMmKgM2 * screwMm
  const { leadMm } = screw.part
  const table = demand.loadMassKg * (leadMm / (2000 * Math.PI)) ** 2
  const turningAtMotor = link.motorInertiaKgM2 + (demand.brake?.inertiaKgM2 ?? 0) + turning / ratio ** 2
  out.priceEur = priceWithoutLinkEur(screw, bearing) + link.priceEur
  out.margin = Math.min(screw.margin, bearing.margin, suits, link.margin)
  out.angularAccelerationRadPerS2 = (demand.accelerationMmPerS2 * 2 * Math.PI * ratio) / leadMm
  out.acceleratingNm =
    (screw.acceleratingNm + dragNm) / atMotor + turningAtMotor * out.angularAccelerationRadPerS2
  out.cuttingNm = (screw.cuttingNm + dragNm) / atMotor
  out.frictionNm = (screw.frictionNm + dragNm) / atMotor
  out.handNm = screw.handNm + dragNm
  out.loadInertiaKgM2 = turningAtMotor + table / ratio ** 2
  out.stallBearsN = Math.min(
    screw.part.staticCapacityN,
    Math.max(1, bearing.part.staticCapacityN - screw.pullN),
    screw.strutN,
  )
  const giveUmPerN =
    giveWithoutLinkUmPerN(screw, bearing) + screw.linkUmNmPerNRad / link.torsionalStiffnessNmPerRad
  out.lostMotionUm =
    playWithoutLinkUm(demand, screw, bearing) +
    link.playUmPerLeadMm * leadMm +
    2 * demand.frictionN * giveUmPerN
  out.margin = Math.min(out.margin, giveMargin(demand, giveUmPerN))
  sumSquares(screw, dragNm, atMotor, turningAtMotor, (2 * Math.PI * ratio) / leadMm, out.squares)
}

/** The mean square of the torque over the duty, as a polynomial of the rotor's inertia. */
function sumSquares(
  { duty }: ScrewLevel,
  dragNm: number,
  atMotor: number,
  turningKgM2: number,
  radPerMm: number,
  out: Assembly['squares'],
): void {
  let shares = 0
  out[0] = 0
  out[1] = 0
  out[2] = 0
  for (const { loadNm, timeShare, accelerationMmPerS2, rests } of duty) {
    const alpha = radPerMm * accelerationMmPerS2
    const torqueNm = (loadNm + (rests ? 0 : dragNm)) / atMotor + turningKgM2 * alpha
    shares += timeShare
    out[0] += torqueNm * torqueNm * timeShare
    out[1] += 2 * torqueNm * alpha * timeShare
    out[2] += alpha * alpha * timeShare
  }
  out[0] /= shares
  out[1] /= shares
  out[2] /= shares
}

/**
 * Judges a whole drive, writing into `out`.
 *
 * @param bears the margin of `pairBears`
 * @param whole goes through all checks also when one fails, for its worst margin; else stops at the first
 */
export function judge(
  demand: Demand,
  screw: ScrewLevel,
  bearing: BearingLevel,
  link: LinkLevel,
  { part, drivenNm }: MotorLevel,
  assembly: Assembly,
  bears: number,
  topNm: number,
  cuttingNm: number,
  whole: boolean,
  out: Judged,
): void {
  const { ratio } = link
  const { leadMm } = screw.part
  const open = part.loop === 'open'
  out.feasible = false
  let margin = Math.min(assembly.margin, bears, MOST_MARGIN)
  let fails = margin <= 0
  if (fails && !whole) return

  const acceleratingNm =
    assembly.acceleratingNm + part.rotorInertiaKgM2 * assembly.angularAccelerationRadPerS2
  const inHand = Math.min(topNm / acceleratingNm, cuttingNm / assembly.cuttingNm)
  const torque = open ? inHand / demand.holds.open : inHand / demand.holds.closed
  if (torque < (open ? demand.fails.open : demand.fails.closed)) fails = true
  if (fails && !whole) return
  if (torque < margin) margin = torque

  const inertia = demand.holds.inertia / (assembly.loadInertiaKgM2 / part.rotorInertiaKgM2)
  if (inertia < demand.fails.inertia) fails = true
  if (fails && !whole) return
  if (inertia < margin) margin = inertia

  const thrustN = (2000 * Math.PI * drivenNm * ratio * screw.forwardEfficiency) / leadMm
  const stall = demand.holds.stall / (thrustN / assembly.stallBearsN)
  if (stall < demand.fails.stall) fails = true
  if (fails && !whole) return
  if (stall < margin) margin = stall

  let lagUm = 0
  let stepUm = 0
  if (open) {
    stepUm = (leadMm * 1000) / (part.fullStepsPerRev * ratio)
    // Friction that the motor does not overcome cannot be worked out.
    if (assembly.frictionNm > drivenNm) fails = true
    if (fails && !whole) return
    const lag = Math.asin(Math.min(1, assembly.frictionNm / drivenNm)) / (part.fullStepsPerRev / 4)
    lagUm = ((lag * leadMm) / (Math.PI * ratio)) * 1000
  }
  const lostMotionUm = assembly.lostMotionUm + lagUm
  const lost = demand.holds.lostMotion / (lostMotionUm / demand.lostMotionUm)
  if (lost < demand.fails.lostMotion) fails = true
  if (fails && !whole) return
  if (lost < margin) margin = lost

  const besidesLeadUm = screw.growthUm + lostMotionUm / 2 + stepUm / 2
  if (demand.holds.budget / ((screw.leadUm + besidesLeadUm) / demand.accuracyUm) < demand.fails.budget)
    fails = true
  if (fails && !whole) return
  const corrected = demand.holds.budget / ((screw.leadLeftUm + besidesLeadUm) / demand.accuracyUm)
  if (corrected < margin) margin = corrected

  if (part.continuousTorqueNm !== null) {
    const [still, once, twice] = assembly.squares
    const rotor = part.rotorInertiaKgM2
    const rmsNm = Math.sqrt(Math.max(0, still + rotor * (once + rotor * twice)))
    const rms = demand.holds.rms / (rmsNm / part.continuousTorqueNm)
    if (rms < demand.fails.rms) fails = true
    if (rms < margin) margin = rms
  }

  if (link.belt) {
    const life = bearingLasts(demand, screw, bearing, beltPull(link.belt, drivenNm).shaftLoadN)
    if (life < demand.fails.bearingLife) fails = true
    if (life < margin) margin = life
  }
  if (demand.handwheelRadiusMm !== null) {
    const rimN = (1000 * (assembly.handNm + part.detentTorqueNm * ratio)) / demand.handwheelRadiusMm
    const hand = demand.holds.handwheel / rimN
    if (hand < demand.fails.handwheel) fails = true
    if (hand < margin) margin = hand
  }
  if (demand.inclineDeg > 0) {
    const backNm = (Math.abs(demand.hangingN) * leadMm * screw.backwardEfficiency) / (2000 * Math.PI) / ratio
    const dragNm = screw.preloadDragNm + bearing.part.dragTorqueNm
    const holdsNm = part.detentTorqueNm + dragNm / ratio + (demand.brake?.holdingTorqueNm ?? 0)
    const stays = backNm > 0 ? holdsNm / backNm / demand.holds.unpowered : MOST_MARGIN
    if (stays < demand.fails.unpowered) fails = true
    if (stays < margin) margin = stays
  }
  out.margin = margin
  out.feasible = !fails
  out.lostMotionUm = lostMotionUm
}
