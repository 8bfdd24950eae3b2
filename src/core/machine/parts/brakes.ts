import type { BarePart } from '../../document/parts/types'
import { rowsOf } from './table'

const COLUMNS = [
  'id',
  'name',
  'maker',
  'priceEur',
  'holdingTorqueNm',
  'inertiaKgM2',
  'smallestBoreMm',
  'largestBoreMm',
  'lengthMm',
] as const

// biome-ignore format: a table reads best one brake a line
const ROWS = [
  ['brake-05', 'Spring-applied brake 0.5 N·m, 24 V', 'Morrow Motion', 48, 0.5, 1.2e-6, 4, 6.35, 28],
  ['brake-15', 'Spring-applied brake 1.5 N·m, 24 V', 'Morrow Motion', 64, 1.5, 6e-6, 5, 10, 32],
  ['brake-30', 'Spring-applied brake 3 N·m, 24 V', 'Morrow Motion', 88, 3, 1.6e-5, 8, 14, 38],
  ['brake-60', 'Spring-applied brake 6 N·m, 24 V', 'Morrow Motion', 119, 6, 3.8e-5, 8, 16, 44],
  ['brake-120', 'Spring-applied brake 12 N·m, 24 V', 'Morrow Motion', 168, 12, 1.1e-4, 10, 20, 52],
  ['brake-240', 'Spring-applied brake 24 N·m, 24 V', 'Morrow Motion', 246, 24, 3.4e-4, 12, 28, 60],
] as const

export const BRAKES = rowsOf<BarePart<'brake'>>(COLUMNS, ROWS)
