import './locale'
import { expose } from 'comlink'
import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'
import { catalogueOf } from '@/core/machine/parts'
import { searchOutcome } from '@/core/search/outcome'
import { whyNot } from '@/core/search/whyNot'
import type { SearchWorker } from './protocol'

const worker: SearchWorker = {
  search({ axis, units, ...supply }, progress) {
    try {
      return searchOutcome(axis, catalogueOf(supply), supply, units, { progress })
    } catch (error) {
      // What is missing for a search is asked for by its name.
      throw error instanceof NotKnown ? new Error(askFor(error.missing).replace(/\.$/, '')) : error
    }
  },
  whyNot: ({ axis, units, ...supply }, kind, partId, points) =>
    whyNot(axis, catalogueOf(supply), kind, partId, points, supply, units),
}
expose(worker)
