import { useMemo } from 'react'
import type { Axis } from '@/core/document/axis'
import type { SearchTask } from '@/workers/protocol'
import { useJob } from '../../job/JobContext'
import { useTask } from '../../job/useEvaluation'

const today = () => new Date().toLocaleDateString('sv')

/** An axis as a search takes it: with its parts, and what there is of them today. */
export function useSearchTask(axis: Axis): SearchTask {
  const task = useTask(axis)
  const orders = useJob(job => job.orders)
  return useMemo(() => ({ ...task, orders, today: today() }), [task, orders])
}
