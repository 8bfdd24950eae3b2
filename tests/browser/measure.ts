import type { Browser, BrowserContext, ElementHandle, Page } from 'puppeteer-core'
import { sheetsOf } from '@/core/sheets'
import { accessible } from './accessible'

/** Opens the first screen of a demo job as a newcomer would. */
async function openDemo(page: Page, url: string) {
  await page.goto(url, { waitUntil: 'networkidle0' })
  await (await accessible(page, 'button', 'Open a demo job'))?.click()
  await page.waitForSelector('[data-check]')
}

/** Kilobytes of script that come over the wire until a page is at rest, with nothing kept from before. */
export async function scriptKb(context: BrowserContext, url: string): Promise<number> {
  const page = await context.newPage()
  const session = await page.createCDPSession()
  await session.send('Network.enable')
  await session.send('Network.setCacheDisabled', { cacheDisabled: true })
  const scripts = new Set<string>()
  let bytes = 0
  session.on('Network.responseReceived', event => event.type === 'Script' && scripts.add(event.requestId))
  session.on('Network.loadingFinished', event => {
    if (scripts.has(event.requestId)) bytes += event.encodedDataLength
  })
  await page.goto(url, { waitUntil: 'networkidle0' })
  await page.close()
  return bytes / 1024
}

/** The address of the first screen of a demo job. */
export async function demoAddress(context: BrowserContext, url: string): Promise<string> {
  const page = await context.newPage()
  await openDemo(page, url)
  await page.waitForFunction(() => location.pathname.split('/').length === 6)
  const address = page.url()
  await page.close()
  return address
}

/** Milliseconds from a key stroke, each smallest first. */
export interface KeyTimes {
  /** Until the answer stands in the page. */
  inPageMs: number[]
  /** Until the frame that shows it is drawn, with the wait for the screen's next turn. */
  drawnMs: number[]
}

/** What typing costs. */
export interface TypingTimes {
  slowdown: number
  /** On a page that holds one field and copies it into a line of text: what this machine and browser take. */
  emptyPage: KeyTimes
  /** From a quantity field of the demo to the verdict that follows it. */
  bench: KeyTimes
}

/** Forces that change what the builder sees: verdicts out of sight wait until the typing rests. */
const VALUES = [
  900, 1250, 640, 880, 1075, 720, 990, 1340, 815, 930, 1180, 560, 845, 1010, 760, 1290, 1120, 870, 1045, 950,
  1390, 690, 1230, 1160,
]
const KEY_EVERY_MS = 150
/** Other work on the machine comes and goes: the pass counts in which the yardstick was disturbed least. */
const PASSES = 3

/**
 * The time that a share of the keys stayed within.
 *
 * @param times smallest first
 * @example percentile([5, 6, 7, 30], 0.5) // 7
 */
export const percentile = (times: number[], share: number): number =>
  times[Math.min(times.length - 1, Math.floor(times.length * share))] ?? Number.NaN

/** Notes, for each key, when a change stands in a part of the page, and when its frame has been drawn. */
const watchKeys = (selector: string) => {
  const times = { inPageMs: [] as number[], drawnMs: [] as number[] }
  Object.assign(window, { keyTimes: times })
  let pressedAt = 0
  window.addEventListener(
    'keydown',
    event => {
      pressedAt = event.timeStamp
    },
    true,
  )
  new MutationObserver(() => {
    const from = pressedAt
    if (from === 0) return
    pressedAt = 0
    times.inPageMs.push(performance.now() - from)
    // The frame that shows the change has been drawn when a message posted from it comes back.
    requestAnimationFrame(() => {
      const channel = new MessageChannel()
      channel.port1.onmessage = () => times.drawnMs.push(performance.now() - from)
      channel.port2.postMessage(null)
    })
  }).observe(document.querySelector(selector) as Element, {
    subtree: true,
    childList: true,
    characterData: true,
  })
}

async function typeValues(page: Page, field: ElementHandle<HTMLInputElement>): Promise<KeyTimes> {
  const takeTimes = () =>
    page.evaluate(() => {
      const { inPageMs, drawnMs } = (window as unknown as { keyTimes: KeyTimes }).keyTimes
      return { inPageMs: inPageMs.splice(0), drawnMs: drawnMs.splice(0) }
    })
  await takeTimes()
  for (const value of VALUES) {
    await field.evaluate(element => element.select())
    for (const digit of String(value)) {
      await page.keyboard.press(digit as '1')
      await new Promise(done => setTimeout(done, KEY_EVERY_MS))
    }
  }
  const { inPageMs, drawnMs } = await takeTimes()
  return { inPageMs: inPageMs.toSorted((a, b) => a - b), drawnMs: drawnMs.toSorted((a, b) => a - b) }
}

const ONE_FIELD =
  '<input id="field" oninput="document.querySelector(\'p\').textContent = this.value"><aside><p>-</p></aside>'

/** Sheets of readings of the demo with a round that is open. */
const OPEN_ROUNDS = [
  'demo-skarrow-8/skarrow-y/align/flange',
  'demo-skarrow-8/skarrow-y/align/runOut',
  'demo-skarrow-8/skarrow-y/align/drag',
] as const

/**
 * From a key in a table of readings to the frame in which the advice follows it: the slowest of the sheets.
 *
 * @returns its times, each smallest first, and the sheet
 */
export async function readingKeyTimes(
  browser: Browser,
  url: string,
  slowdown: number,
): Promise<KeyTimes & { sheet: string }> {
  const context = await browser.createBrowserContext()
  try {
    const page = await context.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await page.goto(url, { waitUntil: 'networkidle0' })
    await page.waitForSelector('[data-job="demo-long-tom-2400"]')
    let slowest: KeyTimes & { sheet: string } = { sheet: '', inPageMs: [], drawnMs: [] }
    for (const sheet of OPEN_ROUNDS) {
      await page.goto(`${url}/job/${sheet}`, { waitUntil: 'networkidle0' })
      const field = (await page.waitForSelector(
        '[data-turn="1"] input[data-quantity]',
      )) as ElementHandle<HTMLInputElement>
      await page.evaluate(watchKeys, '[aria-label="What to do"]')
      await field.focus()
      await typeValues(page, field)
      await page.emulateCPUThrottling(slowdown)
      const { inPageMs, drawnMs } = await typeValues(page, field)
      await page.emulateCPUThrottling(1)
      if (percentile(inPageMs, 0.95) > percentile(slowest.inPageMs, 0.95) || slowest.sheet === '')
        slowest = { sheet, inPageMs, drawnMs }
    }
    return slowest
  } finally {
    await context.close()
  }
}

/** A full test as large as they get on a bench, with so many of its readings still to take when it is timed. */
const TARGETS = 20
const RUNS = 10
const LEFT = 40

/**
 * From Enter behind a reading of a full test of 20 targets and 10 runs to the frame in which it stands at its place, with the
 * verdict and the next place.
 *
 * @returns its times, each smallest first
 */
export async function fullTestKeyTimes(browser: Browser, url: string, slowdown: number): Promise<KeyTimes> {
  const context = await browser.createBrowserContext()
  try {
    const page = await context.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await page.goto(url, { waitUntil: 'networkidle0' })
    await page.waitForSelector('[data-job="demo-long-tom-2400"]')
    await page.goto(`${url}/job/demo-skarrow-8/skarrow-x/prove/fullTest`, { waitUntil: 'networkidle0' })
    const press = async (name: string) => (await accessible(page, 'button', name))?.click()
    await press('Start a full test')
    await page.waitForSelector('[data-progress]')
    const turnFolds = () =>
      page.$$eval('#sheet summary', all => {
        for (const one of all)
          if (['Plan and program', 'Paste a column of readings'].includes(one.textContent ?? '')) one.click()
      })
    await turnFolds()
    await (await accessible(page, 'combobox', 'Targets, spread unevenly'))?.select(String(TARGETS))
    const runs = await accessible(page, 'textbox', 'Runs each way')
    await runs?.evaluate(element => (element as HTMLInputElement).select())
    await page.keyboard.type(String(RUNS))
    await page.keyboard.press('Tab')
    const column = await page.waitForSelector('#sheet textarea')
    await column?.focus()
    const taken = 2 * TARGETS * RUNS - LEFT
    await page.keyboard.sendCharacter(
      Array.from({ length: taken }, (_, index) => String(index % 7)).join('\n'),
    )
    await press('Put them in')
    await page.waitForFunction(
      of => document.querySelector('[data-progress]')?.textContent?.startsWith(`${of} of`),
      {},
      taken,
    )
    await turnFolds()
    const field = (await page.waitForSelector('#sheet form input')) as ElementHandle<HTMLInputElement>
    await page.evaluate(watchKeys, '#sheet table')
    await field.focus()
    const type = async (count: number) => {
      for (let index = 0; index < count; index++) {
        await page.keyboard.press(String(index % 7) as '1')
        await new Promise(done => setTimeout(done, KEY_EVERY_MS))
        await page.keyboard.press('Enter')
        await new Promise(done => setTimeout(done, KEY_EVERY_MS))
      }
    }
    await type(8)
    await page.emulateCPUThrottling(slowdown)
    await page.evaluate(() => {
      const { keyTimes } = window as unknown as { keyTimes: KeyTimes }
      keyTimes.inPageMs.length = 0
      keyTimes.drawnMs.length = 0
    })
    await type(LEFT - 10)
    const { inPageMs, drawnMs } = await page.evaluate(
      () => (window as unknown as { keyTimes: KeyTimes }).keyTimes,
    )
    return { inPageMs: inPageMs.toSorted((a, b) => a - b), drawnMs: drawnMs.toSorted((a, b) => a - b) }
  } finally {
    await context.close()
  }
}

/**
 * Times typing in the demo, and on an empty page of the same browser as the yardstick.
 *
 * @param slowdowns how many times slower the processor is made; the first one also warms the code up
 * @returns for each slowdown the pass in which the yardstick was disturbed least
 */
export async function typingTimes(
  browser: Browser,
  url: string,
  slowdowns: number[],
): Promise<TypingTimes[]> {
  const context = await browser.createBrowserContext()
  try {
    const bench = await context.newPage()
    await bench.setViewport({ width: 1280, height: 800 })
    await openDemo(bench, url)
    // Found without the accessibility tree, which would be kept up to date at every key from then on.
    await bench.goto(bench.url().replace(/\/survey\/\w+$/, '/survey/goals'), { waitUntil: 'networkidle0' })
    const field = (await bench.evaluateHandle(() => {
      const label = [...document.querySelectorAll('label')].find(
        one => one.textContent === 'Cutting force along the axis',
      )
      return document.getElementById(label?.htmlFor ?? '') as HTMLInputElement
    })) as ElementHandle<HTMLInputElement>
    await bench.evaluate(watchKeys, 'aside[aria-label="Verdicts"]')

    const empty = await context.newPage()
    await empty.setViewport({ width: 1280, height: 800 })
    await empty.setContent(ONE_FIELD)
    const emptyField = (await empty.$('#field')) as ElementHandle<HTMLInputElement>
    await empty.evaluate(watchKeys, 'aside')

    const timed = async (page: Page, input: ElementHandle<HTMLInputElement>, slowdown: number) => {
      await page.bringToFront()
      await input.focus()
      await page.emulateCPUThrottling(slowdown)
      const times = await typeValues(page, input)
      await page.emulateCPUThrottling(1)
      return times
    }
    const quietest: TypingTimes[] = []
    for (const slowdown of slowdowns) {
      const passes: TypingTimes[] = []
      for (let pass = 0; pass < PASSES; pass++)
        passes.push({
          slowdown,
          emptyPage: await timed(empty, emptyField, slowdown),
          bench: await timed(bench, field, slowdown),
        })
      quietest.push(
        passes.reduce((a, b) =>
          percentile(b.emptyPage.drawnMs, 0.95) < percentile(a.emptyPage.drawnMs, 0.95) ? b : a,
        ),
      )
    }
    return quietest
  } finally {
    await context.close()
  }
}

/** The longest time between two frames while a search of the whole parts list runs in its worker. */
export async function longestFrameWhileSearching(
  browser: Browser,
  url: string,
): Promise<{ longestMs: number; searchMs: number }> {
  const context = await browser.createBrowserContext()
  try {
    const page = await context.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await openDemo(page, url)
    await page.goto(page.url().replace(/\/survey\/\w+$/, '/size/search'), { waitUntil: 'networkidle0' })
    await page.waitForSelector('section[aria-label="Search the parts list"]')
    return await page.evaluate(
      () =>
        new Promise<{ longestMs: number; searchMs: number }>(done => {
          const panel = document.querySelector('section[aria-label="Search the parts list"]') as HTMLElement
          const button = [...panel.querySelectorAll('button')].find(
            ({ textContent }) => textContent === 'Search',
          )
          button?.click()
          let before = performance.now()
          const start = before
          let longestMs = 0
          const tick = (now: number) => {
            // The bar is gone when the worker has answered; what is drawn then is no longer the search.
            if (now - start > 100 && !panel.querySelector('progress'))
              return done({ longestMs, searchMs: before - start })
            longestMs = Math.max(longestMs, now - before)
            before = now
            requestAnimationFrame(tick)
          }
          requestAnimationFrame(tick)
        }),
    )
  } finally {
    await context.close()
  }
}

/** Puts so many copies of the first job that is stored in the place of all of them, each with six axes and a name of its own. */
export const copyJobs = (page: Page, count: number): Promise<void> =>
  page.evaluate(async wanted => {
    const open = indexedDB.open('dusk-bench')
    const db = await new Promise<IDBDatabase>((done, fail) => {
      open.onsuccess = () => done(open.result)
      open.onerror = () => fail(open.error)
    })
    const store = db.transaction('jobs', 'readwrite').objectStore('jobs')
    const all = store.getAll()
    const [row] = await new Promise<{ id: string; job: { id: string; axes: { id: string }[] } }[]>(done => {
      all.onsuccess = () => done(all.result)
    })
    if (!row) throw new Error('there is no job to copy')
    store.clear()
    for (let index = 0; index < wanted; index++) {
      const id = `copy-${index}`
      const axes = [...row.job.axes, ...row.job.axes].map((axis, at) => ({ ...axis, id: `axis-${at}` }))
      store.put({ ...row, id, job: { ...row.job, id, name: `Copy ${index}`, axes } })
    }
    await new Promise(done => {
      store.transaction.oncomplete = done
    })
    db.close()
  }, count)

/**
 * Milliseconds until the list of jobs stands on the screen with its first job, for a store with so many jobs of six axes.
 *
 * @returns the median of some openings
 */
export async function homeOpens(browser: Browser, url: string, count: number): Promise<number> {
  const context = await browser.createBrowserContext()
  try {
    const page = await context.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await openDemo(page, url)
    await copyJobs(page, count)
    await page.evaluateOnNewDocument(() => {
      new MutationObserver((_, observer) => {
        if (!document.querySelector('[data-job]')) return
        observer.disconnect()
        requestAnimationFrame(() => Object.assign(window, { listedMs: performance.now() }))
      }).observe(document, { subtree: true, childList: true })
    })
    const times: number[] = []
    for (let i = 0; i < 7; i++) {
      await page.goto(url, { waitUntil: 'networkidle0' })
      await page.waitForFunction(() => 'listedMs' in window)
      times.push(await page.evaluate(() => (window as unknown as { listedMs: number }).listedMs))
    }
    return percentile(
      times.toSorted((a, b) => a - b),
      0.5,
    )
  } finally {
    await context.close()
  }
}

/** How a sheet stands on a screen of 1280 by 800. */
export interface SheetSize {
  heightPx: number
  /** Where its first field or result ends, from the top of the screen. */
  firstFieldPx: number
}

/** Opens a sheet by its address without loading the page anew, and measures it when it stands still. */
export async function sheetSize(page: Page, path: string, sheet: string): Promise<SheetSize> {
  await page.evaluate(to => window.history.pushState(null, '', to), path)
  await page.waitForSelector(`[data-sheet="${sheet}"] section`)
  return page.evaluate(async () => {
    const box = document.getElementById('sheet') as HTMLElement
    // Without a named function in it, which the runner of the scripts would mark by a helper that no page has.
    for (let before = -1, still = 0; still < 5; before = box.offsetHeight) {
      still = box.offsetHeight === before ? still + 1 : 0
      await new Promise(requestAnimationFrame)
    }
    window.scrollTo(0, 0)
    const first = [
      ...box.querySelectorAll(
        'input:not([type=file]), select, textarea, table, li, dl, article, form, [role="img"], p:not([data-note])',
      ),
    ].find(element => element.checkVisibility() && element.getBoundingClientRect().height > 0)
    const { top, height } = (first ?? box).getBoundingClientRect()
    // Of a long list its first line is enough.
    return { heightPx: box.offsetHeight, firstFieldPx: Math.round(top + Math.min(height, 44)) }
  })
}

/** The demo jobs with their axes, by their fixed ids. */
export const DEMO_AXES: [job: string, axis: string][] = [
  ...['x', 'y', 'z'].map((axis): [string, string] => ['demo-skarrow-8', `skarrow-${axis}`]),
  ...['z', 'x'].map((axis): [string, string] => ['demo-ostrey-254', `ostrey-${axis}`]),
  ...['x', 'y', 'z'].map((axis): [string, string] => ['demo-long-tom-2400', `long-tom-${axis}`]),
]

/** Milliseconds from the press on a lesson in the list until its machine is drawn, lesson by lesson, on a slower processor. */
export async function lessonsOpen(browser: Browser, url: string): Promise<{ lesson: string; ms: number }[]> {
  const context = await browser.createBrowserContext()
  try {
    const page = await context.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    const found: { lesson: string; ms: number }[] = []
    await page.goto(`${url}/practice`, { waitUntil: 'networkidle0' })
    await page.emulateCPUThrottling(SLOW)
    const lessons = await page.$$eval('[data-lesson-line]', lines =>
      lines.map(line => line.getAttribute('data-lesson-line') as string),
    )
    for (const lesson of lessons) {
      const ms = await page.evaluate(
        id =>
          new Promise<number>(done => {
            const begun = performance.now()
            new MutationObserver((_, observer) => {
              if (!document.querySelector(`[data-lesson="${id}"] [data-machine]`)) return
              observer.disconnect()
              requestAnimationFrame(() => done(performance.now() - begun))
            }).observe(document, { subtree: true, childList: true })
            document.querySelector<HTMLElement>(`[data-lesson-line="${id}"] a`)?.click()
          }),
        lesson,
      )
      found.push({ lesson, ms })
      await page.goBack()
      await page.waitForSelector('[data-lesson-line]')
    }
    return found
  } finally {
    await context.close()
  }
}

const SLOW = 4
const median = (times: number[]): number =>
  percentile(
    times.toSorted((a, b) => a - b),
    0.5,
  )

/** Milliseconds until the first words of a page are painted. */
async function firstPaintMs(browser: Browser, address: string, html: string): Promise<number> {
  const context = await browser.createBrowserContext()
  const page = await context.newPage()
  await page.emulateCPUThrottling(SLOW)
  // Both pages are answered here, so that how long a server takes is in neither.
  await page.setRequestInterception(true)
  page.on('request', request =>
    request.isNavigationRequest()
      ? void request.respond({ contentType: 'text/html', body: html })
      : void request.continue(),
  )
  await page.goto(address, { waitUntil: 'load' })
  const paint = await page.waitForFunction(
    () => performance.getEntriesByName('first-contentful-paint')[0]?.startTime,
  )
  const ms = Number(await paint.jsonValue())
  await context.close()
  return ms
}

/**
 * What stands until the first paint of a job, at a processor four times slower, beside a page of one word that asks for the
 * same styles and scripts.
 */
export async function firstPaint(browser: Browser, url: string): Promise<{ jobMs: number; bareMs: number }> {
  const address = `${url}/job/none`
  const html = await (await fetch(address)).text()
  const libraries = html.match(/<link[^>]*>|<script[^>]*src="[^"]*"[^>]*><\/script>/g) ?? []
  const bare = `<!doctype html><html lang="en"><head>${libraries.join('')}</head><body><p>Bare</p></body></html>`
  const [jobMs, bareMs]: [number[], number[]] = [[], []]
  for (let i = 0; i < 7; i++) {
    jobMs.push(await firstPaintMs(browser, address, html))
    bareMs.push(await firstPaintMs(browser, address, bare))
  }
  return { jobMs: median(jobMs), bareMs: median(bareMs) }
}

/** Openings of which the one counts that was disturbed least: other work on the machine only adds. */
const OPENINGS = 4

/** The longest task, in milliseconds at a processor four times slower, while a sheet of Size comes up in an open job. */
export async function longestTaskOnSize(
  browser: Browser,
  url: string,
): Promise<{ sheet: string; ms: number }[]> {
  const walks: { sheet: string; ms: number }[][] = []
  for (let i = 0; i < OPENINGS; i++) walks.push(await walkSize(browser, url))
  return (walks[0] ?? []).map(({ sheet }, index) => ({
    sheet,
    ms: Math.min(...walks.map(walk => walk[index]?.ms ?? Number.POSITIVE_INFINITY)),
  }))
}

async function walkSize(browser: Browser, url: string): Promise<{ sheet: string; ms: number }[]> {
  const context = await browser.createBrowserContext()
  const address = await demoAddress(context, url)
  const page = await context.newPage()
  await page.evaluateOnNewDocument(() => {
    const tasks: number[] = []
    Object.assign(window, { longTasks: tasks })
    new PerformanceObserver(list => {
      for (const { duration } of list.getEntries()) tasks.push(duration)
    }).observe({ type: 'longtask', buffered: true })
  })
  await page.goto(address, { waitUntil: 'networkidle0' })
  await page.emulateCPUThrottling(SLOW)
  await new Promise(done => setTimeout(done, 2000))
  const longest = () =>
    page.evaluate(() => {
      const { longTasks } = window as unknown as { longTasks: number[] }
      return Math.max(0, ...longTasks.splice(0))
    })
  const found: { sheet: string; ms: number }[] = []
  for (const { id } of sheetsOf('size')) {
    await longest()
    await page.evaluate(
      to => window.history.pushState(null, '', to),
      address.replace(/survey.*$/, `size/${id}`),
    )
    await page.waitForSelector(`[data-sheet="${id}"] section`)
    await new Promise(done => setTimeout(done, 3000))
    found.push({ sheet: id, ms: await longest() })
  }
  await context.close()
  return found
}

/**
 * Times how soon a new plan stands on the screen after a task of a large one is ticked.
 *
 * @param url of an app that starts with the demo
 * @returns how many tasks were planned, and how long the new plan took to stand, the least of some ticks
 */
export async function planAfterTick(
  browser: Browser,
  url: string,
): Promise<{ tasks: number; standsMs: number }> {
  const context = await browser.createBrowserContext()
  const page = await context.newPage()
  await page.goto(url, { waitUntil: 'networkidle0' })
  await page.waitForSelector('[data-job="demo-long-tom-2400"]')
  await page.goto(`${url}/job/demo-long-tom-2400/machine/schedule`, { waitUntil: 'networkidle0' })
  const settled = () =>
    page.waitForFunction(() => document.querySelector('[data-finish]')?.textContent?.includes('proved'), {
      timeout: 30_000,
    })
  await settled()
  const times: number[] = []
  let tasks = 0
  for (let tick = 0; tick < 3; tick++) {
    const [count, ms] = await page.evaluate(
      () =>
        new Promise<[number, number]>((done, fail) => {
          const standing = document.querySelector('[data-finish]')
          const button = document.querySelector<HTMLElement>('button[aria-label^="Done: "]')
          if (!standing || !button) return fail(new Error('There is no plan to tick in.'))
          const before = standing.getAttribute('data-finish')
          const start = performance.now()
          new MutationObserver((_, observer) => {
            if (standing.getAttribute('data-finish') === before) return
            observer.disconnect()
            done([Number(before), performance.now() - start])
          }).observe(standing, { attributes: true })
          button.click()
        }),
    )
    tasks = Math.max(tasks, count)
    times.push(ms)
    await settled()
  }
  await context.close()
  return { tasks, standsMs: Math.min(...times) }
}
