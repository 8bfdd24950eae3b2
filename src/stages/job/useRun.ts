import { useCallback, useEffect, useRef, useState } from 'react'
import type { OnProgress, Running } from '@/workers/client'

/** Where work that runs beside the screen stands. */
export type Run<T> =
  | { kind: 'idle' }
  | { kind: 'running'; share: number }
  | { kind: 'stopped' }
  | { kind: 'failed'; message: string }
  | { kind: 'done'; value: T }

/**
 * Work in a worker of its own: one at a time, with its progress, stopped by the builder or by leaving the screen.
 * A result that comes to nothing (the work was stopped from within) is dropped.
 */
export function useRun<T>() {
  const [run, setRun] = useState<Run<T>>({ kind: 'idle' })
  const running = useRef<Running<T | null> | null>(null)
  useEffect(() => () => running.current?.cancel(), [])
  const start = useCallback((work: (onProgress: OnProgress) => Running<T | null>) => {
    running.current?.cancel()
    setRun({ kind: 'running', share: 0 })
    const started = work(share =>
      setRun(before => (before.kind === 'running' ? { kind: 'running', share } : before)),
    )
    running.current = started
    const isCurrent = () => running.current === started
    started.done
      .then(value => value !== null && isCurrent() && setRun({ kind: 'done', value }))
      .catch(
        error =>
          isCurrent() &&
          setRun({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
      )
  }, [])
  const stop = useCallback(() => {
    running.current?.cancel()
    running.current = null
    setRun({ kind: 'stopped' })
  }, [])
  const clear = useCallback(() => {
    running.current?.cancel()
    running.current = null
    setRun({ kind: 'idle' })
  }, [])
  return { run, start, stop, clear }
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
    ask().then(value => current && setAnswer({ of, value }))
    return () => {
      current = false
    }
  }, [ask, of])
  return ask && answer?.of === of ? answer.value : null
}
