/**
 * Share of a normal law that lies below a value, to about twelve figures.
 *
 * @param z distance from the mean in standard deviations
 * @example normalBelow(0) // 0.5
 */
export function normalBelow(z: number): number {
  const tail = upperTail(Math.abs(z))
  return z < 0 ? tail : 1 - tail
}

/** Share above z, for z of 0 or more: a series near the middle, a continued fraction out in the tail. */
function upperTail(z: number): number {
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)
  if (z < 3) {
    // 1/2 minus the density times z + z^3/3 + z^5/(3 5) + ...
    let term = z
    let sum = z
    for (let odd = 3; term > 1e-17 * sum; odd += 2) {
      term *= (z * z) / odd
      sum += term
    }
    return 0.5 - density * sum
  }
  let fraction = 0
  for (let n = 60; n > 0; n--) fraction = n / (z + fraction)
  return density / (z + fraction)
}
