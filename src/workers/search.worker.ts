import './locale'
import { expose } from 'comlink'
import type { Axis } from '@/core/document/axis'
import type { Catalogue } from '@/core/document/parts/types'
import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'
import { catalogueOf } from '@/core/machine/parts'
import { type Field, fieldOf } from '@/core/search/field'
import { handfulOf } from '@/core/search/handful'
import { searchField } from '@/core/search/search'
import { whyNot, whyNothing } from '@/core/search/whyNot'
import { type Supply, withinOf } from '@/core/search/within'
import type { SearchWorker } from './protocol'

/** The search takes most of the time, the handful the rest. */
const SEARCH_SHARE = 0.8

/** What is missing for a search is asked for by its name. */
function fieldOrAsk(axis: Axis, catalogue: Catalogue, supply: Supply): Field {
  try {
    return fieldOf(axis, catalogue, withinOf(axis, catalogue, supply))
  } catch (error) {
    throw error instanceof NotKnown ? new Error(askFor(error.missing).replace(/\.$/, '')) : error
  }
}

const worker: SearchWorker = {
  search({ axis, units, ...supply }, onProgress) {
    const catalogue = catalogueOf(supply)
    const field = fieldOrAsk(axis, catalogue, supply)
    const result = searchField(field, { progress: share => onProgress(SEARCH_SHARE * share) })
    if (!result) return null
    return {
      ...result,
      handful: handfulOf(field, axis, catalogue, result.points, units),
      whyNothing: result.points.length === 0 ? whyNothing(axis, catalogue, supply, units) : null,
    }
  },
  whyNot: ({ axis, units, ...supply }, kind, partId, points) =>
    whyNot(axis, catalogueOf(supply), kind, partId, points, supply, units),
}
expose(worker)
