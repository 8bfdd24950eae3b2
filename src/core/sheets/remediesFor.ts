import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { EvaluationContext } from '../evaluation/context'
import {
  breaks,
  changedAxis,
  type Effect,
  patchesOf,
  type Recipe,
  type Remedy,
  type RemedyFinder,
} from '../evaluation/remedy'
import { costWords } from '../machine/costs'
import type { UnitSystem } from '../units/quantity'
import type { CheckId } from '.'
import { OUTCOMES } from './asked.generated'
import { evaluateAxis } from './evaluateAxis'

const FINDERS = new Map<string, readonly RemedyFinder[]>(
  OUTCOMES.flatMap(({ remedies = {} }) =>
    Object.entries(remedies).map(([id, finders]) => [id, finders ?? []] as const),
  ),
)

/**
 * Solves remedies of a finding that is close or fails: the smallest change of each free choice that makes
 * it hold, with what it does to the other verdicts.
 *
 * @returns remedies that really make the check hold and no other fail, as found by judging the changed axis; empty when
 *   none does
 */
export function remediesFor(axis: Axis, catalogue: Catalogue, units: UnitSystem, checkId: CheckId): Remedy[] {
  const context = evaluateAxis(axis, catalogue, units)
  // Judged in full first: then each trial takes over all that it does not change.
  context.findings
  const after = (change: Recipe) => context.next(changedAxis(axis, change))
  return (FINDERS.get(checkId) ?? []).flatMap(find =>
    find({ context, checkId, after }).flatMap(({ change, label, cost, done }): Remedy[] => {
      const tried = after(change)
      if (breaks({ context, checkId }, tried)) return []
      const elsewhere = costWords(context, tried, units)
      const remedy: Remedy = {
        label,
        cost: [...(cost ? [cost] : []), ...elsewhere].join(', ') || 'nothing elsewhere',
        effects: effects(context, tried, checkId),
        state: tried.finding(checkId)?.state ?? 'holds',
        patches: patchesOf(axis, tried.axis),
        done: done ?? null,
      }
      return [remedy]
    }),
  )
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
