import { useCallback, useSyncExternalStore } from 'react'
import { breakpoints } from '../theme/breakpoints'

/**
 * Whether the screen is at least so wide: `lg` has room for the rail at the left, `xl` for the verdicts beside the sheet.
 */
export function useIsAtLeast(size: keyof typeof breakpoints): boolean {
  const query = `(min-width: ${breakpoints[size]})`
  const subscribe = useCallback(
    (listener: () => void) => {
      const watched = window.matchMedia(query)
      watched.addEventListener('change', listener)
      return () => watched.removeEventListener('change', listener)
    },
    [query],
  )
  return useSyncExternalStore(subscribe, () => window.matchMedia(query).matches)
}
