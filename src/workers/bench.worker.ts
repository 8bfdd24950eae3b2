import { expose } from 'comlink'
import { CATALOGUE } from '@/core/sizing/parts'
import { judgeParts } from '@/core/verdicts/judgeParts'
import { waysOut } from '@/core/verdicts/waysOut'
import type { BenchWorker } from './protocol'

const worker: BenchWorker = {
  waysOut: (axis, units, checkId) => waysOut(axis, CATALOGUE, units, checkId),
  judgeParts: (axis, kind, units) => judgeParts(axis, CATALOGUE, kind, units),
}
expose(worker)
