import './locale'
import { expose } from 'comlink'
import { askedOn } from '@/core/acceptance/asked'
import { duesOfJob } from '@/core/acceptance/dues'
import { catalogueOf } from '@/core/machine/parts'
import { nowOf } from '@/core/planning/days'
import { standings } from '@/core/planning/next'
import { waysOut } from '@/core/search/waysOut'
import { laterFindings } from '@/core/sheets/evaluateAxis'
import { judgeParts } from '@/core/sheets/judgeParts'
import type { JudgeWorker } from './protocol'

const worker: JudgeWorker = {
  standings: job => standings(job, catalogueOf(job), nowOf(new Date())),
  asked: job => askedOn(duesOfJob(job, catalogueOf(job)), nowOf(new Date()).day),
  later: ({ axis, units, ...job }) => laterFindings(axis, catalogueOf(job), units),
  remedies: ({ axis, units, ...supply }, checkId) =>
    waysOut(axis, catalogueOf(supply), supply, units, checkId),
  judgeParts: ({ axis, units, ...job }, kind) => judgeParts(axis, catalogueOf(job), kind, units),
}
expose(worker)
