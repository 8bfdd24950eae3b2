import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { given, length, list, record, slope, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

const stations = record('station', {
  positionMm: length('place along it', {}, { symbol: 'x' }),
  readingUm: given(READING, { symbol: 'r' }),
})

export interface Station {
  positionMm: number
  readingUm: number
}

/** The narrowest strip between two parallel lines that holds all readings. */
export interface Strip {
  heightUm: number
  slopeUmPerMm: number
  /** Height of its lower line at place 0. */
  lowUm: number
}

/**
 * The narrowest strip, measured along the readings: one of its lines lies on two readings that are next to each other
 * on the hull of them all, the other on one.
 *
 * @returns null where all readings are at one place
 */
export function narrowestStrip(all: readonly Station[]): Strip | null {
  const sorted = all.toSorted((a, b) => a.positionMm - b.positionMm || a.readingUm - b.readingUm)
  const turn = (o: Station, a: Station, b: Station) =>
    (a.positionMm - o.positionMm) * (b.readingUm - o.readingUm) -
    (a.readingUm - o.readingUm) * (b.positionMm - o.positionMm)
  const hull = (list: readonly Station[]) => {
    const kept: Station[] = []
    for (const one of list) {
      while (kept.length > 1 && turn(kept.at(-2) as Station, kept.at(-1) as Station, one) <= 0) kept.pop()
      kept.push(one)
    }
    return kept
  }
  let best: Strip | null = null
  for (const side of [hull(sorted), hull(sorted.toReversed())])
    for (const [index, b] of side.entries()) {
      const a = side[index - 1]
      if (!a || a.positionMm === b.positionMm) continue
      const slopeUmPerMm = (b.readingUm - a.readingUm) / (b.positionMm - a.positionMm)
      const heights = all.map(({ positionMm, readingUm }) => readingUm - slopeUmPerMm * positionMm)
      const lowUm = Math.min(...heights)
      const heightUm = Math.max(...heights) - lowUm
      if (!best || heightUm < best.heightUm) best = { heightUm, slopeUmPerMm, lowUm }
    }
  return best
}

/** How far a place stands off the middle of a strip. */
export const offMiddle = (
  { slopeUmPerMm, lowUm, heightUm }: Strip,
  { positionMm, readingUm }: Station,
): number => readingUm - slopeUmPerMm * positionMm - lowUm - heightUm / 2

/** A place that stands off all others. */
export interface OddPlace {
  positionMm: number
  /** How far it stands off the middle of the strip that holds the others; proud positive. */
  offUm: number
}

/** Without it the others must lie in a strip so much narrower; without an end, against which all others lean, more so. */
const MUCH_NARROWER = 0.5
const NARROWER_BY_AN_END = 0.2
/** And it must stand off by so many widths of theirs. */
const FAR_OFF = 1.75

/**
 * The one place without which the others lie in a strip half as wide or narrower: one that stands proud makes no other look
 * low.
 *
 * @returns null where there is none, as in a bow, and where fewer than four places were read: of three each may be the odd one
 * @example oddPlace([{ positionMm: 0, readingUm: 0 }, { positionMm: 100, readingUm: 0 }, { positionMm: 200, readingUm: 90 }, { positionMm: 300, readingUm: 0 }])?.offUm // 90
 */
export function oddPlace(all: readonly Station[]): OddPlace | null {
  const whole = narrowestStrip(all)
  if (!whole || all.length <= 3) return null
  let best: (OddPlace & { widthUm: number }) | null = null
  const places = all.map(({ positionMm }) => positionMm)
  const [first, last] = [Math.min(...places), Math.max(...places)]
  for (const [index, { positionMm, readingUm }] of all.entries()) {
    const others = all.filter((_, at) => at !== index)
    const strip = narrowestStrip(others)
    const isEnd = positionMm === first || positionMm === last
    const most = (isEnd ? NARROWER_BY_AN_END : MUCH_NARROWER) * whole.heightUm
    if (!strip || strip.heightUm > most) continue
    const offUm = offMiddle(strip, { positionMm, readingUm })
    if (Math.abs(offUm) < FAR_OFF * strip.heightUm) continue
    if (!best || strip.heightUm < best.widthUm) best = { positionMm, offUm, widthUm: strip.heightUm }
  }
  return best
}

/**
 * How straight a rail or a way is by readings along it.
 *
 * @throws InputError when all readings are at one place
 * @example straightness({ stations: [{ positionMm: 0, readingUm: 0 }, { positionMm: 100, readingUm: 6 }, { positionMm: 200, readingUm: 0 }] }).minimumZoneUm // 6
 */
export const straightness = calculation({
  id: 'align.straightness',
  title: 'Straightness',
  formula:
    'least-squares line through the readings: the range of what lies off it; the narrowest strip between two parallel lines that holds all readings',
  source: 'ISO 1101; linear least squares',
  validity: 'Readings against something straighter than what is read',
  inputs: { stations: list('readings along it', stations, 2) },
  outputs: {
    slopeUmPerM: slope('slope', {}, { symbol: 'b' }),
    leastSquaresUm: smallLength('off the line', {}, { symbol: 'e' }),
    minimumZoneUm: smallLength('narrowest strip', {}, { symbol: 'z' }),
    rangeUm: smallLength('range of the readings', {}, { symbol: 'w' }),
  },
  compute({ stations: read }) {
    const values = read.map(({ readingUm }) => readingUm)
    const fitted = leastSquares(
      read.map(({ positionMm }) => [1, positionMm]),
      values,
    )
    const strip = narrowestStrip(read)
    if (!fitted || !strip) throw new InputError('stations', read, 'readings at two or more different places')
    const range = (list: readonly number[]) => Math.max(...list) - Math.min(...list)
    return {
      slopeUmPerM: (fitted.coefficients[1] as number) * 1000,
      leastSquaresUm: range(fitted.residuals),
      minimumZoneUm: strip.heightUm,
      rangeUm: range(values),
    }
  },
})

/**
 * The heights that a level says which is stepped along by its own base.
 *
 * @example levelSteps({ baseMm: 150, steps: [36, -38] }).stations // [{ positionMm: 0, readingUm: 0 }, { positionMm: 150, readingUm: 5.4 }, { positionMm: 300, readingUm: -0.3 }]
 */
export const levelSteps = calculation({
  id: 'align.levelSteps',
  title: 'Heights by a level stepped along',
  formula: 'each station = the one before + step base / 1000',
  source: 'Sum of the slopes',
  validity: 'Each step begins where the last one ended',
  inputs: {
    baseMm: length('base of the level', { over: 0 }, { symbol: 'base' }),
    steps: list('slopes, one after the other', slope('slope', {}, { symbol: 'step' }), 1),
  },
  outputs: { stations: list('stations', stations) },
  compute({ baseMm, steps }) {
    const heights = [{ positionMm: 0, readingUm: 0 }]
    for (const step of steps) {
      const { positionMm, readingUm } = heights.at(-1) as Station
      heights.push({ positionMm: positionMm + baseMm, readingUm: readingUm + (step * baseMm) / 1000 })
    }
    return { stations: heights }
  },
})
