import type { Gauge, Hand } from './hand'

// Instruments beside the indicator: each turns what is truly there into what it shows.

/** By hand no reading of an indicator comes out alike to less than this, um. */
const HAND_UM = 0.7
/** What a hand that turns or pulls feels: a share of it. */
const HAND_SHARE = 0.025
const MM_PER_M = 1000

/** An indicator with its step; a hand reads it to a fifth of a mark. */
export const indicator = (stepUm: number | null): Gauge => ({
  step: stepUm ?? 0,
  spread: Math.max(HAND_UM, (stepUm ?? 0) / 5),
})

/** A spring scale that is pulled slowly, N. */
export const springScale = (pullN: number, stepN: number | null, hand: Hand): number =>
  hand.pull(pullN, { step: stepN ?? 0, spread: HAND_SHARE * pullN })

/** The same on a lever, for a torque. */
export const scaleOnLever = (torqueNm: number, leverMm: number, stepN: number | null, hand: Hand): number =>
  springScale((MM_PER_M * torqueNm) / leverMm, stepN, hand)

/** A torque driver, Nm. */
export const torqueDriver = (torqueNm: number, stepNm: number | null, hand: Hand): number =>
  hand.measure(torqueNm, { step: stepNm ?? 0, spread: HAND_SHARE * torqueNm })

/** What the ring of a drill adds from number to number, with what it slips at before the first. */
export interface ClutchRing {
  readonly firstNm: number
  readonly stepNm: number
  readonly numbers: number
}
/** A small cordless drill. */
export const SMALL_DRILL: ClutchRing = { firstNm: 0.1, stepNm: 0.05, numbers: 20 }

/** The lowest number of the ring of a drill that just turns it; its last where none does. */
export function drillClutch(torqueNm: number, hand: Hand, ring: ClutchRing = SMALL_DRILL): number {
  const asked = hand.measure(torqueNm, { step: 0, spread: HAND_SHARE * torqueNm })
  const number = 1 + Math.ceil((asked - ring.firstNm) / ring.stepNm)
  return Math.min(ring.numbers, Math.max(1, number))
}

/** A workshop square: off by so much over its edge of 250 mm. */
export const SQUARE_OWN_UM = 13

/** A thermometer on a wall or a screw, degrees C. */
export const thermometer = (degreesC: number, stepC: number, hand: Hand): number =>
  hand.temperature(degreesC, { step: stepC, spread: stepC / 3 })
