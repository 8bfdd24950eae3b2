import { isEqual } from 'es-toolkit'
import { startTransition, useCallback, useEffect, useRef, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { Job } from '@/core/document/job'
import { afterFrame } from '@/ui/afterFrame'
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

function afterMs(call: () => void, ms: number): () => void {
  const timer = setTimeout(call, ms)
  return () => clearTimeout(timer)
}

type Draw = (change: () => void) => void

/**
 * A part of the job that follows beside what is more urgent.
 *
 * @param draw how the change is drawn: in turns with what is more urgent, if nothing else is said
 * @param waits until the typing rests; any other edit it follows at once
 */
function useFollowed<T>(
  select: (job: Job | null) => T,
  { draw = startTransition, waits = false }: { draw?: Draw; waits?: boolean } = {},
): T {
  const { session } = useJobContext()
  const [followed, setFollowed] = useState<T>(() => select(session.getState().job))
  useEffect(() => {
    let cancel = () => {}
    const settle = () => draw(() => setFollowed(() => select(session.getState().job)))
    const follow = () => {
      cancel()
      const isKey = session.isTyping || session.isReading
      if (!isKey) settle()
      else if (waits) cancel = afterMs(settle, session.isTyping ? TYPING_RESTS_MS : READING_RESTS_MS)
      // What was typed is drawn first.
      else cancel = afterFrame(settle)
    }
    settle()
    const stop = session.subscribe(follow)
    return () => {
      cancel()
      stop()
    }
  }, [session, select, draw, waits])
  return followed
}

const atOnce = (change: () => void) => change()

/** The whole job once the typing rests, drawn at once: for what hands it on to a worker. */
export const useSettledJob = (): Job => useFollowed<Job | null>(whole, { draw: atOnce, waits: true }) as Job

function useFollowedAxis(waits: boolean): Axis {
  const { session, axisId } = useJobContext()
  const select = useCallback((job: Job | null) => axisIn(job, axisId), [axisId])
  const followed = useFollowed(select, { waits })
  return followed.id === axisId ? followed : axisIn(session.getState().job, axisId)
}

/** The axis at work for what is looked at beside what is typed: it follows every key, once that has been drawn. */
export const useAxisBeside = (): Axis => useFollowedAxis(false)

/** The axis at work for what is not looked at while a value is typed. */
export const useSettledAxis = (): Axis => useFollowedAxis(true)

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
      if (!isEqual(last.current, next)) last.current = next
      return last.current as T
    },
    [work],
  )
  return useFollowed(select, { waits: true })
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
