import { useTheme } from 'next-themes'
import { useCallback } from 'react'
import { rememberScheme, type Scheme } from './scheme'

/** The scheme on the screen, which is the system's until one is chosen, and the way to choose the other. */
export function useScheme(): { scheme: Scheme; switchScheme: () => void } {
  const { resolvedTheme, setTheme } = useTheme()
  const scheme = resolvedTheme === 'day' || resolvedTheme === 'light' ? 'day' : 'dusk'
  const switchScheme = useCallback(() => {
    const other = scheme === 'day' ? 'dusk' : 'day'
    setTheme(other)
    rememberScheme(other)
  }, [scheme, setTheme])
  return { scheme, switchScheme }
}
