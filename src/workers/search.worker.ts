import './locale'
import { expose } from 'comlink'
import { askFor } from '@/core/evaluation/check'
import { NotKnown } from '@/core/evaluation/notKnown'
import { catalogueOf } from '@/core/machine/parts'
import { readShopParts } from '@/core/machine/parts/shopParts'
import { searchOutcome } from '@/core/search/outcome'
import { whyNot } from '@/core/search/whyNot'
import type { SearchTask, SearchWorker } from './protocol'

/** What there is of parts, with the shop's list read. */
const withShop = ({ shopTexts = {}, ...supply }: Omit<SearchTask, 'axis' | 'units'>) => ({
  ...supply,
  shopParts: readShopParts(shopTexts),
})

const worker: SearchWorker = {
  search({ axis, units, ...task }, progress) {
    try {
      const supply = withShop(task)
      return searchOutcome(axis, catalogueOf(supply), supply, units, { progress })
    } catch (error) {
      // What is missing for a search is asked for by its name.
      throw error instanceof NotKnown ? new Error(askFor(error.missing).replace(/\.$/, '')) : error
    }
  },
  whyNot({ axis, units, ...task }, kind, partId, points) {
    const supply = withShop(task)
    return whyNot(axis, catalogueOf(supply), kind, partId, points, supply, units)
  },
}
expose(worker)
