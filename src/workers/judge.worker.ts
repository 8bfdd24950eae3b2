import './locale'
import { expose } from 'comlink'
import { catalogueOf } from '@/core/machine/parts'
import { waysOut } from '@/core/search/waysOut'
import { laterFindings } from '@/core/sheets/evaluateAxis'
import { judgeParts } from '@/core/sheets/judgeParts'
import { nextForJob } from '@/core/sheets/nextAction'
import type { JudgeWorker } from './protocol'

const worker: JudgeWorker = {
  next: task => nextForJob(task, catalogueOf(task)),
  later: ({ axis, units, ...job }) => laterFindings(axis, catalogueOf(job), units),
  remedies: ({ axis, units, ...supply }, checkId) =>
    waysOut(axis, catalogueOf(supply), supply, units, checkId),
  judgeParts: ({ axis, units, ...job }, kind) => judgeParts(axis, catalogueOf(job), kind, units),
}
expose(worker)
