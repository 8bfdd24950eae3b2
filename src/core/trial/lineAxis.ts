import { evenRandom, normalFrom } from '../calculation/evenRandom'
import { numbered } from '../field/field'
import { judgePlane } from '../sheets/screwLine/judgePlane'

const MOST_ROUNDS = 3
const TARGET_UM = 20
const PLACES = 4
/** A shim is as thick as its stock has it, to this. */
const STOCK_UM = 10

/**
 * A screw between two blocks that stand off its line, read with the noise of a hand and set by what the sheet says, with
 * shims of the stock at hand.
 *
 * @returns the round after which both blocks are truly within the target; null where three were not enough
 */
export function roundsToTarget(seed: number): number | null {
  const random = evenRandom(seed)
  const between = (low: number, high: number) => low + (high - low) * random()
  const normal = normalFrom(random)
  const spanMm = between(300, 1500)
  const clampedAtMm = Math.round(spanMm * 0.08)
  const noiseUm = between(1, 3)
  const stepUm = [1, 2, 5][Math.floor(random() * 3)] as number
  // How high the screw stands in each block over the line through the clamped nut.
  const slope = between(-0.6, 0.6)
  let farUm = slope * (spanMm - clampedAtMm)
  let fixedUm = -slope * clampedAtMm + 3 * normal()
  const isSet = () => Math.abs(farUm) <= TARGET_UM && Math.abs(fixedUm) <= TARGET_UM
  for (let round = 1; round <= MOST_ROUNDS; round++) {
    const places = Array.from(
      { length: PLACES },
      (_, index) => clampedAtMm + ((0.9 * spanMm - clampedAtMm) * index) / (PLACES - 1),
    )
    const stations = numbered(
      'place',
      places.map(positionMm => {
        const beyond = (positionMm - clampedAtMm) / (spanMm - clampedAtMm)
        const heightUm = Math.round((farUm * beyond + noiseUm * normal()) / stepUm) * stepUm
        return { positionMm, heightUm, sideUm: null }
      }),
    )
    const advice = judgePlane(
      { id: 'r', startedAt: '', finishedAt: null, clampedAtMm, gaugeStepUm: stepUm, stations } as never,
      'height',
      { spanMm, ends: 'fixed-supported', inclineDeg: 0, rootDiameterMm: null },
      TARGET_UM,
      stepUm,
    )
    if (advice.kind === 'move')
      for (const { block, moveUm } of advice.moves) {
        const shimUm = Math.round(moveUm / STOCK_UM) * STOCK_UM + 2 * normal()
        if (block === 'far') farUm += shimUm
        else fixedUm += shimUm
      }
    if (isSet()) return round
  }
  return null
}
