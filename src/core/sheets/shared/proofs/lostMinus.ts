/** What is read off zero by fewer steps may be either side of it. */
const OFF_ZERO_STEPS = 3
/** Two sides alike to so many steps; pushed and pulled, to this share of what they read. */
const ALIKE_STEPS = 2
const ALIKE_SHARE = 0.1

/**
 * Whether two sides that must come apart read alike, on one side of zero: a minus was lost, or the gauge was never set to
 * zero between them.
 *
 * @param one mean of the readings from one side
 * @param other from the other side
 * @param share of what they read that they may be apart by; two steps at least
 * @example isOneSided(41, 40, 1, 0) // true: 40 should be -40
 */
export function isOneSided(one: number, other: number, stepUm: number, share: number): boolean {
  const least = Math.min(Math.abs(one), Math.abs(other))
  const apart = Math.max(ALIKE_STEPS * stepUm, share * least)
  return one * other > 0 && least > OFF_ZERO_STEPS * stepUm && Math.abs(one - other) <= apart
}

/**
 * Whether a slide reads the same pushed and pulled, with every force of which both were read, and no less the harder it is
 * pulled: it cannot.
 */
export function pushedOneWay(
  pushes: readonly { forceN: number; displacementUm: number }[],
  stepUm: number,
): boolean {
  const meanOf = (forceN: number) => {
    const all = pushes.filter(one => one.forceN === forceN)
    return all.length === 0 ? null : all.reduce((sum, one) => sum + one.displacementUm, 0) / all.length
  }
  const sizes = [...new Set(pushes.map(({ forceN }) => Math.abs(forceN)))].toSorted((a, b) => a - b)
  const pairs = sizes.flatMap(size => {
    const [up, down] = [meanOf(size), meanOf(-size)]
    return up === null || down === null ? [] : [{ up, down }]
  })
  const [first, last] = [pairs[0], pairs.at(-1)]
  if (!first || !last || !pairs.every(({ up, down }) => isOneSided(up, down, stepUm, ALIKE_SHARE)))
    return false
  // Off a zero that was never set, what grows on the one side goes down on the other.
  const grows = (at: 'up' | 'down') => (last[at] - first[at]) * Math.sign(last[at]) >= -stepUm
  return grows('up') && grows('down')
}
