import type { DutyRow } from '../../document/axis'
import { newId } from '../../document/id'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { trapezoid } from '../sizing/motion'
import type { DutyPhase } from '../sizing/screwLife'
import { travel } from '../travel/placement'
import { forces, loadShare, massKg, weightAlongN } from './load'

/** A kind of work in a typical hour, as the duty table shows it; signs are ways along the screw. */
export interface DutyLine {
  label: string
  forceN: number
  speedMmPerMin: number
  timeShare: number
  /** How hard it speeds up along the screw: where the sign is that of the force, it speeds up, else it slows. */
  accelerationMmPerS2: number
}

/**
 * What a typical hour is made of by the goals: cutting both ways, and rapid moves over the travel both ways. The first of each
 * pair goes up or out.
 */
export const reckonedDuty = remembered((t: EvaluationContext): DutyLine[] => {
  const { topSpeedMmPerMin, accelerationMmPerS2, cuttingFeedMmPerMin, cuttingShare } = t.axis.goals
  const move = t.figure('rapidMove', trapezoid, {
    distanceMm: Math.max(1, travel(t).travelMm),
    speedMmPerS: topSpeedMmPerMin / 60,
    accelerationMmPerS2,
  })
  const load = forces(t)
  const peakMmPerMin = move.peakSpeedMmPerS * 60
  const rapidShare = 1 - cuttingShare
  const rampShare = (rapidShare * move.accelerateS) / move.totalS
  const both = (
    label: string,
    upN: number,
    downN: number,
    speedMmPerMin: number,
    share: number,
    by = 0,
  ): DutyLine[] => [
    {
      label: `${label}, up or out`,
      forceN: upN,
      speedMmPerMin,
      timeShare: share / 2,
      accelerationMmPerS2: by,
    },
    {
      label: `${label}, down or back`,
      forceN: -downN,
      speedMmPerMin,
      timeShare: share / 2,
      accelerationMmPerS2: -by,
    },
  ]
  return [
    ...both('Cutting', load.cutUpN, load.cutDownN, cuttingFeedMmPerMin, cuttingShare),
    ...both(
      'Speeding up',
      load.accelerateUpN,
      load.accelerateDownN,
      peakMmPerMin / 2,
      rampShare,
      accelerationMmPerS2,
    ),
    ...both(
      'Running',
      load.cruiseUpN,
      load.cruiseDownN,
      peakMmPerMin,
      (rapidShare * move.cruiseS) / move.totalS,
    ),
    ...both(
      'Slowing',
      load.decelerateUpN,
      load.decelerateDownN,
      peakMmPerMin / 2,
      rampShare,
      -accelerationMmPerS2,
    ),
  ]
})

/** A reckoned table as one's own, with figures that a person would have typed. */
export const ownDuty = (lines: readonly DutyLine[]): DutyRow[] =>
  lines.map(({ label, forceN, speedMmPerMin, timeShare, accelerationMmPerS2 }) => ({
    id: newId(),
    label,
    forceN: Math.round(forceN),
    speedMmPerMin: Math.round(speedMmPerMin),
    timeShare: Math.round(timeShare * 1000) / 1000,
    accelerationMmPerS2: Math.round(accelerationMmPerS2),
    strokeMm: null,
    dwellS: 0,
  }))

/** A while of the duty during which force, speed and acceleration stay, on the screw that carries most. */
export interface WorkPhase {
  /** Along the screw, signed by the way that the nut is pushed. */
  forceN: number
  /** Along the motion: below 0 the load drives. */
  loadN: number
  speedMmPerMin: number
  timeShare: number
  /** Along the motion: below 0 it slows. */
  accelerationMmPerS2: number
  /** Whether it stands: then nothing drags. */
  rests: boolean
}

/** The work to and fro of a row of the duty that has a stroke: what one stroke is made of. */
export interface Stroke {
  move: ReturnType<typeof trapezoid.compute>
  strokeMm: number
  speedMmPerS: number
  accelerationMmPerS2: number
  dwellS: number
  /** Steady load along the motion, up or out and down or back, and what the mass asks for besides while it speeds up. */
  upN: number
  downN: number
  massN: number
}

/**
 * A stroke of the duty on the screw that carries most. Its force is what resists it at a steady speed, either way; weight and
 * mass come on top.
 *
 * @returns null for a row without a stroke
 */
export function strokeOf(t: EvaluationContext, row: DutyRow): Stroke | null {
  const { strokeMm, speedMmPerMin, dwellS } = row
  if (strokeMm === null || speedMmPerMin === 0) return null
  const accelerationMmPerS2 = Math.abs(row.accelerationMmPerS2) || t.axis.goals.accelerationMmPerS2
  const speedMmPerS = speedMmPerMin / 60
  const resistsN = Math.abs(row.forceN) * loadShare(t)
  const weightN = weightAlongN(t)
  return {
    move: trapezoid.compute({ distanceMm: strokeMm, speedMmPerS, accelerationMmPerS2 }),
    strokeMm,
    speedMmPerS,
    accelerationMmPerS2,
    dwellS,
    upN: resistsN + weightN,
    downN: resistsN - weightN,
    massN: (massKg(t) * accelerationMmPerS2) / 1000,
  }
}

function strokePhases(stroke: Stroke, timeShare: number): WorkPhase[] {
  const { move, accelerationMmPerS2, dwellS, upN, downN, massN } = stroke
  const wholeS = 2 * (move.totalS + dwellS)
  const way = (sign: 1 | -1, steadyN: number): WorkPhase[] => {
    const phase = (durationS: number, meanMmPerS: number, accelerates: -1 | 0 | 1): WorkPhase => {
      const loadN = steadyN + accelerates * massN
      return {
        forceN: sign * loadN,
        loadN,
        speedMmPerMin: meanMmPerS * 60,
        timeShare: (timeShare * durationS) / wholeS,
        accelerationMmPerS2: accelerates * accelerationMmPerS2,
        rests: false,
      }
    }
    const { peakSpeedMmPerS, accelerateS, cruiseS } = move
    return [
      phase(accelerateS, peakSpeedMmPerS / 2, 1),
      phase(cruiseS, peakSpeedMmPerS, 0),
      phase(accelerateS, peakSpeedMmPerS / 2, -1),
    ]
  }
  const weightN = (upN - downN) / 2
  const rest: WorkPhase = {
    forceN: weightN,
    loadN: -Math.abs(weightN),
    speedMmPerMin: 0,
    timeShare: (timeShare * 2 * dwellS) / wholeS,
    accelerationMmPerS2: 0,
    rests: true,
  }
  return [...way(1, upN), ...way(-1, downN), ...(dwellS > 0 ? [rest] : [])]
}

/**
 * The duty as whiles of steady force, speed and acceleration, on the screw that carries most. A row of the builder's own table
 * resists its motion, for nobody says which way it goes; one of the reckoned table goes the way that its place in its pair says.
 */
export const workPhases = remembered((t: EvaluationContext): WorkPhase[] => {
  const own = t.axis.duty
  if (own === null)
    return reckonedDuty(t).map(({ forceN, accelerationMmPerS2, speedMmPerMin, timeShare }, index) => {
      const way = index % 2 === 0 ? 1 : -1
      return {
        forceN,
        loadN: way * forceN,
        speedMmPerMin,
        timeShare,
        accelerationMmPerS2: way * accelerationMmPerS2,
        rests: false,
      }
    })
  // A table of the builder's own is for the whole axis; the reckoned one is already for the worst screw.
  const share = loadShare(t)
  return own.flatMap((row): WorkPhase[] => {
    const stroke = strokeOf(t, row)
    if (stroke) return strokePhases(stroke, row.timeShare)
    const { forceN, accelerationMmPerS2, speedMmPerMin, timeShare } = row
    const way = Math.sign(forceN) || Math.sign(accelerationMmPerS2) || 1
    return [
      {
        forceN: forceN * share,
        loadN: way * forceN * share,
        speedMmPerMin,
        timeShare,
        accelerationMmPerS2: way * accelerationMmPerS2,
        rests: false,
      },
    ]
  })
})

/** The duty as the life formulas take it: forces of the worst screw over its speeds. */
export const duty = remembered((t: EvaluationContext): DutyPhase[] => {
  const { leadMm } = t.part('screw')
  return workPhases(t).map(({ forceN, speedMmPerMin, timeShare }) => ({
    forceN,
    speedRpm: speedMmPerMin / leadMm,
    timeShare,
  }))
})
