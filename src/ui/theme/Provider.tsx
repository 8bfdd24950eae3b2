'use client'
import { ChakraProvider } from '@chakra-ui/react'
import createCache from '@emotion/cache'
import { CacheProvider } from '@emotion/react'
import { ThemeProvider } from 'next-themes'
import { type ReactNode, useEffect, useState } from 'react'
import { setDateLocale } from '@/core/units/dateWords'
import { marksOf, setMarks } from '@/core/units/marks'
import { setCurrency } from '@/core/units/money'
import { keptCurrency } from '../fields/currency'
import { SCHEME_KEY } from './scheme'
import { system } from './system'

// Numbers and dates are set as in the language of the browser; the server sets none.
if (typeof window !== 'undefined') {
  setMarks(marksOf())
  setDateLocale()
  setCurrency(keptCurrency())
}

/** A tab in the background draws no frames: there the app starts after this. */
const LATEST_MS = 120

/** Whether the first frame has been painted: only then the app is put in its place, so that nobody waits for both. */
function usePainted(): boolean {
  const [painted, setPainted] = useState(false)
  useEffect(() => {
    const go = () => setPainted(true)
    const late = setTimeout(go, LATEST_MS)
    let soon: ReturnType<typeof setTimeout> | undefined
    const frame = requestAnimationFrame(() => {
      soon = setTimeout(go)
    })
    return () => {
      clearTimeout(late)
      clearTimeout(soon)
      cancelAnimationFrame(frame)
    }
  }, [])
  return painted
}

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
  const painted = usePainted()
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
        {painted ? <ChakraProvider value={system}>{children}</ChakraProvider> : first}
      </ThemeProvider>
    </CacheProvider>
  )
}
