import './locale'
import { expose } from 'comlink'
import { drawChain } from '@/core/sheets/chain/monteCarlo'
import type { DrawWorker } from './protocol'

const worker: DrawWorker = {
  draw: ({ contributors, limits, draws, seed }, onProgress) =>
    drawChain(contributors, limits, draws, seed, share => {
      onProgress(share)
      return true
    }),
}
expose(worker)
