/**
 * A generator of even random numbers from 0 up to 1, the same for the same seed (mulberry32).
 *
 * @example evenRandom(1)() === evenRandom(1)() // true
 */
export function evenRandom(seed: number): () => number {
  let state = seed | 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/**
 * Draws of the normal law, mean 0 and deviation 1, out of even ones, two of which each takes (Box and Muller).
 *
 * @example normalFrom(evenRandom(1))() // one of them
 */
export const normalFrom = (random: () => number) => (): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/**
 * Draws of several kinds from one seed.
 *
 * @example drawsFrom(1).between(2, 3) // one number from 2 up to 3, the same for the same seed
 */
export function drawsFrom(seed: number) {
  const random = evenRandom(seed)
  const between = (low: number, high: number) => low + (high - low) * random()
  return {
    random,
    between,
    oneOf: <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T,
    sign: () => (random() < 0.5 ? -1 : 1),
    whole: (low: number, high: number) => Math.round(between(low, high)),
  }
}
