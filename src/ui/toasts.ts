import { useSyncExternalStore } from 'react'

// The toaster is heavy and seldom needed: a screen has it from the moment that there may be something to say.

let wanted = false
const listeners = new Set<() => void>()

/** Has the toaster stand ready: as soon as something is offered whose outcome is said in words that come and go. */
export function readyToasts(): void {
  wanted = true
  for (const listener of listeners) listener()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
  }
}

/** Whether the toaster is to stand on the screen. */
export const useToastsWanted = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => wanted,
    () => false,
  )
