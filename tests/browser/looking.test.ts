import { SHEETS } from '@/core/sheets'
import { type Bench, withApp } from './harness'

const app = withApp()

/** What a page asked for that is not the app's own. */
const outside = (bench: Bench) =>
  bench.requests.filter(
    url => !url.startsWith(app.url) && !url.startsWith('data:') && !url.startsWith('blob:'),
  )

/** Every sheet, by its title, in the order of the work. */
const TITLES = SHEETS.map(({ title }) => title)

describe('on a tablet held upright', () => {
  test('nothing is wider than the screen, and everything to touch is at least 44 px', async () => {
    const bench = await app.open()
    await bench.page.setViewport({ width: 820, height: 1180, hasTouch: true })
    await bench.openDemo()
    const found: string[] = []
    for (const title of TITLES) {
      await bench.sheet(title)
      await bench.stands()
      found.push(
        ...(await bench.page.evaluate(name => {
          const small = [
            ...document.querySelectorAll<HTMLElement>(
              'button, input:not([type=file]):not([type=radio]):not([type=checkbox]), select, a[href], summary, label:has(input[type=checkbox]), label:has(input[type=radio])',
            ),
          ]
            .filter(element => element.checkVisibility())
            .map(element => ({ element, box: element.getBoundingClientRect() }))
            .filter(({ box }) => box.width > 0 && box.height < 43.5)
            .map(
              ({ element, box }) =>
                `${name}: ${element.tagName} ${element.textContent?.slice(0, 30) || element.getAttribute('aria-label')} is ${Math.round(box.height)} px high`,
            )
          const wide =
            document.documentElement.scrollWidth > window.innerWidth
              ? [`${name}: ${document.documentElement.scrollWidth} px wide`]
              : []
          return [...small, ...wide]
        }, title)),
      )
      if (title === 'Record') await bench.axis('X')
    }
    expect(found).toEqual([])
    // And no sheet logs an error, or asks anything outside this machine.
    expect(bench.errors).toEqual([])
    expect(outside(bench)).toEqual([])
  })

  test('verdicts are a bar at the foot with their counts, which opens them as a drawer', async () => {
    const bench = await app.open()
    await bench.page.setViewport({ width: 820, height: 1180, hasTouch: true })
    await bench.openDemo()
    await bench.sheet('Parts of the drive')
    expect(await bench.page.$('aside[aria-label="Verdicts"]')).toBeNull()
    await bench.sees('4 fail', '[data-foot]')
    const foot = await bench.page.$eval('[data-foot]', element => element.getBoundingClientRect().bottom)
    expect(foot).toBe(1180)
    await bench.page.tap('[data-foot]')
    await bench.sees('Torque of the coupler', '[role=dialog]')
    await bench.click('button', 'Ways out: Torque of the coupler')
    await bench.click('button', 'Apply: Sliding-disc coupler 33 mm, set screws')
    await bench.becomes('coupler.torque', 'holds')
    // A line leads to its sheet, and the drawer goes; what was proved before the change has gone to another place of it.
    await bench.page.waitForSelector('[role=dialog] [data-check="prove.reversal"][data-state="unknown"]')
    await bench.stands()
    await bench.page.tap('[role=dialog] [data-check="prove.reversal"] a')
    await bench.page.waitForSelector('[data-sheet="reversal"]')
    await bench.page.waitForFunction(() => !document.querySelector('[role=dialog]'))
    // What was proved with the other coupler is to be read again.
    await bench.sees('4 not known yet', '[data-foot]')
    expect(bench.errors).toEqual([])
  })

  test('a part is picked with a finger', async () => {
    const bench = await app.open()
    await bench.page.setViewport({ width: 820, height: 1180, hasTouch: true })
    await bench.openDemo()
    await bench.page.tap('[data-part="coupler"]')
    await bench.sees('Slit coupler 32 mm, clamp hubs, Fennick Drives', 'aside[aria-label="Sheet: Coupler"]')
  })
})

test('nothing leaves the machine, and the policy is strict', async () => {
  const bench = await app.open()
  const policy = (await bench.page.goto(app.url))?.headers()['content-security-policy'] ?? ''
  expect(policy).toContain("default-src 'none'")
  expect(policy).toMatch(/script-src 'self' 'nonce-[^']+';/)
  expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  expect(policy).toContain("connect-src 'self'")
  await bench.openDemo()
  expect(outside(bench)).toEqual([])
  expect(bench.errors).toEqual([])
  const blocked = await bench.page.evaluate(() =>
    fetch('http://127.0.0.2:9/').then(
      () => 'let through',
      () => 'blocked',
    ),
  )
  expect(blocked).toBe('blocked')
  const inline = await bench.page.evaluate(() => {
    const script = document.createElement('script')
    script.textContent = 'window.ranInline = true'
    document.body.append(script)
    return 'ranInline' in window
  })
  expect(inline).toBe(false)
})

test('charts load only where they are shown', async () => {
  const bench = await app.openDemo()
  const scripts = () => bench.requests.filter(url => url.includes('.js')).length
  await bench.stage('Build')
  await bench.sees('Steps of the build')
  await bench.stands()
  const before = scripts()
  await bench.sheet('Charts')
  await bench.page.waitForSelector('.recharts-surface')
  expect(scripts()).toBeGreaterThan(before)
})
