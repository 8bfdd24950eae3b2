import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Browser, BrowserContext, Page } from 'puppeteer-core'
import { accessible } from '../browser/accessible'
import { demoAddress } from '../browser/measure'
import { startBrowser } from '../browser/server'
import { clockAt, raiseDatabase, rowsIn } from './database'

// What happens to a browser in a shop: tabs that die, reloads, two tabs, power that goes. Each trial tells what it lost.

/** What came of one trial: nothing, or what is wrong. */
export type Verdict = string | null
type Random = () => number

const FIELDS = [
  'Cutting force along the axis',
  'Life wanted',
  'Top speed',
  'Acceleration',
  'Travel wanted',
  'Feed while cutting',
] as const

const wait = (ms: number) => new Promise(done => setTimeout(done, ms))
const between = (random: Random, least: number, most: number) => Math.round(least + random() * (most - least))

/** The address of a fresh demo job, at what is wanted of its X axis. */
export async function goalsAddress(context: BrowserContext, url: string): Promise<string> {
  const address = await demoAddress(context, url)
  return address.replace(/[^/]+\/[^/]+$/, 'survey/goals')
}

async function field(page: Page, label: string) {
  const handle = await accessible(page, 'textbox', label)
  if (!handle) throw new Error(`There is no field ${label}.`)
  return handle as Awaited<ReturnType<typeof page.waitForSelector>> & { evaluate: typeof handle.evaluate }
}
const shown = async (page: Page, label: string): Promise<string> =>
  (
    (await (await field(page, label)).evaluate(element => (element as HTMLInputElement).value)) ?? ''
  ).replaceAll(',', '')

/** Types a value over what a field holds. */
async function type(page: Page, label: string, value: number, enter = false) {
  const handle = await field(page, label)
  await handle.focus()
  await handle.evaluate(element => (element as HTMLInputElement).select())
  await page.keyboard.type(String(value))
  if (enter) await page.keyboard.press('Enter')
}

async function open(context: BrowserContext, address: string): Promise<Page> {
  const page = await context.newPage()
  await page.goto(address, { waitUntil: 'networkidle0' })
  return page
}

/** Waits until a field shows a value; what it shows instead where it does not. */
async function comesTo(page: Page, label: string, value: number): Promise<Verdict> {
  let last = ''
  for (let i = 0; i < 40; i++) {
    last = await shown(page, label).catch(error => String(error))
    if (Number(last) === value) return null
    await wait(50)
  }
  return `${label}: typed ${value}, found ${last}`
}
const notices = (page: Page) =>
  page.$$eval('[role=alert]', all => all.map(one => one.textContent ?? '').join(' / '))

/** A tab is closed right after a key, or dies a moment later; another one finds what was typed. */
export async function killedTab(context: BrowserContext, address: string, random: Random): Promise<Verdict> {
  const value = between(random, 100, 999)
  const page = await open(context, address)
  await type(page, FIELDS[0], value)
  if (random() < 0.5) await page.close()
  else {
    // Long enough for the key to be answered: what a dying tab has not heard yet, it cannot keep.
    await wait(between(random, 120, 500))
    const session = await page.createCDPSession()
    // Neither is ever answered: the tab is dead.
    void session.send('Page.crash').catch(() => undefined)
    await wait(100)
    void page.close().catch(() => undefined)
    await wait(100)
  }
  const again = await open(context, address)
  const verdict = (await comesTo(again, FIELDS[0], value)) ?? ((await notices(again)) || null)
  await again.close()
  return verdict
}

/** A key, a reload at once, and a close somewhere in the middle of that. */
export async function reloadAndClose(
  context: BrowserContext,
  address: string,
  random: Random,
): Promise<Verdict> {
  const value = between(random, 100, 999)
  const page = await open(context, address)
  await type(page, FIELDS[0], value)
  await wait(between(random, 0, 260))
  // Whether it ends is of no matter: the tab is closed in the middle of it.
  void page.reload({ waitUntil: 'domcontentloaded' }).catch(() => undefined)
  await wait(between(random, 0, 900))
  // A tab that is closed in the middle of a reload goes, and does not always answer that it went.
  await Promise.race([page.close().catch(() => undefined), wait(5000)])
  const again = await open(context, address)
  const verdict = (await comesTo(again, FIELDS[0], value)) ?? ((await notices(again)) || null)
  await again.close()
  return verdict
}

/** One tab is typed in while another saves: both show both. */
export async function twoTabs(context: BrowserContext, address: string, random: Random): Promise<Verdict> {
  const [mine, theirs] = [between(random, 100, 999), between(random, 1000, 9999)]
  const here = await open(context, address)
  const there = await open(context, address)
  await here.bringToFront()
  await type(here, FIELDS[0], mine)
  await wait(between(random, 0, 250))
  await there.bringToFront()
  await type(there, FIELDS[1], theirs, true)
  await wait(between(random, 0, 150))
  await here.bringToFront()
  const verdict =
    (await comesTo(here, FIELDS[1], theirs)) ??
    (await comesTo(here, FIELDS[0], mine)) ??
    (await there.bringToFront().then(() => comesTo(there, FIELDS[0], mine)))
  await here.close()
  await there.close()
  return verdict
}

/**
 * Two tabs edit the same fields in turns without waiting for each other. Every edit is in the history, or a notice keeps it;
 * and every notice can be answered.
 *
 * @returns how many edits lost and were asked about, and what is wrong
 */
export async function interleaved(
  context: BrowserContext,
  address: string,
  random: Random,
  edits: number,
): Promise<{ asked: number; wrong: Verdict }> {
  const tabs = [await open(context, address), await open(context, address)] as const
  const typed: number[] = []
  const last: (string | undefined)[] = []
  for (let i = 0; i < edits; i++) {
    const which = random() < 0.5 ? 0 : 1
    const tab = tabs[which]
    const value = 1000 + i
    // Never twice in a row in one field of one tab: that would be one act of typing, of which the last word counts.
    const choice = FIELDS.slice(0, 3).filter(label => label !== last[which])
    const label = choice[Math.floor(random() * choice.length)] as string
    last[which] = label
    await tab.bringToFront()
    // What the other tab saves may come in between two keys; nobody presses Enter on what they did not mean.
    for (let tries = 0; tries < 5; tries++) {
      await type(tab, label, value)
      if (Number(await shown(tab, label)) === value) break
    }
    await tab.keyboard.press('Enter')
    typed.push(value)
    if (random() < 0.2) await wait(between(random, 0, 120))
  }
  await wait(1500)
  const kept: string[] = []
  for (const tab of tabs) {
    await tab.bringToFront()
    await wait(300)
    kept.push(JSON.stringify(await tab.evaluate(() => Object.values(localStorage))))
  }
  const told = await Promise.all(tabs.map(tab => notices(tab)))
  const history = await rowsIn(tabs[0], 'history')
  const lost = typed.filter(value => !history.includes(`:${value}`) && !kept.join().includes(String(value)))
  const asked = typed.filter(value => !history.includes(`:${value}`)).length
  let wrong: Verdict = lost.length > 0 ? `lost ${lost.join(', ')}` : null
  for (const tab of tabs) {
    await tab.bringToFront()
    const answer = await tab.$('::-p-xpath(//button[contains(., "theirs")])')
    await answer?.click()
    await wait(200)
    const left = await notices(tab)
    if (left) wrong ??= `a notice was not answered: ${left.slice(0, 160)}`
  }
  if (asked > 0 && told.join('') === '') wrong ??= `${asked} edits lost without a word`
  await wait(300)
  const rest = await tabs[0].evaluate(() =>
    Object.keys(localStorage).filter(key => key.startsWith('dusk-journal')),
  )
  if (rest.length > 0) wrong ??= `the journal still holds ${rest.join(', ')}`
  const ends: string[] = []
  for (const tab of tabs) {
    // A tab in the background draws nothing, and nothing can be found in it.
    await tab.bringToFront()
    const values: string[] = []
    for (const label of FIELDS.slice(0, 3)) values.push(await shown(tab, label))
    ends.push(values.join(', '))
  }
  if (ends[0] !== ends[1]) wrong ??= `${ends[0]} in one tab, ${ends[1]} in the other`
  for (const tab of tabs) await tab.close()
  return { asked, wrong }
}

/**
 * A newer app takes over what is kept while a tab of this one is typed in: nothing more is written in the old shape, and
 * what was typed before and after stands in the database or in the journal.
 */
export async function overtakenTab(browser: Browser, url: string, random: Random): Promise<Verdict> {
  const context = await browser.createBrowserContext()
  try {
    const here = await open(context, await goalsAddress(context, url))
    const other = await open(context, `${url}/reference`)
    const [early, late] = [between(random, 100, 999), between(random, 1000, 9999)]
    await here.bringToFront()
    await type(here, FIELDS[0], early)
    await wait(between(random, 0, 400))
    await raiseDatabase(other)
    const kept = await rowsIn(other, 'jobs')
    await wait(between(random, 0, 400))
    await here.bringToFront()
    await type(here, FIELDS[1], late, random() < 0.5)
    await here.waitForSelector('::-p-xpath(//*[contains(., "Not saved. A newer Dusk Bench")])')
    await wait(between(random, 0, 600))
    if ((await rowsIn(other, 'jobs')) !== kept) return 'the older tab wrote into the newer database'
    if (await here.$('[data-saved="yes"]')) return 'the older tab says that it saved'
    const journal = await other.evaluate(() => Object.values(localStorage).join())
    const history = await rowsIn(other, 'history')
    for (const value of [early, late])
      if (!journal.includes(String(value)) && !history.includes(`:${value}`)) return `lost ${value}`
    return null
  } finally {
    await context.close()
  }
}

/** A job that was deleted is looked at through clocks that are wrong by any number of years: it stays, and no day is made up. */
export async function wrongClock(browser: Browser, url: string, random: Random): Promise<Verdict> {
  const context = await browser.createBrowserContext()
  try {
    await goalsAddress(context, url)
    const page = await open(context, url)
    await (await accessible(page, 'button', 'Delete Skarrow 8'))?.click()
    if (!(await accessible(page, 'button', 'Put back Skarrow 8'))) return 'it was not deleted'
    const looks = between(random, 3, 6)
    for (let look = 1; look <= looks; look++) {
      const at = new Date(
        Date.UTC(between(random, 1990, 2120), between(random, 0, 11), between(random, 1, 28)),
      )
      const setRight = await clockAt(page, at.toISOString())
      await page.goto(url, { waitUntil: 'networkidle0' })
      if (!(await accessible(page, 'button', 'Put back Skarrow 8')))
        return `gone at look ${look}, on ${at.toISOString().slice(0, 10)}`
      await setRight()
      const [{ binned } = { binned: { days: 0 } }] = JSON.parse(await rowsIn(page, 'jobs'))
      if (binned.days > look + 1) return `${binned.days} days of use after ${look} looks`
    }
    return null
  } finally {
    await context.close()
  }
}

/** The power goes while a builder types, saves and takes back; afterwards the job is as it was at some moment, without strife. */
export async function powerLoss(url: string, random: Random): Promise<Verdict> {
  const folder = mkdtempSync(join(tmpdir(), 'dusk-power-'))
  const start = (): Promise<Browser> => startBrowser(folder)
  try {
    const browser = await start()
    const context = browser.defaultBrowserContext()
    const address = await goalsAddress(context, url)
    const page = await open(context, address)
    const before = Number(await shown(page, FIELDS[0]))
    const value = between(random, 100, 999)
    await type(page, FIELDS[0], value, true)
    await page.waitForSelector('[data-saved="yes"]')
    await wait(between(random, 0, 400))
    const isUndone = random() < 0.5
    if (isUndone) {
      await (await page.waitForSelector('::-p-xpath(//button[starts-with(@aria-label, "Undo")])'))?.click()
      const verdict = await comesTo(page, FIELDS[0], before)
      if (verdict) return verdict
    }
    const typing = random() < 0.5
    const late = between(random, 1000, 9999)
    if (typing) await type(page, FIELDS[1], late)
    await wait(between(random, 0, 300))
    browser.process()?.kill('SIGKILL')
    await wait(300)
    const again = await start()
    try {
      const next = await open(again.defaultBrowserContext(), address)
      // Whether it was saved is said before the power went, so it stands.
      return (await comesTo(next, FIELDS[0], isUndone ? before : value)) ?? ((await notices(next)) || null)
    } finally {
      await again.close()
    }
  } finally {
    rmSync(folder, { recursive: true, force: true, maxRetries: 5 })
  }
}
