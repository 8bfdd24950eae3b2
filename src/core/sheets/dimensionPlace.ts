import { DIMENSIONS, type DimensionKey } from '../document/dimensions'
import type { Stage } from '../document/stages'
import type { SheetId } from '.'

/** The sheet that each group of dimensions is typed in. */
const SHEET_OF_GROUP = { geometry: 'geometry', load: 'loads', shafts: 'shafts' } as const

/**
 * The stage and the sheet where a dimension is measured.
 *
 * @example placeOfDimension('travelMm') // { stage: 'survey', sheet: 'geometry' }
 */
export const placeOfDimension = (key: DimensionKey): { stage: Stage; sheet: SheetId } => {
  const { group } = DIMENSIONS[key]
  return { stage: group === 'shafts' ? 'align' : 'survey', sheet: SHEET_OF_GROUP[group] }
}

/** The field where a dimension is read roughly, from outside, before it is apart. */
export const outsideField = (key: DimensionKey): string => `${key}-outside`
