import { request } from 'node:http'
import { withApp } from './harness'
import { demoAddress, scriptKb } from './measure'

const app = withApp()

test('no first screen asks for more than 300 KB of script', async () => {
  const job = await demoAddress(app.context, app.url)
  const size = job.replace(/[^/]+\/[^/]+$/, 'size/inWords')
  for (const address of [app.url, job, size, `${app.url}/reference`]) {
    const kb = await scriptKb(app.context, address)
    expect(kb).toBeGreaterThan(100)
    expect(kb).toBeLessThan(300)
  }
})

test('scripts come packed, for a browser that takes brotli and for one that does not, and plain for the rest', async () => {
  const page = await (await fetch(app.url)).text()
  const [script = ''] = /\/_next\/static\/chunks\/[\w.~-]+\.js/.exec(page) ?? []
  const texts = new Set<string>()
  for (const [takes, gets] of [
    ['br, gzip', 'br'],
    ['gzip', 'gzip'],
    ['identity', null],
  ] as const) {
    const answer = await fetch(app.url + script, { headers: { 'accept-encoding': takes } })
    expect(answer.status).toBe(200)
    expect(answer.headers.get('content-encoding')).toBe(gets)
    expect(answer.headers.get('content-type')).toMatch('javascript')
    expect(answer.headers.get('cache-control')).toMatch('immutable')
    texts.add(await answer.text())
  }
  expect(texts.size).toBe(1)
  expect((await fetch(`${app.url}/_next/static/chunks/none.js`)).status).toBe(404)
})

test('a made-up controller and gauge answer other programs', async () => {
  const ask = async (method: string, path = '', body?: string) => {
    const answer = await fetch(`${app.url}/api/practice${path}`, { method, body })
    return { status: answer.status, text: await answer.text() }
  }
  const opened = await ask('POST', '', JSON.stringify({ playUm: 40 }))
  expect(opened.status).toBe(201)
  const bench = `/${opened.text.trim()}`
  expect((await ask('POST', bench, 'G21 G90\nG1 X90 F500\nG1 X100')).text).toBe('ok\nok\nok\n')
  expect((await ask('GET', `${bench}?zero`)).text).toBe('+0.0000 mm\n')
  expect((await ask('POST', bench, 'G1 X110\nG1 X100\n?')).text).toBe('ok\nok\nidle X100.000\n')
  const readMm = Number.parseFloat((await ask('GET', bench)).text)
  expect(readMm).toBeGreaterThan(0.03)
  expect(readMm).toBeLessThan(0.06)
  expect((await ask('POST', bench, 'x'.repeat(70_000))).status).toBe(413)
  expect(await ask('POST', '', '{ "playUm": "much" }')).toMatchObject({
    status: 422,
    text: expect.stringContaining('playUm: got "much", takes a number'),
  })
  expect((await ask('GET', '/another')).status).toBe(404)
})

test('every path carries the headers that keep a page to itself: pages, scripts, icons, answers, and what is not there', async () => {
  const page = await (await fetch(app.url)).text()
  const [script = ''] = /\/_next\/static\/chunks\/[\w.~-]+\.js/.exec(page) ?? []
  for (const path of [
    '/',
    '/job/x',
    '/reference',
    script,
    '/icon.svg',
    '/favicon.ico',
    '/api/supplier',
    '/api/practice/none',
    '/no-such',
  ]) {
    const { headers } = await fetch(app.url + path)
    expect([path, headers.get('x-content-type-options')]).toEqual([path, 'nosniff'])
    expect([path, headers.get('referrer-policy')]).toEqual([path, 'no-referrer'])
    expect([path, headers.get('cross-origin-opener-policy')]).toEqual([path, 'same-origin'])
    expect([path, headers.get('permissions-policy')]).toEqual([path, expect.stringContaining('camera=()')])
    // A script that was asked for by a page is under the policy of that page.
    if (path !== script)
      expect([path, headers.get('content-security-policy')]).toEqual([
        path,
        expect.stringContaining("default-src 'none'"),
      ])
  }
  const asked = await fetch(`${app.url}/api/supplier`, { method: 'POST', body: '{' })
  expect(asked.status).toBe(415)
})

test('what is no request of a page is refused as that, and the server goes on', async () => {
  const ask = (method: string, path: string) =>
    new Promise<number | undefined>((done, failed) => {
      const { hostname, port } = new URL(app.url)
      request({ hostname, port, method, path }, answer => done(answer.resume().statusCode))
        .on('error', failed)
        .end()
    })
  for (const [method, path] of [
    ['GET', '*'],
    ['TRACE', '/'],
    ['DELETE', '/'],
    ['PROPFIND', '/job/x'],
    ['PUT', '/api/supplier'],
    ['OPTIONS', '*'],
  ] as const) {
    const status = await ask(method, path)
    expect([method, path, status && status >= 400 && status < 500]).toEqual([method, path, true])
  }
  expect(await ask('GET', '/')).toBe(200)
})

test('the app can be installed: its pictures are of the size they say', async () => {
  const manifest = (await (await fetch(`${app.url}/manifest.webmanifest`)).json()) as {
    screenshots: { src: string; sizes: string }[]
    shortcuts: { url: string }[]
    file_handlers: { action: string }[]
  }
  expect(manifest.screenshots.length).toBeGreaterThan(1)
  for (const { src, sizes } of manifest.screenshots) {
    const bytes = Buffer.from(await (await fetch(app.url + src)).arrayBuffer())
    expect([src, `${bytes.readUInt32BE(16)}x${bytes.readUInt32BE(20)}`]).toEqual([src, sizes])
  }
  for (const { url } of manifest.shortcuts) expect((await fetch(app.url + url)).status).toBe(200)
  expect(manifest.file_handlers.map(({ action }) => action)).toEqual(['/'])
})

test('the schema of a job file is published', async () => {
  const answer = await fetch(`${app.url}/job-file.schema.json`)
  expect(answer.headers.get('content-type')).toMatch('application/schema+json')
  expect(await answer.json()).toMatchObject({ title: 'Job file of Dusk Bench', type: 'object' })
})
