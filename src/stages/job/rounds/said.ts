import { useEffect, useSyncExternalStore } from 'react'
import type { CheckId } from '@/core/sheets'

// What a sheet says itself, so that the verdicts beside it need not say it again.

let said: ReadonlySet<CheckId> = new Set()
const listeners = new Set<() => void>()

function set(next: ReadonlySet<CheckId>): void {
  said = next
  for (const listener of listeners) listener()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

/** Notes that these checks are said on the sheet, for as long as they stand there. */
export function useSays(checks: readonly CheckId[]): void {
  const key = checks.join(' ')
  useEffect(() => {
    const mine = key.split(' ').filter(Boolean) as CheckId[]
    set(new Set([...said, ...mine]))
    return () => set(new Set([...said].filter(id => !mine.includes(id))))
  }, [key])
}

const NOTHING: ReadonlySet<CheckId> = new Set()
/** The checks that the sheet says itself. */
export const useSaid = (): ReadonlySet<CheckId> =>
  useSyncExternalStore(
    subscribe,
    () => said,
    () => NOTHING,
  )
