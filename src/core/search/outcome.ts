import type { Axis } from '../document/axis'
import type { Catalogue } from '../document/parts/types'
import type { UnitSystem } from '../units/quantity'
import { fieldOf, type SearchResult } from './field'
import { type Handpicked, handfulOf } from './handful'
import { type SearchWatch, searchField } from './search'
import { type WhyNothing, whyNothing } from './whyNot'
import { type Supply, withinOf } from './within'

/** What a search comes to: the drives that nothing beats with a few that differ in kind, or why there are none. */
export interface SearchOutcome extends SearchResult {
  handful: Handpicked[]
  whyNothing: WhyNothing | null
}

/** The search takes most of the time, the handful the rest. */
const SEARCH_SHARE = 0.8

/**
 * Searches for the drive of an axis within what is given, as it is shown.
 *
 * @returns null when it was cancelled
 * @throws NotKnown while a dimension is not known
 */
export function searchOutcome(
  axis: Axis,
  catalogue: Catalogue,
  supply: Supply,
  units: UnitSystem,
  { progress, cancelled }: SearchWatch = {},
): SearchOutcome | null {
  const field = fieldOf(axis, catalogue, withinOf(axis, catalogue, supply))
  const result = searchField(field, { cancelled, progress: share => progress?.(SEARCH_SHARE * share) })
  if (!result) return null
  return {
    ...result,
    handful: handfulOf(field, axis, catalogue, result.points, units),
    whyNothing: result.points.length === 0 ? whyNothing(axis, catalogue, supply, units) : null,
  }
}
