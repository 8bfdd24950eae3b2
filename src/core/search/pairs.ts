import type { Demand } from './demand'
import { leastTorqueNm, linkBears, torqueAtNm } from './judge'
import { beltPull, type LinkLevel, type MotorLevel, type ScrewLevel } from './levels'

/** A link with a motor that it bears. */
export interface Pair {
  link: LinkLevel
  motor: MotorLevel
  bears: number
  priceEur: number
  shaftLoadN: number
  /** Its place among all pairs. */
  place: number
}

/** Every link with every motor that it bears, cheapest first. */
export function pairings(demand: Demand, links: LinkLevel[], motors: MotorLevel[]): Pair[] {
  return links
    .flatMap(link =>
      motors.flatMap(motor => {
        const bears = linkBears(demand, link, motor)
        if (bears === 0) return []
        const shaftLoadN = link.belt ? beltPull(link.belt, motor.drivenNm).shaftLoadN : 0
        return [{ link, motor, bears, priceEur: link.priceEur + motor.priceEur, shaftLoadN, place: 0 }]
      }),
    )
    .toSorted((a, b) => a.priceEur - b.priceEur)
    .map((pair, place) => ({ ...pair, place }))
}

/**
 * The pairs whose bores take a screw's end; a link is left out where a cheaper one does no worse with the same
 * motor, whatever the screw.
 *
 * @param anyMass whether it does not matter how heavy they are; else a lighter one is not left out for a heavier
 */
export function pairsFor(pairs: Pair[], seatMm: number, anyMass: boolean): Pair[] {
  const kept = new Map<MotorLevel, Pair[]>()
  return pairs.filter(pair => {
    const { link, motor } = pair
    if (!seatFits(link, seatMm)) return false
    const before = kept.get(motor) ?? []
    if (before.some(one => linkOutdoes(one, pair) && (anyMass || one.link.massKg <= pair.link.massKg)))
      return false
    kept.set(motor, [...before, pair])
    return true
  })
}

/** Whether a cheaper link with the same motor does no worse with any screw and any bearings. */
const linkOutdoes = (a: Pair, b: Pair): boolean =>
  a.priceEur < b.priceEur &&
  a.link.ratio === b.link.ratio &&
  a.link.efficiency >= b.link.efficiency &&
  a.bears >= b.bears &&
  a.link.margin >= b.link.margin &&
  a.link.torsionalStiffnessNmPerRad >= b.link.torsionalStiffnessNmPerRad &&
  a.link.playUmPerLeadMm <= b.link.playUmPerLeadMm &&
  a.link.motorInertiaKgM2 <= b.link.motorInertiaKgM2 &&
  a.link.screwInertiaKgM2 <= b.link.screwInertiaKgM2 &&
  a.link.hubMm <= b.link.hubMm &&
  a.shaftLoadN <= b.shaftLoadN

/** Torque that each motor gives at the speeds of one screw, by the ratio of the link. */
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

/** Whether a link's bore takes the end of the screw that bearings of this seat leave for it. */
export const seatFits = (link: LinkLevel, seatMm: number): boolean =>
  seatMm >= link.leastBoreMm && seatMm <= link.mostScrewBoreMm
