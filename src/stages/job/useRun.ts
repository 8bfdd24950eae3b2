import { startTransition, useEffect, useState, useSyncExternalStore } from 'react'
import { errorWords } from '@/store/errorWords'
import { readyToasts } from '@/ui/toasts'
import type { OnProgress, Running } from '@/workers/client'

/** Where work that runs beside the screen stands. */
export type Run<T> =
  | { kind: 'idle' }
  | { kind: 'running'; share: number }
  | { kind: 'stopped' }
  | { kind: 'failed'; message: string }
  | { kind: 'done'; value: T }

/** Work in a worker of its own: one at a time, with its progress; it outlives whoever looks at it. */
class Runner<T> {
  private run: Run<T> = { kind: 'idle' }
  private running: Running<T | null> | null = null
  private readonly listeners = new Set<() => void>()

  readonly getRun = (): Run<T> => this.run
  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => void this.listeners.delete(listener)
  }

  /** A result that comes to nothing (the work was stopped from within) is dropped. */
  readonly start = (work: (onProgress: OnProgress) => Running<T | null>) => {
    this.running?.cancel()
    this.set({ kind: 'running', share: 0 })
    const started = work(share => {
      if (this.run.kind === 'running') this.set({ kind: 'running', share })
    })
    this.running = started
    const isCurrent = () => this.running === started
    started.done
      .then(value => value !== null && isCurrent() && this.set({ kind: 'done', value }))
      .catch(error => isCurrent() && this.set({ kind: 'failed', message: errorWords(error) }))
  }
  readonly stop = () => this.end({ kind: 'stopped' })
  readonly clear = () => this.end({ kind: 'idle' })

  private end(run: Run<T>) {
    this.running?.cancel()
    this.running = null
    this.set(run)
  }
  private set(run: Run<T>) {
    this.run = run
    for (const listener of this.listeners) listener()
  }
}

const useRunner = <T>(runner: Runner<T>) => {
  const { start, stop, clear } = runner
  return { run: useSyncExternalStore(runner.subscribe, runner.getRun, runner.getRun), start, stop, clear }
}

/** Work in a worker of its own, stopped by the builder or by leaving the screen. */
export function useRun<T>() {
  const [runner] = useState(() => new Runner<T>())
  useEffect(() => runner.clear, [runner])
  return useRunner(runner)
}

const kept = new Map<string, Runner<unknown>>()

/**
 * Work that goes on, and whose result stays, when one leaves its sheet and comes back; until the tab is closed.
 *
 * @param key what the work is about, such as the axis
 */
export function useKeptRun<T>(key: string) {
  const known = kept.get(key) ?? new Runner<unknown>()
  kept.set(key, known)
  return useRunner(known as Runner<T>)
}

/** Tells that a worker did not answer. */
export async function tellNotWorkedOut(error: Error) {
  readyToasts()
  const { toaster } = await import('@/ui/toaster')
  toaster.create({ type: 'error', title: 'Not worked out', description: error.message })
}

/**
 * What a worker answers to a question, asked anew when the question changes; the last answer stays meanwhile, unless it
 * is to another question altogether.
 *
 * @param ask null while there is nothing to ask; the same function for the same question
 * @param of what the question is about: an answer about something else is not shown
 */
export function useAnswer<T>(ask: (() => Promise<T>) | null, of: string | null): T | null {
  const [answer, setAnswer] = useState<{ of: string | null; value: T } | null>(null)
  useEffect(() => {
    if (!ask) return
    let current = true
    ask().then(
      // A long table is drawn in small pieces, between which keys are answered.
      value => current && startTransition(() => setAnswer({ of, value })),
      error => current && void tellNotWorkedOut(error),
    )
    return () => {
      current = false
    }
  }, [ask, of])
  return ask && answer?.of === of ? answer.value : null
}
