import { GRAVITY_M_PER_S2, radians } from '../calculation/constants'
import { hasBelt } from '../document/axis'
import {
  DIMENSIONS,
  DRIVE_SIZES,
  type DriveSizeKey,
  GOALS,
  type GoalKey,
  RECESSES,
  type RecessKey,
} from '../document/dimensions'
import { type PartKind, SCREW_ENDS } from '../document/kinds'
import { attempt } from '../evaluation/attempt'
import type { CheckId } from '../evaluation/ids'
import { breaks, mends, type Option, offered, type RemedyFinder, solve } from '../evaluation/remedy'
import { currentAsSetA } from './drive/motorTorque'
import { putInDrive } from './driveEdits'
import { RECESS_OF, type RecessEnd, recessAt } from './travel/recess'

// Ways to mend a check that several sheets share: another part, a wish given up, more room.

/**
 * The cheapest part of a kind that mends the check and makes no other fail. A brake is offered where there is none, and a
 * belt in place of a coupler.
 */
export function part(kind: PartKind): RemedyFinder {
  return trial => {
    const { context } = trial
    const { axis, catalogue } = context
    const toBelt = kind === 'belt' && !hasBelt(axis.drive)
    const now = toBelt ? undefined : catalogue[kind].get(axis.parts[kind] ?? '')
    if (!now && kind !== 'brake' && !toBelt) return []
    if (kind === 'coupler' && hasBelt(axis.drive)) return []
    const candidates = [...catalogue[kind].values()]
      .filter(({ id }) => id !== now?.id)
      .toSorted((a, b) => a.priceEur - b.priceEur)
    const broke = new Set<CheckId>()
    for (const { id, name } of candidates) {
      const change: Option['change'] = draft => putInDrive(draft, kind, id)
      const changed = trial.after(change)
      if (changed.finding(trial.checkId)?.state !== 'holds') continue
      const broken = breaks(trial, changed, broke)
      if (broken) {
        broke.add(broken)
        continue
      }
      const label = toBelt ? `Drive it by a belt: ${name}` : name
      return [
        {
          change,
          label,
          is: 'part',
          ...(toBelt && { cost: 'a motor plate with slots to make, and a belt to keep tight' }),
          done: { label: `${name} chosen`, entry: `Chosen: ${name}.` },
        },
      ]
    }
    return []
  }
}

/** The lead measured, and corrected in the controller from a table. */
export const leadTable = (): RemedyFinder =>
  offered(({ axis }) =>
    axis.drive.leadTable
      ? null
      : {
          change: draft => {
            draft.drive.leadTable = true
          },
          label: 'Measure the lead and correct it from a table in the controller',
          cost: 'a controller that takes such a table, and an evening with a scale',
          is: 'setting',
          done: {
            label: 'Lead to be corrected from a table',
            entry: 'The lead is to be measured, and corrected from a table in the controller.',
          },
        },
  )

/** So many microsteps to a step, set on the driver. */
export const microsteps = (count: number): RemedyFinder =>
  offered(() => ({
    change: draft => {
      draft.drive.microsteps = count
    },
    label: `${count} microsteps to a step`,
    cost: 'a setting of the driver',
    is: 'setting',
  }))

/** Currents of a driver are set to a tenth of an ampere. */
const CURRENT_STEP_A = 0.1
/** A motor on less of its current than this is another motor. */
const LEAST_CURRENT_SHARE = 0.3

/** The current of the driver turned down as little as mends the check, or up as little, as far as the motor bears. */
export const driverCurrent =
  (way: 'down' | 'up'): RemedyFinder =>
  trial => {
    const { axis, catalogue } = trial.context
    const motor = catalogue.motor.get(axis.parts.motor ?? '')
    if (!motor) return []
    const { ratedCurrentA } = motor
    const fromA = currentAsSetA(axis.drive, motor)
    const stepsA = (limitA: number) => Math.floor(Math.abs(limitA - fromA) / CURRENT_STEP_A + 1e-9)
    const at = (steps: number) =>
      Math.round((fromA + (way === 'up' ? steps : -steps) * CURRENT_STEP_A) * 10) / 10
    const change =
      (steps: number): Option['change'] =>
      draft => {
        draft.drive.currentA = at(steps)
      }
    let good = stepsA(way === 'up' ? ratedCurrentA : LEAST_CURRENT_SHARE * ratedCurrentA)
    if (good < 1 || !mends(trial, change(good))) return []
    let bad = 0
    while (good - bad > 1) {
      const middle = Math.floor((good + bad) / 2)
      if (mends(trial, change(middle))) good = middle
      else bad = middle
    }
    const words = `Driver ${way} to ${at(good)} A of ${ratedCurrentA} A`
    return [
      {
        change: change(good),
        label: words,
        cost: 'a setting of the driver',
        done: { label: words, entry: `${words}.` },
        is: 'setting',
      },
    ]
  }

/** A cutting feed below the range where a stepper shakes, or above it. */
export function otherFeed(): RemedyFinder {
  const { label, quantity, min, max } = GOALS.cuttingFeedMmPerMin
  return trial => {
    const from = trial.context.axis.goals.cuttingFeedMmPerMin
    return [Math.max(min, from / 4), Math.min(max, from * 4)].flatMap(to =>
      solve(trial, {
        from,
        to,
        quantity,
        change: value => draft => {
          draft.goals.cuttingFeedMmPerMin = value
        },
        label,
        cost: to < from ? 'slower cuts' : 'a heavier chip, or more teeth',
        is: 'wish',
      }),
    )
  }
}

/** Another way to hold the ends: the first stiffer one that mends the check. */
export function ends(): RemedyFinder {
  return trial => {
    const stiffer = SCREW_ENDS.slice(SCREW_ENDS.indexOf(trial.context.axis.ends) + 1)
    const to =
      (ends: (typeof SCREW_ENDS)[number]): Option['change'] =>
      draft => {
        draft.ends = ends
      }
    const found = stiffer.find(ends => mends(trial, to(ends)))
    return found
      ? [
          {
            change: to(found),
            label: `Hold the ends ${found}`,
            cost: 'another block to make or buy, and to align',
            is: 'part',
            done: { label: `Ends of the screw ${found}`, entry: `Ends of the screw: ${found}.` },
          },
        ]
      : []
  }
}

/** A screw held at both ends let slide at the far one: it grows there instead of pulling at its bearings. */
export const slidingFarEnd = (): RemedyFinder =>
  offered(({ axis }) =>
    axis.ends === 'fixed-fixed'
      ? {
          change: draft => {
            draft.ends = 'fixed-supported'
          },
          label: 'Let the far end slide: hold the ends fixed-supported',
          cost: 'a plain bearing in place of the second fixed end; the screw grows towards it',
          is: 'part',
          done: { label: 'Ends of the screw fixed-supported', entry: 'Ends of the screw: fixed-supported.' },
        }
      : null,
  )

/** Wishes that are given up by allowing more. */
const TOLERANCES = new Set<GoalKey>([
  'backlashTargetUm',
  'alignmentTargetUm',
  'accuracyTargetUm',
  'rackingTargetUm',
])

/** A wish given up as far as it must be: down, or up where it is a tolerance. */
export function goal(key: GoalKey): RemedyFinder {
  const isTolerance = TOLERANCES.has(key)
  const { label, quantity, min, max } = GOALS[key]
  return trial =>
    solve(trial, {
      from: trial.context.axis.goals[key],
      to: isTolerance ? max : min,
      quantity,
      change: value => draft => {
        draft.goals[key] = value
      },
      label,
      // How hard it speeds up is set in the controller; nobody builds a machine for it.
      ...(key === 'accelerationMmPerS2'
        ? { cost: 'a setting of the controller; it speeds up more gently', is: 'setting' }
        : { cost: 'a wish given up: less is asked of the axis', is: 'wish' }),
    })
}

/** A larger handwheel, or centres further apart, up to twice the size. */
export function driveSize(key: DriveSizeKey): RemedyFinder {
  const { label, quantity, max } = DRIVE_SIZES[key]
  return trial => {
    const from = trial.context.axis.driveSizes[key]
    return solve(trial, {
      from,
      to: Math.min(2 * from, max),
      quantity,
      change: value => draft => {
        draft.driveSizes[key] = value
      },
      label,
      cost: 'room beside the machine',
    })
  }
}

/** A gas spring, or a long one of steel, changes its force by about so much of it over its stroke, until its own is read. */
const SPREAD_OF_A_SPRING = 0.2
const COUNTERBALANCE_COSTS = {
  'gas-spring':
    'a gas spring of that force to buy and fit: it cannot be set, only exchanged; a fifth of change over its stroke is reckoned with',
  springs: 'the springs set anew, or others; a fifth of change over their stroke is reckoned with',
  weights: 'weights on the chain, and their own mass to move',
} as const

/** A counterbalance nearer to the weight: more of it, or less where it lifts more than there is. */
export function counterbalance(): RemedyFinder {
  const { label, quantity } = DIMENSIONS.counterbalanceN
  return trial => {
    const { axis } = trial.context
    const { counterbalanceN, movingMassKg, lightestMassKg, inclineDeg } = axis.dimensions
    // Between the lightest and the heaviest: beyond that it is over-balanced, or not balanced enough, at one of its ends.
    const massKg = ((movingMassKg.value ?? 0) + (lightestMassKg.value ?? movingMassKg.value ?? 0)) / 2
    const weightN = massKg * GRAVITY_M_PER_S2 * Math.sin(radians(inclineDeg.value ?? 0))
    const from = counterbalanceN.value ?? 0
    const kind = axis.counterbalance.kind ?? 'gas-spring'
    return solve(trial, {
      from,
      to: weightN,
      quantity,
      change: value => draft => {
        draft.dimensions.counterbalanceN = { value, provenance: 'assumed' }
        draft.dimensions.counterbalanceSpreadN = {
          value: kind === 'weights' ? 0 : Math.round(value * SPREAD_OF_A_SPRING),
          provenance: 'assumed',
        }
        draft.counterbalance.kind = kind
        // Springs and weights that are there are set; a gas spring is exchanged, and what is not there is bought.
        draft.counterbalance.toFit = kind === 'gas-spring' || from === 0 || axis.counterbalance.toFit
      },
      label,
      cost: COUNTERBALANCE_COSTS[kind],
    })
  }
}

/** More preload than this share of its capacity wears a nut out. */
export const MOST_PRELOAD_SHARE = 0.1

/** More preload, up to a tenth of the nut's capacity. */
export function preload(): RemedyFinder {
  return trial => {
    const { axis, catalogue } = trial.context
    const screw = catalogue.screw.get(axis.parts.screw ?? '')
    if (!screw?.dynamicCapacityN || screw.preloadN === 0) return []
    return solve(trial, {
      from: axis.preloadN ?? screw.preloadN,
      to: MOST_PRELOAD_SHARE * screw.dynamicCapacityN,
      quantity: 'force',
      change: preloadN => draft => {
        draft.preloadN = preloadN
      },
      label: 'Preload of the nut',
      cost: 'more drag, and less life at light loads',
      is: 'setting',
    })
  }
}

/** More of a length at an end of the screw: a deeper recess for the nut, or more kept clear. */
function endLength(key: RecessKey, to: number, cost: string): RemedyFinder {
  const { label, quantity } = RECESSES[key]
  return trial =>
    solve(trial, {
      from: trial.context.axis.recesses[key],
      to,
      quantity,
      change: value => draft => {
        draft.recesses[key] = value
      },
      label,
      cost,
    })
}

/** A recess that is still one. */
const LEAST_RECESS_MM = 0.1

/** The deepest recess worth offering where there is no block in the way. */
const DEEPEST_RECESS_MM = 150

/** A deeper recess for the nut, as deep as the metal before the bearings allows. */
export const recess = (end: RecessEnd): RemedyFinder => {
  const key = RECESS_OF[end]
  return trial => {
    const room = attempt(() => recessAt(trial.context, end))
    if (room.ask !== undefined) return []
    const toMm = room.value?.deepestMm ?? DEEPEST_RECESS_MM
    return toMm > trial.context.axis.recesses[key]
      ? endLength(key, toMm, 'metal to cut: check the wall that is left')(trial)
      : []
  }
}

/** A recess no deeper than the metal before the bearings, or than what stands out of the bracket. */
export const lessRecess = (end: RecessEnd): RemedyFinder =>
  endLength(RECESS_OF[end], LEAST_RECESS_MM, 'travel given up')

/** More kept clear at an end, up to what can be set. */
export const keptClear = (key: 'safetyFixedMm' | 'safetyFarMm'): RemedyFinder =>
  endLength(key, RECESSES[key].max, 'as much travel given up')
