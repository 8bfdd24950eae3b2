import type { Axis } from '../document/axis'
import { hasBelt } from '../document/axis'
import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey } from '../document/dimensions'

/**
 * Whether a dimension means anything on an axis: what is light and what a counterbalance does, only where something could fall.
 *
 * @example isAsked(newAxis({ name: 'X', title: 'Table' }), 'lightestMassKg') // false
 */
export function isAsked(
  { dimensions }: { dimensions: Pick<Axis['dimensions'], 'inclineDeg' | 'counterbalanceN'> },
  key: DimensionKey,
): boolean {
  const isLevel = dimensions.inclineDeg.value === 0
  if (key === 'lightestMassKg') return !isLevel
  if (key === 'counterbalanceSpreadN') return !isLevel && (dimensions.counterbalanceN.value ?? 0) > 0
  return true
}

const isOpen = (axis: Axis, key: DimensionKey): boolean =>
  axis.dimensions[key].provenance === 'assumed' || axis.dimensions[key].value === null

/**
 * Dimensions that nobody has measured or read off a sheet yet, of those that can be had before anything is bought.
 *
 * @example stillToMeasure(newAxis({ name: 'X', title: 'Table' })).length // 9
 */
export const stillToMeasure = (axis: Axis): DimensionKey[] =>
  DIMENSION_KEYS.filter(key => DIMENSIONS[key].group !== 'shafts' && isAsked(axis, key) && isOpen(axis, key))

/**
 * How the motor's shaft stands to the screw, as far as it is not measured: it shows once both are in. A belt asks for
 * none of it.
 *
 * @example stillToAlign(newAxis({ name: 'X', title: 'Table' })) // ['shaftParallelMm', 'shaftAngleDeg', 'shaftAxialMm']
 */
export const stillToAlign = (axis: Axis): DimensionKey[] =>
  hasBelt(axis.drive)
    ? []
    : DIMENSION_KEYS.filter(key => DIMENSIONS[key].group === 'shafts' && isOpen(axis, key))
