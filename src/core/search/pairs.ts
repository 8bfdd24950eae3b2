import type { Demand } from './demand'
import { least, most } from './extremes'
import { leastTorqueNm, pairBears, seatFits, torqueAtNm } from './judge'
import { beltPull, type LinkLevel, type MotorLevel, type ScrewLevel } from './levels'

/** A link with a motor that it bears. */
export interface Pair {
  link: LinkLevel
  motor: MotorLevel
  bears: number
  priceEur: number
  shaftLoadN: number
}

/** What a screw meets of a link, whatever motor turns it. */
export type LinkFigures = Pick<
  LinkLevel,
  | 'ratio'
  | 'margin'
  | 'efficiency'
  | 'hubMm'
  | 'motorInertiaKgM2'
  | 'screwInertiaKgM2'
  | 'torsionalStiffnessNmPerRad'
  | 'playUmPerLeadMm'
>

/** A link that is in every figure as good as the best of some, which is no link that there is: beaten, all of them are. */
const bestOf = (links: readonly LinkLevel[]): LinkFigures => ({
  ratio: (links[0] as LinkLevel).ratio,
  margin: most(links, ({ margin }) => margin),
  efficiency: most(links, ({ efficiency }) => efficiency),
  hubMm: least(links, ({ hubMm }) => hubMm),
  motorInertiaKgM2: least(links, ({ motorInertiaKgM2 }) => motorInertiaKgM2),
  screwInertiaKgM2: least(links, ({ screwInertiaKgM2 }) => screwInertiaKgM2),
  torsionalStiffnessNmPerRad: most(links, ({ torsionalStiffnessNmPerRad }) => torsionalStiffnessNmPerRad),
  playUmPerLeadMm: least(links, ({ playUmPerLeadMm }) => playUmPerLeadMm),
})

/** Links of one ratio whose bores take one seat, cheapest first. */
export class LinkGroup {
  readonly best: LinkFigures
  readonly leastEur: number
  readonly #leastBoreMm: number
  readonly #mostBoreMm: number
  readonly #pairs = new Map<MotorLevel, readonly Pair[]>()

  constructor(
    private readonly demand: Demand,
    private readonly seatMm: number,
    private readonly links: readonly LinkLevel[],
    private readonly how: Joining,
  ) {
    this.best = bestOf(links)
    this.leastEur = (links[0] as LinkLevel).priceEur
    this.#leastBoreMm = least(links, ({ leastBoreMm }) => leastBoreMm)
    this.#mostBoreMm = most(links, ({ mostMotorBoreMm }) => mostMotorBoreMm)
  }

  /** Whether the shaft of a motor may go into one of them; most motors are out by this alone. */
  mayTake({ part: { shaftMm } }: MotorLevel): boolean {
    return shaftMm >= this.#leastBoreMm && shaftMm <= this.#mostBoreMm
  }

  /**
   * The links that bear a motor, cheapest first; one is left out where a cheaper one does no worse whatever the screw.
   * Asked for the few motors that are worth it, and kept.
   */
  pairsWith(motor: MotorLevel): readonly Pair[] {
    const known = this.#pairs.get(motor)
    if (known) return known
    const kept: Pair[] = []
    for (const link of this.links) {
      const bears = pairBears(this.demand, link, motor, this.seatMm, this.how.whole)
      if (bears === 0) continue
      const shaftLoadN = link.belt ? beltPull(link.belt, motor.drivenNm).shaftLoadN : 0
      const pair = { link, motor, bears, priceEur: link.priceEur + motor.priceEur, shaftLoadN }
      const isOutdone = kept.some(
        one => linkOutdoes(one, pair) && (this.how.anyMass || one.link.massKg <= link.massKg),
      )
      if (!isOutdone) kept.push(pair)
    }
    this.#pairs.set(motor, kept)
    return kept
  }
}

/** Whether a cheaper link with the same motor does no worse with any screw and any bearings. */
const linkOutdoes = (a: Pair, b: Pair): boolean =>
  a.priceEur < b.priceEur &&
  a.link.efficiency >= b.link.efficiency &&
  a.bears >= b.bears &&
  a.link.margin >= b.link.margin &&
  a.link.torsionalStiffnessNmPerRad >= b.link.torsionalStiffnessNmPerRad &&
  a.link.playUmPerLeadMm <= b.link.playUmPerLeadMm &&
  a.link.motorInertiaKgM2 <= b.link.motorInertiaKgM2 &&
  a.link.screwInertiaKgM2 <= b.link.screwInertiaKgM2 &&
  a.link.hubMm <= b.link.hubMm &&
  a.shaftLoadN <= b.shaftLoadN

export interface Joining {
  /** Whether it does not matter how heavy they are; else a lighter link is not left out for a heavier. */
  anyMass: boolean
  /** Also what the end of the screw does not bear. */
  whole?: boolean
}

/**
 * The links of a list by the seats that they fit and by their ratio.
 *
 * @param links cheapest first
 */
export class Links {
  readonly #bySeat = new Map<number, readonly LinkGroup[]>()

  constructor(
    private readonly demand: Demand,
    private readonly links: readonly LinkLevel[],
    private readonly how: Joining,
  ) {}

  fitting(seatMm: number): readonly LinkGroup[] {
    const known = this.#bySeat.get(seatMm)
    if (known) return known
    const fitting = this.links.filter(link => seatFits(link, seatMm))
    const ratios = [...new Set(fitting.map(({ ratio }) => ratio))]
    const groups = ratios.map(
      ratio =>
        new LinkGroup(
          this.demand,
          seatMm,
          fitting.filter(link => link.ratio === ratio),
          this.how,
        ),
    )
    this.#bySeat.set(seatMm, groups)
    return groups
  }
}

/** Torque that each motor gives at the speeds of the screws of one lead, by the ratio of the link. */
export class Torques {
  private readonly known = new Map<number, MotorTorque[]>()
  private ratio = Number.NaN
  private motors: MotorTorque[] = []
  constructor(private readonly screw: Pick<ScrewLevel, 'topRpm' | 'cuttingRpm'>) {}

  of(motor: MotorLevel, ratio: number): MotorTorque {
    if (ratio !== this.ratio) {
      this.ratio = ratio
      this.motors = this.known.get(ratio) ?? []
      this.known.set(ratio, this.motors)
    }
    let torque = this.motors[motor.place]
    if (!torque) {
      torque = {
        topNm: leastTorqueNm(motor, this.screw.topRpm * ratio),
        cuttingNm: torqueAtNm(motor, this.screw.cuttingRpm * ratio),
      }
      this.motors[motor.place] = torque
    }
    return torque
  }
}
interface MotorTorque {
  topNm: number
  cuttingNm: number
}
