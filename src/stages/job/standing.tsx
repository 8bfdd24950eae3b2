import { createContext, type ReactNode, useCallback, useContext, useMemo } from 'react'
import type { Asked } from '@/core/acceptance/asked'
import type { Job } from '@/core/document/job'
import type { Standing } from '@/core/planning/next'
import { useJobContext } from './JobContext'
import { axisIn, useSettledJob } from './useAxis'
import { useAnswer } from './useRun'

const Context = createContext<Standing | null>(null)

/** Asks the worker where each axis of a job stands. */
export async function askStandings(job: Job): Promise<Standing[]> {
  const { askJudge } = await import('@/workers/client')
  return askJudge(judge => judge.standings(job))
}

/** The job with the axis at work alone: the same object until something changes that its standing hangs on. */
function useJobOfAxis(): Job {
  const job = useSettledJob()
  const { axisId } = useJobContext()
  const axis = axisIn(job, axisId)
  const { orders, plan, ownParts, shop, units } = job
  // biome-ignore lint/correctness/useExhaustiveDependencies: what else the job holds says nothing of where this axis stands
  return useMemo(() => ({ ...job, axes: [axis] }), [job.id, axis, orders, plan, ownParts, shop, units])
}

/** What the job asks for today and within a week; null until that is worked out. */
export function useAsked(): Asked[] | null {
  const job = useSettledJob()
  const ask = useCallback(async () => {
    const { askJudge } = await import('@/workers/client')
    return askJudge(judge => judge.asked(job))
  }, [job])
  return useAnswer(ask, job.id)
}

/** Works out where the axis at work stands beside the screen, once for all who say it. */
export function StandingProvider({ children }: { children: ReactNode }) {
  const job = useJobOfAxis()
  const ask = useCallback(() => askStandings(job), [job])
  const answer = useAnswer(ask, job.axes[0]?.id ?? null)
  return <Context value={answer?.[0] ?? null}>{children}</Context>
}

/** Where the axis at work stands; null until that is worked out. */
export const useStanding = (): Standing | null => useContext(Context)

/** Where each axis of the job stands; null until that is worked out. */
export function useStandings(): Standing[] | null {
  const job = useSettledJob()
  const ask = useCallback(() => askStandings(job), [job])
  return useAnswer(ask, job.id)
}
