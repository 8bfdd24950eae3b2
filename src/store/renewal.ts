import { settleAll } from './atRest'

import { getDatabase } from './database'

/** Whether another build of the app waits to be let in, was let in by another tab, or has taken over what is kept here. */
export type Renewal = 'none' | 'waiting' | 'elsewhere' | 'overtaken'

const ASK_EVERY_MS = 3600 * 1000

let state: Renewal = 'none'
let registration: ServiceWorkerRegistration | null = null
let asked = false
const listeners = new Set<() => void>()

const set = (next: Renewal) => {
  if (state === 'overtaken') return
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

/** Tells when a newer app, in another tab, raises what is kept here: from then on this one saves nothing. */
export function watchOvertaken(): void {
  // Deleting it asks for no version.
  getDatabase().on('versionchange', ({ newVersion }) => newVersion && set('overtaken'))
}

/** Loads the page again with the newest build: the browser looks for a newer one than it keeps first. */
export async function loadNewest(): Promise<void> {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  const known = await workers?.getRegistration()
  await known?.update().catch(() => undefined)
  known?.waiting?.postMessage({ type: 'SKIP_WAITING' })
  location.reload()
}

/**
 * Lets the newer build in, once everything that was typed is saved.
 *
 * @returns why not; null when the page is about to be loaded again
 */
export async function renew(): Promise<string | null> {
  if (state === 'overtaken') {
    // What is not saved stands in the journal, from which the newer app takes it.
    await loadNewest()
    return null
  }
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
