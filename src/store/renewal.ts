import { settleAll } from './atRest'

/** Whether another build of the app waits to be let in, or was let in by another tab. */
export type Renewal = 'none' | 'waiting' | 'elsewhere'

const ASK_EVERY_MS = 3600 * 1000

let state: Renewal = 'none'
let registration: ServiceWorkerRegistration | null = null
let asked = false
const listeners = new Set<() => void>()

const set = (next: Renewal) => {
  state = next
  for (const listener of listeners) listener()
}

export const renewalState = (): Renewal => state
export const watchRenewal = (listener: () => void): (() => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

/**
 * Has the browser keep the app, so that it opens with its server gone, and listens for a newer build. Where the browser does
 * not let it (a page over plain http from another machine), the app works as long as its server does.
 */
export async function keepApp(): Promise<void> {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  if (!workers || registration) return
  const isFirst = workers.controller === null
  registration = await workers.register('/sw.js', { updateViaCache: 'none' }).catch(() => null)
  if (!registration) return
  const known = registration
  let claimed = !isFirst
  workers.addEventListener('controllerchange', () => {
    if (asked) location.reload()
    else if (claimed) set('elsewhere')
    claimed = true
  })
  const look = () => known.waiting && workers.controller && set('waiting')
  look()
  known.addEventListener('updatefound', () => known.installing?.addEventListener('statechange', look))
  setInterval(() => void known.update().catch(() => undefined), ASK_EVERY_MS)
}

/**
 * Lets the newer build in, once everything that was typed is saved.
 *
 * @returns why not; null when the page is about to be loaded again
 */
export async function renew(): Promise<string | null> {
  if (document.querySelector('[aria-invalid=true]'))
    return 'A field holds something that could not be read: put that right first, or clear it.'
  if (!(await settleAll())) return 'The last change is not saved yet: see to that first.'
  if (state === 'waiting' && registration?.waiting) {
    asked = true
    registration.waiting.postMessage({ type: 'SKIP_WAITING' })
  } else location.reload()
  return null
}

/** Whether the app opens without its server: yes, not in this browser or over this connection, or not yet. */
export type OpensAlone = 'yes' | 'never' | 'not yet'

/** Tells whether the app opens without its server, and again when it comes to. */
export function watchOpensAlone(tell: (opens: OpensAlone) => void): void {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  if (!workers) {
    tell('never')
    return
  }
  if (!workers.controller) tell('not yet')
  void workers.ready.then(() => tell('yes'))
}
