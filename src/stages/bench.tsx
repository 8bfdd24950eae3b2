import equal from 'fast-deep-equal'
import {
  createContext,
  type ReactNode,
  startTransition,
  useCallback,
  useContext,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react'
import type { Axis, Job } from '@/core/document/job'
import { type Catalogue, catalogueOf } from '@/core/machine/parts'
import { type Evaluation, evaluateAxis } from '@/core/sheets/evaluateAxis'
import type { UnitSystem } from '@/core/units/quantity'
import type { JobSession, SessionState } from '@/store/session'
import type { Task } from '@/workers/protocol'

interface Bench {
  session: JobSession
  axisId: string
}
const BenchContext = createContext<Bench | null>(null)

/** Gives every stage below it the open job and the axis that is worked on. */
export function BenchProvider({ session, axisId, children }: Bench & { children: ReactNode }) {
  const bench = useMemo(() => ({ session, axisId }), [session, axisId])
  return <BenchContext value={bench}>{children}</BenchContext>
}

function useBench(): Bench {
  const bench = useContext(BenchContext)
  if (!bench) throw new Error('useBench: got no bench, takes a BenchProvider above')
  return bench
}

/** A part of the session's state; renders again only when that part changes. */
export function useSessionState<T>(session: JobSession, select: (state: SessionState) => T): T {
  const read = () => select(session.getState())
  return useSyncExternalStore(session.subscribe, read, read)
}

/** A part of the axis at work; `select` must return a part of the document, not a new object. */
export function useAxis<T>(select: (axis: Axis) => T): T {
  const { session, axisId } = useBench()
  return useSessionState(session, ({ job }) => select(axisIn(job, axisId)))
}

/** How long typing must rest before what is not looked at meanwhile follows it. */
const TYPING_RESTS_MS = 250

/**
 * The axis at work for what is not looked at while a value is typed: it follows when the typing rests, and
 * any other edit at once.
 */
export function useSettledAxis(): Axis {
  const { session, axisId } = useBench()
  const now = () => axisIn(session.getState().job, axisId)
  const [settled, setSettled] = useState(now)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined
    const settle = () => startTransition(() => setSettled(axisIn(session.getState().job, axisId)))
    const follow = () => {
      clearTimeout(timer)
      if (session.isTyping) timer = setTimeout(settle, TYPING_RESTS_MS)
      else settle()
    }
    settle()
    const stop = session.subscribe(follow)
    return () => {
      clearTimeout(timer)
      stop()
    }
  }, [session, axisId])
  return settled.id === axisId ? settled : now()
}

/** A small part of the job put together anew, such as the names of its axes; renders again when it differs. */
export function useJobDigest<T>(digest: (job: Job) => T): T {
  const last = useRef<T>(undefined)
  return useJob(job => {
    const next = digest(job)
    if (!equal(last.current, next)) last.current = next
    return last.current as T
  })
}

/** A part of the job. */
export function useJob<T>(select: (job: Job) => T): T {
  return useSessionState(useBench().session, ({ job }) => select(job as Job))
}
export const whole = <T,>(document: T): T => document
export const useUnits = (): UnitSystem => useJob(job => job.units)
export const useEdit = () => useBench().session.edit
/** The axis as it stands now, for handlers that must not render again with it. */
export function useAxisNow(): () => Axis {
  const { session, axisId } = useBench()
  return useCallback(() => axisIn(session.getState().job, axisId), [session, axisId])
}

function axisIn(job: Job | null, axisId: string): Axis {
  const axis = job?.axes.find(({ id }) => id === axisId) ?? job?.axes[0]
  if (!axis) throw new Error(`The job has no axis ${axisId}.`)
  return axis
}

/** The parts that this job can choose from. */
export const useCatalogue = (): Catalogue =>
  catalogueOf({ ownParts: useJob(job => job.ownParts), shop: useJob(job => job.shop) })

/** An axis as it goes over to a worker, the same object until something in it changes. */
export function useTask(axis: Axis): Task {
  const ownParts = useJob(job => job.ownParts)
  const shop = useJob(job => job.shop)
  const units = useUnits()
  return useMemo(() => ({ axis, ownParts, shop, units }), [axis, ownParts, shop, units])
}

interface Judged {
  catalogue: Catalogue
  units: UnitSystem
  evaluation: Evaluation
}
const evaluations = new WeakMap<Axis, Judged>()

/** The evaluation of an axis, worked out once for each state of it. */
export function evaluationOf(axis: Axis, catalogue: Catalogue, units: UnitSystem): Evaluation {
  const known = evaluations.get(axis)
  if (known?.catalogue === catalogue && known.units === units) return known.evaluation
  const evaluation = evaluateAxis(axis, catalogue, units)
  evaluations.set(axis, { catalogue, units, evaluation })
  return evaluation
}

/** Findings and figures of the axis at work, at once. */
export const useEvaluation = (): Evaluation => evaluationOf(useAxis(whole), useCatalogue(), useUnits())
