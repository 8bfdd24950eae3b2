import { useCallback, useEffect, useState } from 'react'

const KEY = 'dusk-at-machine'

/**
 * Whether only what is in hand is shown, large, as for a tablet at the machine: for this tab, and as long as it lives.
 */
export function useAtMachine(): [boolean, (next: boolean) => void] {
  const [at, setAt] = useState(() => {
    try {
      return sessionStorage.getItem(KEY) === 'yes'
    } catch {
      return false
    }
  })
  const set = useCallback((next: boolean) => {
    setAt(next)
    try {
      if (next) sessionStorage.setItem(KEY, 'yes')
      else sessionStorage.removeItem(KEY)
    } catch {
      // It holds all the same, until the tab is loaded anew.
    }
  }, [])
  useEffect(() => {
    document.documentElement.toggleAttribute('data-at-machine', at)
    return () => document.documentElement.removeAttribute('data-at-machine')
  }, [at])
  return [at, set]
}
