import { startApp, startBrowser } from './server'

/** What all test files share, as the workers are told of it. */
export interface Shared {
  /** Addresses of the app, by the options it was started with. */
  apps: Record<string, string>
  /** Where the browser of each worker listens. */
  browsers: string[]
}

/** Setting up and taking down run in one process, each in a module of its own. */
export const held = globalThis as { stopShared?: () => Promise<void> }

/** The app that has the demo job from the start. */
export const WITH_DEMO = { env: { DUSK_DEMO: '1' } }
/** The apps that most files ask for. */
const KINDS = [{}, WITH_DEMO]

/** Starts what all browser tests share: the app as most of them ask for it, and a browser a worker. */
export default async function setup({ maxWorkers }: { maxWorkers: number }) {
  const browsers = await Promise.all(Array.from({ length: maxWorkers }, () => startBrowser()))
  const apps = await Promise.all(
    KINDS.map(async options => ({ key: JSON.stringify(options), ...(await startApp(options)) })),
  )
  const shared: Shared = {
    apps: Object.fromEntries(apps.map(({ key, url }) => [key, url])),
    browsers: browsers.map(browser => browser.wsEndpoint()),
  }
  process.env.DUSK_SHARED = JSON.stringify(shared)
  held.stopShared = async () => {
    for (const { stop } of apps) stop()
    await Promise.all(browsers.map(browser => browser.close()))
  }
}
