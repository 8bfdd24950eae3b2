import type { Axis } from '../document/axis'
import type { PartKind } from '../document/kinds'
import type { Catalogue, PartOf } from '../document/parts/types'

import { byUrgency } from '../evaluation/finding'
import { evaluateAxis } from '../sheets/evaluateAxis'
import type { UnitSystem } from '../units/quantity'
import { type DrivePoint, fieldOf } from './field'
import { axisWith, bare, withParts } from './levels'
import { nearestOf } from './nearest'
import { beats } from './pareto'
import { searchDrives, searchField } from './search'
import { givenThings, type Supply, takenParts, type Within, withinOf } from './within'

/** The kinds of part that a search chooses; a brake is chosen by hand. */
export const SEARCHED_KINDS = ['screw', 'bearing', 'coupler', 'belt', 'motor'] as const
export type SearchedKind = (typeof SEARCHED_KINDS)[number]

/** What stands in the way of a part. */
export type WhyNot =
  /** It is in drives that nothing beats. */
  | { kind: 'chosen'; points: DrivePoint[] }
  /** It works, but other drives beat all that can be made with it. */
  | { kind: 'beaten'; its: DrivePoint; by: DrivePoint }
  /** The search keeps to what it is no part of. */
  | { kind: 'outside'; given: string[] }
  /** Whatever goes with it, a check fails; the nearest drive to holding is shown. */
  | { kind: 'fails'; nearest: DrivePoint | null; fails: { title: string; sentence: string }[] }

/** A parts list with one part of a kind, and nothing that would go in its place. */
function only(catalogue: Catalogue, kind: PartKind, partId: string): Catalogue {
  const one = catalogue[kind].get(partId)
  if (!one) throw new Error(`No ${kind} in the parts list is called ${partId}.`)
  const without = kind === 'coupler' ? { belt: new Map() } : kind === 'belt' ? { coupler: new Map() } : {}
  return { ...catalogue, ...without, [kind]: new Map([[partId, one]]) } as Catalogue
}

/** The checks that fail on an axis, as sentences. */
function failsOf(axis: Axis, catalogue: Catalogue, units: UnitSystem) {
  return byUrgency(evaluateAxis(axis, catalogue, units).driveFindings)
    .filter(finding => finding.state === 'fails' || (finding.state === 'unknown' && finding.missing === null))
    .map(({ title, sentence }) => ({ title, sentence }))
}

/** The screw that comes nearest to holding on its own, for an axis on which none does. */
function leastBadScrew(axis: Axis, catalogue: Catalogue, within: Within, units: UnitSystem): Axis | null {
  const tried = takenParts(catalogue, within, 'screw').flatMap(part =>
    within.endsOf(part).map(ends => {
      const held: Axis = { ...withParts(bare(axis), { screw: part.id }), ends }
      const margins = evaluateAxis(held, catalogue, units).findings.flatMap(
        ({ rankMargin }) => rankMargin ?? [],
      )
      return { held, margin: Math.min(...margins) }
    }),
  )
  return tried.toSorted((a, b) => b.margin - a.margin)[0]?.held ?? null
}

/** What there would be on an axis that is asked a little otherwise. */
interface Brings {
  /** How many drives would hold then and be beaten by nothing; where none would, how many would be close. */
  count: number
  holds: boolean
  /** What the cheapest of them costs. */
  leastEur: number
}

/** What there would be without one of the things that a search keeps to. */
export interface Lifted extends Brings {
  /** That thing, in words. */
  given: string
}

/** Why no drive of an axis holds, within what is given. */
export interface WhyNothing {
  nearest: DrivePoint | null
  /** What fails on the nearest. */
  fails: { title: string; sentence: string }[]
  /** Kinds of part of which nothing at all is left. */
  lacking: PartKind[]
  /** What there would be with the lead measured and corrected in the controller; null where that changes nothing. */
  corrected: Brings | null
  /** Things that are given, each with what there would be without it; what changes nothing is left out. */
  lifted: Lifted[]
}

const LINKS: readonly PartKind[] = ['coupler', 'belt']

/** Kinds of part of which what is given leaves nothing; coupler and belt stand for each other. */
function lackingKinds(catalogue: Catalogue, within: Within): PartKind[] {
  const isLeft = (kind: PartKind) => takenParts(catalogue, within, kind).length > 0
  const kinds: PartKind[] = (['screw', 'bearing', 'motor'] as const).filter(kind => !isLeft(kind))
  return LINKS.some(isLeft) ? kinds : [...kinds, 'coupler']
}

/** Why no drive of an axis holds within what is given: what fails on the one that comes nearest, and what stands in the way. */
export function whyNothing(axis: Axis, catalogue: Catalogue, supply: Supply, units: UnitSystem): WhyNothing {
  const within = withinOf(axis, catalogue, supply)
  const brings = (on: Axis): Brings | null => {
    const all = searchDrives(on, catalogue, withinOf(on, catalogue, supply))?.points ?? []
    const holding = all.filter(({ margin }) => margin >= 1)
    const points = holding.length > 0 ? holding : all
    const [cheapest] = points
    return cheapest ? { count: points.length, holds: holding.length > 0, leastEur: cheapest.priceEur } : null
  }
  const { leadTable } = axis.drive
  const corrected = leadTable ? null : brings({ ...axis, drive: { ...axis.drive, leadTable: true } })
  const lifted = givenThings(axis, catalogue, units).flatMap(({ words, without }): Lifted[] => {
    const brought = brings(without)
    return brought ? [{ given: words, ...brought }] : []
  })
  // Where a limit alone stands in the way, no part of a drive does.
  const isSaid = corrected !== null || lifted.length > 0
  const nearest = isSaid ? null : nearestOf(fieldOf(axis, catalogue, within))
  const shown = nearest ? axisWith(axis, nearest) : leastBadScrew(axis, catalogue, within, units)
  return {
    nearest,
    corrected,
    fails: shown && !isSaid ? failsOf(shown, catalogue, units) : [],
    lacking: lackingKinds(catalogue, within),
    lifted: lifted.toSorted((a, b) => Number(b.holds) - Number(a.holds) || a.leastEur - b.leastEur),
  }
}

/**
 * Why a part is not among the drives that nothing beats.
 *
 * @param points the drives that nothing beats, of the whole parts list
 * @throws Error when there is no such part
 */
export function whyNot<K extends SearchedKind>(
  axis: Axis,
  catalogue: Catalogue,
  kind: K,
  partId: PartOf[K]['id'],
  points: readonly DrivePoint[],
  supply: Supply,
  units: UnitSystem,
): WhyNot {
  const chosen = points.filter(point => point[kind] === partId)
  if (chosen.length) return { kind: 'chosen', points: chosen }
  const restricted = only(catalogue, kind, partId)
  const within = withinOf(axis, catalogue, supply)
  const part = (restricted[kind] as ReadonlyMap<string, PartOf[K]>).get(partId) as PartOf[K]
  if (!within.takes(kind, part))
    return { kind: 'outside', given: givenThings(axis, catalogue, units).map(({ words }) => words) }
  const field = fieldOf(axis, restricted, within)
  const its = searchField(field)?.points ?? []
  for (const one of its) {
    const by = points.find(point => beats(point, one))
    if (by) return { kind: 'beaten', its: one, by }
  }
  const nearest = nearestOf(field)
  const alone = withParts(bare(axis), { [kind]: partId })
  return {
    kind: 'fails',
    nearest,
    fails: failsOf(nearest ? axisWith(axis, nearest) : alone, catalogue, units),
  }
}
