import type { Axis } from '../document/axis'
import { hasBelt } from '../document/axis'
import {
  DIMENSION_KEYS,
  DIMENSIONS,
  type DimensionKey,
  GOAL_KEYS,
  type GoalKey,
} from '../document/dimensions'
import { isRead } from '../document/kinds'

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
  if (key === 'lightestMassKg' || key === 'counterbalanceN') return !isLevel
  if (key === 'counterbalanceSpreadN') return !isLevel && (dimensions.counterbalanceN.value ?? 0) > 0
  return true
}

/** Of a part that is still to be made, the steps that fit it: from then on its dimension can be measured. */
const FITTED_BY: Partial<Record<DimensionKey, readonly string[]>> = {
  supportSpanMm: ['far-loose', 'fixed-loose'],
  bracketThicknessMm: ['nut-loose'],
}

/**
 * Whether a dimension is one of a part that the conversion makes: it follows from the plan until that part is fitted.
 *
 * @example isToBeMade('bracketThicknessMm') // true
 */
export const isToBeMade = (key: DimensionKey): boolean => FITTED_BY[key] !== undefined

/**
 * The goals that an axis has: how far a gantry may rack is asked of two screws alone.
 *
 * @example goalsAsked(newAxis({ name: 'X', title: 'Table' })).includes('rackingTargetUm') // false
 */
export const goalsAsked = ({ drive }: Pick<Axis, 'drive'>): GoalKey[] =>
  GOAL_KEYS.filter(key => key !== 'rackingTargetUm' || drive.screws === 2)

/**
 * Whether a dimension is of a part that is not there yet, so that a figure for it is a plan.
 *
 * @example isPlanned(newAxis({ name: 'X', title: 'Table' }), 'bracketThicknessMm') // true
 */
export const isPlanned = ({ dimensions, ticks }: Axis, key: DimensionKey): boolean =>
  dimensions[key].provenance === 'planned' && FITTED_BY[key]?.some(id => ticks[id]) === false

/**
 * Whether a dimension that shows only when it is apart can be read roughly before, and nobody has.
 *
 * @example asksFromOutside(newAxis({ name: 'X', title: 'Table' }), 'wayTravelMm') // true
 */
export const asksFromOutside = ({ dimensions }: Axis, key: DimensionKey): boolean =>
  DIMENSIONS[key].outside !== undefined &&
  (dimensions[key].value === null || dimensions[key].provenance === 'assumed')

const isOpen = (axis: Axis, key: DimensionKey): boolean => {
  const { value, provenance } = axis.dimensions[key]
  return value === null || (!isRead(provenance) && !isPlanned(axis, key))
}

/**
 * Dimensions that nobody has measured or read off a sheet yet, of those that can be had before anything is bought.
 *
 * @example stillToMeasure(newAxis({ name: 'X', title: 'Table' })).length // 6
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
