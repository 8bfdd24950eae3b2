import { useEffect, useMemo, useState } from 'react'
import type { Job } from '@/core/document/job'
import { type Now, nowOf } from '@/core/planning/days'
import type { Planned, WhatIf } from '@/core/planning/plan'
import { errorWords } from '@/store/errorWords'
import { startPlan } from '@/workers/client'

/** Where planning stands: the best plan so far, and whether a better one is still looked for. */
export interface Planning {
  now: Now
  plan: Planned | null
  isLooking: boolean
  failed: string | null
  stop: () => void
}

/** A plan that is older than this is laid anew: time goes on while a sheet is open. */
const STALE_MS = 5 * 60_000

/**
 * The plan for what is left of a job, laid anew when the job changes and every few minutes; better ones follow as they
 * are found.
 *
 * @param whatIf as if something were otherwise; the same object for the same question, null for the job as it is
 */
export function usePlan(job: Job, whatIf: WhatIf | null): Planning {
  const [since, setSince] = useState(0)
  useEffect(() => {
    const timer = setInterval(() => setSince(before => before + 1), STALE_MS)
    return () => clearInterval(timer)
  }, [])
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new job or a later hour is planned from now
  const now = useMemo(() => nowOf(new Date()), [job, since])
  const [state, setState] = useState<Omit<Planning, 'stop' | 'now'> & { now: Now | null }>({
    now: null,
    plan: null,
    isLooking: true,
    failed: null,
  })
  const [cancel, setCancel] = useState<(() => void) | null>(null)
  useEffect(() => {
    let current = true
    setState(before => ({ ...before, isLooking: true, failed: null }))
    const running = startPlan(
      { job, now, whatIf },
      plan => current && setState({ now, plan, isLooking: true, failed: null }),
    )
    setCancel(() => () => {
      running.cancel()
      setState(before => ({ ...before, isLooking: false }))
    })
    running.done.then(
      plan => current && setState({ now, plan, isLooking: false, failed: null }),
      error =>
        current &&
        setState(before => ({
          ...before,
          isLooking: false,
          failed: errorWords(error),
        })),
    )
    return () => {
      current = false
      running.cancel()
    }
  }, [job, now, whatIf])
  return { ...state, now: state.now ?? now, stop: cancel ?? (() => {}) }
}
