import { useCallback, useRef } from 'react'
import type { Twin } from '@/core/diagnose/twin'
import type { Axis } from '@/core/document/axis'
import { useSettledAxis } from '../../job/useAxis'
import { useTask } from '../../job/useEvaluation'
import { useAnswer } from '../../job/useRun'

/** What this axis would read with each fault, once it is known. */
export interface TwinRead {
  /** Null where nothing was measured that comes to a figure, and as long as it is not known. */
  readonly twin: Twin | null
  readonly isKnown: boolean
}

/** What a search says of an axis changes no reading of it. */
const ASIDE: ReadonlySet<string> = new Set<keyof Axis>(['faultSearches'])
const isSame = (one: Axis, other: Axis) =>
  Object.keys(one).every(key => ASIDE.has(key) || one[key as keyof Axis] === other[key as keyof Axis])

/** The virtual axis of this job, read with each fault in a worker; asked for anew only when something was read or changed. */
export function useTwin(isWanted: boolean): TwinRead {
  const settled = useSettledAxis()
  const last = useRef(settled)
  if (!isSame(settled, last.current)) last.current = settled
  const task = useTask(last.current)
  const ask = useCallback(async (): Promise<Pick<TwinRead, 'twin'>> => {
    const { askPractice } = await import('@/workers/client')
    return { twin: await askPractice(practice => practice.twin(task, new Date().toISOString())) }
  }, [task])
  const answer = useAnswer(isWanted ? ask : null, task.axis.id)
  return { twin: answer?.twin ?? null, isKnown: answer !== null }
}
