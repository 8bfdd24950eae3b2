import { expose } from 'comlink'
import { catalogueOf } from '@/core/machine/parts'
import { judgeParts } from '@/core/sheets/judgeParts'
import { waysOut } from '@/core/sheets/remedies'
import type { BenchWorker } from './protocol'

const worker: BenchWorker = {
  waysOut: ({ axis, units, ...job }, checkId) => waysOut(axis, catalogueOf(job), units, checkId),
  judgeParts: ({ axis, units, ...job }, kind) => judgeParts(axis, catalogueOf(job), kind, units),
}
expose(worker)
