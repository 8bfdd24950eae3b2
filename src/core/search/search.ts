import { groupBy } from 'es-toolkit'
import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'

import type { Demand } from './demand'
import { least, most } from './extremes'
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
  emptyAssembly,
  giveMargin,
  giveWithoutLinkUmPerN,
  type Judged,
  judge,
  knownSuits,
  lostWithoutLinkUm,
  priceWithoutLinkEur,
} from './judge'
import type { BearingLevel, LinkLevel, MotorLevel, ScrewLevel } from './levels'
import { type LinkGroup, Links, type Pair } from './pairs'
import type { Shelf } from './pareto'
import {
  COLUMNS,
  CUTTING_NM,
  dragOn,
  EUR,
  GIVE_UM_PER_N,
  LAG_UM_PER_NM,
  LOOSE,
  LOST_UM,
  MARGIN,
  type Meeting,
  Meetings,
  Rows,
  TOP_NM,
} from './profile'
import { ANYTHING, type Within } from './within'

/** The bearings that a screw can have, with the margin that the two decide. */
function suitedBearings({ demand, within, bearings }: Field, screw: ScrewLevel) {
  return bearings.flatMap(bearing => {
    if (heightMm(screw, bearing) > within.mostHeightMm) return []
    const suits = knownSuits(demand, screw, bearing)
    return suits > 0 ? [{ bearing, suits }] : []
  })
}

type Suited = ReturnType<typeof suitedBearings>[number]

/** The most margin that is left once a drive loses this much motion. */
const lostMargin = (demand: Demand, lostMotionUm: number) =>
  ((demand.holds.lostMotion * demand.lostMotionUm) / lostMotionUm) * (1 + LOOSE)

/** What a screw on its bearings comes to, and nothing that is added can better. */
interface HeldBest {
  priceEur: number
  mostMargin: number
  leastLostUm: number
  giveUmPerN: number
}
interface Held extends HeldBest {
  screw: ScrewLevel
  bearing: BearingLevel
  suits: number
  shelf: number
}

/** Pairs, groups of pairs or blocks of groups: a row of figures, and the rows that it is the best of. */
interface Span {
  row: number
  from: number
  to: number
}

/** So many groups are asked at once. */
const BLOCK = 8

export interface SearchWatch {
  /** Called between screws with the share of the work that is done. */
  progress?: (share: number) => void
  /** Asked between screws; true stops the search. */
  cancelled?: () => boolean
}

/** The screws of a field by part, each with the ways to hold its ends. */
export function byPart(screws: ScrewLevel[]): ScrewLevel[][] {
  const parts = new Map<string, ScrewLevel[]>()
  for (const screw of screws) {
    const known = parts.get(screw.part.id)
    if (known) known.push(screw)
    else parts.set(screw.part.id, [screw])
  }
  return [...parts.values()]
}

/** A field of more parts of a kind is first searched with one part in so many. */
const FEW = 12
const ONE_IN = 4

/** One part in a few of each kind, or the field itself where there are few. */
function thinned(field: Field): Field {
  const { screws, bearings, links, motors } = field
  const most = Math.max(screws.length, bearings.length, links.length, motors.length)
  if (most <= FEW) return field
  const few = <T>(all: T[]): T[] => (all.length > FEW ? all.filter((_, i) => i % ONE_IN === 0) : all)
  return {
    ...field,
    screws: few(screws),
    bearings: few(bearings),
    links: few(links),
    motors: few(motors),
  }
}

/**
 * The exact set of drives that nothing beats at once on price, worst margin, lost motion and height.
 *
 * Screw, ends and bearings are settled first, then what joins motor and screw, then the motor. At each step
 * a drive can only become dearer, lose margin and lose more motion, so a beginning that is already beaten is
 * left out with all its ends; so is a whole group of beginnings, when a drive as good as the best of each in
 * every figure would be beaten. What a search of a few of the parts finds is there to beat from the start.
 *
 * @returns null when it was cancelled
 */
export function searchField(field: Field, watch: SearchWatch = {}): SearchResult | null {
  const { progress, cancelled } = watch
  const { demand, within, screws, links, motors } = field
  const anyMass = within.mostMassKg === Number.POSITIVE_INFINITY
  const best = paretoOf(field)
  const fewer = thinned(field)
  if (fewer !== field) {
    const known = searchField(fewer, { cancelled })
    if (known === null) return null
    for (const point of known.points) best.expect(best.shelf(point.heightMm), point)
  }
  const meetings = new Meetings(demand)
  const joined = new Links(demand, links, { anyMass })
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
    const giveUmPerN = giveWithoutLinkUmPerN(screw, bearing)
    return {
      screw,
      bearing,
      suits,
      shelf: best.shelf(heightMm(screw, bearing)),
      priceEur: priceWithoutLinkEur(screw, bearing),
      // Without any looseness: many drives have the very margin of their screw, and the cheapest of them beats the rest.
      mostMargin: Math.min(screw.margin, bearing.margin, suits, lostMargin(demand, leastLostUm)),
      leastLostUm,
      giveUmPerN,
    }
  }

  /** What may be worth trying with the screw in hand: links with motors, their groups, and blocks of those. */
  const pairs: Pair[] = []
  const pairRows = new Rows()
  const groupRows = new Rows()
  const sortedRows = new Rows()
  const blockRows = new Rows()

  /** Whether the best of some pairs fails with a screw on its bearings, or is beaten. */
  const isOut = (held: HeldBest, { figures }: Rows, at: number, dragNm: number, rivals: Shelf): boolean => {
    const linkLostUm = figures[at + LOST_UM] as number
    const lagUm = (figures[at + LAG_UM_PER_NM] as number) * dragNm
    const lostUm = (held.leastLostUm + linkLostUm + lagUm) * (1 - LOOSE)
    if (lostUm > failsBeyondUm) return true
    const giveUmPerN = (held.giveUmPerN + (figures[at + GIVE_UM_PER_N] as number)) * (1 - LOOSE)
    const gives = giveMargin(demand, giveUmPerN)
    if (gives === 0) return true
    const pairMargin = figures[at + MARGIN] as number
    const margin = Math.min(held.mostMargin, pairMargin, gives, lostMargin(demand, lostUm))
    return rivals.beats(held.priceEur + (figures[at + EUR] as number), margin, lostUm)
  }

  /** Judges links with a motor and a screw on its bearings. */
  const tryGroup = (held: Held, { from, to }: Span, dragNm: number, mostEur: number, rivals: Shelf) => {
    const { screw, bearing, shelf } = held
    for (let row = from; row < to; row++) {
      const { link, motor, bears, priceEur: pairEur } = pairs[row] as Pair
      const priceEur = held.priceEur + pairEur
      if (priceEur > mostEur) return
      if (!anyMass && !(massOf(demand, screw, bearing, link, motor) <= within.mostMassKg)) continue
      if (isOut(held, pairRows, row * COLUMNS, dragNm, rivals)) continue
      const assembly = assembled(held, link)
      count++
      const topNm = pairRows.at(row, TOP_NM)
      const cuttingNm = pairRows.at(row, CUTTING_NM)
      judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, false, judged)
      const { feasible, margin, lostMotionUm } = judged
      if (!feasible || rivals.beats(priceEur, margin, lostMotionUm)) continue
      best.offer(shelf, pointOf(field, screw, bearing, link, motor, priceEur, judged))
      rivals.put(priceEur, margin, lostMotionUm)
    }
  }

  /** Tries groups of links and motors with a screw on its bearings, those first of which the cheapest is cheapest. */
  const tryGroups = (held: Held, groups: readonly Span[], blocks: readonly Span[], rivals: Shelf) => {
    const dragNm = dragOn(held.screw, held.bearing.part.dragTorqueNm)
    const mostEur = Math.min(within.mostPriceEur, rivals.cheapest(held.mostMargin, held.leastLostUm))
    for (const block of blocks) {
      if (held.priceEur + blockRows.at(block.row, EUR) > mostEur) return
      if (isOut(held, blockRows, block.row * COLUMNS, dragNm, rivals)) continue
      for (let index = block.from; index < block.to; index++) {
        const group = groups[index] as Span
        if (held.priceEur + sortedRows.at(index, EUR) > mostEur) return
        if (!isOut(held, sortedRows, index * COLUMNS, dragNm, rivals))
          tryGroup(held, group, dragNm, mostEur, rivals)
      }
    }
  }

  /** Tries all that is worth trying with a screw part on bearings of one seat. */
  const trySeated = (held: Held[], meeting: Meeting, groups: readonly LinkGroup[]) => {
    const kindest: HeldBest = {
      priceEur: least(held, ({ priceEur }) => priceEur),
      mostMargin: most(held, ({ mostMargin }) => mostMargin),
      leastLostUm: least(held, ({ leastLostUm }) => leastLostUm),
      giveUmPerN: least(held, ({ giveUmPerN }) => giveUmPerN),
    }
    const { mostMargin, leastLostUm } = kindest
    const shelves = new Map<number, Shelf>()
    for (const { shelf } of held)
      if (!shelves.has(shelf)) shelves.set(shelf, best.rivals(shelf, mostMargin, leastLostUm))
    const cheapest = (one: Held) =>
      (shelves.get(one.shelf) as Shelf).cheapest(one.mostMargin, one.leastLostUm)
    const mostEur = Math.min(within.mostPriceEur, most(held, cheapest))
    // The lowest of them has the fewest rivals.
    const rivals = shelves.get(Math.min(...shelves.keys())) as Shelf
    const dragNm = meeting.leastDragNm
    pairs.length = 0
    for (const rows of [pairRows, groupRows, sortedRows, blockRows]) rows.length = 0
    /** Adds the pairs of a group and a motor that are worth it. */
    const addPairs = (group: LinkGroup, motor: MotorLevel) => {
      for (const pair of group.pairsWith(motor)) {
        if (kindest.priceEur + pair.priceEur > mostEur) break
        const at = pairRows.next()
        const { figures } = pairRows
        if (!meeting.meet(pair.link, motor, figures, at)) continue
        figures[at + EUR] = pair.priceEur
        figures[at + MARGIN] = Math.min(figures[at + MARGIN] as number, pair.bears)
        if (isOut(kindest, pairRows, at, dragNm, rivals)) continue
        pairRows.length++
        pairs.push(pair)
      }
    }
    const spans: Span[] = []
    for (const group of groups)
      for (const motor of motors) {
        const leastEur = group.leastEur + motor.priceEur
        if (kindest.priceEur + leastEur > mostEur) break
        const at = groupRows.next()
        if (!group.mayTake(motor) || !meeting.meet(group.best, motor, groupRows.figures, at)) continue
        groupRows.figures[at + EUR] = leastEur
        if (isOut(kindest, groupRows, at, dragNm, rivals)) continue
        const from = pairRows.length
        addPairs(group, motor)
        const to = pairRows.length
        if (to > from) spans.push({ row: groupRows.addBestOf(pairRows, from, to), from, to })
      }
    if (spans.length === 0) return
    const sorted = spans.toSorted((a, b) => groupRows.at(a.row, EUR) - groupRows.at(b.row, EUR))
    for (const { row } of sorted) sortedRows.addBestOf(groupRows, row, row + 1)
    const blocks: Span[] = []
    for (let from = 0; from < sorted.length; from += BLOCK) {
      const to = Math.min(from + BLOCK, sorted.length)
      blocks.push({ row: blockRows.addBestOf(sortedRows, from, to), from, to })
    }
    for (const one of held) tryGroups(one, sorted, blocks, shelves.get(one.shelf) as Shelf)
  }

  const parts = byPart(screws)
  for (const [index, sames] of parts.entries()) {
    if (cancelled?.()) return null
    progress?.(index / parts.length)
    const held = sames.flatMap(screw => suitedBearings(field, screw).map(suited => hold(screw, suited)))
    const [first, ...others] = held
    if (!first) continue
    const meeting = meetings.of([first, ...others])
    for (const seated of Object.values(groupBy(held, ({ bearing }) => bearing.part.couplerSeatMm)))
      trySeated(seated, meeting, joined.fitting((seated[0] as Held).bearing.part.couplerSeatMm))
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
