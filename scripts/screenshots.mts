// Makes docs/screenshots from the demo data: one current picture of each main view.
import { mkdirSync } from 'node:fs'
import type { Page } from 'puppeteer-core'
import { startApp, startBrowser } from '../tests/browser/server'

const X = '/job/demo-skarrow-8/skarrow-x'
const VIEWS: [name: string, path: string, scheme: 'dusk' | 'day', scrollTo?: string][] = [
  ['jobs', '/', 'dusk'],
  ['survey', `${X}/survey`, 'dusk'],
  ['size', `${X}/size`, 'dusk'],
  ['size-torque', `${X}/size`, 'dusk', 'section[aria-label="Torque over speed"]'],
  ['size-schools', `${X}/size`, 'day', 'section[aria-label="Schools side by side"]'],
  ['size-search', `${X}/size`, 'dusk', 'section[aria-label="Search the parts list"] tbody tr:nth-child(2)'],
  ['size-belt', '/job/demo-ostrey-254/ostrey-x/size', 'dusk'],
  ['reference', '/reference', 'day'],
  ['make-room', `${X}/room`, 'day'],
  ['build', `${X}/build`, 'dusk'],
  ['align', `${X}/align`, 'dusk', 'section[aria-label="Rounds so far"]'],
  ['prove', `${X}/prove`, 'day'],
  ['log', `${X}/log`, 'dusk'],
  ['record', `${X}/record`, 'dusk'],
]

/** Searches, and waits for what it finds. */
async function search(page: Page) {
  const button = await page.waitForSelector('::-p-aria([name="Search"][role="button"])')
  await button?.click()
  await page.waitForSelector('.recharts-scatter-symbol', { timeout: 60_000 })
}

async function main() {
  mkdirSync('docs/screenshots', { recursive: true })
  const app = await startApp({ DUSK_DEMO: '1' })
  const browser = await startBrowser()
  try {
    const page = await browser.newPage()
    await page.goto(app.url, { waitUntil: 'networkidle0' })
    await page.waitForSelector('[data-job]')
    for (const [name, path, scheme, scrollTo] of VIEWS) {
      await page.evaluate(value => localStorage.setItem('dusk-scheme', value), scheme)
      await page.goto(app.url + path, { waitUntil: 'networkidle0' })
      if (name === 'size-search') await search(page)
      if (scrollTo) await page.$eval(scrollTo, element => element.scrollIntoView({ block: 'end' }))
      await new Promise(done => setTimeout(done, 600))
      await page.screenshot({ path: `docs/screenshots/${name}.png` })
    }
  } finally {
    await browser.close()
    app.stop()
  }
}

void main()
