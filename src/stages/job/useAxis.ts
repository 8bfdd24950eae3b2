import equal from 'fast-deep-equal'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { Job } from '@/core/document/job'
import { useJobContext, useJobDigest, useSessionState, whole } from './JobContext'

/** A part of the axis at work; `select` must return a part of the document, not a new object. */
export function useAxis<T>(select: (axis: Axis) => T): T {
  const { session, axisId } = useJobContext()
  return useSessionState(session, ({ job }) => select(axisIn(job, axisId)))
}

/** A small part of the axis at work put together anew; renders again only when it differs. */
export function useAxisDigest<T>(digest: (axis: Axis) => T): T {
  const { axisId } = useJobContext()
  return useJobDigest(job => digest(axisIn(job, axisId)))
}

/** How long typing must rest before what is not looked at meanwhile follows it. */
const TYPING_RESTS_MS = 250
/** Between two readings of a gauge the slide has to move: what is drawn of them waits until then. */
const READING_RESTS_MS = 900

/**
 * A part of the job that follows when the typing rests, and any other edit at once.
 *
 * @param draw how the change is drawn: in turns with what is more urgent, if nothing else is said
 */
function useSettled<T>(
  select: (job: Job | null) => T,
  draw: (change: () => void) => void = startTransition,
): T {
  const { session } = useJobContext()
  const [settled, setSettled] = useState<T>(() => select(session.getState().job))
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const settle = () => draw(() => setSettled(() => select(session.getState().job)))
    const follow = () => {
      clearTimeout(timer)
      if (session.isTyping) timer = setTimeout(settle, TYPING_RESTS_MS)
      else if (session.isReading) timer = setTimeout(settle, READING_RESTS_MS)
      else settle()
    }
    settle()
    const stop = session.subscribe(follow)
    return () => {
      clearTimeout(timer)
      stop()
    }
  }, [session, select, draw])
  return settled
}

const atOnce = (change: () => void) => change()

/** The whole job once the typing rests, drawn at once: for what hands it on to a worker. */
export const useSettledJob = (): Job => useSettled<Job | null>(whole, atOnce) as Job

/** The axis at work for what is not looked at while a value is typed. */
export function useSettledAxis(): Axis {
  const { session, axisId } = useJobContext()
  const select = useCallback((job: Job | null) => axisIn(job, axisId), [axisId])
  const settled = useSettled(select)
  return settled.id === axisId ? settled : axisIn(session.getState().job, axisId)
}

/**
 * Plain data worked out of the job when the typing rests; renders again only when it differs.
 *
 * @param work the same function as long as it gives the same for the same job
 */
export function useSettledResult<T>(work: (job: Job) => T): T {
  const last = useRef<T>(undefined)
  const select = useCallback(
    (job: Job | null) => {
      const next = work(job as Job)
      if (!equal(last.current, next)) last.current = next
      return last.current as T
    },
    [work],
  )
  return useSettled(select)
}

/** The axis as it stands now, for handlers that must not render again with it. */
export function useAxisNow(): () => Axis {
  const { session, axisId } = useJobContext()
  return useCallback(() => axisIn(session.getState().job, axisId), [session, axisId])
}

/** The axis at work in a job. */
export function axisIn(job: Job | null, axisId: string): Axis {
  const axis = job?.axes.find(({ id }) => id === axisId) ?? job?.axes[0]
  if (!axis) throw new Error(`The job has no axis ${axisId}.`)
  return axis
}
