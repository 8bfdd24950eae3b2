import type { Browser, Page } from 'puppeteer-core'

/** Opens the first screen of a demo job as a newcomer would. */
async function openDemo(page: Page, url: string) {
  await page.goto(url, { waitUntil: 'networkidle0' })
  await (await page.waitForSelector('::-p-aria([name="Open a demo job"][role="button"])'))?.click()
  await page.waitForSelector('[data-check]')
}

/** Kilobytes of script that come over the wire until a job stands on the screen, opened by its address. */
export async function transferredScripts(browser: Browser, url: string) {
  const context = await browser.createBrowserContext()
  try {
    const first = await context.newPage()
    await openDemo(first, url)
    await first.waitForFunction(() => location.pathname.split('/').length === 5)
    const address = first.url()
    const loaded = async (path: string) => {
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
      await page.goto(path, { waitUntil: 'networkidle0' })
      await page.close()
      return bytes / 1024
    }
    return { totalKb: await loaded(address), appKb: await loaded(`${url}/no-such-page`) }
  } finally {
    await context.close()
  }
}

/**
 * Times from a key stroke in a quantity field until the frame in which its verdict has changed was drawn.
 *
 * @returns milliseconds, smallest first
 */
export async function keyToVerdict(browser: Browser, url: string, slowdown: number): Promise<number[]> {
  const context = await browser.createBrowserContext()
  try {
    const page = await context.newPage()
    await page.setViewport({ width: 1280, height: 800 })
    await openDemo(page, url)
    const field = await page.waitForSelector(
      '::-p-aria([name="Cutting force along the axis"][role="textbox"])',
    )
    await field?.focus()
    await page.evaluate(() => {
      const times: number[] = []
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
        // The frame that shows the change has been drawn when a message posted from it comes back.
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => times.push(performance.now() - from)
          channel.port2.postMessage(null)
        })
      }).observe(document.querySelector('aside[aria-label="Verdicts"]') as Element, {
        subtree: true,
        childList: true,
        characterData: true,
      })
    })
    await page.emulateCPUThrottling(slowdown)
    for (const value of [
      900, 1250, 640, 880, 1075, 720, 990, 1340, 815, 930, 1180, 560, 845, 1010, 760, 1290,
    ]) {
      await field?.evaluate(element => (element as HTMLInputElement).select())
      for (const digit of String(value)) {
        await page.keyboard.press(digit as '1')
        await new Promise(done => setTimeout(done, 150))
      }
    }
    const times = await page.evaluate(() => (window as unknown as { keyTimes: number[] }).keyTimes)
    return times.toSorted((a, b) => a - b)
  } finally {
    await context.close()
  }
}
