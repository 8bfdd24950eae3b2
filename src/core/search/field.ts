import type { Axis } from '../document/axis'
import { SCREW_ENDS } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'

import { type Demand, demandOf } from './demand'
import type { Judged } from './judge'
import {
  type BearingLevel,
  bare,
  bearingLevel,
  beltLevel,
  couplerLevel,
  type DriveChoice,
  type LinkLevel,
  type MotorLevel,
  motorLevel,
  type ScrewLevel,
  screwLevel,
} from './levels'
import { type Merits, ParetoSet } from './pareto'

/** A whole drive that the search has found, with what it is weighed by. */
export interface DrivePoint extends Merits, DriveChoice {}

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
  screws: ScrewLevel[]
  bearings: BearingLevel[]
  links: LinkLevel[]
  motors: MotorLevel[]
  combinations: number
}

/**
 * Lays out everything that can go into the drive of an axis; what fails alone is left out at once.
 *
 * @throws NotKnown while a dimension is not known
 */
export function fieldOf(axis: Axis, catalogue: Catalogue): Field {
  const empty = bare(axis)
  const demand = demandOf(empty, catalogue)
  const motors = [...catalogue.motor.values()].map((part, place) => motorLevel(empty, catalogue, part, place))
  const links = [
    ...[...catalogue.coupler.values()].map(part => couplerLevel(empty, catalogue, part)),
    ...[...catalogue.belt.values()].map(part => beltLevel(empty, catalogue, part)),
  ]
  const known = <T>(levels: (T | null)[]) => levels.filter(level => level !== null)
  return {
    demand,
    screws: known(
      [...catalogue.screw.values()].flatMap(part =>
        SCREW_ENDS.map(ends => screwLevel(empty, catalogue, part, ends)),
      ),
    ).toSorted((a, b) => a.priceEur - b.priceEur),
    bearings: known(
      [...catalogue.bearing.values()].map(part => bearingLevel(empty, catalogue, part)),
    ).toSorted((a, b) => a.priceEur - b.priceEur),
    links: known(links).toSorted((a, b) => a.priceEur - b.priceEur),
    motors: known(motors).toSorted((a, b) => a.priceEur - b.priceEur),
    combinations:
      catalogue.screw.size * SCREW_ENDS.length * catalogue.bearing.size * links.length * catalogue.motor.size,
  }
}

/** A drive as the search reports it. */
export const pointOf = (
  screw: ScrewLevel,
  bearing: BearingLevel,
  link: LinkLevel,
  motor: MotorLevel,
  priceEur: number,
  { margin, lostMotionUm }: Judged,
): DrivePoint => ({
  priceEur,
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

/** An empty set for the drives of a field. */
export const paretoOf = ({ screws, bearings }: Field) =>
  new ParetoSet<DrivePoint>(screws.flatMap(screw => bearings.map(bearing => heightMm(screw, bearing))))

export const resultOf = (field: Field, best: ParetoSet<DrivePoint>, judged: number): SearchResult => ({
  points: best.all.toSorted((a, b) => a.priceEur - b.priceEur || b.margin - a.margin),
  combinations: field.combinations,
  judged,
})
