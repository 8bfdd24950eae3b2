import { useSyncExternalStore } from 'react'
import type { CheckMap } from '@/core/evaluation/check'
import type { OverlayFor } from '@/core/sheets/overlay'

/** All that sheets judge by and lay on the drive line, those of late stages too. */
interface Later {
  checks: CheckMap
  overlayFor: OverlayFor
}

let here: Later | null = null
const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

/** Brings what the sheets of late stages judge by, for good. */
async function bringLater(): Promise<void> {
  if (here) return
  const { CHECKS, overlayFor } = await import('@/core/sheets/evaluateAxis')
  here = { checks: CHECKS, overlayFor }
  for (const listener of listeners) listener()
}

/** What was brought; null until it is. */
export const laterNow = (): Later | null => here

/** What was brought, as soon as it is; null until then. */
export const useLater = (): Later | null => useSyncExternalStore(subscribe, laterNow, () => null)

/** A piece of the app that needs it, and comes after it. */
export const withLater = <T>(load: () => Promise<T>): Promise<T> =>
  Promise.all([load(), bringLater()]).then(([piece]) => piece)
