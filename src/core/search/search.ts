import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'

import type { Demand } from './demand'
import {
  type Field,
  fieldOf,
  heightMm,
  massOf,
  paretoOf,
  pointOf,
  resultOf,
  type SearchResult,
} from './field'
import {
  type Assembly,
  assemble,
  bearingSuits,
  emptyAssembly,
  type Judged,
  judge,
  lostWithoutLinkUm,
  priceWithoutLinkEur,
} from './judge'
import type { BearingLevel, LinkLevel, ScrewLevel } from './levels'
import { type Pair, pairings, pairsFor, Torques } from './pairs'
import type { Shelf } from './pareto'
import { dragOn, LOOSE, type PairGroup, Profiles } from './profile'
import { ANYTHING, type Within } from './within'

/** The bearings that a screw can have, with the margin that the two decide. */
function suitedBearings({ demand, within, bearings }: Field, screw: ScrewLevel) {
  return bearings.flatMap(bearing => {
    if (heightMm(screw, bearing) > within.mostHeightMm) return []
    const suits = bearingSuits(demand, screw, bearing)
    return suits > 0 ? [{ bearing, suits }] : []
  })
}

type Suited = ReturnType<typeof suitedBearings>[number]

/** The most margin that is left once a drive loses this much motion. */
const lostMargin = (demand: Demand, lostMotionUm: number) =>
  ((demand.holds.lostMotion * demand.lostMotionUm) / lostMotionUm) * (1 + LOOSE)

/** A screw on its bearings, with what nothing that is added can better. */
interface Held {
  screw: ScrewLevel
  bearing: BearingLevel
  suits: number
  shelf: number
  priceEur: number
  mostMargin: number
  leastLostUm: number
}

export interface SearchWatch {
  /** Called between screws with the share of the work that is done. */
  progress?: (share: number) => void
  /** Asked between screws; true stops the search. */
  cancelled?: () => boolean
}

/** The screws of a field by part, each with the ways to hold its ends. */
export function byPart(screws: ScrewLevel[]): ScrewLevel[][] {
  const parts = new Map<string, ScrewLevel[]>()
  for (const screw of screws) parts.set(screw.part.id, [...(parts.get(screw.part.id) ?? []), screw])
  return [...parts.values()]
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
export function searchField(field: Field, { progress, cancelled }: SearchWatch = {}): SearchResult | null {
  const { demand, within, screws, bearings, links, motors } = field
  const anyMass = within.mostMassKg === Number.POSITIVE_INFINITY
  const seats = [...new Set(bearings.map(({ part }) => part.couplerSeatMm))]
  const pairs = pairings(demand, links, motors)
  const pairsOf = seats.map(seatMm => ({ seatMm, fitting: pairsFor(pairs, seatMm, anyMass) }))
  const best = paretoOf(field)
  const profiles = new Profiles(demand, pairs)
  /** What a screw on its bearings comes to with each link, put together once for all motors. */
  const assemblies = new Map<LinkLevel, { held: Held | null; assembly: Assembly }>(
    links.map(link => [link, { held: null, assembly: emptyAssembly() }]),
  )
  const assembled = (held: Held, link: LinkLevel): Assembly => {
    const known = assemblies.get(link) as { held: Held | null; assembly: Assembly }
    if (known.held !== held) assemble(demand, held.screw, held.bearing, held.suits, link, known.assembly)
    known.held = held
    return known.assembly
  }
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  let count = 0

  /** A drive that loses more fails. */
  const failsBeyondUm =
    ((demand.holds.lostMotion * demand.lostMotionUm) / demand.fails.lostMotion) * (1 + LOOSE)

  const hold = (screw: ScrewLevel, { bearing, suits }: Suited): Held => {
    const leastLostUm = lostWithoutLinkUm(demand, screw, bearing) * (1 - LOOSE)
    return {
      screw,
      bearing,
      suits,
      shelf: best.shelf(heightMm(screw, bearing)),
      priceEur: priceWithoutLinkEur(screw, bearing),
      // Without any looseness: many drives have the very margin of their screw, and the cheapest of them beats the rest.
      mostMargin: Math.min(screw.margin, bearing.margin, suits, lostMargin(demand, leastLostUm)),
      leastLostUm,
    }
  }

  /** Tries pairs with a screw on its bearings: motor by motor, those first of which the cheapest pair is cheapest. */
  const tryPairs = (held: Held, groups: readonly PairGroup[], rivals: Shelf) => {
    const { screw, bearing, shelf } = held
    const mostEur = Math.min(within.mostPriceEur, rivals.cheapest(held.mostMargin, held.leastLostUm))
    const dragNm = dragOn(screw, bearing.part.dragTorqueNm)
    for (const group of groups) {
      if (held.priceEur + group.leastEur > mostEur) break
      const groupLostUm =
        (held.leastLostUm + group.leastLinkLostUm + group.leastLagUmPerNm * dragNm) * (1 - LOOSE)
      if (groupLostUm > failsBeyondUm) continue
      const groupMargin = Math.min(held.mostMargin, group.mostMargin, lostMargin(demand, groupLostUm))
      if (rivals.beats(held.priceEur + group.leastEur, groupMargin, groupLostUm)) continue
      for (const pair of group.pairs) {
        const priceEur = held.priceEur + pair.priceEur
        if (priceEur > mostEur) break
        const { link, motor, bears, place } = pair
        if (!anyMass && !(massOf(demand, screw, bearing, link, motor) <= within.mostMassKg)) continue
        const lostUm = (held.leastLostUm + profiles.leastLostUm(place, dragNm)) * (1 - LOOSE)
        if (lostUm > failsBeyondUm) continue
        const most = Math.min(
          held.mostMargin,
          profiles.mostMargin[place] as number,
          lostMargin(demand, lostUm),
        )
        if (rivals.beats(priceEur, most, lostUm)) continue
        const assembly = assembled(held, link)
        count++
        const topNm = profiles.topNm[place] as number
        const cuttingNm = profiles.cuttingNm[place] as number
        judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, false, judged)
        const { feasible, margin, lostMotionUm } = judged
        if (!feasible || rivals.beats(priceEur, margin, lostMotionUm)) continue
        best.offer(shelf, pointOf(field, screw, bearing, link, motor, priceEur, judged))
        rivals.put(priceEur, margin, lostMotionUm)
      }
    }
  }

  /** Tries all that is worth trying with a screw part on bearings of one seat. */
  const trySeated = (held: Held[], fitting: Pair[]) => {
    const mostMargin = Math.max(...held.map(one => one.mostMargin))
    const leastLostUm = Math.min(...held.map(one => one.leastLostUm))
    const leastEur = Math.min(...held.map(one => one.priceEur))
    const shelves = new Map<number, Shelf>()
    for (const { shelf } of held)
      if (!shelves.has(shelf)) shelves.set(shelf, best.rivals(shelf, mostMargin, leastLostUm))
    const mostEur = Math.min(
      within.mostPriceEur,
      Math.max(
        ...held.map(one => (shelves.get(one.shelf) as Shelf).cheapest(one.mostMargin, one.leastLostUm)),
      ),
    )
    // The lowest of them has the fewest rivals.
    const rivals = shelves.get(Math.min(...shelves.keys())) as Shelf
    const tried = profiles.worthTrying(fitting, mostEur - leastEur, (pair, margin, lost) => {
      const lostUm = (leastLostUm + lost) * (1 - LOOSE)
      const most = Math.min(mostMargin, margin, lostMargin(demand, lostUm))
      return lostUm > failsBeyondUm || rivals.beats(leastEur + pair.priceEur, most, lostUm)
    })
    const groups = profiles.grouped(tried)
    for (const one of held) tryPairs(one, groups, shelves.get(one.shelf) as Shelf)
  }

  // Screws of one lead turn alike, so their motors are asked once.
  const byLead = new Map<number, Torques>()
  const torquesOf = (screw: ScrewLevel) => {
    const known = byLead.get(screw.part.leadMm) ?? new Torques(screw)
    byLead.set(screw.part.leadMm, known)
    return known
  }

  const parts = byPart(screws)
  for (const [index, sames] of parts.entries()) {
    if (cancelled?.()) return null
    progress?.(index / parts.length)
    const held = sames.flatMap(screw => suitedBearings(field, screw).map(suited => hold(screw, suited)))
    const [first] = held
    if (!first) continue
    profiles.meet(
      // The kindest of the ways to hold its ends: stretched, it does not grow.
      { ...first.screw, growthUm: Math.min(...held.map(({ screw }) => screw.growthUm)) },
      held.map(({ bearing }) => bearing),
      torquesOf(first.screw),
    )
    for (const { seatMm, fitting } of pairsOf) {
      const seated = held.filter(({ bearing }) => bearing.part.couplerSeatMm === seatMm)
      if (seated.length > 0) trySeated(seated, fitting)
    }
  }
  progress?.(1)
  return resultOf(field, best, count)
}

/** Lays out the field of an axis and searches it, within what is given. */
export const searchDrives = (
  axis: Axis,
  catalogue: Catalogue,
  within: Within = ANYTHING,
  watch?: SearchWatch,
): SearchResult | null => searchField(fieldOf(axis, catalogue, within), watch)
