import { Serwist, setCacheNameDetails } from 'serwist'

// Keeps the whole app in the browser, so that it works with its server gone. Packed after the build by scripts/pack.mjs.

/** Set when it is packed: the name of the build, and everything that it put out for the browser. */
declare const BUILD: { id: string; files: string[] }

/** The pages that the server makes, and the address under which each is kept: one serves every place in every job. */
const PAGES = {
  '/': '/?kept',
  '/week': '/week?kept',
  '/practice': '/practice?kept',
  '/reference': '/reference?kept',
  '/job': '/job/kept',
} as const
const pageOf = (path: string) => PAGES[(path.startsWith('/job/') ? '/job' : path) as keyof typeof PAGES]

const CACHE_PREFIX = 'dusk'

setCacheNameDetails({ prefix: CACHE_PREFIX, precache: 'app', suffix: BUILD.id })
// A new version waits until the builder lets it in.
const serwist = new Serwist({ skipWaiting: false, clientsClaim: true })
serwist.addToPrecacheList([
  // What the build puts out is called by what is in it.
  ...BUILD.files.map(url => ({ url, revision: null })),
  ...Object.values(PAGES).map(url => ({ url, revision: BUILD.id })),
])

/** A kept page under its strict policy, with a nonce of its own every time. */
async function withFreshNonce(page: Response): Promise<Response> {
  const policy = page.headers.get('content-security-policy') ?? ''
  const [, nonce = ''] = /'nonce-([^']+)'/.exec(policy) ?? []
  const fresh = btoa(crypto.randomUUID())
  const renewed = (text: string) => (nonce ? text.replaceAll(nonce, fresh) : text)
  const headers = new Headers(page.headers)
  headers.set('content-security-policy', renewed(policy))
  // Its length and packing are those of what the server sent.
  for (const name of ['content-length', 'content-encoding', 'x-nonce']) headers.delete(name)
  return new Response(renewed(await page.text()), { headers })
}

serwist.registerCapture(
  ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && !!pageOf(url.pathname),
  async ({ request, url }) => {
    const page = await serwist.matchPrecache(pageOf(url.pathname))
    return page ? withFreshNonce(page) : fetch(request)
  },
)
// Any other address is asked of the server; where that is gone, the list of jobs is the way on.
serwist.registerCapture(
  ({ request, url, sameOrigin }) => sameOrigin && request.mode === 'navigate' && !pageOf(url.pathname),
  ({ request }) => fetch(request).catch(() => Response.redirect('/')),
)

/** A kept file. Made anew, it goes by the address it was asked by: a worker is told by its address what to do. */
async function kept(request: Request): Promise<Response> {
  const file = await caches.match(request, { ignoreSearch: true })
  return file ? new Response(file.body, { headers: file.headers }) : fetch(request)
}
serwist.registerCapture(
  ({ url, sameOrigin }) =>
    sameOrigin && (url.pathname.startsWith('/_next/static/') || BUILD.files.includes(url.pathname)),
  ({ request }) => kept(request),
)

/** Where it is noted which build stood before; builds that were never let in are of no use to anybody. */
const NOTE = { cache: `${CACHE_PREFIX}-last`, url: '/build' }

/** A tab that was opened with the build before goes on with its pieces until it is loaded again: they are kept, others not. */
async function clearOldBuilds() {
  const note = await caches.open(NOTE.cache)
  const before = await (await note.match(NOTE.url))?.text()
  const builds = (await caches.keys()).filter(name => name.startsWith(`${CACHE_PREFIX}-app-`))
  const wanted = [BUILD.id, before].map(id => `${CACHE_PREFIX}-app-${id}`)
  await Promise.all(builds.filter(name => !wanted.includes(name)).map(name => caches.delete(name)))
  await note.put(NOTE.url, new Response(BUILD.id))
}
self.addEventListener('activate', event =>
  (event as Event & { waitUntil: (work: Promise<unknown>) => void }).waitUntil(clearOldBuilds()),
)
serwist.addEventListeners()
