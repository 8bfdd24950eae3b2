import { isEqual } from 'es-toolkit'
import { createContext, type ReactNode, useContext, useMemo, useRef, useSyncExternalStore } from 'react'
import type { Job } from '@/core/document/job'
import type { UnitSystem } from '@/core/units/quantity'
import type { OpenJob, SessionState } from '@/store/session'

interface JobContext {
  session: OpenJob
  axisId: string
  /** Whether it is only rehearsed: nothing of it is closed, deleted or looked back on. */
  isRehearsed?: boolean
}
const Context = createContext<JobContext | null>(null)

/** Gives every stage below it the open job and the axis that is worked on. */
export function JobContextProvider({
  session,
  axisId,
  isRehearsed,
  children,
}: JobContext & { children: ReactNode }) {
  const context = useMemo(() => ({ session, axisId, isRehearsed }), [session, axisId, isRehearsed])
  return <Context value={context}>{children}</Context>
}

export function useJobContext(): JobContext {
  const context = useContext(Context)
  if (!context) throw new Error('useJobContext: got no job, takes a JobContextProvider above')
  return context
}

/** A part of the session's state; renders again only when that part changes. */
export function useSessionState<T>(session: OpenJob, select: (state: SessionState) => T): T {
  const read = () => select(session.getState())
  return useSyncExternalStore(session.subscribe, read, read)
}

/** A small part of the job put together anew, such as the names of its axes; renders again when it differs. */
export function useJobDigest<T>(digest: (job: Job) => T): T {
  const last = useRef<T>(undefined)
  return useJob(job => {
    const next = digest(job)
    if (!isEqual(last.current, next)) last.current = next
    return last.current as T
  })
}

const axisNames = (job: Job) => job.axes.map(({ id, name, title }) => ({ id, name, title }))
/** The axes of the job by name, for where nothing else of them is shown. */
export const useAxisNames = () => useJobDigest(axisNames)

/** A part of the job. */
export function useJob<T>(select: (job: Job) => T): T {
  return useSessionState(useJobContext().session, ({ job }) => select(job as Job))
}
export const whole = <T,>(document: T): T => document
export const useUnits = (): UnitSystem => useJob(job => job.units)
export const useEdit = () => useJobContext().session.edit
