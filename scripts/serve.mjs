// Serves the built app: its scripts, styles and fonts packed from the disk, everything else by Next.
import { createServer } from 'node:http'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import next from 'next'
import sirv from 'sirv'
import { HEADERS } from './lib/headers.mjs'
import { ROOT } from './lib/setup.mjs'

const STATIC = '/_next/static/'
const { values } = parseArgs({
  options: {
    port: { type: 'string', short: 'p', default: '3000' },
    // Browsers may not keep the app, so that it opens with this server alone.
    'server-only': { type: 'boolean', default: false },
  },
})
// Pages made here say so to the browser.
if (values['server-only']) process.env.DUSK_SERVER_ONLY = '1'
const port = Number(values.port)
const app = next({ dev: false, dir: ROOT, port })
await app.prepare()
const handle = app.getRequestHandler()
// Their names change with what is in them: a browser may keep them for good.
const packed = sirv(join(ROOT, '.next', 'static'), {
  brotli: true,
  gzip: true,
  immutable: true,
  maxAge: 31_536_000,
  setHeaders(response) {
    for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value)
  },
})
// What keeps the app in the browser is asked for anew every time: a newer build is found by it.
const keeper = sirv(join(ROOT, '.next', 'offline'), {
  brotli: true,
  gzip: true,
  setHeaders(response) {
    for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value)
    response.setHeader('cache-control', 'no-cache')
    response.setHeader('content-security-policy', "default-src 'none'; script-src 'self'; connect-src 'self'")
  },
})
/** What the app answers to; how else a request may be made is nothing that it has. */
const METHODS = ['GET', 'HEAD', 'POST', 'OPTIONS']
function refuse(response, status, why) {
  response.writeHead(status, {
    ...HEADERS,
    'content-type': 'text/plain; charset=utf-8',
    allow: METHODS.join(', '),
  })
  response.end(`${why}\n`)
}
createServer((request, response) => {
  const { url, method } = request
  if (!METHODS.includes(method)) return refuse(response, 405, `Got ${method}, takes ${METHODS.join(', ')}.`)
  if (!url.startsWith('/')) return refuse(response, 400, 'Takes the address of a page, which begins with /.')
  if (url === '/sw.js' && !values['server-only'])
    return keeper(request, response, () => handle(request, response))
  if (!url.startsWith(STATIC)) return handle(request, response)
  request.url = url.slice(STATIC.length - 1)
  packed(request, response, () => {
    request.url = url
    handle(request, response)
  })
}).listen(port, () => console.log('Ready'))
