import { drawsFrom } from '../calculation/evenRandom'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { MACHINE_KINDS, type PART_KINDS, SCREW_ENDS } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import { attempt } from '../evaluation/attempt'
import { lostMotionBudget } from '../machine/drive/stiffness'
import { isClosedLoop } from '../machine/drive/transmission'
import { CATALOGUE, catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { newJob } from '../sheets/newJob'
import type { AxisFigures, Causes, Off } from '../simulate/axis/figures'
import { SLIPS, type Slip } from '../simulate/axis/hand'
import { axisFigures } from './axisFigures'

/** What can be wrong with an axis of a trial, by the names of the table of faults. */
const IN_THE_TABLE = [
  'nut-play',
  'fixed-bearing-play',
  'coupler-slip',
  'coupler-play',
  'nut-bracket-loose',
  'block-loose',
  'gib-loose',
  'gib-tight',
  'gib-walks',
  'fixed-block-off',
  'far-block-off',
  'nut-off-line',
  'bent-screw',
  'ways-not-parallel',
  'dirt-in-nut',
  'preload-high',
  'lost-steps',
  'scale-wrong',
  'warm-growth',
  'axes-not-square',
  'compensation-wrong',
] as const
/** What only a sheet of Align finds: nobody searches for it. */
const OF_SETTING = [
  'face-off-square',
  'motor-off-line',
  'rail-not-straight',
  'bracket-droops',
  'journal-off',
  'preload-low',
] as const
export const FAULTS = [...IN_THE_TABLE, ...OF_SETTING] as const
/** Whether Find the fault can be asked for it. */
export const isSearchedFor = (fault: Fault): fault is (typeof IN_THE_TABLE)[number] =>
  (IN_THE_TABLE as readonly Fault[]).includes(fault)
export type Fault = (typeof FAULTS)[number]

/** An axis of known truth: its job as its builder entered it, what it is made of, and what is wrong with it. */
export interface Trial {
  readonly seed: number
  readonly job: Job
  readonly axis: Axis
  /** Parts of the list, and those of the job's own. */
  readonly catalogue: Catalogue
  readonly figures: AxisFigures
  /** What is wrong with it; of a sound axis nothing. */
  readonly faults: readonly Fault[]
  readonly causes: Causes
  readonly slip: Slip | null
  /** What kind of machine it is, in a word or two. */
  readonly kind: string
}

/** The day on which all trials are read; nothing of them hangs on the clock. */
export const TRIAL_DAY = '2026-11-30T08:00:00.000Z'
/** One in so many axes is sound, and so many hands slip. */
const SOUND_SHARE = 0.15
const SLIP_SHARE = 1 / 3
/** A drive that cannot be reckoned is drawn anew, so often at most. */
const MOST_DRAWS = 60
/** From here on an axis stands up. */
const UPRIGHT_DEG = 45
/** Reversal that is accepted, over what a sound axis has. */
const ROOM = 1.6
const TENS_UM = 10

type Draw = ReturnType<typeof drawsFrom>

/** Nobody drives so long a screw of its diameter; one with a free end is short. */
const isSlender = ({ ends, spanMm, rootDiameterMm }: AxisFigures): boolean =>
  spanMm > (ends === 'fixed-free' ? SLENDEREST_FREE : SLENDEREST) * rootDiameterMm
const SLENDEREST = 90
const SLENDEREST_FREE = 35
/** A sound axis that loses more is none that is set up for work. */
const MOST_LOST_UM = 150

/** A job of a kind of machine with one axis of it, its drive drawn from the parts list until it can be reckoned. */
function drawnJob(draw: Draw, seed: number): { job: Job; axis: Axis; figures: AxisFigures } {
  for (let tries = 0; tries < MOST_DRAWS; tries++) {
    const kind = draw.oneOf(MACHINE_KINDS)
    const units = draw.random() < 0.3 ? 'inch' : 'mm'
    const made = newJob(`Trial ${seed}`, kind, units, TRIAL_DAY)
    const template = draw.oneOf(made.axes)
    const isUpright = (template.dimensions.inclineDeg.value ?? 0) > UPRIGHT_DEG
    const travelMm = Math.round((template.dimensions.wayTravelMm.value ?? 300) * draw.between(0.7, 1.4))
    const massKg = Math.round((template.dimensions.movingMassKg.value ?? 40) * draw.between(0.6, 1.5))
    const known = (value: number) => ({ value, provenance: 'measured' as const })
    const one = <K extends (typeof PART_KINDS)[number]>(of: K) => draw.oneOf([...CATALOGUE[of].keys()])
    const transmission = draw.random() < 0.25 ? 'belt' : 'direct'
    const axis: Axis = {
      ...template,
      id: `trial-${seed}`,
      goals: { ...template.goals, wantedTravelMm: travelMm },
      dimensions: {
        ...template.dimensions,
        wayTravelMm: known(travelMm),
        supportSpanMm: known(travelMm + Math.round(draw.between(110, 180))),
        movingMassKg: known(massKg),
        lightestMassKg: known(massKg),
        frictionCoefficient: known(
          (template.dimensions.frictionCoefficient.value ?? 0.1) * draw.between(0.7, 1.3),
        ),
        dragN: known(Math.round(draw.between(5, 60))),
        inclineDeg: known(template.dimensions.inclineDeg.value ?? 0),
        counterbalanceN: known(
          isUpright && draw.random() < 0.5 ? Math.round(massKg * draw.between(7, 11)) : 0,
        ),
      },
      parts: {
        screw: one('screw'),
        bearing: one('bearing'),
        coupler: transmission === 'direct' ? one('coupler') : null,
        belt: transmission === 'belt' ? one('belt') : null,
        motor: one('motor'),
        brake: isUpright ? one('brake') : null,
      },
      drive: { ...template.drive, transmission, handwheelKept: false },
      ends: draw.oneOf(SCREW_ENDS),
      // Slides of trials go up as their nut goes away from the fixed block.
      higherEnd: isUpright ? 'far' : null,
    }
    const t = evaluateAxis(axis, CATALOGUE, units)
    const figures = attempt(() => axisFigures(t)).value
    const lostUm = attempt(() => lostMotionBudget(t).totalUm).value
    if (!figures || lostUm === undefined || lostUm > MOST_LOST_UM || isSlender(figures)) continue
    const backlashTargetUm = Math.max(30, Math.ceil((ROOM * lostUm) / TENS_UM) * TENS_UM)
    const wished: Axis = { ...axis, goals: { ...axis.goals, backlashTargetUm } }
    return { job: { ...made, id: `trial-${seed}`, axes: [wished] }, axis: wished, figures }
  }
  throw new Error(`No axis could be drawn for seed ${seed}.`)
}

/** Two axes may be out of square by so much. */
const ACCEPTED_SQUARE_UM_PER_M = 200

/** A rail that is bowed, leans, or stands proud at a place. */
function railOf({ oneOf, sign, between }: Draw, travelMm: number): Causes['rail'] {
  switch (oneOf(['bow', 'lean', 'proud'] as const)) {
    case 'bow':
      return { bowUm: sign() * between(30, 150) }
    case 'lean':
      return { leanUmPerM: (sign() * between(40, 200) * 1000) / travelMm }
    case 'proud':
      return { proud: [{ atMm: between(0.2, 0.8) * travelMm, um: sign() * between(40, 150) }] }
  }
}

/** What a fault is made of on an axis, of a size that a builder would mind. */
function drawnCauses(fault: Fault, draw: Draw, { goals }: Axis, figures: AxisFigures): Causes {
  const { between, sign } = draw
  const playUm = between(1.2, 4) * goals.backlashTargetUm
  const off = (): Off => {
    const size = between(3, 14) * goals.alignmentTargetUm
    const angle = between(0, 2 * Math.PI)
    return { heightUm: size * Math.cos(angle), sideUm: size * Math.sin(angle) }
  }
  const rubsN = Math.max(figures.frictionN, 20)
  switch (fault) {
    case 'nut-play':
      return { playUm: { nut: playUm } }
    case 'fixed-bearing-play':
      return { playUm: { bearing: playUm } }
    case 'coupler-play':
      return { playUm: { coupler: playUm } }
    case 'nut-bracket-loose':
      return { playUm: { bracket: playUm } }
    case 'block-loose':
      return { playUm: { block: playUm } }
    case 'coupler-slip':
      return { slip: { um: playUm / 4, aboveMmPerMin: between(0.5, 0.9) * figures.topSpeedMmPerMin } }
    case 'gib-loose':
      return { gib: { playUm: between(30, 150) } }
    case 'gib-tight':
      return draw.random() < 0.5
        ? { gib: { playUm: -between(6, 11), tightN: between(1.5, 5) * rubsN } }
        : { gib: { endN: between(1.5, 5) * rubsN, end: draw.oneOf(['low', 'high'] as const) } }
    case 'gib-walks':
      return { gib: { walkingN: between(0.5, 0.95) * rubsN } }
    case 'fixed-block-off':
      return { fixedBlock: off() }
    case 'far-block-off':
      return { farBlock: off() }
    case 'nut-off-line':
      return { nut: off() }
    case 'bent-screw':
      return { bow: { um: between(60, 300), atDeg: between(0, 360) } }
    case 'ways-not-parallel':
      return { waysN: sign() * between(0.5, 0.95) * rubsN }
    case 'dirt-in-nut':
      return {
        track: {
          atMm: figures.nutAtZeroMm + between(0.25, 0.75) * figures.travelMm,
          widthMm: between(0.1, 0.2) * figures.travelMm,
          nm: between(0.4, 1.5) * figures.dragNm + 0.05,
        },
      }
    case 'preload-high':
      return { dragTimes: between(2.2, 5), locknutTurn: between(1.6, 2.4) }
    case 'lost-steps':
      return {
        lost: { cycles: draw.whole(1, 3), aboveMmPerMin: between(0.4, 0.9) * figures.topSpeedMmPerMin },
      }
    case 'scale-wrong':
      return { scaleOff: sign() * between(0.0008, 0.03) }
    case 'warm-growth':
      return { heat: { riseK: between(4, 14), minutes: between(8, 30) } }
    case 'axes-not-square':
      return { squareUmPerM: sign() * between(1.5, 15) * ACCEPTED_SQUARE_UM_PER_M }
    case 'compensation-wrong':
      return { compensatedUm: -playUm }
    case 'face-off-square':
      return { face: { tiltUmPerMm: between(1, 8), atDeg: between(0, 360), warpUm: between(0, 4) } }
    case 'motor-off-line':
      return {
        motor: {
          besideUm: between(60, 500),
          towardsDeg: between(0, 360),
          mrad: between(2, 25),
          openAtDeg: between(0, 360),
        },
        pulleys: { besideUm: sign() * between(400, 2500), tiltUmPerMm: sign() * between(3, 15) },
      }
    case 'rail-not-straight':
      return { rail: railOf(draw, figures.travelMm) }
    case 'journal-off':
      return { journal: { at: draw.random() < 0.6 ? 'fixed' : 'drive', um: between(40, 150) } }
    case 'bracket-droops':
      return { droopUm: between(2, 10) * goals.alignmentTargetUm }
    case 'preload-low':
      return { locknutTurn: between(0.15, 0.45) }
  }
}

/** What kind of machine an axis is of, in a word or two. */
function kindOf({ machineKind }: Job, { drive, dimensions }: Axis, { inclineDeg }: AxisFigures): string {
  const isUpright = inclineDeg > UPRIGHT_DEG
  return [
    machineKind,
    drive.screws === 2 && 'two screws',
    isUpright && (dimensions.counterbalanceN.value ? 'upright, counterbalanced' : 'upright'),
  ]
    .filter(Boolean)
    .join(', ')
}

/** What is wrong with an axis, and with the hand that reads it, drawn. */
function flawed(
  draw: Draw,
  atOnce: 1 | 2,
  given: Pick<Trial, 'seed' | 'job' | 'axis' | 'catalogue' | 'figures'>,
): Trial {
  const { job, axis, figures } = given
  const isSound = atOnce === 1 && draw.random() < SOUND_SHARE
  const drawn = isSound ? [] : Array.from({ length: atOnce }, () => draw.oneOf(FAULTS))
  // A free end has no block that could be off, and a motor that knows where it stands loses no steps: it is what is like it.
  const instead: Partial<Record<Fault, Fault>> = {
    ...(figures.ends === 'fixed-free' && { 'far-block-off': 'fixed-block-off' }),
    ...(isClosedLoop(given) && { 'lost-steps': 'coupler-slip' }),
  }
  const faults = [...new Set(drawn.map(one => instead[one] ?? one))]
  return {
    ...given,
    faults,
    causes: Object.assign({}, ...faults.map(fault => drawnCauses(fault, draw, axis, figures))) as Causes,
    slip: draw.random() < SLIP_SHARE ? draw.oneOf(SLIPS) : null,
    kind: kindOf(job, axis, figures),
  }
}

/**
 * The trial of a seed: always the same.
 *
 * @param atOnce how many faults an axis has that is not sound; two that touch the same thing are one
 * @example drawTrial(7).faults.length <= 1 // true
 */
export function drawTrial(seed: number, atOnce: 1 | 2 = 1): Trial {
  const draw = drawsFrom(seed)
  return flawed(draw, atOnce, { seed, catalogue: CATALOGUE, ...drawnJob(draw, seed) })
}

/**
 * Somebody's axis with a drawn fault: what its sheets would say of it.
 *
 * @throws NotKnown while its drive is not chosen or measured
 */
export function trialOf(job: Job, axis: Axis, seed: number, atOnce: 1 | 2 = 1): Trial {
  const catalogue = catalogueOf(job)
  const figures = axisFigures(evaluateAxis(axis, catalogue, job.units))
  return flawed(drawsFrom(seed), atOnce, { seed, job, axis, catalogue, figures })
}
