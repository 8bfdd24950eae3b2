import type { Axis } from '../../job/types'
import { LIMITS, MOST_MARGIN } from '../../verdicts/finding'
import type { Catalogue } from '../parts'
import { SCREW_ENDS, type ScrewEnds } from '../screw'
import { type Demand, demandOf } from './demand'
import {
  assemble,
  bearingSuits,
  emptyAssembly,
  type Judged,
  judge,
  lostWithoutLinkUm,
  priceWithoutLinkEur,
} from './judge'
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
import { pairings, pairsFor, Torques } from './pairs'
import { type Merits, ParetoSet } from './pareto'
import { bearingSpan, type Profile, profile, worthTrying } from './profile'

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

/** Ends that a nut can be driven between; the free choices of a search. */
const ENDS: readonly ScrewEnds[] = SCREW_ENDS

/**
 * Lays out everything that can go into the drive of an axis; what fails alone is left out at once.
 *
 * @throws NotKnown while a dimension is not known
 */
export function fieldOf(axis: Axis, catalogue: Catalogue): Field {
  const empty = bare(axis)
  const demand = demandOf(empty, catalogue)
  const motors = [...catalogue.motor.values()].map((part, place) => motorLevel(empty, part, place))
  const links = [
    ...[...catalogue.coupler.values()].map(part => couplerLevel(empty, catalogue, part)),
    ...[...catalogue.belt.values()].map(part => beltLevel(empty, catalogue, part)),
  ]
  const known = <T>(levels: (T | null)[]) => levels.filter(level => level !== null)
  return {
    demand,
    screws: known(
      [...catalogue.screw.values()].flatMap(part =>
        ENDS.map(ends => screwLevel(empty, catalogue, part, ends)),
      ),
    ).toSorted((a, b) => a.priceEur - b.priceEur),
    bearings: known(
      [...catalogue.bearing.values()].map(part => bearingLevel(empty, catalogue, part)),
    ).toSorted((a, b) => a.priceEur - b.priceEur),
    links: known(links).toSorted((a, b) => a.priceEur - b.priceEur),
    motors: motors.toSorted((a, b) => a.priceEur - b.priceEur),
    combinations:
      catalogue.screw.size * ENDS.length * catalogue.bearing.size * links.length * catalogue.motor.size,
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

const heightMm = (screw: ScrewLevel, bearing: BearingLevel) =>
  Math.max(screw.part.nutFlangeDiameterMm, bearing.part.blockHeightMm)

/** The bearings that a screw can have, with the margin that the two decide. */
function suitedBearings({ demand, bearings }: Field, screw: ScrewLevel) {
  return bearings.flatMap(bearing => {
    const suits = bearingSuits(demand, screw, bearing)
    return suits > 0 ? [{ bearing, suits }] : []
  })
}

type Suited = ReturnType<typeof suitedBearings>[number]
type Tried = Pick<Profile, 'pair' | 'topNm' | 'cuttingNm' | 'mostMargin' | 'leastLostUm'>

/** A bound must be no worse than what it bounds, also when sums are rounded in another order. */
const LOOSE = 1e-12

/** The most margin that is left once a drive loses this much motion. */
const marginBound = (demand: Demand, margin: number, lostMotionUm: number) =>
  Math.min(margin, (LIMITS['axis.lostMotion'].holds * demand.lostMotionUm) / lostMotionUm) * (1 + LOOSE)

export interface SearchWatch {
  /** Called between screws with the share of the work that is done. */
  progress?: (share: number) => void
  /** Asked between screws; true stops the search. */
  cancelled?: () => boolean
  /** Without it nothing is left out early: plain enumeration, by which the search is tested and measured. */
  prune?: boolean
}

/**
 * The exact set of drives that nothing beats at once on price, worst margin, lost motion and height.
 *
 * Screw, ends and bearings are settled first, then what joins motor and screw, then the motor. At each step
 * a drive can only become dearer, lose margin and lose more motion, so a beginning that is already beaten is
 * left out with all its ends.
 *
 * @returns null when it was cancelled
 */
export function searchField(
  field: Field,
  { progress, cancelled, prune = true }: SearchWatch = {},
): SearchResult | null {
  const { demand, screws, bearings, links, motors } = field
  const seats = [...new Set(bearings.map(({ part }) => part.couplerSeatMm))]
  const pairs = pairings(links, motors)
  const pairsOf = seats.map(seatMm => ({ seatMm, fitting: pairsFor(pairs, seatMm, prune) }))
  const best = new ParetoSet<DrivePoint>(
    screws.flatMap(screw => bearings.map(bearing => heightMm(screw, bearing))),
  )
  const assembly = emptyAssembly()
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  let count = 0

  /** Tries pairs with a screw and its bearings, cheapest first. */
  const tryPairs = (screw: ScrewLevel, { bearing, suits }: Suited, tried: Tried[]) => {
    const height = heightMm(screw, bearing)
    const shelf = best.shelf(height)
    const baseMargin = Math.min(screw.margin, bearing.margin, suits)
    const baseLostUm = lostWithoutLinkUm(demand, screw, bearing) * (1 - LOOSE)
    const baseEur = priceWithoutLinkEur(screw, bearing)
    // Dearer than this, nothing with this screw and these bearings is worth judging.
    const mostEur = prune
      ? best.cheapest(shelf, marginBound(demand, baseMargin, baseLostUm), baseLostUm)
      : Number.POSITIVE_INFINITY
    let joined: LinkLevel | null = null
    for (const one of tried) {
      const { pair, topNm, cuttingNm } = one
      const { link, motor, bears } = pair
      const priceEur = baseEur + pair.priceEur
      if (priceEur > mostEur) break
      if (prune) {
        const lostUm = (baseLostUm + one.leastLostUm) * (1 - LOOSE)
        const margin = marginBound(demand, Math.min(baseMargin, one.mostMargin), lostUm)
        if (best.cheapest(shelf, margin, lostUm) < priceEur) continue
      }
      if (link !== joined) assemble(demand, screw, bearing, suits, link, assembly)
      joined = link
      count++
      judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, false, judged)
      if (!judged.feasible) continue
      const { margin, lostMotionUm } = judged
      if (best.cheapest(shelf, margin, lostMotionUm) < priceEur) continue
      best.offer(shelf, pointOf(screw, bearing, link, motor, priceEur, judged))
    }
  }

  /** The least that a screw costs with its bearings, and the most that is worth paying for what it can be at best. */
  const boundsOf = (held: ScrewLevel[], suited: Suited[][]) => {
    let leastEur = Number.POSITIVE_INFINITY
    let mostEur = 0
    for (const [index, screw] of held.entries())
      for (const { bearing, suits } of suited[index] as Suited[]) {
        const lostUm = lostWithoutLinkUm(demand, screw, bearing) * (1 - LOOSE)
        const margin = marginBound(demand, Math.min(screw.margin, bearing.margin, suits), lostUm)
        leastEur = Math.min(leastEur, priceWithoutLinkEur(screw, bearing))
        mostEur = Math.max(mostEur, best.cheapest(best.shelf(heightMm(screw, bearing)), margin, lostUm))
      }
    return { leastEur, mostEur }
  }

  const parts = new Map<string, ScrewLevel[]>()
  for (const screw of screws) parts.set(screw.part.id, [...(parts.get(screw.part.id) ?? []), screw])
  let done = 0
  for (const held of parts.values()) {
    if (cancelled?.()) return null
    progress?.(done++ / parts.size)
    const [screw] = held as [ScrewLevel]
    const suited = held.map(one => suitedBearings(field, one))
    if (suited.every(sets => sets.length === 0)) continue
    const span = bearingSpan(suited.flat().map(({ bearing }) => bearing))
    const torques = new Torques(screw)
    const { leastEur, mostEur } = prune
      ? boundsOf(held, suited)
      : { leastEur: 0, mostEur: Number.POSITIVE_INFINITY }
    const met: (Tried | null)[] = new Array(pairs.length)
    for (const { seatMm, fitting } of pairsOf) {
      const seated = suited.map(sets => sets.filter(({ bearing }) => bearing.part.couplerSeatMm === seatMm))
      if (seated.every(sets => sets.length === 0)) continue
      const profiles: Tried[] = []
      for (const pair of fitting) {
        if (leastEur + pair.priceEur > mostEur) break
        let one = met[pair.place]
        if (one === undefined) {
          one = prune
            ? profile(demand, screw, pair, torques, span)
            : { pair, ...torques.of(pair.motor, pair.link.ratio), mostMargin: MOST_MARGIN, leastLostUm: 0 }
          met[pair.place] = one
        }
        if (one) profiles.push(one)
      }
      const tried = prune ? worthTrying(demand, held, profiles as Profile[], span) : profiles
      for (const [index, one] of held.entries())
        for (const set of seated[index] as Suited[]) tryPairs(one, set, tried)
    }
  }
  progress?.(1)
  return {
    points: best.all.toSorted((a, b) => a.priceEur - b.priceEur || b.margin - a.margin),
    combinations: field.combinations,
    judged: count,
  }
}

/** Lays out the field of an axis and searches it. */
export const searchDrives = (axis: Axis, catalogue: Catalogue, watch?: SearchWatch): SearchResult | null =>
  searchField(fieldOf(axis, catalogue), watch)
