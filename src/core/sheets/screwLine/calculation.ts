import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { given, length, list, plain, record, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

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
  inputs: {
    stations: list(
      'readings along the screw',
      record('station', {
        positionMm: length('place along the screw', {}, { symbol: 'x' }),
        readingUm: given(READING, { symbol: 'r' }),
      }),
      2,
    ),
    referenceMm: length('place of the clamped nut', {}, { symbol: 'x0' }),
    fixedBlockMm: length('place of the fixed block', {}, { symbol: 'xf' }),
    farBlockMm: length('place of the far block', {}, { symbol: 'xr' }),
  },
  outputs: {
    slopeUmPerM: plain('slope', {}, { symbol: 'b', unit: 'um/m' }),
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
