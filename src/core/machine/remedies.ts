import { GRAVITY_M_PER_S2 } from '../calculation/constants'
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
import { broken, mends, type Option, type RemedyFinder, solve } from '../evaluation/remedy'
import { putPart } from './driveEdits'

// Ways to mend a check that several sheets share: another part, a wish given up, more room.

/** Parts of a kind that mend the check: the one that breaks least, the cheapest among those. */
export function part(kind: PartKind): RemedyFinder {
  return trial => {
    const { axis, catalogue } = trial.context
    const now = catalogue[kind].get(axis.parts[kind] ?? '')
    if (!now) return []
    const candidates = [...catalogue[kind].values()]
      .filter(({ id }) => id !== now.id)
      .toSorted((a, b) => a.priceEur - b.priceEur)
    let best: { option: Option; breaks: string[] } | null = null
    for (const { id, name } of candidates) {
      const change: Option['change'] = draft => putPart(draft, kind, id)
      const context = trial.after(change)
      if ((context.finding(trial.checkId)?.state ?? 'holds') !== 'holds') continue
      const breaks = broken(
        { context, checkId: trial.checkId },
        best?.breaks.length ?? Number.POSITIVE_INFINITY,
        best?.breaks,
      )
      if (!breaks) continue
      best = {
        breaks,
        option: { change, label: name, done: { label: `${name} chosen`, entry: `Chosen: ${name}.` } },
      }
      // Nothing breaks less than nothing, and what comes now costs more.
      if (breaks.length === 0) break
    }
    return best ? [best.option] : []
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
            done: { label: `Ends of the screw ${found}`, entry: `Ends of the screw: ${found}.` },
          },
        ]
      : []
  }
}

/** A wish given up as far as it must be: down, or up where it is a tolerance. */
export function goal(key: GoalKey): RemedyFinder {
  const isTolerance = key === 'backlashTargetUm' || key === 'alignmentTargetUm' || key === 'accuracyTargetUm'
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
      cost: 'a wish given up',
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

/** A counterbalance that takes up to the whole weight. */
export function counterbalance(): RemedyFinder {
  const { label, quantity } = DIMENSIONS.counterbalanceN
  return trial => {
    const { counterbalanceN, movingMassKg } = trial.context.axis.dimensions
    return solve(trial, {
      from: counterbalanceN.value ?? 0,
      to: (movingMassKg.value ?? 0) * GRAVITY_M_PER_S2,
      quantity,
      change: value => draft => {
        draft.dimensions.counterbalanceN = { value, provenance: 'assumed' }
      },
      label,
      cost: 'a gas spring or weights to fit, and their own mass to move',
    })
  }
}

/** More preload, up to a tenth of the nut's capacity. */
export function preload(): RemedyFinder {
  return trial => {
    const { axis, catalogue } = trial.context
    const screw = catalogue.screw.get(axis.parts.screw ?? '')
    if (!screw?.dynamicCapacityN || screw.preloadN === 0) return []
    return solve(trial, {
      from: axis.preloadN ?? screw.preloadN,
      to: 0.1 * screw.dynamicCapacityN,
      quantity: 'force',
      change: preloadN => draft => {
        draft.preloadN = preloadN
      },
      label: 'Preload of the nut',
      cost: 'more drag, and less life at light loads',
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

/** The deepest recess worth offering in a casting of this size. */
const DEEPEST_RECESS_MM = 150

/** A deeper recess for the nut. */
export const recess = (key: 'recessFixedMm' | 'recessFarMm'): RemedyFinder =>
  endLength(key, DEEPEST_RECESS_MM, 'metal to cut: check the wall that is left')

/** More kept clear at an end, up to what can be set. */
export const keptClear = (key: 'safetyFixedMm' | 'safetyFarMm'): RemedyFinder =>
  endLength(key, RECESSES[key].max, 'as much travel given up')
