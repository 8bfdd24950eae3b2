import { createServer, request, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { STAGE_WORDS, STAGES } from '@/core/document/stages'
import { downloads } from './files'
import { Bench, withApp } from './harness'

const app = withApp({ kept: true })

/** Stands before the app: the server can go away under the page, and come back with a newer build. */
class Front {
  isDown = false
  isNewer = false
  private readonly server: Server

  constructor(private readonly behind: string) {
    this.server = createServer((asked, answer) => {
      if (this.isDown) return void asked.socket.destroy()
      const { pathname } = new URL(asked.url ?? '/', this.behind)
      const on = request(
        new URL(asked.url ?? '/', this.behind),
        { method: asked.method, headers: { ...asked.headers, 'accept-encoding': 'identity' } },
        came => {
          if (pathname !== '/sw.js' || !this.isNewer) {
            answer.writeHead(came.statusCode ?? 500, came.headers)
            return came.pipe(answer)
          }
          let text = ''
          came.setEncoding('utf8')
          came.on('data', part => {
            text += part
          })
          came.on('end', () => {
            const { 'content-length': _, ...headers } = came.headers
            answer.writeHead(200, headers)
            answer.end(text.replace(/id:"[^"]+"/, 'id:"newer"'))
          })
        },
      )
      on.on('error', () => answer.destroy())
      asked.pipe(on)
    })
  }
  start = () =>
    new Promise<string>(done =>
      this.server.listen(0, () => done(`http://localhost:${(this.server.address() as AddressInfo).port}`)),
    )
  stop() {
    this.server.closeAllConnections()
    this.server.close()
  }
}

let front: Front
let url: string
beforeEach(async () => {
  front = new Front(app.url)
  url = await front.start()
})
afterEach(() => front.stop())

/** The list of jobs, once the browser has the whole app. */
async function openKept(): Promise<Bench> {
  const bench = await Bench.open(app.context, url)
  await bench.page.waitForFunction(() => navigator.serviceWorker.controller?.state === 'activated', {
    timeout: 180_000,
  })
  return bench
}

test('with the server gone the app opens, reloads, edits, saves and exports', async () => {
  const bench = await openKept()
  front.isDown = true
  await bench.load('/')
  await bench.openDemo()
  for (const stage of STAGES) await bench.stage(STAGE_WORDS[stage].label)
  await bench.sheet('What you want from it')
  await bench.fill('Life wanted', '12345')
  await bench.isSaved()

  // Under the same strict policy, with a nonce of its own every time.
  const nonces = new Set<string>()
  for (let i = 0; i < 2; i++) {
    const page = await bench.page.reload({ waitUntil: 'networkidle0' })
    const policy = page?.headers()['content-security-policy'] ?? ''
    expect(policy).toContain("default-src 'none'")
    nonces.add(/'nonce-([^']+)'/.exec(policy)?.[1] ?? '')
    await bench.comesTo('Life wanted', '12345')
  }
  expect(nonces.size).toBe(2)

  // What is drawn, printed and searched comes from pieces of the app that were never asked for before.
  const file = await downloads(bench.page)
  await bench.sheet('Ends of the screw')
  await bench.click('button', 'Save as PDF: Skarrow 8, X: screw')
  expect((await file()).bytes.subarray(0, 5).toString()).toBe('%PDF-')
  await bench.sheet('Search the parts list')
  await bench.click('button', 'Search')
  await bench.sees('are beaten by nothing')

  await bench.load('/practice?lesson=gantry&seed=2')
  await bench.click('button', 'As the square lies')
  await bench.sees('Along the square', '[data-notebook]')
  await bench.load('/reference')
  await bench.sees('Life')
  await bench.load('/')
  await bench.sees('Machines under conversion')
  await bench.click('button', 'Export Skarrow 8')
  expect(JSON.parse((await file()).text)).toHaveProperty('format', 'dusk-bench-job')

  // What leads nowhere leads out.
  await bench.load('/job/none')
  await bench.sees('This job is not in this browser')
  await bench.click('link', 'All jobs')
  await bench.sees('Machines under conversion')
  await bench.load('/no-such-page')
  await bench.sees('Machines under conversion')
  // A server that is gone is told by the browser's own log; nothing else may go wrong.
  expect(bench.errors.filter(error => !/ERR_|Failed to fetch/.test(error))).toEqual([])
})

test('a newer version asks first, comes in after what was typed is saved, and leaves other tabs as they are', async () => {
  const bench = await openKept()
  await bench.openDemo()
  await bench.sheet('What you want from it')
  const other = await Bench.open(app.context, url, new URL(bench.page.url()).pathname)
  front.isNewer = true
  await bench.page.bringToFront()
  await bench.page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.update())
  await bench.sees('A newer version of the app is here')
  // Nothing has changed until it is let in.
  await bench.page.evaluate(() => Object.assign(window, { isSamePage: true }))
  await bench.fill('Life wanted', '12 furlongs', 'Tab')
  await bench.click('button', 'Take it in now')
  await bench.sees('A field holds something that could not be read')
  await bench.fill('Life wanted', '23456', null)
  const loaded = bench.page.waitForNavigation()
  await bench.click('button', 'Take it in now')
  await loaded
  await bench.comesTo('Life wanted', '23456')
  expect(await bench.page.evaluate(() => 'isSamePage' in window)).toBe(false)
  await bench.lacks('A newer version', 'body')

  await other.page.bringToFront()
  await other.sees('Another tab has taken in a newer version')
  front.isDown = true
  // Pieces of the old version are still to be had.
  await other.click('button', 'Help and keys (?)')
  await other.find('dialog', 'Help and keys')
  expect(
    await bench.page.evaluate(
      async () => (await caches.keys()).filter(name => name.includes('-app-')).length,
    ),
  ).toBe(2)
})

test('the app can be installed', async () => {
  const bench = await openKept()
  const session = await bench.page.createCDPSession()
  const { errors, data } = await session.send('Page.getAppManifest')
  expect(errors).toEqual([])
  const { icons } = JSON.parse(data ?? '{}') as { icons: { src: string; type: string }[] }
  for (const { src, type } of icons) {
    const answer = await fetch(url + src)
    expect([src, answer.status, answer.headers.get('content-type')]).toEqual([src, 200, type])
  }
  const { installabilityErrors } = await session.send('Page.getInstallabilityErrors')
  // A private window, as a test's is, cannot install anything; nothing else may stand in the way.
  expect(installabilityErrors.filter(({ errorId }) => errorId !== 'in-incognito')).toEqual([])
})

test('what keeps the app comes packed, and is asked for anew every time', async () => {
  const keeper = await fetch(`${app.url}/sw.js`, { headers: { 'accept-encoding': 'br' } })
  expect(keeper.headers.get('content-encoding')).toBe('br')
  expect(keeper.headers.get('cache-control')).toBe('no-cache')
})
