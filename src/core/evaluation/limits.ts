import type { Axis } from '../document/job'
import type { QuantityKind } from '../units/quantity'

/** Where a check stops to hold, and where being close ends; beyond that it fails. */
export interface Limits {
  sense: 'at-most' | 'at-least'
  holds: number
  close: number
}
/** Limits that the builder has set in place of the usual ones, with the reason. */
export interface OwnLimits {
  holds: number
  close: number
  because: string
}
interface LimitFacts extends Limits {
  /** What is held to the limit, as a figure. */
  of: string
  quantity: QuantityKind
  /** Why the usual limits are where they are. */
  why: string
}

/** What each check is held to, unless the builder says otherwise. */
export const LIMITS = {
  'motor.torqueMargin.open': {
    sense: 'at-least',
    holds: 2,
    close: 1.5,
    of: 'Torque the motor gives for each that is needed',
    quantity: 'ratio',
    why: 'A motor without feedback loses steps for good at the first moment that asks too much: a dry gib, a cold morning, a blunt cutter. Half its torque is kept for those.',
  },
  'motor.torqueMargin.closed': {
    sense: 'at-least',
    holds: 1.5,
    close: 1.25,
    of: 'Torque the motor gives for each that is needed',
    quantity: 'ratio',
    why: 'A motor with feedback catches up after a moment that asks too much, so less is kept in hand.',
  },
  'screw.criticalSpeed': {
    sense: 'at-most',
    holds: 0.9,
    close: 1,
    of: 'Top speed as a share of the speed allowed',
    quantity: 'share',
    why: 'The speed allowed is 0.8 of where the screw whips. Blocks give and screws are not quite straight, so a tenth more is kept.',
  },
  'screw.buckling': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: 'Largest push as a share of the push allowed',
    quantity: 'share',
    why: 'The push allowed is half of what bends the screw out. A crash pushes harder than any cut.',
  },
  'nut.speedValue': {
    sense: 'at-most',
    holds: 0.9,
    close: 1,
    of: 'Diameter times speed as a share of what the nut takes',
    quantity: 'share',
    why: 'At the limit the balls hit the return tubes hard. A tenth below it they run quietly for years.',
  },
  'screw.life': {
    sense: 'at-least',
    holds: 1,
    close: 0.8,
    of: 'Hours of life for each that is wanted',
    quantity: 'ratio',
    why: 'The life is what nine of ten screws reach, so the hours wanted are already on the safe side.',
  },
  'nut.staticSafety': {
    sense: 'at-least',
    holds: 2,
    close: 1.5,
    of: 'Static capacity for each newton of the largest load',
    quantity: 'ratio',
    why: 'Beyond the static capacity the balls leave dents. Twice is usual where work is bumped and jammed.',
  },
  'nut.preload': {
    sense: 'at-least',
    holds: 1.2,
    close: 1,
    of: 'Load at which the nut opens for each newton of the largest load',
    quantity: 'ratio',
    why: 'Once the load opens the nut, its play is back. Preload also wears off: a fifth is kept for that.',
  },
  'bearing.preload': {
    sense: 'at-least',
    holds: 1.2,
    close: 1,
    of: 'Load at which the pair opens for each newton of the largest load',
    quantity: 'ratio',
    why: 'Once the load opens the pair, its play is back. A fifth is kept for a locknut that settles.',
  },
  'screw.warmth': {
    sense: 'at-most',
    holds: 1,
    close: 2,
    of: 'Growth as a share of the accuracy wanted',
    quantity: 'share',
    why: 'The screw grows once and then stays warm: up to twice can be lived with by warming up first.',
  },
  'screw.pretension': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: 'Pull of the screw as a share of what the bearings carry at rest',
    quantity: 'share',
    why: 'The pull stands on the bearings day and night, and the load comes on top of it.',
  },
  'screw.leadAccuracy': {
    sense: 'at-most',
    holds: 1,
    close: 1,
    of: 'Tolerance of the lead as a share of the accuracy wanted',
    quantity: 'share',
    why: 'What the screw is off, the table is off. Beyond this it must be measured and corrected in the controller, which counts as close.',
  },
  'bearing.life': {
    sense: 'at-least',
    holds: 1,
    close: 0.8,
    of: 'Hours of life for each that is wanted',
    quantity: 'ratio',
    why: 'The life is what nine of ten bearings reach, so the hours wanted are already on the safe side.',
  },
  'coupler.torque': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: "Motor's torque times service factor as a share of the rated torque",
    quantity: 'share',
    why: 'A strong motor can crack a slit coupler at one stop. A fifth is kept for shafts a little out of line.',
  },
  'coupler.misalignment': {
    sense: 'at-most',
    holds: 1,
    close: 1.25,
    of: 'Share used of what the coupler bears out of line',
    quantity: 'share',
    why: 'The three ways to be out of line add up. A quarter beyond it a coupler still runs, and tires sooner.',
  },
  'belt.pull': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: 'Pull times service factor as a share of the rated pull',
    quantity: 'share',
    why: 'Beyond the rated pull the belt jumps teeth, and the position is lost without a word.',
  },
  'belt.mesh': {
    sense: 'at-least',
    holds: 6,
    close: 5,
    of: 'Teeth of the small pulley in mesh',
    quantity: 'ratio',
    why: 'The rated pull counts on six teeth that share it.',
  },
  'motor.inertiaRatio': {
    sense: 'at-most',
    holds: 5,
    close: 10,
    of: 'Inertia of the load for each of the rotor',
    quantity: 'ratio',
    why: 'A load much heavier than the rotor swings it about: it rings, overshoots, or falls out of step.',
  },
  'motor.step': {
    sense: 'at-most',
    holds: 1,
    close: 2,
    of: 'Full step as a share of the accuracy wanted',
    quantity: 'share',
    why: 'Under load a stepper rests anywhere within its full step; microsteps only make the way there smooth.',
  },
  'axis.stallThrust': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: 'Thrust at a stall as a share of what the weakest part bears',
    quantity: 'share',
    why: 'One day the table runs into a vice. The motor should stall before anything dents or bends.',
  },
  'axis.handwheel': {
    sense: 'at-most',
    holds: 30,
    close: 60,
    of: 'Force at the grip of the handwheel',
    quantity: 'force',
    why: 'A hand turns with 30 N all day; 60 N is work.',
  },
  'axis.lostMotion': {
    sense: 'at-most',
    holds: 0.8,
    close: 1,
    of: 'Lost motion as a share of what is accepted',
    quantity: 'share',
    why: 'Reckoned play is play of new parts, well fitted. A fifth is kept for what the fitting leaves.',
  },
  'room.travel': {
    sense: 'at-least',
    holds: 1,
    close: 0.95,
    of: 'Travel left for each that is wanted',
    quantity: 'share',
    why: 'A twentieth less is often won back with a stop moved or a corner filed.',
  },
} satisfies Record<string, LimitFacts>

export type LimitKey = keyof typeof LIMITS
export const limitFacts = (key: LimitKey): LimitFacts => LIMITS[key]

/** The range in which limits can be set, and what they must be to each other. */
export const LEAST_LIMIT = 0.01
export const MOST_LIMIT = 1000

/**
 * What is wrong with a pair of limits, in words; null when they can be used.
 *
 * @example limitsProblem('screw.buckling', 0.9, 0.8) // { field: 'close', takes: 'a number not below the one at which it holds' }
 */
export function limitsProblem(
  key: LimitKey,
  holds: number,
  close: number,
): { field: 'holds' | 'close'; takes: string } | null {
  const within = (value: number) => value >= LEAST_LIMIT && value <= MOST_LIMIT
  const range = `a number from ${LEAST_LIMIT} to ${MOST_LIMIT}`
  if (!within(holds)) return { field: 'holds', takes: range }
  if (!within(close)) return { field: 'close', takes: range }
  const atMost = LIMITS[key].sense === 'at-most'
  if (atMost ? close < holds : close > holds)
    return { field: 'close', takes: `a number not ${atMost ? 'below' : 'above'} the one at which it holds` }
  return null
}

/**
 * What a check is held to on an axis: the usual limits, or those that the builder has set.
 *
 * @example limitsOf(axis, 'screw.buckling') // { sense: 'at-most', holds: 0.8, close: 1 }
 */
export function limitsOf(axis: Pick<Axis, 'limits'>, key: LimitKey): Limits {
  const own = axis.limits[key]
  return own ? { sense: LIMITS[key].sense, holds: own.holds, close: own.close } : LIMITS[key]
}
