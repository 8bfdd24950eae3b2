import puppeteer, { type Browser, type BrowserContext, type ElementHandle, type Page } from 'puppeteer-core'
import { STAGE_WORDS, type Stage } from '@/core/document/stages'
import { type JobFile, writeJobFile } from '@/core/formats/writeJobFile'
import { SHEETS } from '@/core/sheets'
import { accessible, SEEN_WITHIN_MS } from './accessible'
import { onDisk } from './files'
import { type AppOptions, startApp, startBrowser } from './server'
import { type Shared, WITH_DEMO } from './setup'

/** The first screen of the demo job, of its X axis. */
const DEMO_X = '/job/demo-skarrow-8/skarrow-x/survey/geometry'

/** A text without the lengths of metric screws, which are sold by the millimetre everywhere. */
export const withoutScrews = (text: string): string =>
  text.replace(/M\d+ screws of \d+ mm|Take \d+ mm|[\d.]+ mm \([\d.]+ in\)/g, '')

/** Whether the last click that was meant for an element, which is still there, went elsewhere. */
const isMissed = (element: HTMLElement) =>
  element.isConnected && !(element as HTMLElement & { pressed?: { hit: boolean } }).pressed?.hit

/** A page on which nothing changed for so long stands; one that is never quiet is looked at after the longest. */
const QUIET_MS = 200
const LONGEST_MS = 5000
/** So long a page is waited for. */
const PATIENCE_MS = 120_000

/** A page that fails its test on any error of the app, and can tell what it asked the network for. */
export class Bench {
  readonly errors: string[] = []
  readonly requests: string[] = []

  private constructor(
    readonly page: Page,
    readonly url: string,
  ) {
    page.on('pageerror', error => this.errors.push(error instanceof Error ? error.message : String(error)))
    page.on(
      'console',
      message =>
        message.type() === 'error' &&
        this.errors.push(`${message.text()} ${message.location().url ?? ''}`.trim()),
    )
    page.on('request', request => this.requests.push(request.url()))
    page.on('dialog', dialog => dialog.dismiss())
  }

  static async open(
    context: BrowserContext,
    url: string,
    path = '/',
    before?: (page: Page) => Promise<unknown>,
  ): Promise<Bench> {
    const page = await context.newPage()
    // A machine that does something else for a while is no fault of the app.
    page.setDefaultTimeout(PATIENCE_MS)
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'dark' }])
    const bench = new Bench(page, url)
    await before?.(page)
    await bench.load(path)
    return bench
  }

  /** Loads an address, as one that is typed into the address bar is. */
  async load(path: string) {
    await this.page.goto(this.url + path, { waitUntil: 'load' })
    await this.stands()
  }

  /** Goes to a place of a job: within the one that is open as its links do, without loading anything again. */
  async go(path: string) {
    const job = path.split('/').slice(0, 3).join('/')
    if (!this.page.url().startsWith(`${this.url}${job}/`)) return this.load(path)
    await this.page.evaluate(to => window.history.pushState(null, '', to), path)
    await this.stands()
  }

  async reload() {
    await this.page.reload({ waitUntil: 'load' })
    await this.stands()
  }

  /** Waits until what is on the page answers to a hand, and nothing has changed on it for a while. */
  async stands() {
    // Without script nothing takes a button over, and no clock runs on the page.
    if (!this.page.isJavaScriptEnabled()) return
    await this.page.evaluate(
      async (quietMs, longestMs, patienceMs) => {
        const isAlive = (element: Element) => Object.keys(element).some(key => key.startsWith('__reactProps'))
        const begun = performance.now()
        let changed = begun
        const changes = new MutationObserver(() => {
          changed = performance.now()
        })
        changes.observe(document, { subtree: true, childList: true, attributes: true, characterData: true })
        let stood = 0
        for (;;) {
          await new Promise(done => setTimeout(done, 25))
          // What the server sends before the app is there is busy by its own word.
          if (document.querySelector('main[aria-busy=true]')) {
            if (performance.now() - begun < patienceMs) continue
            break
          }
          stood ||= performance.now()
          const answers = [...document.querySelectorAll('button, input, select')].every(isAlive)
          const isQuiet = performance.now() - changed > quietMs
          if ((answers && isQuiet) || performance.now() - stood > longestMs) break
        }
        changes.disconnect()
      },
      QUIET_MS,
      LONGEST_MS,
      PATIENCE_MS,
    )
  }

  /** The one element with a role and an accessible name; waits for it. */
  async find(role: string, name: string): Promise<ElementHandle<HTMLElement>> {
    const handle = await accessible(this.page, role, name)
    if (!handle)
      throw new Error(
        `There is no ${role} called ${name} at ${this.page.url()}; errors: ${this.errors.join('; ') || 'none'}; the page:\n${await this.text()}`,
      )
    return handle
  }

  async click(role: string, name: string) {
    await this.pressOn(await this.find(role, name))
  }

  /** Presses the first element that a selector finds; waits for it. */
  async press(selector: string) {
    await this.pressOn((await this.page.waitForSelector(selector)) as ElementHandle<HTMLElement>)
  }

  /** Gives an answer of Find the fault, and waits until what is asked has come anew. */
  async answer(check: string, outcome: string) {
    const asked = `[data-next-check="${check}"]`
    await this.stands()
    await this.press(`${asked} [data-outcome="${outcome}"]`)
    await this.page.waitForFunction(selector => !document.querySelector(selector), {}, asked)
  }

  /** Opens folds of the sheet whose name begins so, where they are not open. */
  async unfold(name: string) {
    const fold = `//*[@id="sheet"]//details[summary[starts-with(normalize-space(), "${name}")]]`
    await this.page.waitForSelector(`::-p-xpath(${fold})`)
    for (const closed of await this.page.$$(`::-p-xpath(${fold}[not(@open)]/summary)`))
      await this.pressOn(closed as ElementHandle<HTMLElement>)
  }

  /** As a hand does: brings it into sight, waits until it stands still and nothing lies over it, and clicks. */
  private async pressOn(handle: ElementHandle<HTMLElement>, tries = 3): Promise<void> {
    const isScripted = this.page.isJavaScriptEnabled()
    await handle.evaluate(async (element, isScripted) => {
      element.scrollIntoView({ block: 'center' })
      // A sheet whose script is still on its way stands there and does not answer yet.
      const answers = () => !isScripted || Object.keys(element).some(key => key.startsWith('__reactProps'))
      const place = () => JSON.stringify(element.getBoundingClientRect())
      const isInReach = () => {
        const { left, top, width, height } = element.getBoundingClientRect()
        const hit = document.elementFromPoint(left + width / 2, top + height / 2)
        // Where a dialog holds the page still, such as one that is closing, the page itself is what a finger meets.
        return hit?.closest('body > *') && (element.contains(hit) || hit.contains(element))
      }
      for (let before = '', still = 0, tries = 0; still < 3 && tries < 300; before = place(), tries += 1) {
        still = place() === before && isInReach() && answers() ? still + 1 : 0
        await new Promise(requestAnimationFrame)
      }
      const hit = { hit: false }
      element.addEventListener('click', () => Object.assign(hit, { hit: true }), {
        capture: true,
        once: true,
      })
      Object.assign(element, { pressed: hit })
    }, isScripted)
    const missed = await handle.click().then(
      // It went from under the finger, as something above it grew: whoever meant it presses again.
      () => isScripted && handle.evaluate(isMissed).catch(() => false),
      error => {
        if (tries === 1 || !String(error).includes('not clickable')) throw error
        return true
      },
    )
    if (missed && tries > 1) await this.pressOn(handle, tries - 1)
  }

  /** Types into a field in place of what it holds, and leaves it with Enter. */
  async fill(name: string, text: string, key: 'Enter' | 'Tab' | null = 'Enter') {
    const field = await this.find('textbox', name)
    await field.evaluate(element => element.scrollIntoView({ block: 'center' }))
    await field.focus()
    await field.evaluate(element => (element as unknown as HTMLInputElement).select())
    if (text === '') await this.page.keyboard.press('Backspace')
    else await this.page.keyboard.type(text)
    if (key) await this.page.keyboard.press(key)
  }

  async value(name: string): Promise<string> {
    return (await this.find('textbox', name)).evaluate(
      element => (element as unknown as HTMLInputElement).value,
    )
  }

  /** Waits until a field holds a text. */
  async comesTo(name: string, text: string) {
    for (
      const begun = performance.now();
      performance.now() - begun < SEEN_WITHIN_MS && (await this.value(name)) !== text;
    )
      await new Promise(done => setTimeout(done, 100))
    expect(await this.value(name)).toBe(text)
  }

  /** Chooses an option of a select by its value. */
  async choose(name: string, value: string) {
    await (await this.find('combobox', name)).select(value)
  }

  /** Takes a part of the list: finds it by its name, then takes it. */
  async take(name: string) {
    await this.fill('Find a part', name, null)
    await this.click('button', `Take ${name}`)
    await this.find('button', `${name}, taken; put back`)
  }

  text(selector = 'body'): Promise<string> {
    // biome-ignore lint/performance/useDomNodeTextContent: what a person sees, without scripts and hidden words
    return this.page.$eval(selector, element => (element as HTMLElement).innerText)
  }

  /** Waits until the text of a part of the page contains something. */
  async sees(text: string | RegExp, selector = 'body') {
    const pattern = text instanceof RegExp ? text : new RegExp(text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    for (const begun = performance.now(); performance.now() - begun < SEEN_WITHIN_MS; ) {
      const shown = await this.text(selector).catch(() => '')
      if (pattern.test(shown)) return
      await new Promise(done => setTimeout(done, 100))
    }
    throw new Error(
      `“${text}” does not show in ${selector}:\n${(await this.text(selector).catch(() => 'nothing there')).slice(0, 3000)}`,
    )
  }

  /** Waits until the browser's tab is called so: a title follows the picture of its screen. */
  async titled(title: string) {
    await this.page
      .waitForFunction(wanted => document.title === wanted, { timeout: SEEN_WITHIN_MS }, title)
      .catch(() => null)
    expect(await this.page.title()).toBe(title)
  }

  /** Waits until a part of the page does not contain a text any more. */
  async lacks(text: string, selector: string) {
    await this.page.waitForFunction(
      (of, gone) => {
        const shown = document.querySelector(of)?.textContent
        return shown !== undefined && shown !== null && !shown.includes(gone)
      },
      { timeout: SEEN_WITHIN_MS },
      selector,
      text,
    )
  }

  /** Waits until a verdict is in a state. */
  async becomes(checkId: string, state: string) {
    await this.page.waitForSelector(`[data-check="${checkId}"][data-state="${state}"]`, {
      timeout: SEEN_WITHIN_MS,
    })
  }

  /** Opens the fold of what holds of the sheet in hand, once the verdicts stand where they belong. */
  async openHeld() {
    const fold = 'aside[aria-label="Verdicts"] details'
    await this.page.waitForSelector(`${fold} summary`)
    await new Promise(done => setTimeout(done, 500))
    await this.page.$eval(fold, element => {
      ;(element as HTMLDetailsElement).open = true
    })
    await this.page.waitForSelector(`${fold} article`)
  }

  async isSaved() {
    await this.page.waitForSelector('[data-saved="yes"]', { timeout: SEEN_WITHIN_MS })
  }

  /** Goes to a stage, and waits until it is the one shown. */
  async stage(label: string) {
    await this.railLink('stage', label, 'step')
  }

  /** Goes to a sheet by its title, over its stage, and waits until it is the one shown. */
  async sheet(title: string) {
    const sheet = SHEETS.find(one => one.title === title)
    if (!sheet) throw new Error(`There is no sheet called ${title}.`)
    const stages = this.page.url().includes('/machine/')
      ? 'machine'
      : (this.page.url().split('/')[6] as Stage)
    if (sheet.stage === 'machine' && stages !== 'machine') await this.click('link', 'Machine')
    else if (sheet.stage !== stages) await this.stage(STAGE_WORDS[sheet.stage].label)
    await this.railLink('sheet', title, 'page')
    await this.page.waitForSelector(`[data-sheet="${sheet.id}"] section`)
  }

  private async railLink(kind: 'stage' | 'sheet', label: string, current: string) {
    const link = `::-p-xpath(//nav[@aria-label="Stages"]//a[@data-rail="${kind}"][contains(., "${label}")])`
    const handle = (await this.page.waitForSelector(link)) as ElementHandle<HTMLElement>
    await this.pressOn(handle)
    await this.page.waitForFunction(
      (rail, name, mark) =>
        document.querySelector(`a[data-rail="${rail}"][aria-current="${mark}"]`)?.textContent?.includes(name),
      { timeout: SEEN_WITHIN_MS },
      kind,
      label,
      current,
    )
  }

  /** Goes to another axis by its name, at the same sheet. */
  async axis(name: string) {
    await this.press(`nav[aria-label="Machine and axes"] a[data-axis="${name}"]`)
    await this.page.waitForSelector(`a[data-axis="${name}"][aria-current="true"]`)
  }

  /** Waits until a job is open on one of its axes. */
  async standsOnTheBench() {
    await this.sees('Verdicts')
    await this.page.waitForFunction(() => location.pathname.split('/').length === 6)
  }

  /** Types readings as a gauge does, each with Enter, from a field on. */
  async typeReadings(firstField: string, readings: readonly number[]) {
    await (await this.find('textbox', firstField)).focus()
    for (const reading of readings) {
      await this.page.keyboard.type(String(reading))
      await this.page.keyboard.press('Enter')
    }
  }

  /** A fresh demo job, opened on its X axis. */
  async openDemo() {
    await this.click('button', 'Open a demo job')
    await this.standsOnTheBench()
  }

  /** A job from a file, imported from the first page and opened. */
  async importJob(file: JobFile) {
    const path = onDisk('job.json', writeJobFile(file))
    const [chooser] = await Promise.all([
      this.page.waitForFileChooser(),
      this.click('button', 'Import a job file'),
    ])
    await chooser.accept([path])
    await this.click('button', 'Import it')
    await this.standsOnTheBench()
  }

  /** A new job of a kind of machine, opened. */
  async startJob(name: string, kind: 'mill' | 'lathe' | 'router' = 'mill', units: 'mm' | 'inch' = 'mm') {
    await this.click('button', 'New job')
    await this.fill('Name of the machine', name, null)
    await this.press(`input[type=radio][value=${kind}]`)
    await this.press(`input[type=radio][value=${units}]`)
    await this.click('button', 'Start it')
    await this.standsOnTheBench()
  }
}

/** What a worker shares with all of its files; null for an app that no other file asks for. */
async function sharedWith(options: AppOptions): Promise<{ url: string; browser: Browser } | null> {
  const { apps, browsers }: Shared = JSON.parse(process.env.DUSK_SHARED ?? '{"apps":{},"browsers":[]}')
  const url = apps[JSON.stringify(options)]
  const browserWSEndpoint = browsers[Number(process.env.JEST_WORKER_ID ?? 1) - 1]
  if (!url || !browserWSEndpoint) return null
  return {
    url,
    browser: await puppeteer.connect({ browserWSEndpoint, defaultViewport: { width: 1280, height: 800 } }),
  }
}

/** An app and a browser for a test file; every test gets an empty store. */
export function withApp(options: AppOptions = {}) {
  const shared = {} as { url: string; browser: Browser; context: BrowserContext }
  let leave = async () => {}
  beforeAll(async () => {
    const found = await sharedWith(options)
    if (found) {
      Object.assign(shared, found)
      leave = () => found.browser.disconnect()
      return
    }
    const app = await startApp(options)
    const browser = await startBrowser()
    Object.assign(shared, { url: app.url, browser })
    leave = async () => {
      await browser.close()
      app.stop()
    }
  })
  afterAll(() => leave())
  beforeEach(async () => {
    shared.context = await shared.browser.createBrowserContext()
  })
  afterEach(() => shared.context.close())
  return {
    get url() {
      return shared.url
    },
    get browser() {
      return shared.browser
    },
    get context() {
      return shared.context
    },
    open: (path = '/', before?: (page: Page) => Promise<unknown>) =>
      Bench.open(shared.context, shared.url, path, before),
    /** The demo job, opened by the address of its X axis in an empty store of the app that has it. */
    openDemo: async () => {
      const { apps }: Shared = JSON.parse(process.env.DUSK_SHARED ?? '{}')
      const bench = await Bench.open(shared.context, apps[JSON.stringify(WITH_DEMO)] as string, DEMO_X)
      await bench.standsOnTheBench()
      return bench
    },
  }
}
