import type { Axis } from '../document/axis'
import { type PartKind, SCREW_ENDS } from '../document/kinds'
import type { Catalogue, PartOf } from '../document/parts/types'

import { byUrgency } from '../evaluation/finding'
import { evaluateAxis } from '../sheets/evaluateAxis'
import type { UnitSystem } from '../units/quantity'
import { type DrivePoint, type Field, fieldOf, pointOf } from './field'
import { assemble, bearingSuits, emptyAssembly, type Judged, judge } from './judge'
import { axisWith, bare, withParts } from './levels'
import { pairings, seatFits, Torques } from './pairs'
import { beats } from './pareto'
import { searchField } from './search'

/** The kinds of part that a search chooses; a brake is chosen by hand. */
export const SEARCHED_KINDS = ['screw', 'bearing', 'coupler', 'belt', 'motor'] as const
export type SearchedKind = (typeof SEARCHED_KINDS)[number]

/** What stands in the way of a part. */
export type WhyNot =
  /** It is in drives that nothing beats. */
  | { kind: 'chosen'; points: DrivePoint[] }
  /** It works, but other drives beat all that can be made with it. */
  | { kind: 'beaten'; its: DrivePoint; by: DrivePoint }
  /** Whatever goes with it, a check fails; the nearest drive to holding is shown. */
  | { kind: 'fails'; nearest: DrivePoint | null; fails: { title: string; sentence: string }[] }

/** A parts list with one part of a kind, and nothing that would go in its place. */
function only(catalogue: Catalogue, kind: PartKind, partId: string): Catalogue {
  const one = catalogue[kind].get(partId)
  if (!one) throw new Error(`No ${kind} in the parts list is called ${partId}.`)
  const without = kind === 'coupler' ? { belt: new Map() } : kind === 'belt' ? { coupler: new Map() } : {}
  return { ...catalogue, ...without, [kind]: new Map([[partId, one]]) } as Catalogue
}

/** The drive of a field that comes nearest to holding, by its worst margin; null when no parts go together. */
export function nearestOf(field: Field): DrivePoint | null {
  const { demand } = field
  const pairs = pairings(demand, field.links, field.motors)
  const assembly = emptyAssembly()
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  let nearest: DrivePoint | null = null
  for (const screw of field.screws) {
    const torques = new Torques(screw)
    for (const bearing of field.bearings) {
      const suits = bearingSuits(demand, screw, bearing)
      if (suits === 0) continue
      for (const { link, motor, bears } of pairs) {
        if (!seatFits(link, bearing.part.couplerSeatMm)) continue
        assemble(demand, screw, bearing, suits, link, assembly)
        if (nearest && Math.min(assembly.margin, bears) <= nearest.margin) continue
        const { topNm, cuttingNm } = torques.of(motor, link.ratio)
        judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, true, judged)
        if (!nearest || judged.margin > nearest.margin)
          nearest = pointOf(screw, bearing, link, motor, assembly.priceEur + motor.priceEur, judged)
      }
    }
  }
  return nearest
}

/** The checks that fail on an axis, as sentences. */
function failsOf(axis: Axis, catalogue: Catalogue, units: UnitSystem) {
  return byUrgency(evaluateAxis(axis, catalogue, units).driveFindings)
    .filter(finding => finding.state === 'fails' || (finding.state === 'unknown' && finding.missing === null))
    .map(({ title, sentence }) => ({ title, sentence }))
}

/** The screw that comes nearest to holding on its own, for an axis on which none does. */
function leastBadScrew(axis: Axis, catalogue: Catalogue, units: UnitSystem) {
  const tried = [...catalogue.screw.keys()].flatMap(screw =>
    SCREW_ENDS.map(ends => {
      const held: Axis = { ...withParts(bare(axis), { screw }), ends }
      const margins = evaluateAxis(held, catalogue, units).findings.flatMap(
        ({ rankMargin }) => rankMargin ?? [],
      )
      return { held, margin: Math.min(...margins) }
    }),
  )
  return tried.toSorted((a, b) => b.margin - a.margin)[0]?.held ?? axis
}

/** Why no drive of an axis holds: what fails on the one that comes nearest. */
export function whyNothing(axis: Axis, catalogue: Catalogue, units: UnitSystem) {
  const nearest = nearestOf(fieldOf(axis, catalogue))
  const shown = nearest ? axisWith(axis, nearest) : leastBadScrew(axis, catalogue, units)
  return { nearest, fails: failsOf(shown, catalogue, units) }
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
  units: UnitSystem,
): WhyNot {
  const chosen = points.filter(point => point[kind] === partId)
  if (chosen.length) return { kind: 'chosen', points: chosen }
  const restricted = only(catalogue, kind, partId)
  const field = fieldOf(axis, restricted)
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
