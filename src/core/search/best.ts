import { SCREW_ENDS } from '../document/kinds'
import { least as leastFigure } from './extremes'
import { type DrivePoint, type Field, heightMm, isWithin, pointOf } from './field'
import {
  assemble,
  emptyAssembly,
  giveWithoutLinkUmPerN,
  type Judged,
  judge,
  knownSuits,
  priceWithoutLinkEur,
} from './judge'
import type { BearingLevel, LinkLevel, ScrewLevel } from './levels'
import { type LinkFigures, type LinkGroup, Links, type Pair } from './pairs'
import { CUTTING_NM, MARGIN, type Meeting, Meetings, Rows, TOP_NM } from './profile'
import { byPart } from './search'

const linkGiveUmPerN = (screw: ScrewLevel, link: LinkFigures) =>
  screw.linkUmNmPerNRad / link.torsionalStiffnessNmPerRad

/** What a drive is to have least of: the part of screw, ends and bearings, that of link and motor, and the least of many of those. */
const LEAST = {
  price: {
    held: priceWithoutLinkEur,
    pair: (_: ScrewLevel, { priceEur }: Pair) => priceEur,
    group: (_: ScrewLevel, { leastEur }: LinkGroup, motorEur: number) => leastEur + motorEur,
  },
  give: {
    held: giveWithoutLinkUmPerN,
    pair: (screw: ScrewLevel, { link }: Pair) => linkGiveUmPerN(screw, link),
    group: (screw: ScrewLevel, { best }: LinkGroup) => linkGiveUmPerN(screw, best),
  },
} as const

export interface Wanted {
  /** What the drive is to have least of: price, or give under a force. */
  least: keyof typeof LEAST
  /** Every check has at least this margin; 1 where all hold. */
  margin: number
  /** A drive with no more than this is known to be there, which leaves the rest out from the start. */
  atMost?: number
  /** Asked of each drive that would be the best so far; no lets the next best be looked for. */
  accepts?: (point: DrivePoint) => boolean
}

/** A screw on its bearings, and what that has of what the drive is to have least of. */
interface Held {
  screw: ScrewLevel
  bearing: BearingLevel
  suits: number
  value: number
}
/** A link and a motor with enough in hand, as a screw meets them. */
interface Enough {
  pair: Pair
  value: number
  topNm: number
  cuttingNm: number
}

/**
 * The drive of a field that has least of something and every check at a margin or better: the same that trying every drive
 * would find.
 *
 * A part that has less margin alone is out, and so is a beginning that already has as much as the best known drive in all.
 *
 * @returns null where there is none
 */
export function bestHolding(
  field: Field,
  { least, margin, atMost = Number.POSITIVE_INFINITY, accepts }: Wanted,
): DrivePoint | null {
  const { demand, within, screws, bearings } = field
  const of = LEAST[least]
  const enough = (one: { margin: number }) => one.margin >= margin
  const motors = field.motors.filter(enough)
  const [cheapest] = motors
  const anyMass = within.mostMassKg === Number.POSITIVE_INFINITY
  const joined = new Links(demand, field.links.filter(enough), { anyMass })
  if (!cheapest) return null
  const meetings = new Meetings(demand)
  const row = new Rows().figures
  const assembly = emptyAssembly()
  const judged: Judged = { margin: 0, feasible: false, lostMotionUm: 0 }
  let best: { point: DrivePoint; value: number } | null = null
  const mostValue = () => (best as { value: number } | null)?.value ?? atMost
  const beats = (value: number, priceEur: number) =>
    best === null || value < best.value || (value === best.value && priceEur < best.point.priceEur)

  const heldOf = (sames: ScrewLevel[]): Held[] =>
    sames
      .filter(enough)
      .flatMap(screw =>
        bearings.flatMap(bearing => {
          if (!enough(bearing) || heightMm(screw, bearing) > within.mostHeightMm) return []
          if (priceWithoutLinkEur(screw, bearing) + cheapest.priceEur > within.mostPriceEur) return []
          const suits = knownSuits(demand, screw, bearing)
          return suits >= margin ? [{ screw, bearing, suits, value: of.held(screw, bearing) }] : []
        }),
      )
      // Of two that come to the same, the ends that are held better.
      .toSorted(
        (a, b) => a.value - b.value || SCREW_ENDS.indexOf(b.screw.ends) - SCREW_ENDS.indexOf(a.screw.ends),
      )

  /** The links and motors that a screw can have at all, with a seat; the best first, and of those that are alike the cheaper. */
  const enoughFor = ({ screw, value: leastValue }: Held, meeting: Meeting, seatMm: number): Enough[] => {
    const found: Enough[] = []
    const isEnough = (link: LinkFigures, motor: Pair['motor']) =>
      meeting.meet(link, motor, row, 0) && (row[MARGIN] as number) >= margin
    for (const group of joined.fitting(seatMm))
      for (const motor of motors) {
        // Beyond what is known none can be better.
        if (leastValue + of.group(screw, group, motor.priceEur) > mostValue()) continue
        if (!group.mayTake(motor) || !isEnough(group.best, motor)) continue
        for (const pair of group.pairsWith(motor)) {
          if (pair.priceEur > within.mostPriceEur) break
          const value = of.pair(screw, pair)
          if (pair.bears < margin || leastValue + value > mostValue()) continue
          if (isEnough(pair.link, motor))
            found.push({ pair, value, topNm: row[TOP_NM] as number, cuttingNm: row[CUTTING_NM] as number })
        }
      }
    return found.toSorted((a, b) => a.value - b.value || a.pair.priceEur - b.pair.priceEur)
  }

  /** The least that any link and motor add. */
  const leastOfPairs = (held: Held) =>
    leastFigure(joined.fitting(held.bearing.part.couplerSeatMm), group =>
      of.group(held.screw, group, cheapest.priceEur),
    )

  const parts = byPart(screws)
    .map(heldOf)
    .filter(held => held.length > 0)
    .toSorted((a, b) => (a[0] as Held).value - (b[0] as Held).value)
  for (const held of parts) {
    const [first, ...others] = held as [Held, ...Held[]]
    const meeting = meetings.of([first, ...others])
    // What this screw can have with the seats of its bearings: asked once for all bearings of a seat.
    const enoughOf = new Map<number, Enough[]>()
    for (const one of held) {
      const { screw, bearing, suits, value } = one
      if (value > mostValue()) break
      if (!beats(value + leastOfPairs(one), 0)) continue
      const { couplerSeatMm } = bearing.part
      const known = enoughOf.get(couplerSeatMm) ?? enoughFor(first, meeting, couplerSeatMm)
      enoughOf.set(couplerSeatMm, known)
      let link: LinkLevel | null = null
      for (const { pair, value: pairValue, topNm, cuttingNm } of known) {
        const whole = value + pairValue
        if (whole > mostValue()) break
        const { motor, bears } = pair
        if (pair.link !== link) assemble(demand, screw, bearing, suits, pair.link, assembly)
        link = pair.link
        const priceEur = assembly.priceEur + motor.priceEur
        if (!beats(whole, priceEur)) continue
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
