import { calculation } from '../../calculation/calculation'
import { degrees } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { turnFit, turnOf } from '../../calculation/leastSquares'
import { angle, given, length, list, record } from '../../field/field'
import { READING } from '../../readings/model'

const around = (label: string) =>
  list(
    label,
    record('reading', {
      angleDeg: angle('angle', {}, { symbol: 't' }),
      readingUm: given(READING),
    }),
    3,
  )

/**
 * How far two shafts are out of line, by an indicator that one carries round on the other's hub.
 *
 * @throws InputError when fewer than three angles were read on rim or face
 * @example couplerLine({ rim: [{ angleDeg: 0, readingUm: 55 }, { angleDeg: 90, readingUm: 162 }, { angleDeg: 180, readingUm: -54 },
 *   { angleDeg: 270, readingUm: -164 }], face: [{ angleDeg: 0, readingUm: 29 }, { angleDeg: 90, readingUm: 5 },
 *   { angleDeg: 180, readingUm: -29 }, { angleDeg: 270, readingUm: -7 }], faceRadiusMm: 21.9 }).parallelMm // 0.1719
 */
export const couplerLine = calculation({
  id: 'align.coupler',
  title: 'Line of two shafts',
  formula:
    'least-squares wave once a turn: parallel = amplitude of the rim; angular = atan(amplitude of the face / r)',
  source: 'Rim and face readings; linear least squares',
  validity: 'The hub runs true on its own shaft, or both shafts are turned together',
  inputs: {
    rim: around('readings on the rim'),
    face: around('readings on the face'),
    faceRadiusMm: length('radius on the face', { over: 0 }, { symbol: 'r' }),
  },
  outputs: {
    parallelMm: length('off to the side', {}, { symbol: 'parallel' }),
    parallelTowardsDeg: angle('towards', {}, { symbol: 'tp' }),
    angularDeg: angle('angle between the shafts', {}, { symbol: 'angular' }),
    openAtDeg: angle('faces stand open at', {}, { symbol: 'to' }),
  },
  compute({ rim, face, faceRadiusMm }) {
    const fitOf = (name: string, readings: typeof rim) => {
      const fit = turnFit(readings.map(({ angleDeg, readingUm }) => ({ angleDeg, value: readingUm })))
      if (!fit) throw new InputError(name, readings, 'readings at three or more different angles')
      return fit
    }
    const side = fitOf('rim', rim)
    const tilt = fitOf('face', face)
    return {
      parallelMm: side.amplitude / 1000,
      parallelTowardsDeg: side.largestAtDeg,
      angularDeg: degrees(Math.atan(tilt.amplitude / 1000 / faceRadiusMm)),
      // Where the tip is pressed in most the faces are closest.
      openAtDeg: turnOf(tilt.largestAtDeg + 180),
    }
  },
})
