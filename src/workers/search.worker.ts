import { expose } from 'comlink'
import { catalogueOf } from '@/core/machine/parts'
import { searchDrives } from '@/core/search/search'
import { whyNot, whyNothing } from '@/core/search/whyNot'
import type { SearchWorker } from './protocol'

const worker: SearchWorker = {
  search({ axis, units, ...job }, onProgress) {
    const catalogue = catalogueOf(job)
    const result = searchDrives(axis, catalogue, { progress: onProgress })
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
