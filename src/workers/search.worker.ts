import { expose } from 'comlink'
import { CATALOGUE } from '@/core/sizing/parts'
import { searchDrives } from '@/core/sizing/search/search'
import { whyNot, whyNothing } from '@/core/sizing/search/whyNot'
import type { SearchWorker } from './protocol'

const worker: SearchWorker = {
  search(axis, units, onProgress) {
    const result = searchDrives(axis, CATALOGUE, { progress: onProgress })
    if (!result) return null
    return {
      ...result,
      whyNothing: result.points.length === 0 ? whyNothing(axis, CATALOGUE, units).fails : null,
    }
  },
  whyNot: (axis, units, kind, partId, points) => whyNot(axis, CATALOGUE, kind, partId, points, units),
}
expose(worker)
