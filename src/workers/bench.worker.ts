import { expose } from 'comlink'
import { catalogueOf } from '@/core/sizing/parts'
import { judgeParts } from '@/core/verdicts/judgeParts'
import { waysOut } from '@/core/verdicts/waysOut'
import type { BenchWorker } from './protocol'

const worker: BenchWorker = {
  waysOut: ({ axis, units, ...job }, checkId) => waysOut(axis, catalogueOf(job), units, checkId),
  judgeParts: ({ axis, units, ...job }, kind) => judgeParts(axis, catalogueOf(job), kind, units),
}
expose(worker)
