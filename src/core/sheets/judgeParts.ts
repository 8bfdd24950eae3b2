import type { Axis } from '../document/axis'
import type { PartKind } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'

import { byUrgency, type Finding, STATES, type State, worstState } from '../evaluation/finding'
import { changedAxis } from '../evaluation/remedy'
import { putPart } from '../machine/driveEdits'
import type { UnitSystem } from '../units/quantity'
import { evaluateAxis } from './evaluateAxis'

/** What a part would make of the drive as it stands. */
export interface PartVerdict {
  partId: string
  /** Worst state of the drive with this part, and how many verdicts are so. */
  worst: State
  worstCount: number
  worstTitles: string
  /** Verdicts that fail or are close now, and would stand better. */
  mends: string[]
  /** Verdicts that would stand worse than now, or would fail where nothing is known now. */
  breaks: string[]
  /** Place among the parts of its kind, 0 for the one that serves the drive best. */
  rank: number
}

const worseThan = (a: State, b: State) => STATES.indexOf(a) < STATES.indexOf(b)

/** What changes between the drive as it stands and with another part in it. */
function compared(before: readonly Finding[], after: readonly Finding[]) {
  const stood = new Map(before.map(({ checkId, state }) => [checkId, state]))
  const stands = new Map(after.map(({ checkId, state }) => [checkId, state]))
  const mends = before.filter(({ checkId, state }) => {
    const next = stands.get(checkId)
    return (
      (state === 'fails' || state === 'close') &&
      next !== undefined &&
      next !== 'unknown' &&
      worseThan(state, next)
    )
  })
  const breaks = after.filter(({ checkId, state }) => {
    const from = stood.get(checkId)
    if (from === undefined || from === 'unknown') return state === 'fails'
    return state !== 'unknown' && worseThan(state, from)
  })
  return { mends: mends.map(({ title }) => title), breaks: breaks.map(({ title }) => title) }
}

/**
 * Every part of a kind, each judged as if the axis had it, in the order of the parts list.
 *
 * @returns with what each would mend and break, and its rank: the fewest that fail, then the fewest that are close, then
 *   the fewest broken, then the most mended
 */
export function judgeParts(
  axis: Axis,
  catalogue: Catalogue,
  kind: PartKind,
  units: UnitSystem,
): PartVerdict[] {
  const now = evaluateAxis(axis, catalogue, units)
  const before = now.driveFindings
  const judged = [...catalogue[kind].keys()].map(partId => {
    const taken = changedAxis(axis, draft => putPart(draft, kind, partId))
    const drive = byUrgency(now.next(taken).driveFindings)
    const worst = worstState(drive) ?? 'unknown'
    const worstOnes = drive.filter(({ state }) => state === worst)
    const count = (state: State) => drive.filter(one => one.state === state).length
    const change = compared(before, drive)
    return {
      verdict: {
        partId,
        worst,
        worstCount: worstOnes.length,
        worstTitles: worstOnes.map(({ title }) => title).join(', '),
        ...change,
      },
      weight: [count('fails'), count('close'), change.breaks.length, -change.mends.length],
    }
  })
  const order = judged.toSorted((a, b) =>
    a.weight.reduce((sum, value, index) => sum || value - (b.weight[index] ?? 0), 0),
  )
  const ranks = new Map(order.map(({ verdict }, rank) => [verdict.partId, rank]))
  return judged.map(({ verdict }) => ({ ...verdict, rank: ranks.get(verdict.partId) ?? 0 }))
}
