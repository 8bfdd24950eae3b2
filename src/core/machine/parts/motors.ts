import type { BarePart } from '../../document/parts/types'
import { rowsOf } from './table'

const STEPPER_COLUMNS = [
  'id',
  'name',
  'maker',
  'priceEur',
  'loop',
  'frameMm',
  'lengthMm',
  'shaftMm',
  'rotorInertiaKgM2',
  'holdingTorqueNm',
  'detentTorqueNm',
  'fullStepsPerRev',
  'ratedCurrentA',
  'inductanceMh',
  'supplyV',
] as const

// biome-ignore format: a table reads best one motor a line
const STEPPER_ROWS = [
  ['step-42-05', 'Stepper 42 mm frame, 0.5 N·m, 24 V', 'Morrow Motion', 32, 'open', 42, 48, 5, 6.8e-06, 0.5, 0.02, 200, 1.7, 2.8, 24],
  ['step-57-12', 'Stepper 57 mm frame, 1.2 N·m, 36 V', 'Morrow Motion', 58, 'open', 57, 56, 8, 2.8e-05, 1.2, 0.048, 200, 3, 2.4, 36],
  ['step-57-22', 'Stepper 57 mm frame, 2.2 N·m, 48 V', 'Morrow Motion', 79, 'open', 57, 82, 8, 5.4e-05, 2.2, 0.088, 200, 4.2, 2.5, 48],
  ['step-60-31', 'Stepper 60 mm frame, 3.1 N·m, 48 V', 'Morrow Motion', 99, 'open', 60, 88, 10, 8.4e-05, 3.1, 0.124, 200, 5, 1.9, 48],
  ['step-86-45', 'Stepper 86 mm frame, 4.5 N·m, 60 V', 'Morrow Motion', 138, 'open', 86, 80, 14, 0.00014, 4.5, 0.18, 200, 5.6, 2.6, 60],
  ['step-86-85', 'Stepper 86 mm frame, 8.5 N·m, 70 V', 'Morrow Motion', 189, 'open', 86, 118, 14, 0.00027, 8.5, 0.34, 200, 6, 5.2, 70],
  ['step-42-03-24', 'Stepper 42 mm frame, 0.28 N·m, 24 V', 'Morrow Motion', 26, 'open', 42, 34, 5, 3.8e-06, 0.28, 0.011, 200, 1.3, 2.6, 24],
  ['step-42-03-36', 'Stepper 42 mm frame, 0.28 N·m, 36 V', 'Morrow Motion', 32, 'open', 42, 34, 5, 3.8e-06, 0.28, 0.011, 200, 1.3, 2.6, 36],
  ['step-42-05-36', 'Stepper 42 mm frame, 0.5 N·m, 36 V', 'Morrow Motion', 38, 'open', 42, 48, 5, 6.8e-06, 0.5, 0.02, 200, 1.7, 2.8, 36],
  ['step-42-08-24', 'Stepper 42 mm frame, 0.75 N·m, 24 V', 'Morrow Motion', 41, 'open', 42, 60, 5, 1.02e-05, 0.75, 0.03, 200, 2.0, 3.0, 24],
  ['step-42-08-36', 'Stepper 42 mm frame, 0.75 N·m, 36 V', 'Morrow Motion', 47, 'open', 42, 60, 5, 1.02e-05, 0.75, 0.03, 200, 2.0, 3.0, 36],
  ['step-57-09-24', 'Stepper 57 mm frame, 0.9 N·m, 24 V', 'Morrow Motion', 46, 'open', 57, 50, 6.35, 2.1e-05, 0.9, 0.036, 200, 2.8, 2.0, 24],
  ['step-57-09-36', 'Stepper 57 mm frame, 0.9 N·m, 36 V', 'Morrow Motion', 52, 'open', 57, 50, 6.35, 2.1e-05, 0.9, 0.036, 200, 2.8, 2.0, 36],
  ['step-57-09-48', 'Stepper 57 mm frame, 0.9 N·m, 48 V', 'Morrow Motion', 58, 'open', 57, 50, 6.35, 2.1e-05, 0.9, 0.036, 200, 2.8, 2.0, 48],
  ['step-57-12-24', 'Stepper 57 mm frame, 1.2 N·m, 24 V', 'Morrow Motion', 52, 'open', 57, 56, 8, 2.8e-05, 1.2, 0.048, 200, 3, 2.4, 24],
  ['step-57-12-48', 'Stepper 57 mm frame, 1.2 N·m, 48 V', 'Morrow Motion', 64, 'open', 57, 56, 8, 2.8e-05, 1.2, 0.048, 200, 3, 2.4, 48],
  ['step-57-18-24', 'Stepper 57 mm frame, 1.8 N·m, 24 V', 'Morrow Motion', 62, 'open', 57, 76, 8, 4.6e-05, 1.8, 0.072, 200, 4, 2.2, 24],
  ['step-57-18-36', 'Stepper 57 mm frame, 1.8 N·m, 36 V', 'Morrow Motion', 68, 'open', 57, 76, 8, 4.6e-05, 1.8, 0.072, 200, 4, 2.2, 36],
  ['step-57-18-48', 'Stepper 57 mm frame, 1.8 N·m, 48 V', 'Morrow Motion', 74, 'open', 57, 76, 8, 4.6e-05, 1.8, 0.072, 200, 4, 2.2, 48],
  ['step-57-22-24', 'Stepper 57 mm frame, 2.2 N·m, 24 V', 'Morrow Motion', 67, 'open', 57, 82, 8, 5.4e-05, 2.2, 0.088, 200, 4.2, 2.5, 24],
  ['step-57-22-36', 'Stepper 57 mm frame, 2.2 N·m, 36 V', 'Morrow Motion', 73, 'open', 57, 82, 8, 5.4e-05, 2.2, 0.088, 200, 4.2, 2.5, 36],
  ['step-60-31-36', 'Stepper 60 mm frame, 3.1 N·m, 36 V', 'Morrow Motion', 93, 'open', 60, 88, 10, 8.4e-05, 3.1, 0.124, 200, 5, 1.9, 36],
  ['step-60-31-60', 'Stepper 60 mm frame, 3.1 N·m, 60 V', 'Morrow Motion', 109, 'open', 60, 88, 10, 8.4e-05, 3.1, 0.124, 200, 5, 1.9, 60],
  ['step-60-36-36', 'Stepper 60 mm frame, 3.6 N·m, 36 V', 'Morrow Motion', 104, 'open', 60, 100, 10, 9.6e-05, 3.6, 0.144, 200, 5, 2.4, 36],
  ['step-60-36-48', 'Stepper 60 mm frame, 3.6 N·m, 48 V', 'Morrow Motion', 110, 'open', 60, 100, 10, 9.6e-05, 3.6, 0.144, 200, 5, 2.4, 48],
  ['step-60-36-60', 'Stepper 60 mm frame, 3.6 N·m, 60 V', 'Morrow Motion', 120, 'open', 60, 100, 10, 9.6e-05, 3.6, 0.144, 200, 5, 2.4, 60],
  ['step-86-45-48', 'Stepper 86 mm frame, 4.5 N·m, 48 V', 'Morrow Motion', 128, 'open', 86, 80, 14, 0.00014, 4.5, 0.18, 200, 5.6, 2.6, 48],
  ['step-86-45-70', 'Stepper 86 mm frame, 4.5 N·m, 70 V', 'Morrow Motion', 142, 'open', 86, 80, 14, 0.00014, 4.5, 0.18, 200, 5.6, 2.6, 70],
  ['step-86-65-48', 'Stepper 86 mm frame, 6.5 N·m, 48 V', 'Morrow Motion', 154, 'open', 86, 98, 14, 0.0002, 6.5, 0.26, 200, 6, 3.6, 48],
  ['step-86-65-60', 'Stepper 86 mm frame, 6.5 N·m, 60 V', 'Morrow Motion', 164, 'open', 86, 98, 14, 0.0002, 6.5, 0.26, 200, 6, 3.6, 60],
  ['step-86-65-70', 'Stepper 86 mm frame, 6.5 N·m, 70 V', 'Morrow Motion', 168, 'open', 86, 98, 14, 0.0002, 6.5, 0.26, 200, 6, 3.6, 70],
  ['step-86-85-48', 'Stepper 86 mm frame, 8.5 N·m, 48 V', 'Morrow Motion', 175, 'open', 86, 118, 14, 0.00027, 8.5, 0.34, 200, 6, 5.2, 48],
  ['step-86-85-60', 'Stepper 86 mm frame, 8.5 N·m, 60 V', 'Morrow Motion', 185, 'open', 86, 118, 14, 0.00027, 8.5, 0.34, 200, 6, 5.2, 60],
  ['step-86-120-48', 'Stepper 86 mm frame, 12 N·m, 48 V', 'Morrow Motion', 226, 'open', 86, 150, 14, 0.0004, 12, 0.48, 200, 6.5, 6.4, 48],
  ['step-86-120-60', 'Stepper 86 mm frame, 12 N·m, 60 V', 'Morrow Motion', 236, 'open', 86, 150, 14, 0.0004, 12, 0.48, 200, 6.5, 6.4, 60],
  ['step-86-120-70', 'Stepper 86 mm frame, 12 N·m, 70 V', 'Morrow Motion', 240, 'open', 86, 150, 14, 0.0004, 12, 0.48, 200, 6.5, 6.4, 70],
  ['step-110-160-80', 'Stepper 110 mm frame, 16 N·m, 80 V', 'Morrow Motion', 358, 'open', 110, 150, 19, 0.00096, 16, 0.64, 200, 6.5, 8.4, 80],
  ['fine-57-12', 'Stepper at 400 steps, 57 mm frame, 1.2 N·m, 48 V', 'Morrow Motion', 70, 'open', 57, 56, 8, 2.8e-05, 1.2, 0.048, 400, 3, 2.88, 48],
  ['fine-57-22', 'Stepper at 400 steps, 57 mm frame, 2.2 N·m, 48 V', 'Morrow Motion', 87, 'open', 57, 82, 8, 5.4e-05, 2.2, 0.088, 400, 4.2, 3.0, 48],
  ['fine-60-31', 'Stepper at 400 steps, 60 mm frame, 3.1 N·m, 48 V', 'Morrow Motion', 109, 'open', 60, 88, 10, 8.4e-05, 3.1, 0.124, 400, 5, 2.64, 48],
  ['fine-86-65', 'Stepper at 400 steps, 86 mm frame, 6.5 N·m, 48 V', 'Morrow Motion', 171, 'open', 86, 98, 14, 0.0002, 6.5, 0.26, 400, 6, 4.68, 48],
  ['loop-57-20', 'Closed-loop stepper 57 mm frame, 2.0 N·m, 48 V', 'Morrow Motion', 134, 'closed', 57, 98, 8, 5.2e-05, 2, 0.08, 200, 5, 1.6, 48],
  ['loop-60-30', 'Closed-loop stepper 60 mm frame, 3.0 N·m, 48 V', 'Morrow Motion', 162, 'closed', 60, 104, 10, 8.2e-05, 3, 0.12, 200, 5, 1.5, 48],
  ['loop-86-80', 'Closed-loop stepper 86 mm frame, 8.0 N·m, 70 V', 'Morrow Motion', 268, 'closed', 86, 142, 14, 0.00029, 8, 0.32, 200, 6, 4.8, 70],
  ['loop-42-05-36', 'Closed-loop stepper 42 mm frame, 0.5 N·m, 36 V', 'Morrow Motion', 84, 'closed', 42, 62, 5, 7e-06, 0.5, 0.02, 200, 1.7, 2.6, 36],
  ['loop-57-12-36', 'Closed-loop stepper 57 mm frame, 1.2 N·m, 36 V', 'Morrow Motion', 106, 'closed', 57, 76, 8, 2.9e-05, 1.2, 0.048, 200, 4, 1.6, 36],
  ['loop-57-20-36', 'Closed-loop stepper 57 mm frame, 2.0 N·m, 36 V', 'Morrow Motion', 126, 'closed', 57, 98, 8, 5.2e-05, 2.0, 0.08, 200, 5, 1.6, 36],
  ['loop-60-30-36', 'Closed-loop stepper 60 mm frame, 3.0 N·m, 36 V', 'Morrow Motion', 154, 'closed', 60, 104, 10, 8.2e-05, 3.0, 0.12, 200, 5, 1.5, 36],
  ['loop-86-45-60', 'Closed-loop stepper 86 mm frame, 4.5 N·m, 60 V', 'Morrow Motion', 214, 'closed', 86, 108, 14, 0.00015, 4.5, 0.18, 200, 6, 2.4, 60],
  ['loop-86-60-70', 'Closed-loop stepper 86 mm frame, 6.0 N·m, 70 V', 'Morrow Motion', 238, 'closed', 86, 122, 14, 0.00021, 6.0, 0.24, 200, 6, 3.5, 70],
  ['loop-86-120-80', 'Closed-loop stepper 86 mm frame, 12.0 N·m, 80 V', 'Morrow Motion', 342, 'closed', 86, 172, 14, 0.00041, 12, 0.48, 200, 6.5, 6.2, 80],
  ['loop-110-200-80', 'Closed-loop stepper 110 mm frame, 20.0 N·m, 80 V', 'Morrow Motion', 520, 'closed', 110, 190, 19, 0.0011, 20, 0.8, 200, 7, 8.0, 80],
]

/** What the front bearing of a frame bears from a pulley in the middle of its shaft. */
const shaftLoadN = (frameMm: number) => (frameMm < 50 ? 60 : frameMm < 70 ? 160 : frameMm < 100 ? 320 : 480)

const STEPPERS: BarePart<'motor'>[] = rowsOf<
  Omit<BarePart<'motor'>, 'driveCurrentA' | 'curve' | 'continuousTorqueNm' | 'shaftLoadLimitN'>
>(STEPPER_COLUMNS, STEPPER_ROWS).map(motor => ({
  ...motor,
  driveCurrentA: motor.ratedCurrentA,
  continuousTorqueNm: null,
  shaftLoadLimitN: shaftLoadN(motor.frameMm),
  curve: null,
}))

type ServoRow = [
  id: string,
  name: string,
  priceEur: number,
  frameMm: number,
  lengthMm: number,
  shaftMm: number,
  rotorInertiaKgM2: number,
  peakTorqueNm: number,
  curve: [speedRpm: number, torqueNm: number][],
]

// biome-ignore format: a table reads best one motor a line
const SERVO_ROWS: ServoRow[] = [
  ['servo-40-100', 'Servo 40 mm frame, 100 W', 228, 40, 92, 8, 4.5e-06, 0.95, [[0, 0.95], [2400, 0.95], [3000, 0.8], [5000, 0.3]]],
  ['servo-60-200', 'Servo 60 mm frame, 200 W', 282, 60, 94, 14, 1.7e-05, 1.9, [[0, 1.9], [2400, 1.9], [3000, 1.5], [5000, 0.6]]],
  ['servo-60-400', 'Servo 60 mm frame, 400 W', 345, 60, 110, 14, 5.8e-05, 3.8, [[0, 3.8], [2400, 3.8], [3000, 3], [4500, 1.2]]],
  ['servo-80-750', 'Servo 80 mm frame, 750 W', 432, 80, 130, 19, 0.00011, 7.1, [[0, 7.1], [2400, 7.1], [3000, 5.6], [4500, 2.3]]],
  ['servo-80-1000', 'Servo 80 mm frame, 1000 W', 505, 80, 146, 19, 0.00016, 9.5, [[0, 9.5], [2400, 9.5], [3000, 7.5], [4000, 3.0]]],
  ['servo-110-1200', 'Servo 110 mm frame, 1200 W', 590, 110, 180, 19, 0.00054, 12, [[0, 12], [2400, 12], [3000, 9.5], [3600, 3.8]]],
  ['servo-130-1500', 'Servo 130 mm frame, 1500 W', 660, 130, 190, 22, 0.0012, 21, [[0, 21], [1600, 21], [2000, 16.6], [2600, 6.7]]],
  ['servo-130-2000', 'Servo 130 mm frame, 2000 W', 760, 130, 214, 22, 0.0017, 28, [[0, 28], [1600, 28], [2000, 22.1], [2600, 9.0]]],
]

const SERVOS: BarePart<'motor'>[] = SERVO_ROWS.map(
  ([id, name, priceEur, frameMm, lengthMm, shaftMm, rotorInertiaKgM2, peakTorqueNm, curve]) => ({
    id,
    name,
    maker: 'Orle Precision',
    priceEur,
    loop: 'closed',
    frameMm,
    lengthMm,
    shaftMm,
    rotorInertiaKgM2,
    holdingTorqueNm: peakTorqueNm,
    // Three times its rated torque is what a servo gives for a moment.
    continuousTorqueNm: Math.round((peakTorqueNm / 3) * 100) / 100,
    shaftLoadLimitN: 2 * shaftLoadN(frameMm),
    detentTorqueNm: 0.02,
    fullStepsPerRev: 10_000,
    ratedCurrentA: 2.8,
    driveCurrentA: 2.8,
    inductanceMh: 6,
    supplyV: 220,
    curve: curve.map(([speedRpm, torqueNm]) => ({ speedRpm, torqueNm })),
  }),
)

export const MOTORS: BarePart<'motor'>[] = [...STEPPERS, ...SERVOS]
