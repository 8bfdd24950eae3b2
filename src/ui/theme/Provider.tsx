'use client'
import { ChakraProvider } from '@chakra-ui/react'
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { ThemeProvider } from 'next-themes'
import { type ReactNode, useState, useSyncExternalStore } from 'react'
import { system } from './system'

const never = () => () => {}

/**
 * Theme and styles for everything below. What a job shows lives in this browser, so nothing below is drawn on
 * the server; the server's part is the page, its fonts and its security policy.
 */
export function Provider({ nonce, children }: { nonce?: string; children: ReactNode }) {
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
        value={{ dusk: 'dusk', day: 'day' }}
        defaultTheme="dusk"
        enableSystem={false}
        enableColorScheme={false}
        storageKey="dusk-scheme"
      >
        {here ? <ChakraProvider value={system}>{children}</ChakraProvider> : null}
      </ThemeProvider>
    </CacheProvider>
  )
}
