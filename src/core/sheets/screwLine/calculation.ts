import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { choice, given, length, list, record, slope, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

const PLACE_READ = record('station', {
  positionMm: length('place along the screw', {}, { symbol: 'x' }),
  readingUm: given(READING, { symbol: 'r' }),
})
/** Where nut and blocks stand along the screw. */
const BETWEEN = {
  referenceMm: length('place of the clamped nut', {}, { symbol: 'x0' }),
  fixedBlockMm: length('place of the fixed block', {}, { symbol: 'xf' }),
  farBlockMm: length('place of the far block', {}, { symbol: 'xr' }),
} as const

/**
 * How far each bearing block must move so that the screw runs parallel to the ways, in one plane.
 *
 * The nut is clamped at the reference, so that point stays; a positive correction moves the block in the
 * direction in which the reading grows.
 *
 * @throws InputError when all stations are at one place
 * @example screwLine({ stations: [{ positionMm: 60, readingUm: 3.8 }, { positionMm: 150, readingUm: -26.3 }],
 *   referenceMm: 226, fixedBlockMm: 0, farBlockMm: 556 }).correctionFarUm // 110.367
 */
export const screwLine = calculation({
  id: 'align.screwLine',
  title: 'Line of the screw against the ways',
  formula: 'least-squares line r(x) through the readings; correction = r(reference) - r(block)',
  source: 'Linear least squares',
  validity: 'A straight screw; the worst residual tells how straight the readings say it is',
  inputs: { stations: list('readings along the screw', PLACE_READ, 2), ...BETWEEN },
  outputs: {
    slopeUmPerM: slope('slope', {}, { symbol: 'b' }),
    correctionFixedUm: smallLength('move the fixed block by', {}, { symbol: 'cf' }),
    correctionFarUm: smallLength('move the far block by', {}, { symbol: 'cr' }),
    worstResidualUm: smallLength('largest distance from the line', {}, { symbol: 'e' }),
  },
  compute({ stations, referenceMm, fixedBlockMm, farBlockMm }) {
    const mean = (of: (station: (typeof stations)[number]) => number) =>
      stations.reduce((sum, station) => sum + of(station), 0) / stations.length
    const meanMm = mean(station => station.positionMm)
    const meanUm = mean(station => station.readingUm)
    const spreadMm2 = mean(station => (station.positionMm - meanMm) ** 2)
    if (!(spreadMm2 > 0))
      throw new InputError('stations', stations, 'stations at two or more different places')
    const slopeUmPerMm =
      mean(station => (station.positionMm - meanMm) * (station.readingUm - meanUm)) / spreadMm2
    const residuals = stations.map(
      station => station.readingUm - meanUm - slopeUmPerMm * (station.positionMm - meanMm),
    )
    return {
      slopeUmPerM: slopeUmPerMm * 1000,
      correctionFixedUm: slopeUmPerMm * (referenceMm - fixedBlockMm),
      correctionFarUm: slopeUmPerMm * (referenceMm - farBlockMm),
      worstResidualUm: Math.max(...residuals.map(Math.abs)),
    }
  },
})

/** What a screw is read for that two tight blocks bend: where, from the nut, and how the block away from the nut holds it. */
export interface BentInputs {
  stations: { positionMm: number; readingUm: number }[]
  referenceMm: number
  fixedBlockMm: number
  farBlockMm: number
  held: 'supported' | 'fixed'
}

/**
 * The shapes that a beam can take from a nut at 0 to a block at 1: its height and its tilt at the nut, and how far the block is
 * off; where the block holds it against tilting as well, that is one more. Before the nut it goes on straight.
 */
const shapesAt = (along: number, held: BentInputs['held']): number[] => {
  const hinged = (3 * along ** 2 - along ** 3) / 2
  if (along <= 0) return held === 'fixed' ? [1, along, 0, 0] : [1, along, 0]
  if (held === 'supported') return [1, along - hinged, hinged]
  const walled = 3 * along ** 2 - 2 * along ** 3
  return [1, along - 2 * along ** 2 + along ** 3, walled, along ** 3 - along ** 2]
}

/**
 * What is fitted to a screw between two tight blocks: its height and tilt at the nut, and the bend beyond it, to the block that is
 * further from the nut.
 *
 * @returns the fit, and by which coefficients each block is off; null where the places cannot tell
 */
export function bentFit({ stations, referenceMm, fixedBlockMm, farBlockMm, held }: BentInputs) {
  const isFarAway = Math.abs(farBlockMm - referenceMm) >= Math.abs(fixedBlockMm - referenceMm)
  const [awayMm, nearMm] = isFarAway ? [farBlockMm, fixedBlockMm] : [fixedBlockMm, farBlockMm]
  const heldThere = isFarAway ? held : 'fixed'
  const fitted = leastSquares(
    stations.map(({ positionMm }) =>
      shapesAt((positionMm - referenceMm) / (awayMm - referenceMm), heldThere),
    ),
    stations.map(({ readingUm }) => readingUm),
  )
  if (!fitted || fitted.spread === null) return null
  const away = [0, 0, 1, ...(heldThere === 'fixed' ? [0] : [])]
  const near = [0, (nearMm - referenceMm) / (awayMm - referenceMm), 0, ...(heldThere === 'fixed' ? [0] : [])]
  return {
    fitted,
    tiltUmPerMm: (fitted.coefficients[1] as number) / (awayMm - referenceMm),
    factors: isFarAway ? { fixed: near, far: away } : { fixed: away, far: near },
    away: isFarAway ? ('far' as const) : ('fixed' as const),
  }
}

/** A combination of coefficients. */
export const combined = (coefficients: readonly number[], factors: readonly number[]): number =>
  factors.reduce((sum, factor, index) => sum + factor * (coefficients[index] as number), 0)

/**
 * How far each bearing block must move where both are tight and bend the screw between them: a line at the clamped nut, and
 * beyond it the bend of a beam towards the further block.
 *
 * The block near the nut shows only in the tilt of the nut, which gives: what it says is the least that it is off by, and counts
 * once the further one stands right.
 *
 * @throws InputError below four places, or where they lie too close together
 * @example screwBent({ stations: [40, 130, 220, 310, 400].map(positionMm => ({ positionMm, readingUm: 0 })), referenceMm: 40,
 *   fixedBlockMm: 0, farBlockMm: 450, held: 'supported' }).correctionFarUm // 0
 */
export const screwBent = calculation({
  id: 'align.screwBent',
  title: 'Line of a screw that two tight blocks bend',
  formula:
    'r = a + b (xa - x0) (q - w) + c w; w = (3 q^2 - q^3) / 2; q = (x - x0) / (xa - x0); to a block that holds the tilt of its end as well: a cubic in q',
  source: 'Bending of a beam from a wall; linear least squares',
  validity: 'Both blocks tight, the nut clamped nearer to one of them; four places or more beyond it',
  inputs: {
    stations: list('readings along the screw', PLACE_READ, 4),
    ...BETWEEN,
    held: choice('the far block', ['supported', 'fixed']),
  },
  outputs: {
    tiltUmPerM: slope('tilt at the nut', {}, { symbol: 'b' }),
    awayUm: smallLength('the further block is off by', {}, { symbol: 'c' }),
    correctionFixedUm: smallLength('move the fixed block by', {}, { symbol: 'cf' }),
    correctionFarUm: smallLength('move the far block by', {}, { symbol: 'cr' }),
    worstResidualUm: smallLength('largest distance from the shape', {}, { symbol: 'e' }),
  },
  compute(inputs) {
    const found = bentFit(inputs)
    if (!found)
      throw new InputError(
        'stations',
        inputs.stations.length,
        'four places or more, well apart, beyond the nut',
      )
    const { coefficients, residuals } = found.fitted
    return {
      tiltUmPerM: 1000 * found.tiltUmPerMm,
      awayUm: coefficients[2] as number,
      correctionFixedUm: -combined(coefficients, found.factors.fixed),
      correctionFarUm: -combined(coefficients, found.factors.far),
      worstResidualUm: Math.max(...residuals.map(Math.abs)),
    }
  },
})
