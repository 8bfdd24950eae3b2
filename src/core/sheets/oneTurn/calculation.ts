import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares } from '../../calculation/leastSquares'
import { given, length, list, record, slope, smallLength } from '../../field/field'
import { READING } from '../../readings/model'

/** Once a turn, radians a millimetre. */
const perMm = (leadMm: number) => (2 * Math.PI) / leadMm

/**
 * What a screw adds within each of its turns: a line and a wave of one turn through readings at places of it.
 *
 * @throws InputError where the places cannot tell a wave from a line: fewer than four, or all at the same angles
 * @example oncePerTurn({ leadMm: 4, readings: [0, 1, 2, 3, 4].map(positionMm =>
 *   ({ positionMm, deviationUm: 5 * Math.cos((Math.PI * positionMm) / 2) })) }).amplitudeUm // 5
 */
export const oncePerTurn = calculation({
  id: 'prove.oncePerTurn',
  title: 'Error over one turn of the screw',
  formula: 'x = a + b p + A cos(2 pi (p - p0) / Ph), by least squares',
  source: 'Linear least squares: line, cosine and sine',
  validity: 'Eight places within one or two turns, all come to from the same side',
  inputs: {
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
    readings: list(
      'readings over a turn',
      record('reading', {
        positionMm: length('place', {}, { symbol: 'p' }),
        deviationUm: given(READING, { symbol: 'x' }),
      }),
      4,
    ),
  },
  outputs: {
    amplitudeUm: smallLength('amplitude', {}, { symbol: 'A' }),
    highestAtMm: length('highest at, within a lead', {}, { symbol: 'p0' }),
    slopeUmPerM: slope('slope', {}, { symbol: 'b' }),
    residualUm: smallLength('spread about the wave', {}, { symbol: 's', orNone: true }),
  },
  compute({ leadMm, readings }) {
    const by = perMm(leadMm)
    const fitted = leastSquares(
      readings.map(({ positionMm }) => [1, positionMm, Math.cos(by * positionMm), Math.sin(by * positionMm)]),
      readings.map(({ deviationUm }) => deviationUm),
    )
    if (!fitted)
      throw new InputError(
        'readings',
        readings.length,
        'readings at four or more different angles of the screw',
      )
    const [, slope = 0, cosine = 0, sine = 0] = fitted.coefficients
    const angle = Math.atan2(sine, cosine)
    return {
      amplitudeUm: Math.hypot(cosine, sine),
      highestAtMm: (angle < 0 ? angle + 2 * Math.PI : angle) / by,
      slopeUmPerM: slope * 1000,
      residualUm: fitted.spread,
    }
  },
})

/** What a turn adds at a place. @example waveUm({ amplitudeUm: 5, highestAtMm: 0 }, 4, 2) // -5 */
export const waveUm = (
  { amplitudeUm, highestAtMm }: { amplitudeUm: number; highestAtMm: number },
  leadMm: number,
  positionMm: number,
): number => amplitudeUm * Math.cos(perMm(leadMm) * (positionMm - highestAtMm))
