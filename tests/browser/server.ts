import { type ChildProcess, spawn } from 'node:child_process'
import { createServer } from 'node:net'
import puppeteer, { type Browser } from 'puppeteer-core'

/** Every command runs at the root of the project. */
export const ROOT = process.cwd()
const CHROMIUM = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium'
const SWITCHES = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // Letters as wide as on paper; without it the headless shell rounds each to whole pixels.
  '--font-render-hinting=none',
]

/** A port that nothing listens on. */
export const freePort = () =>
  new Promise<number>(done => {
    const probe = createServer()
    probe.listen(0, () => {
      const address = probe.address()
      probe.close(() => done(typeof address === 'object' && address ? address.port : 0))
    })
  })

export interface AppOptions {
  env?: Record<string, string>
  /** Whether browsers may keep the app; else a test of what the server does would ask what was kept. */
  kept?: boolean
}

/** The built app, served on a port of its own. */
export async function startApp({ env, kept }: AppOptions = {}): Promise<{
  url: string
  stop: () => void
}> {
  const port = await freePort()
  const server: ChildProcess = spawn(
    process.execPath,
    ['scripts/serve.mjs', '-p', String(port), ...(kept ? [] : ['--server-only'])],
    {
      cwd: ROOT,
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production', ...env },
    },
  )
  const url = `http://localhost:${port}`
  for (let i = 0; i < 150; i++) {
    if (
      await fetch(url)
        .then(answer => answer.ok)
        .catch(() => false)
    )
      return { url, stop: () => server.kill() }
    await new Promise(done => setTimeout(done, 200))
  }
  server.kill()
  throw new Error('The app did not start: is it built?')
}

/** A browser with an empty store, or with the one that a folder keeps. */
export const startBrowser = (userDataDir?: string): Promise<Browser> =>
  puppeteer.launch({
    userDataDir,
    executablePath: CHROMIUM,
    args: SWITCHES,
    defaultViewport: { width: 1280, height: 800 },
  })
