'use client'
import { ChakraProvider } from '@chakra-ui/react'
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { ThemeProvider } from 'next-themes'
import { type ReactNode, useState, useSyncExternalStore } from 'react'
import { setDateLocale } from '@/core/units/dateWords'
import { marksOf, setMarks } from '@/core/units/marks'
import { SCHEME_KEY } from './scheme'
import { system } from './system'

// Numbers and dates are set as in the language of the browser; the server sets none.
if (typeof window !== 'undefined') {
  setMarks(marksOf())
  setDateLocale()
}

const never = () => () => {}

interface Props {
  nonce?: string
  /** What the server draws, until the app stands. */
  first: ReactNode
  children: ReactNode
}

/**
 * Theme and styles for everything below. What a job shows lives in this browser, so nothing below is drawn on
 * the server; the server's part is the first frame, the fonts and the security policy.
 */
export function Provider({ nonce, first, children }: Props) {
  const [cache] = useState(() => createCache({ key: 'dusk', nonce }))
  const here = useSyncExternalStore(
    never,
    () => true,
    () => false,
  )
  return (
    <CacheProvider value={cache}>
      <ThemeProvider
        attribute="class"
        nonce={nonce}
        themes={['dusk', 'day']}
        // The system's own two have the names on the left.
        value={{ dark: 'dusk', light: 'day', dusk: 'dusk', day: 'day' }}
        defaultTheme="system"
        enableSystem
        enableColorScheme={false}
        storageKey={SCHEME_KEY}
      >
        {here ? <ChakraProvider value={system}>{children}</ChakraProvider> : first}
      </ThemeProvider>
    </CacheProvider>
  )
}
