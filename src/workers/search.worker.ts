import './locale'
import { expose } from 'comlink'
import type { Axis } from '@/core/document/axis'
import type { Catalogue } from '@/core/document/parts/types'
import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'
import { catalogueOf } from '@/core/machine/parts'
import { searchDrives } from '@/core/search/search'
import { whyNot, whyNothing } from '@/core/search/whyNot'
import type { SearchWorker } from './protocol'

/** What is missing for a search is asked for by its name. */
function searchOrAsk(axis: Axis, catalogue: Catalogue, progress: (share: number) => void) {
  try {
    return searchDrives(axis, catalogue, { progress })
  } catch (error) {
    throw error instanceof NotKnown ? new Error(askFor(error.missing).replace(/\.$/, '')) : error
  }
}

const worker: SearchWorker = {
  search({ axis, units, ...job }, onProgress) {
    const catalogue = catalogueOf(job)
    const result = searchOrAsk(axis, catalogue, onProgress)
    if (!result) return null
    return {
      ...result,
      whyNothing: result.points.length === 0 ? whyNothing(axis, catalogue, units).fails : null,
    }
  },
  whyNot: ({ axis, units, ...job }, kind, partId, points) =>
    whyNot(axis, catalogueOf(job), kind, partId, points, units),
}
expose(worker)
