import { SCREW_ENDS } from '../document/kinds'
import { MOST_MARGIN } from '../evaluation/finding'
import { type DrivePoint, type Field, heightMm, isWithin, pointOf } from './field'
import {
  assemble,
  bearingSuits,
  emptyAssembly,
  giveWithoutLinkUmPerN,
  type Judged,
  judge,
  priceWithoutLinkEur,
} from './judge'
import type { BearingLevel, LinkLevel, ScrewLevel } from './levels'
import { type Pair, pairings, pairsFor, Torques } from './pairs'
import { Profiles } from './profile'
import { byPart } from './search'

/** What a drive is to have least of. */
const LEAST = {
  price: {
    held: priceWithoutLinkEur,
    pair: (_: ScrewLevel, { priceEur }: Pair) => priceEur,
    order: (a: Pair, b: Pair) => a.priceEur - b.priceEur,
  },
  give: {
    held: giveWithoutLinkUmPerN,
    pair: (screw: ScrewLevel, { link }: Pair) => screw.linkUmNmPerNRad / link.torsionalStiffnessNmPerRad,
    // Of equally stiff ones the cheaper first.
    order: (a: Pair, b: Pair) =>
      b.link.torsionalStiffnessNmPerRad - a.link.torsionalStiffnessNmPerRad || a.priceEur - b.priceEur,
  },
} as const

export interface Wanted {
  /** What the drive is to have least of: price, or give under a force. */
  least: keyof typeof LEAST
  /** Every check has at least this margin; 1 where all hold. */
  margin: number
  /** Asked of each drive that would be the best so far; no lets the next best be looked for. */
  accepts?: (point: DrivePoint) => boolean
}

/**
 * The drive of a field that has least of something and every check at a margin or better: the same that trying every drive
 * would find.
 *
 * A part that has less margin alone is out, and so is a beginning that already has as much as the best known drive in all.
 *
 * @returns null where there is none
 */
export function bestHolding(field: Field, { least, margin, accepts }: Wanted): DrivePoint | null {
  const { demand, within, screws, bearings, links, motors } = field
  const of = LEAST[least]
  const enough = (one: { margin: number }) => one.margin >= margin
  const all = pairings(demand, links.filter(enough), motors.filter(enough))
  const pairs = all.filter(({ bears }) => bears >= Math.min(margin, MOST_MARGIN))
  if (pairs.length === 0) return null
  const profiles = new Profiles(demand, all)
  const kindest = pairs.reduce((a, b) => (of.order(b, a) < 0 ? b : a))
  const anyMass = within.mostMassKg === Number.POSITIVE_INFINITY
  const assembly = emptyAssembly()
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  const fittingOf = new Map<number, Pair[]>()
  const fitting = (seatMm: number) => {
    const known = fittingOf.get(seatMm) ?? pairsFor(pairs, seatMm, anyMass).toSorted(of.order)
    fittingOf.set(seatMm, known)
    return known
  }
  let best: { point: DrivePoint; value: number } | null = null
  const beats = (value: number, priceEur: number) =>
    best === null || value < best.value || (value === best.value && priceEur < best.point.priceEur)

  // Screws of one lead turn alike.
  const byLead = new Map<number, Torques>()
  const torquesOf = (screw: ScrewLevel) => {
    const known = byLead.get(screw.part.leadMm) ?? new Torques(screw)
    byLead.set(screw.part.leadMm, known)
    return known
  }

  interface Held {
    screw: ScrewLevel
    bearing: BearingLevel
    suits: number
    value: number
  }
  const heldOf = (sames: ScrewLevel[]): Held[] =>
    sames
      .filter(enough)
      .flatMap(screw =>
        bearings.flatMap(bearing => {
          if (!enough(bearing) || heightMm(screw, bearing) > within.mostHeightMm) return []
          const suits = bearingSuits(demand, screw, bearing)
          return suits >= margin ? [{ screw, bearing, suits, value: of.held(screw, bearing) }] : []
        }),
      )
      // Of two that come to the same, the ends that are held better.
      .toSorted(
        (a, b) => a.value - b.value || SCREW_ENDS.indexOf(b.screw.ends) - SCREW_ENDS.indexOf(a.screw.ends),
      )

  const groups = byPart(screws)
    .map(heldOf)
    .filter(group => group.length > 0)
    .toSorted((a, b) => (a[0] as Held).value - (b[0] as Held).value)
  for (const group of groups) {
    const [first] = group as [Held]
    if (!beats(first.value + of.pair(first.screw, kindest), 0)) continue
    profiles.meet(
      { ...first.screw, growthUm: Math.min(...group.map(({ screw }) => screw.growthUm)) },
      group.map(({ bearing }) => bearing),
      torquesOf(first.screw),
    )
    // The pairs that this screw can have at all, by the seat of the bearings: asked once for all of them.
    const enoughOf = new Map<number, Pair[]>()
    const enoughFor = (seatMm: number): Pair[] => {
      const known = enoughOf.get(seatMm)
      if (known) return known
      const found: Pair[] = []
      for (const pair of fitting(seatMm)) {
        // Best first: beyond what is known none can be better.
        if (best !== null && first.value + of.pair(first.screw, pair) > (best as { value: number }).value)
          break
        if (profiles.isEnough(pair, margin)) found.push(pair)
      }
      enoughOf.set(seatMm, found)
      return found
    }
    for (const { screw, bearing, suits, value } of group) {
      if (!beats(value + of.pair(screw, kindest), 0)) break
      let joined: LinkLevel | null = null
      for (const pair of enoughFor(bearing.part.couplerSeatMm)) {
        const whole = value + of.pair(screw, pair)
        if (best !== null && whole > (best as { value: number }).value) break
        const { link, motor, bears, place } = pair
        if (link !== joined) assemble(demand, screw, bearing, suits, link, assembly)
        joined = link
        const priceEur = assembly.priceEur + motor.priceEur
        if (!beats(whole, priceEur)) continue
        const topNm = profiles.topNm[place] as number
        const cuttingNm = profiles.cuttingNm[place] as number
        judge(demand, screw, bearing, link, motor, assembly, bears, topNm, cuttingNm, false, judged)
        if (!judged.feasible || judged.margin < margin) continue
        if (!isWithin(field, screw, bearing, link, motor, priceEur)) continue
        const point = pointOf(field, screw, bearing, link, motor, priceEur, judged)
        if (accepts && !accepts(point)) continue
        best = { point, value: whole }
      }
    }
  }
  return (best as { point: DrivePoint } | null)?.point ?? null
}
