import './locale'
import { expose } from 'comlink'
import { catalogueOf } from '@/core/machine/parts'
import { laterFindings } from '@/core/sheets/evaluateAxis'
import { judgeParts } from '@/core/sheets/judgeParts'
import { nextForJob } from '@/core/sheets/nextAction'
import { remediesFor } from '@/core/sheets/remediesFor'
import type { JudgeWorker } from './protocol'

const worker: JudgeWorker = {
  next: task => nextForJob(task, catalogueOf(task)),
  later: ({ axis, units, ...job }) => laterFindings(axis, catalogueOf(job), units),
  remedies: ({ axis, units, ...job }, checkId) => remediesFor(axis, catalogueOf(job), units, checkId),
  judgeParts: ({ axis, units, ...job }, kind) => judgeParts(axis, catalogueOf(job), kind, units),
}
expose(worker)
