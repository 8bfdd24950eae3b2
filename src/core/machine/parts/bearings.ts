import type { BarePart } from '../../document/parts/types'
import { rowsOf } from './table'

const COLUMNS = [
  'id',
  'name',
  'maker',
  'priceEur',
  'arrangement',
  'boreMm',
  'couplerSeatMm',
  'ballCount',
  'ballDiameterMm',
  'contactAngleDeg',
  'dynamicCapacityN',
  'staticCapacityN',
  'preloadN',
  'axialPlayUm',
  'dragTorqueNm',
  'blockLengthMm',
  'blockHeightMm',
] as const

// biome-ignore format: a table reads best one set a line
const ROWS = [
  ['deep-groove-8', 'Two deep-groove bearings, wave spring, 8 mm', 'Sallow Bearings', 20, 'deep-groove', 8, 6, 8, 3.969, 15, 3500, 2000, 40, 15, 0.015, 30, 44],
  ['deep-groove-10', 'Two deep-groove bearings, wave spring, 10 mm', 'Sallow Bearings', 24, 'deep-groove', 10, 8, 8, 4.763, 15, 4900, 2900, 60, 14, 0.02, 36, 52],
  ['deep-groove-12', 'Two deep-groove bearings, wave spring, 12 mm', 'Sallow Bearings', 27, 'deep-groove', 12, 10, 8, 5.953, 15, 7300, 4500, 80, 16, 0.025, 38, 60],
  ['deep-groove-15', 'Two deep-groove bearings, wave spring, 15 mm', 'Sallow Bearings', 32, 'deep-groove', 15, 12, 8, 5.953, 15, 7300, 4500, 110, 16, 0.033, 42, 70],
  ['deep-groove-17', 'Two deep-groove bearings, wave spring, 17 mm', 'Sallow Bearings', 35, 'deep-groove', 17, 14, 8, 6.35, 15, 8200, 5200, 130, 17, 0.038, 46, 80],
  ['deep-groove-20', 'Two deep-groove bearings, wave spring, 20 mm', 'Sallow Bearings', 40, 'deep-groove', 20, 16, 8, 7.144, 15, 10100, 6600, 170, 17, 0.046, 50, 90],
  ['double-row-10', 'Double-row angular contact, 10 mm', 'Sallow Bearings', 51, 'double-row', 10, 8, 9, 4.763, 30, 8000, 6300, 140, 4, 0.04, 36, 52],
  ['double-row-12', 'Double-row angular contact, 12 mm', 'Sallow Bearings', 58, 'double-row', 12, 10, 9, 5.556, 30, 10500, 8600, 180, 4, 0.05, 40, 60],
  ['double-row-15', 'Double-row angular contact, 15 mm', 'Sallow Bearings', 69, 'double-row', 15, 12, 11, 5.953, 30, 13600, 12100, 250, 4, 0.065, 44, 70],
  ['double-row-17', 'Double-row angular contact, 17 mm', 'Sallow Bearings', 75, 'double-row', 17, 14, 11, 6.35, 30, 15300, 13700, 300, 4, 0.076, 48, 80],
  ['double-row-20', 'Double-row angular contact, 20 mm', 'Sallow Bearings', 85, 'double-row', 20, 16, 11, 7.144, 30, 18900, 17400, 380, 4, 0.092, 52, 90],
  ['face-10', 'Angular contact pair, face-to-face, 10 mm', 'Sallow Bearings', 62, 'face-to-face', 10, 8, 10, 4.763, 30, 8500, 7000, 350, 0, 0.056, 40, 52],
  ['face-12', 'Angular contact pair, face-to-face, 12 mm', 'Sallow Bearings', 71, 'face-to-face', 12, 10, 10, 5.556, 30, 11300, 9600, 450, 0, 0.07, 44, 60],
  ['face-15', 'Angular contact pair, face-to-face, 15 mm', 'Sallow Bearings', 84, 'face-to-face', 15, 12, 12, 5.953, 30, 14400, 13200, 620, 0, 0.091, 48, 70],
  ['face-17', 'Angular contact pair, face-to-face, 17 mm', 'Sallow Bearings', 92, 'face-to-face', 17, 14, 12, 6.35, 30, 16200, 15000, 750, 0, 0.106, 52, 80],
  ['face-20', 'Angular contact pair, face-to-face, 20 mm', 'Sallow Bearings', 104, 'face-to-face', 20, 16, 12, 7.144, 30, 20000, 19000, 940, 0, 0.129, 56, 90],
  ['face-25', 'Angular contact pair, face-to-face, 25 mm', 'Sallow Bearings', 123, 'face-to-face', 25, 20, 12, 7.938, 30, 24200, 23400, 1300, 0, 0.169, 64, 106],
  ['back30-10', 'Angular contact pair at 30°, back-to-back, 10 mm', 'Sallow Bearings', 66, 'back-to-back', 10, 8, 10, 4.763, 30, 8500, 7000, 330, 0, 0.056, 40, 52],
  ['back30-12', 'Angular contact pair at 30°, back-to-back, 12 mm', 'Sallow Bearings', 76, 'back-to-back', 12, 10, 10, 5.556, 30, 11300, 9600, 430, 0, 0.07, 44, 60],
  ['back30-15', 'Angular contact pair at 30°, back-to-back, 15 mm', 'Sallow Bearings', 90, 'back-to-back', 15, 12, 12, 5.953, 30, 14400, 13200, 590, 0, 0.091, 48, 70],
  ['back30-17', 'Angular contact pair at 30°, back-to-back, 17 mm', 'Sallow Bearings', 99, 'back-to-back', 17, 14, 12, 6.35, 30, 16200, 15000, 710, 0, 0.106, 52, 80],
  ['back30-20', 'Angular contact pair at 30°, back-to-back, 20 mm', 'Sallow Bearings', 111, 'back-to-back', 20, 16, 12, 7.144, 30, 20000, 19000, 900, 0, 0.129, 56, 90],
  ['back30-25', 'Angular contact pair at 30°, back-to-back, 25 mm', 'Sallow Bearings', 132, 'back-to-back', 25, 20, 12, 7.938, 30, 24200, 23400, 1250, 0, 0.169, 64, 106],
  ['back-8', 'Angular contact pair, back-to-back, 8 mm', 'Tollard Bearings', 62, 'back-to-back', 8, 6, 10, 3.969, 40, 5600, 6300, 430, 0, 0.049, 36, 44],
  ['back-10', 'Angular contact pair, back-to-back, 10 mm', 'Tollard Bearings', 73, 'back-to-back', 10, 8, 10, 4.763, 40, 7800, 9000, 600, 0, 0.064, 40, 52],
  ['back-12', 'Angular contact pair, back-to-back, 12 mm', 'Tollard Bearings', 84, 'back-to-back', 12, 10, 10, 5.556, 40, 10300, 12300, 780, 0, 0.08, 44, 60],
  ['back-15', 'Angular contact pair, back-to-back, 15 mm', 'Tollard Bearings', 97, 'back-to-back', 15, 12, 12, 5.953, 40, 13200, 16900, 1100, 0, 0.11, 47, 70],
  ['back-17', 'Angular contact pair, back-to-back, 17 mm', 'Tollard Bearings', 109, 'back-to-back', 17, 14, 12, 6.35, 40, 14800, 19300, 1290, 0, 0.122, 52, 80],
  ['back-20', 'Angular contact pair, back-to-back, 20 mm', 'Tollard Bearings', 123, 'back-to-back', 20, 16, 12, 7.144, 40, 18300, 24400, 1640, 0, 0.148, 56, 90],
  ['back-25', 'Angular contact pair, back-to-back, 25 mm', 'Tollard Bearings', 146, 'back-to-back', 25, 20, 12, 7.938, 40, 22200, 30100, 2260, 0, 0.193, 64, 106],
  ['nut-36', 'Bearing pair for a nut that turns, 36 mm', 'Tollard Bearings', 165, 'back-to-back', 36, 30, 19, 7.144, 40, 26500, 43500, 2500, 0, 0.27, 66, 96],
  ['nut-48', 'Bearing pair for a nut that turns, 48 mm', 'Tollard Bearings', 198, 'back-to-back', 48, 42, 22, 7.938, 40, 35000, 62000, 3300, 0, 0.39, 74, 118],
  ['nut-65', 'Bearing pair for a nut that turns, 65 mm', 'Tollard Bearings', 262, 'back-to-back', 65, 60, 25, 9.525, 40, 47500, 93000, 5000, 0, 0.6, 86, 146],
  ['thrust-12', 'Screw-support pair at 60°, back-to-back, 12 mm', 'Tollard Bearings', 130, 'back-to-back', 12, 10, 12, 5.556, 60, 9200, 19900, 1350, 0, 0.11, 44, 60],
  ['thrust-15', 'Screw-support pair at 60°, back-to-back, 15 mm', 'Tollard Bearings', 154, 'back-to-back', 15, 12, 14, 5.953, 60, 11600, 26600, 1870, 0, 0.144, 48, 70],
  ['thrust-17', 'Screw-support pair at 60°, back-to-back, 17 mm', 'Tollard Bearings', 168, 'back-to-back', 17, 14, 14, 6.35, 60, 13000, 30300, 1900, 0, 0.15, 52, 80],
  ['thrust-20', 'Screw-support pair at 60°, back-to-back, 20 mm', 'Tollard Bearings', 191, 'back-to-back', 20, 16, 14, 7.144, 60, 16100, 38400, 2830, 0, 0.203, 56, 90],
  ['thrust-25', 'Screw-support pair at 60°, back-to-back, 25 mm', 'Tollard Bearings', 225, 'back-to-back', 25, 20, 14, 7.938, 60, 19400, 47400, 3910, 0, 0.265, 64, 106],
]

/** Factor f0 of the deep-groove bearings by their bore. */
const F0_BY_BORE_MM: Record<number, number> = { 8: 12, 10: 12, 12: 13, 15: 14, 17: 14, 20: 14 }

export const BEARINGS = rowsOf<Omit<BarePart<'bearing'>, 'f0'>>(COLUMNS, ROWS).map(
  (set): BarePart<'bearing'> => ({
    ...set,
    f0: set.arrangement === 'deep-groove' ? (F0_BY_BORE_MM[set.boreMm] ?? null) : null,
  }),
)
