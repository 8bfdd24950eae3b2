import type { DimensionKey, Provenance } from '../job/dimensions'
import type { QuantityKind } from '../units/quantity'
import type { Missing } from './trace'

/** Worst first. */
export const STATES = ['fails', 'close', 'unknown', 'holds'] as const
export type State = (typeof STATES)[number]

export const STATE_WORDS: Record<State, string> = {
  fails: 'Fails',
  close: 'Close',
  unknown: 'Not known yet',
  holds: 'Holds',
}

/** The part of the drive, or the thing, that a finding is about. */
export type Subject =
  | 'screw'
  | 'nut'
  | 'bearing'
  | 'coupler'
  | 'belt'
  | 'motor'
  | 'axis'
  | 'travel'
  | 'line'
  | 'proof'
export type Stage = 'size' | 'room' | 'align' | 'prove'

export interface Measure {
  value: number
  quantity: QuantityKind
}

/** One judgement of an axis, as data: the screen, the printed record and the command line say the same. */
export interface Finding {
  checkId: string
  title: string
  subject: Subject
  stage: Stage
  state: State
  /** What was found, and what it is held against. */
  figure: Measure | null
  limit: Measure | null
  /** How much of the limit is used: 1 is all of it. Null when there is no such share. */
  use: number | null
  /** How many times over the limit at which it holds it stands: below 1 it does not hold. Null without figures. */
  margin: number | null
  /** What, compared with what, because of what. */
  sentence: string
  /** Names of the worked figures behind it, the last one nearest to the verdict. */
  because: string[]
  restsOn: { dimension: DimensionKey; provenance: Provenance }[]
  missing: Missing | null
}

/** Where a check stops to hold, and where being close ends; beyond that it fails. */
interface Limits {
  sense: 'at-most' | 'at-least'
  holds: number
  close: number
}

/** What each check is held to, unless the builder says otherwise. */
export const LIMITS = {
  'motor.torqueMargin.open': { sense: 'at-least', holds: 2, close: 1.5 },
  'motor.torqueMargin.closed': { sense: 'at-least', holds: 1.5, close: 1.25 },
  'screw.criticalSpeed': { sense: 'at-most', holds: 0.9, close: 1 },
  'screw.buckling': { sense: 'at-most', holds: 0.8, close: 1 },
  'nut.speedValue': { sense: 'at-most', holds: 0.9, close: 1 },
  'screw.life': { sense: 'at-least', holds: 1, close: 0.8 },
  'nut.staticSafety': { sense: 'at-least', holds: 2, close: 1.5 },
  'nut.preload': { sense: 'at-least', holds: 1.2, close: 1 },
  'bearing.preload': { sense: 'at-least', holds: 1.2, close: 1 },
  'screw.warmth': { sense: 'at-most', holds: 1, close: 2 },
  'screw.pretension': { sense: 'at-most', holds: 0.8, close: 1 },
  'screw.leadAccuracy': { sense: 'at-most', holds: 1, close: 1 },
  'bearing.life': { sense: 'at-least', holds: 1, close: 0.8 },
  'coupler.torque': { sense: 'at-most', holds: 0.8, close: 1 },
  'coupler.misalignment': { sense: 'at-most', holds: 1, close: 1.25 },
  'belt.pull': { sense: 'at-most', holds: 0.8, close: 1 },
  'belt.mesh': { sense: 'at-least', holds: 6, close: 5 },
  'motor.inertiaRatio': { sense: 'at-most', holds: 5, close: 10 },
  'motor.step': { sense: 'at-most', holds: 1, close: 2 },
  'axis.stallThrust': { sense: 'at-most', holds: 0.8, close: 1 },
  'axis.handwheel': { sense: 'at-most', holds: 30, close: 60 },
  'axis.lostMotion': { sense: 'at-most', holds: 0.8, close: 1 },
  'room.travel': { sense: 'at-least', holds: 1, close: 0.95 },
} satisfies Record<string, Limits>

export type LimitKey = keyof typeof LIMITS
type GradedState = 'holds' | 'close' | 'fails'

// A sum that is a hair off its limit by rounding alone is at the limit.
const HAIR = 1e-9

/**
 * The state of a figure against the limits of its check.
 *
 * @example grade('screw.buckling', 0.85) // 'close'
 */
export function grade(limits: LimitKey, ratio: number): GradedState {
  const { sense, holds, close } = LIMITS[limits]
  const beyond = (limit: number) =>
    sense === 'at-most' ? ratio > limit * (1 + HAIR) : ratio < limit * (1 - HAIR)
  if (!beyond(holds)) return 'holds'
  return beyond(close) ? 'fails' : 'close'
}

/** No limit is beaten by more than this: an axis without any load has no end of margin. */
export const MOST_MARGIN = 1000

/** The state of a figure against the limits of its check, and how many times over the holding limit it stands. */
export function standing(limits: LimitKey, ratio: number): Pick<Finding, 'margin'> & { state: GradedState } {
  const { sense, holds } = LIMITS[limits]
  const margin = sense === 'at-most' ? holds / ratio : ratio / holds
  return { state: grade(limits, ratio), margin: Math.min(Math.max(margin, 0), MOST_MARGIN) }
}

/** Sorts findings worst first; among equals the fullest limit first. */
export function byUrgency(findings: Finding[]): Finding[] {
  return findings.toSorted(
    (a, b) => STATES.indexOf(a.state) - STATES.indexOf(b.state) || (b.use ?? 0) - (a.use ?? 0),
  )
}
