import type { Axis } from '../document/axis'
import type { PartKind } from '../document/kinds'
import type { Catalogue, PartOf } from '../document/parts/types'
import { FAR_END_SHARE } from '../machine/drive/price'

import { evaluateAxis } from '../sheets/evaluateAxis'
import { type Demand, demandOf } from './demand'
import { type Judged, screwLengthMm } from './judge'
import {
  type BearingLevel,
  bare,
  bearingLevel,
  beltLevel,
  couplerLevel,
  type DriveChoice,
  type Level,
  type LinkLevel,
  type MotorLevel,
  motorLevel,
  type ScrewLevel,
  screwLevels,
} from './levels'
import { type Merits, ParetoSet } from './pareto'
import { withoutDearerTwins } from './twins'
import { ANYTHING, takenParts, type Within } from './within'

/** A whole drive that the search has found, with what it is weighed by. */
export interface DrivePoint extends Merits, DriveChoice {
  /** Null where nobody knows how heavy one of its parts is. */
  massKg: number | null
  /** Days until all of it is there; null where nobody knows of one of its parts. */
  days: number | null
}

export interface SearchResult {
  /** What nothing beats, cheapest first. */
  points: DrivePoint[]
  /** How many whole drives the parts could make. */
  combinations: number
  /** How many of them had to be judged. */
  judged: number
}

/** All that can go into a drive, each part judged alone. */
export interface Field {
  demand: Demand
  within: Within
  screws: ScrewLevel[]
  bearings: BearingLevel[]
  links: LinkLevel[]
  motors: MotorLevel[]
  combinations: number
}

/**
 * Lays out everything that can go into the drive of an axis; what fails alone is left out at once, and so
 * is a part that costs more than one of the same figures, but for what the axis has today.
 *
 * @param within what the search keeps to
 * @throws NotKnown while a dimension is not known
 */
export function fieldOf(axis: Axis, catalogue: Catalogue, within = ANYTHING): Field {
  const base = evaluateAxis(bare(axis), catalogue, 'mm')
  // Judged first: then each part takes over all that does not rest on it.
  base.driveFindings
  const demand = demandOf(base)
  const anyMass = within.mostMassKg === Number.POSITIVE_INFINITY
  const taken = <K extends PartKind>(kind: K) => takenParts(catalogue, within, kind)
  const all = {
    screw: taken('screw'),
    bearing: taken('bearing'),
    coupler: taken('coupler'),
    belt: taken('belt'),
    motor: taken('motor'),
  }
  const parts = <K extends keyof typeof all>(kind: K): PartOf[K][] =>
    withoutDearerTwins<K>(all[kind] as PartOf[K][], anyMass, ({ id }) => id === axis.parts[kind])
  const known = <T extends Level>(levels: (T | null)[]) =>
    levels.filter(level => level !== null).toSorted((a, b) => a.priceEur - b.priceEur)
  return {
    demand,
    within,
    screws: known(parts('screw').flatMap(part => screwLevels(base, within, part))),
    bearings: known(parts('bearing').map(part => bearingLevel(base, within, part))),
    links: known([
      ...parts('coupler').map(part => couplerLevel(base, within, part)),
      ...parts('belt').map(part => beltLevel(base, within, part)),
    ]),
    motors: known(parts('motor').map((part, place) => motorLevel(base, within, part, place))),
    combinations:
      all.screw.reduce((sum, part) => sum + within.endsOf(part).length, 0) *
      all.bearing.length *
      (all.coupler.length + all.belt.length) *
      all.motor.length,
  }
}

/** Weight of a whole drive; not a number where nobody knows that of a part. */
export const massOf = (
  { spanMm }: Demand,
  screw: ScrewLevel,
  bearing: BearingLevel,
  link: LinkLevel,
  motor: MotorLevel,
): number =>
  screw.massKg +
  screw.massPerMmKg * screwLengthMm(spanMm, bearing, link) +
  bearing.massKg * (1 + FAR_END_SHARE[screw.ends]) +
  link.massKg +
  motor.massKg

/** Whether a drive is within what the search keeps to, in what no part decides alone. */
export const isWithin = (
  { within, demand }: Field,
  screw: ScrewLevel,
  bearing: BearingLevel,
  link: LinkLevel,
  motor: MotorLevel,
  priceEur: number,
): boolean =>
  priceEur <= within.mostPriceEur &&
  heightMm(screw, bearing) <= within.mostHeightMm &&
  (within.mostMassKg === Number.POSITIVE_INFINITY ||
    massOf(demand, screw, bearing, link, motor) <= within.mostMassKg)

/** The later of two; none where nobody knows one of them. */
const later = (a: number | null, b: number | null) => (a === null || b === null ? null : Math.max(a, b))

const orNull = (figure: number) => (Number.isNaN(figure) ? null : figure)

/** A drive as the search reports it. */
export const pointOf = (
  { demand }: Field,
  screw: ScrewLevel,
  bearing: BearingLevel,
  link: LinkLevel,
  motor: MotorLevel,
  priceEur: number,
  { margin, lostMotionUm }: Judged,
): DrivePoint => ({
  priceEur,
  massKg: orNull(massOf(demand, screw, bearing, link, motor)),
  days: later(later(screw.days, bearing.days), later(link.days, motor.days)),
  margin,
  lostMotionUm,
  heightMm: heightMm(screw, bearing),
  screw: screw.part.id,
  ends: screw.ends,
  bearing: bearing.part.id,
  transmission: link.belt ? 'belt' : 'direct',
  coupler: link.coupler?.id ?? null,
  belt: link.belt?.id ?? null,
  motor: motor.part.id,
})

export const heightMm = (screw: ScrewLevel, bearing: BearingLevel) =>
  Math.max(screw.part.nutFlangeDiameterMm, bearing.part.blockHeightMm)

/** An empty set for the drives of a field: each is as high as its nut or as its blocks. */
export const paretoOf = ({ screws, bearings }: Field) =>
  new ParetoSet<DrivePoint>([
    ...screws.map(({ part }) => part.nutFlangeDiameterMm),
    ...bearings.map(({ part }) => part.blockHeightMm),
  ])

export const resultOf = (field: Field, best: ParetoSet<DrivePoint>, judged: number): SearchResult => ({
  points: best.all.toSorted((a, b) => a.priceEur - b.priceEur || b.margin - a.margin),
  combinations: field.combinations,
  judged,
})
