import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { EvaluationContext } from '../evaluation/context'
import {
  breaks,
  changedAxis,
  type Effect,
  type Option,
  patchesOf,
  type Remedy,
  type RemedyFinder,
  type Trial,
} from '../evaluation/remedy'
import { costWords, priceEur } from '../machine/costs'
import type { UnitSystem } from '../units/quantity'
import type { CheckId } from '.'
import { OUTCOMES } from './asked.generated'
import { evaluateAxis } from './evaluateAxis'

const FINDERS = new Map<string, readonly RemedyFinder[]>(
  OUTCOMES.flatMap(({ remedies = {} }) =>
    Object.entries(remedies).map(([id, finders]) => [id, finders ?? []] as const),
  ),
)

/** Settings that cost nothing come first, then parts, what is made or has no price, and last what is given up. */
const ORDER = ['setting', 'part', undefined, 'wish'] as const

/** What a change adds to the price of the drive; nothing where that is not known. */
const addedEur = (before: EvaluationContext, after: EvaluationContext): number =>
  (priceEur(after) ?? 0) - (priceEur(before) ?? 0)

/**
 * A remedy out of a change that was tried: what it costs, and what it does to the other verdicts.
 *
 * @param context the axis before it, judged
 */
export function remedyOf(
  context: EvaluationContext,
  checkId: CheckId,
  { label, cost, done }: Pick<Option, 'label' | 'cost' | 'done'>,
  tried: EvaluationContext,
): Remedy {
  const elsewhere = costWords(context, tried, context.units)
  return {
    label,
    cost: [...(cost ? [cost] : []), ...elsewhere].join(', ') || 'nothing elsewhere',
    effects: effects(context, tried, checkId),
    state: tried.finding(checkId)?.state ?? 'holds',
    patches: patchesOf(context.wholeAxis, tried.wholeAxis),
    done: done ?? null,
  }
}

/** An axis whose check is to be mended, judged in full: then each trial takes over all that it does not change. */
export function trialOf(axis: Axis, catalogue: Catalogue, units: UnitSystem, checkId: CheckId): Trial {
  const context = evaluateAxis(axis, catalogue, units)
  context.findings
  return { context, checkId, after: change => context.next(changedAxis(axis, change)) }
}

/** The changes that mend a check and break no other, settings first, then the cheapest. */
export function optionsFor(trial: Trial): { option: Option; tried: EvaluationContext }[] {
  const found = (FINDERS.get(trial.checkId) ?? []).flatMap(find =>
    find(trial).flatMap(option => {
      const tried = trial.after(option.change)
      return breaks(trial, tried) ? [] : [{ option, tried, eur: addedEur(trial.context, tried) }]
    }),
  )
  const byPrice = (a: (typeof found)[number], b: (typeof found)[number]) =>
    a.option.is === 'part' ? a.eur - b.eur : 0
  return found.toSorted((a, b) => ORDER.indexOf(a.option.is) - ORDER.indexOf(b.option.is) || byPrice(a, b))
}

/**
 * Solves remedies of a finding that is close or fails: the smallest change of each free choice that makes
 * it hold, with what it does to the other verdicts.
 *
 * @returns remedies that really make the check hold, make no other fail, and make none that fails already clearly worse or hide
 *   it, as found by judging the changed axis: settings first, then what is cheapest, wishes last; empty when there are none
 */
export function remediesFor(axis: Axis, catalogue: Catalogue, units: UnitSystem, checkId: CheckId): Remedy[] {
  const trial = trialOf(axis, catalogue, units, checkId)
  return optionsFor(trial).map(({ option, tried }) => remedyOf(trial.context, checkId, option, tried))
}

/** What a change does to the other verdicts. */
function effects(before: EvaluationContext, after: EvaluationContext, checkId: CheckId): Effect[] {
  const stood = new Map(before.findings.map(({ checkId: id, state }) => [id, state]))
  return after.findings.flatMap(({ checkId: other, title, state }) => {
    const from = stood.get(other)
    return other === checkId || from === undefined || from === state
      ? []
      : [{ checkId: other, title, from, to: state }]
  })
}
