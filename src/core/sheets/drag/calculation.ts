import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { leastSquares, standardErrorOf, turnFit } from '../../calculation/leastSquares'
import { angle, force, length, list, plain, record, stiffness, torque } from '../../field/field'
import { dragShares, reachOf } from '../shared/rounds/dragShares'

/**
 * The torque at which a drill's clutch slips, by a spring scale on a lever.
 *
 * @throws InputError when only one setting was calibrated
 * @example clutchTorque({ calibration: [{ setting: 1, pullN: 1.96 }, { setting: 8, pullN: 10.19 }, { setting: 16, pullN: 19.39 }],
 *   leverMm: 156, setting: 5 }).torqueNm // 1.035
 */
export const clutchTorque = calculation({
  id: 'drag.clutch',
  title: "Torque of a drill's clutch",
  formula: 'least-squares line through T = F r / 1000 over the setting',
  source: 'Linear least squares; the error is of the line at that setting',
  validity: 'Between the settings that were calibrated',
  inputs: {
    calibration: list(
      'calibration',
      record('setting', {
        setting: plain('setting', { min: 0 }, { symbol: 'n' }),
        pullN: force('pull', { min: 0 }, { symbol: 'F' }),
      }),
      2,
    ),
    leverMm: length('lever', { over: 0 }, { symbol: 'r' }),
    setting: plain('setting', { min: 0 }, { symbol: 'n0' }),
  },
  outputs: {
    torqueNm: torque('torque', {}, { symbol: 'T' }),
    perStepNm: torque('a step', {}, { symbol: 'step' }),
    standardErrorNm: torque('standard error', {}, { symbol: 'u', orNone: true }),
  },
  compute({ calibration, leverMm, setting }) {
    const fitted = leastSquares(
      calibration.map(one => [1, one.setting]),
      calibration.map(({ pullN }) => (pullN * leverMm) / 1000),
    )
    if (!fitted) throw new InputError('calibration', calibration, 'pulls at two or more different settings')
    const [atZero, perStepNm] = fitted.coefficients as [number, number]
    return {
      torqueNm: atZero + perStepNm * setting,
      perStepNm,
      standardErrorNm: standardErrorOf(fitted, [1, setting]),
    }
  },
})

const cause = (label: string) =>
  record(label, {
    torqueNm: torque(label, {}, { symbol: 'T' }),
    standardErrorNm: torque('standard error', {}, { symbol: 'u', orNone: true }),
  })

/**
 * Drag along the travel taken apart into what causes it.
 *
 * @throws InputError when the readings cannot tell the five causes apart
 * @example see the worked values
 */
export const dragAlongTravel = calculation({
  id: 'drag.alongTravel',
  title: 'Drag along the travel',
  formula:
    'x0 = (3 E I / k)^(1/3); phi(x) = 1 / (1 + (x / x0)^3); least squares of T = level + d direction + phi(x) fixed end + phi(L - x) far end + slope (2 x / L - 1)',
  source: 'A screw bent by a block off its line; linear least squares',
  validity: 'Slow and even; at each place both ways',
  inputs: {
    readings: list(
      'readings along the travel',
      record('reading', {
        positionMm: length('place of the nut', {}, { symbol: 'x' }),
        direction: plain('direction', {}, { symbol: 'd', oneOf: [1, -1] }),
        torqueNm: torque('torque', { min: 0 }, { symbol: 'T' }),
      }),
      5,
    ),
    spanMm: length('between the blocks', { over: 0 }, { symbol: 'L' }),
    rootDiameterMm: length('root diameter', { over: 0 }, { symbol: 'dr' }),
    supportStiffnessNPerUm: stiffness('stiffness of a support', { over: 0 }, { symbol: 'k' }),
  },
  outputs: {
    reachMm: length('reach of a block', {}, { symbol: 'x0' }),
    residualNm: torque('spread about the curve', {}, { symbol: 's', orNone: true }),
    level: cause('level'),
    direction: cause('direction'),
    fixedEnd: cause('fixed end'),
    farEnd: cause('far end'),
    slope: cause('slope'),
  },
  compute({ readings, spanMm, rootDiameterMm, supportStiffnessNPerUm }) {
    const reachMm = reachOf(rootDiameterMm, supportStiffnessNPerUm)
    const fitted = leastSquares(
      readings.map(({ positionMm, direction }) => dragShares(positionMm, direction, spanMm, reachMm)),
      readings.map(({ torqueNm }) => torqueNm),
    )
    if (!fitted)
      throw new InputError(
        'readings',
        readings,
        'readings both ways at four or more places, near both blocks and between',
      )
    const of = (index: number) => ({
      torqueNm: fitted.coefficients[index] as number,
      standardErrorNm: fitted.standardErrors?.[index] ?? null,
    })
    return {
      reachMm,
      residualNm: fitted.spread,
      level: of(0),
      direction: of(1),
      fixedEnd: of(2),
      farEnd: of(3),
      slope: of(4),
    }
  },
})

/**
 * Drag over one turn of the screw: what comes once a turn.
 *
 * @throws InputError when fewer than three angles were read
 * @example dragOncePerTurn({ readings: [0, 60, 120, 180, 240, 300].map((angleDeg, index) => ({ angleDeg,
 *   torqueNm: [0.0454, 0.0745, 0.1541, 0.1986, 0.1779, 0.0985][index] })) }).tightestDeg // 190.09
 */
export const dragOncePerTurn = calculation({
  id: 'drag.oncePerTurn',
  title: 'Drag over one turn',
  formula: 'least-squares wave once a turn: T = mean + amplitude cos(t - tightest)',
  source: 'Linear least squares',
  validity: 'The nut at one place of its travel, or clear of the blocks',
  inputs: {
    readings: list(
      'readings over one turn',
      record('reading', {
        angleDeg: angle('angle', {}, { symbol: 't' }),
        torqueNm: torque('torque', { min: 0 }, { symbol: 'T' }),
      }),
      3,
    ),
  },
  outputs: {
    meanNm: torque('mean', {}, { symbol: 'mean' }),
    amplitudeNm: torque('amplitude', {}, { symbol: 'amplitude' }),
    tightestDeg: angle('tightest at', {}, { symbol: 'tightest' }),
    residualNm: torque('spread about the wave', {}, { symbol: 's', orNone: true }),
  },
  compute({ readings }) {
    const fit = turnFit(readings.map(({ angleDeg, torqueNm }) => ({ angleDeg, value: torqueNm })))
    if (!fit) throw new InputError('readings', readings, 'readings at three or more different angles')
    return {
      meanNm: fit.mean,
      amplitudeNm: fit.amplitude,
      tightestDeg: fit.largestAtDeg,
      residualNm: fit.fitted.spread,
    }
  },
})
