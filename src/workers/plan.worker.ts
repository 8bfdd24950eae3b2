import './locale'
import { expose } from 'comlink'
import { catalogueOf } from '@/core/machine/parts'
import { planJob } from '@/core/planning/plan'
import type { PlanWorker } from './protocol'

/** So long a plan is bettered before its bound is given with it. */
const LONGEST_MS = 6000

const worker: PlanWorker = {
  plan({ job, now, whatIf }, onBetter) {
    const start = performance.now()
    return planJob(
      job,
      catalogueOf(job),
      now,
      { better: onBetter, cancelled: () => performance.now() - start > LONGEST_MS },
      whatIf,
    )
  },
}
expose(worker)
