// Makes docs/screenshots from the demo data: one current picture of each main view. Prints how high every sheet of every
// demo axis is at 1280 x 800, and where its first field or result ends.
import { copyFileSync, mkdirSync } from 'node:fs'
import type { Page } from 'puppeteer-core'
import { SHEETS, type SheetId, sheetOf } from '@/core/sheets'
import { addressOf } from '@/stages/job/place'
import { accessible } from '../tests/browser/accessible'
import { DEMO_AXES, sheetSize } from '../tests/browser/measure'
import { startApp, startBrowser } from '../tests/browser/server'

const SKARROW = 'demo-skarrow-8'
/** A sheet of the X axis of the main demo job, or of another one. */
const at = (sheet: SheetId, axisId = 'skarrow-x') => {
  const { stage } = sheetOf(sheet)
  return addressOf({ jobId: SKARROW, axisId, stage, sheet })
}
const VIEWS: [name: string, path: string, scheme: 'dusk' | 'day'][] = [
  ['jobs', '/', 'dusk'],
  ['machine', at('overview'), 'day'],
  ['schedule', at('schedule'), 'dusk'],
  ['acceptance', at('acceptance'), 'day'],
  ['survey', at('geometry'), 'dusk'],
  ['search', at('search'), 'dusk'],
  ['parts', at('parts'), 'dusk'],
  ['schools', at('schools'), 'day'],
  ['charts', at('figures'), 'dusk'],
  ['practise', '/practice?lesson=reversal&seed=8', 'dusk'],
  ['travel', at('travel'), 'day'],
  ['section', at('nutRoom', 'skarrow-y'), 'day'],
  ['build', at('steps', 'skarrow-y'), 'dusk'],
  ['teardown', at('teardown', 'skarrow-y'), 'day'],
  ['align', at('drag', 'skarrow-y'), 'dusk'],
  ['prove', at('fullTest'), 'day'],
  ['fault', at('findFault'), 'dusk'],
  ['record', `/job/${SKARROW}/skarrow-x/record`, 'dusk'],
  ['tablet', at('parts'), 'dusk'],
]

const press = async (page: Page, name: string) => (await accessible(page, 'button', name))?.click()

/** Searches, and waits for what it finds. */
async function search(page: Page) {
  await press(page, 'Search')
  await page.waitForSelector('[aria-label="A handful of drives"]', { timeout: 60_000 })
}

/** Reads a reversal as its lesson asks, answers half of it, and is told. */
async function readReversal(page: Page) {
  await page.waitForSelector('[data-dial]')
  await press(page, 'To 200 mm')
  await press(page, 'Set it to zero')
  for (const [there, back] of Array(3)
    .fill([
      ['up', 'down'],
      ['down', 'up'],
    ])
    .flat()) {
    await press(page, `Drive ${there} by 5 mm`)
    await press(page, `Drive ${back} by 5 mm`)
    await press(page, 'Note the needle')
  }
  const answer = await accessible(page, 'textbox', 'Lost when it turns round')
  await answer?.type('12\n')
  await press(page, 'Look at it')
}

/** What is done on a view before its picture is taken. */
const PREPARE: Record<string, (page: Page) => Promise<unknown>> = {
  search,
  charts: page => page.waitForSelector('.recharts-legend-item'),
  schedule: page => page.waitForSelector('[aria-label^="Chart of the plan"] title'),
  practise: readReversal,
  prove: page => page.waitForSelector('.recharts-line'),
  fault: async page => {
    await press(page, 'Start a search')
    await page.waitForSelector('[data-outcome="reverses-short"]')
    await page.$eval('[data-outcome="reverses-short"]', element => (element as HTMLElement).click())
    await page.waitForSelector('[data-next-check="screw-end"]')
  },
  section: page => page.waitForSelector('section[aria-label="Room around the nut"] svg'),
}
const TABLET = { width: 820, height: 1180, hasTouch: true }
const BENCH = { width: 1280, height: 800 }

async function printSizes(page: Page, url: string) {
  console.log('sheet'.padEnd(36), 'height', 'first field ends at')
  for (const [jobId, axisId] of DEMO_AXES) {
    await page.goto(url + addressOf({ jobId, axisId, stage: 'survey' }), { waitUntil: 'networkidle0' })
    for (const { id, stage } of SHEETS) {
      const { heightPx, firstFieldPx } = await sheetSize(
        page,
        addressOf({ jobId, axisId, stage, sheet: id }),
        id,
      )
      console.log(
        `${axisId} ${id}`.padEnd(36),
        String(heightPx).padStart(6),
        String(firstFieldPx).padStart(6),
        heightPx > 1600 || firstFieldPx > BENCH.height ? 'too much' : '',
      )
    }
  }
}

async function main() {
  mkdirSync('docs/screenshots', { recursive: true })
  const app = await startApp({ env: { DUSK_DEMO: '1' } })
  const browser = await startBrowser()
  try {
    const page = await browser.newPage()
    await page.goto(app.url, { waitUntil: 'networkidle0' })
    await page.waitForSelector('[data-job]')
    for (const [name, path, scheme] of VIEWS) {
      await page.setViewport(name === 'tablet' ? TABLET : BENCH)
      await page.evaluate(value => localStorage.setItem('dusk-scheme', value), scheme)
      await page.goto(app.url + path, { waitUntil: 'networkidle0' })
      await PREPARE[name]?.(page)
      await new Promise(done => setTimeout(done, 600))
      await page.screenshot({ path: `docs/screenshots/${name}.png` })
    }
    // What the browser shows before it installs the app.
    for (const name of ['survey', 'build'])
      copyFileSync(`docs/screenshots/${name}.png`, `public/screenshots/${name}.png`)
    await page.setViewport(BENCH)
    await printSizes(page, app.url)
  } finally {
    await browser.close()
    app.stop()
  }
}

void main()
