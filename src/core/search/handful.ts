import type { DrivePoint } from './field'

/** What a drive of the handful is the best at. */
export const PICKS = ['cheapest', 'least lost motion', 'lowest', 'most in hand', 'a balance'] as const
export type Pick = (typeof PICKS)[number]

/** A drive that is worth a first look, and why. */
export interface Handpicked {
  picks: Pick[]
  point: DrivePoint
}

/** What is so small counts as this much: nothing is a hundred times better for being nothing at all. */
const LEAST = 1e-3

/** Of a drive that is the best at something: the smaller, the better. */
const MERITS: Record<Pick, (point: DrivePoint) => number> = {
  cheapest: ({ priceEur }) => priceEur,
  'least lost motion': ({ lostMotionUm }) => lostMotionUm,
  lowest: ({ heightMm }) => heightMm,
  'most in hand': ({ margin }) => -margin,
  // In proportion, so that no unit and no range weighs more: half the price is worth twice the lost motion.
  'a balance': ({ priceEur, margin, lostMotionUm, heightMm }) =>
    (Math.max(priceEur, LEAST) * Math.max(lostMotionUm, LEAST) * Math.max(heightMm, LEAST)) /
    Math.max(margin, LEAST),
}

/**
 * A handful out of the drives that nothing beats: the best at each thing a builder asks for, and a balance of them, which
 * is the least product of price, lost motion and height over the worst margin. Only drives that hold count, where any
 * does; among equals the cheaper is taken.
 *
 * @param points of a search
 * @returns at most one drive for each pick, each once with all that it is best at; empty without points
 * @example handful(points)[0]?.picks // ['cheapest']
 */
export function handful(points: readonly DrivePoint[]): Handpicked[] {
  const holding = points.filter(({ margin }) => margin >= 1)
  const eligible = (holding.length > 0 ? holding : [...points]).toSorted((a, b) => a.priceEur - b.priceEur)
  const found = new Map<DrivePoint, Pick[]>()
  for (const pick of PICKS) {
    const merit = MERITS[pick]
    const best = eligible.reduce<DrivePoint | null>(
      (leader, point) => (leader === null || merit(point) < merit(leader) ? point : leader),
      null,
    )
    if (best) found.set(best, [...(found.get(best) ?? []), pick])
  }
  return [...found].map(([point, picks]) => ({ picks, point }))
}
