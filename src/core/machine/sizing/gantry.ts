import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { length, plain } from '../../field/field'

/**
 * How two screws share a gantry whose load is off the middle.
 *
 * @throws InputError when the load is beyond a screw
 * @example gantryShare({ screwSpacingMm: 900, offCentreMm: 350 }).nearShare // 0.888889
 */
export const gantryShare = calculation({
  id: 'drive.gantryShare',
  title: 'Load shared by two screws',
  formula: 'near = 1/2 + e / s; far = 1/2 - e / s',
  source: 'Equilibrium of moments about the far screw',
  validity: 'Both screws turn alike, as two motors from one step signal do; the gantry is stiff',
  inputs: {
    screwSpacingMm: length('between the screws', { over: 0 }, { symbol: 's' }),
    offCentreMm: length('load off the middle', { min: 0 }, { symbol: 'e' }),
  },
  outputs: {
    nearShare: plain('share of the screw near the load', {}, { symbol: 'near' }),
    farShare: plain('share of the other', {}, { symbol: 'far' }),
  },
  compute({ screwSpacingMm, offCentreMm }) {
    if (offCentreMm > screwSpacingMm / 2)
      throw new InputError(
        'offCentreMm',
        offCentreMm,
        `a number from 0 up to ${screwSpacingMm / 2} mm, at a screw`,
      )
    const aside = offCentreMm / screwSpacingMm
    return { nearShare: 0.5 + aside, farShare: 0.5 - aside }
  },
})
