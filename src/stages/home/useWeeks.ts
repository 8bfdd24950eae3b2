import { useEffect, useRef, useState } from 'react'
import type { Job } from '@/core/document/job'
import { catalogueOf } from '@/core/machine/parts'
import { type Now, nowOf } from '@/core/planning/days'
import type { NextAction } from '@/core/planning/next'
import type { PlannedJob } from '@/core/planning/plan'
import { type Week, weekOf } from '@/core/planning/week'
import type { JobRow } from '@/store/database'
import { describeProblem, type Problem } from '@/store/problem'
import { askJudge, startPlan } from '@/workers/client'

/** One machine of the week; without a week where it has no plan. */
export interface MachineWeek {
  job: Job
  next: NextAction[]
  week: Week | null
}

export interface Weeks {
  machines: readonly MachineWeek[]
  done: number
  isWorking: boolean
  isStopped: boolean
  problem: Problem | null
  stop: () => void
}

/** So long a plan may be bettered: over many machines the first good one does. */
const LONGEST_LOOK_MS = 1500

/** The best plan that was found in a moment, or the first one where that takes longer; null where there is none. */
const planFor = (job: Job, now: Now): Promise<PlannedJob | null> =>
  new Promise((resolve, reject) => {
    let best: PlannedJob | null = null
    let isLate = false
    const take = () => {
      running.cancel()
      resolve(best)
    }
    const running = startPlan({ job, now, whatIf: null }, better => {
      best = better
      if (isLate) take()
    })
    const timer = setTimeout(() => {
      isLate = true
      if (best) take()
    }, LONGEST_LOOK_MS)
    running.done
      .then(planned => resolve(planned.kind === 'plan' ? planned : null), reject)
      .finally(() => clearTimeout(timer))
  })

/** The week of each machine, one worked out after another beside the screen, until it is stopped. */
export function useWeeks(rows: readonly JobRow[] | null): Weeks {
  const [state, setState] = useState<Omit<Weeks, 'stop' | 'done'>>({
    machines: [],
    isWorking: true,
    isStopped: false,
    problem: null,
  })
  const stopped = useRef(false)
  // Once for the jobs as they stood when the page was opened.
  const first = useRef<readonly JobRow[] | null>(null)
  first.current ??= rows
  const jobs = first.current
  useEffect(() => {
    if (!jobs) return
    let current = true
    const work = async () => {
      const now = nowOf(new Date())
      for (const { job } of jobs) {
        if (!current || stopped.current) return
        const standings = await askJudge(judge => judge.standings(job))
        const planned = await planFor(job, now)
        const week = planned && weekOf(job, catalogueOf(job), planned, now)
        if (current)
          setState(before => ({
            ...before,
            machines: [...before.machines, { job, next: standings.flatMap(({ next }) => next ?? []), week }],
          }))
      }
    }
    work()
      .catch(error => current && setState(before => ({ ...before, problem: describeProblem(error) })))
      .finally(
        () => current && setState(before => ({ ...before, isWorking: false, isStopped: stopped.current })),
      )
    return () => {
      current = false
    }
  }, [jobs])
  return {
    ...state,
    done: state.machines.length,
    stop: () => {
      stopped.current = true
    },
  }
}
