import type { Demand } from './demand'
import type { BearingLevel, MotorLevel, ScrewLevel } from './levels'
import type { Pair, Torques } from './pairs'

/** A bound must be no worse than what it bounds, also when sums are rounded in another order. */
export const LOOSE = 1e-12

/** A screw on the kindest of what its bearings span. */
interface Meeting {
  screw: ScrewLevel
  torques: Torques
  leastDragNm: number
  leastBlockMm: number
  mostStaticN: number
}

/** Pairs of one motor at one ratio, cheapest first, with the best that any of them can be: beaten, all of them are. */
export interface PairGroup {
  pairs: Pair[]
  leastEur: number
  mostMargin: number
  leastLinkLostUm: number
  leastLagUmPerNm: number
}

const UNKNOWN = 0
const FAILS = 1
const KNOWN = 2

/**
 * Every pair as one screw meets it, beside the kindest of its bearings: the most margin and the least lost motion
 * that come of it.
 *
 * Kept as a column for each figure: there are thousands of pairs, met by a hundred screws.
 */
export class Profiles {
  private readonly state: Uint8Array
  private meeting: Meeting | null = null
  /** Torque of the motor over the move and at the feed of the cut. */
  readonly topNm: Float64Array
  readonly cuttingNm: Float64Array
  /** The most margin of what rests on the pair and the screw, whatever bearings. */
  readonly mostMargin: Float64Array
  private readonly linkLostUm: Float64Array
  /** Least lag of the motor for each newton metre of drag: no arc sine is below its sine. */
  private readonly lagUmPerNm: Float64Array

  constructor(
    private readonly demand: Demand,
    pairs: Pair[],
  ) {
    const column = () => new Float64Array(pairs.length)
    this.state = new Uint8Array(pairs.length)
    this.topNm = column()
    this.cuttingNm = column()
    this.mostMargin = column()
    this.linkLostUm = column()
    this.lagUmPerNm = column()
  }

  /** Turns to a screw, with the bearings that it can have. */
  meet(screw: ScrewLevel, bearings: BearingLevel[], torques: Torques): void {
    this.state.fill(UNKNOWN)
    this.meeting = {
      screw,
      torques,
      leastDragNm: Math.min(...bearings.map(({ part }) => part.dragTorqueNm)),
      leastBlockMm: Math.min(...bearings.map(({ part }) => part.blockLengthMm)),
      mostStaticN: Math.max(...bearings.map(({ part }) => part.staticCapacityN)),
    }
  }

  /**
   * The pairs that may be worth trying with the screw: none fails whatever the bearings, and none is beaten
   * before they are settled.
   *
   * @param fitting pairs whose bores take the screw's end, cheapest first
   * @param isBeaten asked of what a pair can be at best
   */
  worthTrying(
    fitting: Pair[],
    mostEur: number,
    isBeaten: (pair: Pair, mostMargin: number, leastLostUm: number) => boolean,
  ): Pair[] {
    const { screw, leastDragNm } = this.meeting as Meeting
    const worth: Pair[] = []
    for (const pair of fitting) {
      if (pair.priceEur > mostEur) break
      const { place } = pair
      if (this.state[place] === UNKNOWN) this.state[place] = this.work(pair) ? KNOWN : FAILS
      if (this.state[place] === FAILS) continue
      const leastLostUm = this.leastLostUm(place, dragOn(screw, leastDragNm))
      if (!isBeaten(pair, this.mostMargin[place] as number, leastLostUm)) worth.push(pair)
    }
    return worth
  }

  /** Whether a pair may have a margin with the screw, whatever its bearings. */
  isEnough(pair: Pair, margin: number): boolean {
    const { place } = pair
    if (this.state[place] === UNKNOWN) this.state[place] = this.work(pair) ? KNOWN : FAILS
    return this.state[place] === KNOWN && (this.mostMargin[place] as number) >= margin
  }

  /** Pairs that are known, by motor and ratio; the group with the cheapest pair first. */
  grouped(pairs: readonly Pair[]): PairGroup[] {
    const groups = new Map<MotorLevel, Map<number, PairGroup>>()
    const all: PairGroup[] = []
    for (const pair of pairs) {
      const { motor, link, place, priceEur } = pair
      const ofMotor = groups.get(motor) ?? new Map<number, PairGroup>()
      if (!groups.has(motor)) groups.set(motor, ofMotor)
      let group = ofMotor.get(link.ratio)
      if (!group) {
        group = {
          pairs: [],
          leastEur: priceEur,
          mostMargin: 0,
          leastLinkLostUm: Number.POSITIVE_INFINITY,
          leastLagUmPerNm: Number.POSITIVE_INFINITY,
        }
        ofMotor.set(link.ratio, group)
        all.push(group)
      }
      group.pairs.push(pair)
      group.mostMargin = Math.max(group.mostMargin, this.mostMargin[place] as number)
      group.leastLinkLostUm = Math.min(group.leastLinkLostUm, this.linkLostUm[place] as number)
      group.leastLagUmPerNm = Math.min(group.leastLagUmPerNm, this.lagUmPerNm[place] as number)
    }
    return all
  }

  /** The least motion that a pair loses when screw and bearings drag with this torque. */
  leastLostUm(place: number, dragNm: number): number {
    return (this.linkLostUm[place] as number) + (this.lagUmPerNm[place] as number) * dragNm
  }

  /** Works out a pair as the screw meets it; false where it fails with whatever bearings. */
  private work(pair: Pair): boolean {
    const { screw, torques, leastDragNm, leastBlockMm, mostStaticN } = this.meeting as Meeting
    const { demand } = this
    const { holds, fails } = demand
    const { link, motor, place } = pair
    const { part, drivenNm } = motor
    const { ratio } = link
    const { leadMm } = screw.part
    const open = part.loop === 'open'
    const { topNm, cuttingNm } = torques.of(motor, ratio)
    const atMotor = ratio * link.efficiency
    const dragNm = screw.preloadDragNm + leastDragNm
    const screwMm = demand.spanMm + link.hubMm + 1.5 * leastBlockMm
    const turning = link.screwInertiaKgM2 + screw.inertiaPerMmKgM2 * screwMm
    const tableKgM2 = demand.loadMassKg * (leadMm / (2000 * Math.PI)) ** 2
    const turningKgM2 = link.motorInertiaKgM2 + (demand.brake?.inertiaKgM2 ?? 0) + turning / ratio ** 2
    const alpha = (demand.accelerationMmPerS2 * 2 * Math.PI * ratio) / leadMm
    const speedingNm =
      (screw.acceleratingNm + dragNm) / atMotor + (turningKgM2 + part.rotorInertiaKgM2) * alpha
    const inHand = Math.min(topNm / speedingNm, cuttingNm / ((screw.cuttingNm + dragNm) / atMotor))
    const torque = (inHand / (open ? holds.open : holds.closed)) * (1 + LOOSE)
    if (torque < (open ? fails.open : fails.closed)) return false
    const loadKgM2 = turningKgM2 + tableKgM2 / ratio ** 2
    const inertia = (holds.inertia / (loadKgM2 / part.rotorInertiaKgM2)) * (1 + LOOSE)
    if (inertia < fails.inertia) return false
    const thrustN = (2000 * Math.PI * drivenNm * ratio * screw.forwardEfficiency) / leadMm
    const bearsN = Math.min(screw.part.staticCapacityN, mostStaticN)
    const stall = (holds.stall / (thrustN / bearsN)) * (1 + LOOSE)
    if (stall < fails.stall) return false
    const linkLostUm =
      link.playUmPerLeadMm * leadMm +
      2 * demand.frictionN * (screw.linkUmNmPerNRad / link.torsionalStiffnessNmPerRad)
    const stepUm = open ? (leadMm * 1000) / (part.fullStepsPerRev * ratio) : 0
    const besidesLeadUm = screw.growthUm + linkLostUm / 2 + stepUm / 2
    const budgetMargin = (leadUm: number) =>
      (holds.budget / ((leadUm + besidesLeadUm) / demand.accuracyUm)) * (1 + LOOSE)
    if (budgetMargin(screw.leadUm) < fails.budget) return false

    this.topNm[place] = topNm
    this.cuttingNm[place] = cuttingNm
    this.mostMargin[place] = Math.min(
      pair.bears,
      link.margin,
      torque,
      inertia,
      stall,
      budgetMargin(screw.leadLeftUm),
    )
    this.linkLostUm[place] = linkLostUm
    const lagUm = ((leadMm * 1000) / (Math.PI * ratio)) * (4 / part.fullStepsPerRev)
    this.lagUmPerNm[place] = open ? lagUm / (atMotor * drivenNm) : 0
    return true
  }
}

/** Torque that friction of the axis, preload and bearings ask of the screw. */
export const dragOn = (screw: ScrewLevel, bearingDragNm: number): number =>
  screw.frictionNm + screw.preloadDragNm + bearingDragNm
