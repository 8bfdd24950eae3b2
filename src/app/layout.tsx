import '@fontsource/atkinson-hyperlegible/latin-400.css'
import '@fontsource/atkinson-hyperlegible/latin-700.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-400.css'
import '@fontsource/atkinson-hyperlegible-mono/latin-700.css'
import regular from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-400-normal.woff2'
import bold from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff2'
import type { Metadata, Viewport } from 'next'
import { cookies, headers } from 'next/headers'
import type { ReactNode } from 'react'
import { Renewal } from '@/stages/shell/Renewal'
import { FirstFrame } from '@/ui/frame/FirstFrame'
import { COLOURS, FIRST_COLOURS } from '@/ui/theme/colours'
import '@/ui/theme/atMachine.css'
import '@/ui/theme/print.css'
import { Provider } from '@/ui/theme/Provider'
import { SCHEME_KEY, schemeIn } from '@/ui/theme/scheme'

export const metadata: Metadata = {
  title: { default: 'Dusk Bench', template: '%s · Dusk Bench' },
  description: 'The bench companion for turning manual machines into CNC machines.',
}

export const viewport: Viewport = {
  themeColor: [
    { media: '(prefers-color-scheme: dark)', color: COLOURS.canvas[1] },
    { media: '(prefers-color-scheme: light)', color: COLOURS.canvas[0] },
  ],
}

export default async function RootLayout({ children }: { children: ReactNode }) {
  const asked = await headers()
  const nonce = asked.get('x-nonce') ?? undefined
  const chosen = schemeIn((await cookies()).get(SCHEME_KEY)?.value)
  return (
    <html lang="en" className={chosen} suppressHydrationWarning>
      <head>
        {[regular, bold].map(font => (
          <link key={font} rel="preload" href={font} as="font" type="font/woff2" crossOrigin="anonymous" />
        ))}
        <style nonce={nonce} suppressHydrationWarning>
          {FIRST_COLOURS}
        </style>
      </head>
      <body>
        <Provider
          nonce={nonce}
          first={<FirstFrame job={asked.get('x-path')?.startsWith('/job/') === true} />}
        >
          <Renewal keeps={process.env.NODE_ENV === 'production' && process.env.DUSK_SERVER_ONLY !== '1'} />
          {children}
        </Provider>
      </body>
    </html>
  )
}
