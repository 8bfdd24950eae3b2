import { dragShares } from './dragShares'
import type { Cause, DragRead, TightSpots } from './tightSpots'

/** What one cause takes along the travel, laid on those below it. */
export interface Band {
  /** None for what is the same everywhere. */
  cause: Cause | null
  points: { positionMm: number; lowNm: number; highNm: number }[]
}

/** So many steps draw a smooth curve. */
const STEPS = 48

/**
 * What is fitted to the drag along the travel, as bands that lie on one another: what is the same everywhere, then each cause
 * that counts. What grows from one end to the other is drawn from where it is least.
 *
 * @returns at every place the bands add up to the drag that was fitted there, on the mean of both ways
 */
export function bandsOf(map: TightSpots, { along, spanMm, reachMm }: DragRead): Band[] {
  const places = along.map(({ positionMm }) => positionMm)
  const [from, to] = [Math.min(...places), Math.max(...places)]
  const { levelNm, fixedNm, farNm, waysNm } = map.fitted
  const counts = (...causes: Cause[]) => map.felt.some(one => one.counts && causes.includes(one.cause))
  const isNut = counts('nut')
  const shares: { cause: Cause | null; nm: (positionMm: number) => number }[] = []
  const at = (positionMm: number) => dragShares(positionMm, 1, spanMm, reachMm)
  const sloped = counts('ways')
  const least = sloped ? Math.min(...[from, to].map(place => at(place)[4] * waysNm)) : 0
  shares.push({ cause: null, nm: () => levelNm + least })
  if (sloped) shares.push({ cause: 'ways', nm: place => at(place)[4] * waysNm - least })
  if (isNut) shares.push({ cause: 'nut', nm: place => at(place)[2] * fixedNm + at(place)[3] * farNm })
  else {
    if (counts('fixed')) shares.push({ cause: 'fixed', nm: place => at(place)[2] * fixedNm })
    if (counts('far')) shares.push({ cause: 'far', nm: place => at(place)[3] * farNm })
  }
  const grid = Array.from({ length: STEPS + 1 }, (_, index) => from + ((to - from) * index) / STEPS)
  const below = grid.map(() => 0)
  return shares.map(({ cause, nm }) => ({
    cause,
    points: grid.map((positionMm, index) => {
      const lowNm = below[index] as number
      const highNm = lowNm + nm(positionMm)
      below[index] = highNm
      return { positionMm, lowNm, highNm }
    }),
  }))
}
