import { normalBelow } from './normalLaw'

const LANCZOS = [
  76.1800917294715, -86.5053203294168, 24.0140982408309, -1.23173957245016, 0.00120865097386618,
  -0.000005395239384953,
]

/** Logarithm of the gamma function, by Lanczos. */
function logGamma(x: number): number {
  const shifted = x + 5.5
  let series = 1.00000000019001
  for (let i = 0; i < LANCZOS.length; i++) series += (LANCZOS[i] as number) / (x + 1 + i)
  return (x + 0.5) * Math.log(shifted) - shifted + Math.log((2.506628274631 * series) / x)
}

/** The continued fraction of the incomplete beta function. */
function betaFraction(x: number, a: number, b: number): number {
  const tiny = 1e-300
  let c = 1
  let d = 1 / (1 - ((a + b) * x) / (a + 1) || tiny)
  let fraction = d
  for (let m = 1; m < 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / (1 + even * d || tiny)
    c = 1 + even / c || tiny
    fraction *= c * d
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / (1 + odd * d || tiny)
    c = 1 + odd / c || tiny
    const change = c * d
    fraction *= change
    if (Math.abs(change - 1) < 1e-15) break
  }
  return fraction
}

/** A law about nothing: how much lies outside of a point to both sides, and how densely it lies there. */
interface Law {
  outside: (t: number) => number
  density: (t: number) => number
}
const NORMAL: Law = {
  outside: t => 2 * (1 - normalBelow(t)),
  density: t => Math.exp((-t * t) / 2) / Math.sqrt(2 * Math.PI),
}
function student(degrees: number): Law {
  const half = degrees / 2
  const log = logGamma(half + 0.5) - logGamma(half) - 0.5 * Math.log(Math.PI)
  return {
    outside(t) {
      const x = degrees / (degrees + t * t)
      const front = Math.exp(log + half * Math.log(x) + 0.5 * Math.log1p(-x))
      // The fraction settles quickly on one side of the middle only; the other is what is left of the whole.
      return x < (half + 1) / (half + 2.5)
        ? (front * betaFraction(x, half, 0.5)) / half
        : 1 - (front * betaFraction(1 - x, 0.5, half)) / 0.5
    },
    density: t => (Math.exp(log) / Math.sqrt(degrees)) * (1 + (t * t) / degrees) ** (-half - 0.5),
  }
}

/** The point with a share of a law outside of it: by Newton's steps, kept between what is known of it. */
function pointWith(share: number, { outside, density }: Law): number {
  let low = 0
  let high = 2.5
  while (outside(high) > share) {
    low = high
    high *= 2
  }
  let point = (low + high) / 2
  for (let i = 0; i < 60; i++) {
    const off = outside(point) - share
    if (off > 0) low = point
    else high = point
    const stepped = point + off / (2 * density(point))
    const next = stepped > low && stepped < high ? stepped : (low + high) / 2
    if (Math.abs(next - point) <= 1e-12 * point) return next
    point = next
  }
  return point
}

/** With this many degrees of freedom a Student law is the normal one, as far as anyone can tell. */
const ENDLESS = 1e7

/** By degrees, then by confidence: asked for at every key stroke. */
const known = new Map<number | null, Map<number, number>>()

/**
 * How many standard uncertainties to each side hold a share of the cases: Student's for few readings, the normal
 * law's for known spreads.
 *
 * @param degrees of freedom, 1 or more, also broken ones; null for the normal law
 * @example coverageFactor(0.95, 4) // 2.776445
 * @example coverageFactor(0.95, null) // 1.959964
 */
export function coverageFactor(confidence: number, degrees: number | null): number {
  const ofDegrees = known.get(degrees) ?? new Map<number, number>()
  const found = ofDegrees.get(confidence)
  if (found !== undefined) return found
  const law = degrees === null || degrees > ENDLESS ? NORMAL : student(degrees)
  const factor = pointWith(1 - confidence, law)
  if (known.size > 1000) known.clear()
  known.set(degrees, ofDegrees.set(confidence, factor))
  return factor
}

/** Standard deviations to each side that hold 19 in 20, where the spread is known. */
export const AT_95 = coverageFactor(0.95, null)
