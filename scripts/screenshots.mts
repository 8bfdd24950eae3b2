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
  ['size-lost-motion', `${X}/size`, 'dusk', 'section[aria-label="Lost motion by cause"]'],
  ['size-own-part', `${X}/size`, 'dusk'],
  ['reference', '/reference', 'day'],
  ['make-room', `${X}/room`, 'day'],
  ['room-section', '/job/demo-skarrow-8/skarrow-y/room', 'day', 'section[aria-label="Room around the nut"]'],
  ['room-stopping', `${X}/room`, 'dusk', 'section[aria-label="Room to stop"]'],
  ['room-template', `${X}/room`, 'dusk', 'section[aria-label="Drilling template"]'],
  ['room-block', `${X}/room`, 'dusk', 'svg[aria-label^="Bearing block cut open"]'],
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

const press = async (page: Page, name: string) =>
  (await page.waitForSelector(`::-p-aria([name="${name}"][role="button"])`))?.click()

/** A part that is copied with a lead of nothing: the form says what it takes. */
async function ownPart(page: Page) {
  await press(page, 'Copy Ball screw 20 x 5, double nut with spacer to change it')
  const lead = await page.waitForSelector('form input[name=leadMm]')
  await lead?.click({ count: 3 })
  await page.keyboard.type('0')
  await press(page, 'Add it')
}

/** What is done on a view before its picture is taken. */
const PREPARE: Record<string, (page: Page) => Promise<unknown>> = {
  'size-search': search,
  'size-lost-motion': page =>
    page.waitForSelector('section[aria-label="Lost motion by cause"] .recharts-bar'),
  'size-own-part': ownPart,
  'room-section': page => page.waitForSelector('section[aria-label="Room around the nut"] svg'),
  'room-stopping': page => page.waitForSelector('section[aria-label="Room to stop"] table'),
  'room-block': page => page.waitForSelector('svg[aria-label^="Bearing block cut open"]'),
  'room-template': page => page.waitForSelector('section[aria-label="Drilling template"] svg'),
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
      await PREPARE[name]?.(page)
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
