import { skarrow } from '@/core/demo/skarrow'
import { runEdit } from '@/core/document/edit'
import { addNote } from '@/core/document/logEdits'
import { SCHEMA_VERSION } from '@/core/document/version'
import type { Pending } from './journal'

/** Local storage as a browser has it, which may be full or blocked. */
class FakeStorage {
  readonly kept: Record<string, string> = {}
  full = false
  setItem(key: string, text: string) {
    if (this.full) throw new DOMException('full', 'QuotaExceededError')
    this.kept[key] = text
  }
  getItem = (key: string) => this.kept[key] ?? null
  removeItem = (key: string) => {
    delete this.kept[key]
  }
}

const pendingOf = (text: string): Pending => {
  const { change, entry } = runEdit(skarrow().job, addNote(null, text, 'note'), {
    id: text,
    at: '2026-11-25T09:00:00.000Z',
  })
  return { change, entries: entry ? [entry] : [], version: SCHEMA_VERSION }
}

let storage: FakeStorage
/** A tab of its own, with the tabs that still live beside it. */
async function openTab(alive: string[] | null = []) {
  jest.resetModules()
  const held = alive?.map(name => ({ name }))
  const locks = alive && {
    request: () => new Promise(() => {}),
    query: () => Promise.resolve({ held }),
  }
  Object.assign(globalThis, { localStorage: proxied(storage) })
  Object.defineProperty(globalThis, 'navigator', { value: { locks: locks ?? undefined }, configurable: true })
  return import('./journal')
}
/** Names what is kept when it is asked for its keys, as local storage does. */
const proxied = (fake: FakeStorage) =>
  new Proxy(fake, {
    ownKeys: () => Object.keys(fake.kept),
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  })

beforeEach(() => {
  storage = new FakeStorage()
})
afterAll(() => {
  Object.assign(globalThis, { localStorage: undefined })
  Object.defineProperty(globalThis, 'navigator', { value: undefined, configurable: true })
})

test('what a tab had not saved when it was closed is taken over once, whole', async () => {
  const first = await openTab()
  const pending = [pendingOf('Ways scraped'), pendingOf('Gib nipped up')]
  first.writeJournal(pending)
  expect(Object.keys(storage.kept)).toHaveLength(1)
  const second = await openTab()
  expect(await second.takeLeftovers()).toEqual(pending)
  expect(await second.takeLeftovers()).toEqual([])
})

test('nothing is left behind once all is saved', async () => {
  const tab = await openTab()
  tab.writeJournal([pendingOf('Ways scraped')])
  tab.writeJournal([])
  expect(storage.kept).toEqual({})
})

test('a tab that still lives keeps what it is about to save, and a tab never takes its own', async () => {
  const first = await openTab()
  first.writeJournal([pendingOf('Ways scraped')])
  expect(await first.takeLeftovers()).toEqual([])
  const [key = ''] = Object.keys(storage.kept)
  const second = await openTab([key])
  expect(await second.takeLeftovers()).toEqual([])
  expect(storage.kept[key]).toBeDefined()
})

test('without locks, what is left behind is still taken over', async () => {
  const first = await openTab(null)
  first.writeJournal([pendingOf('Ways scraped')])
  const second = await openTab(null)
  expect(await second.takeLeftovers()).toHaveLength(1)
})

test('a full storage is no error here: the database says so', async () => {
  const tab = await openTab()
  storage.full = true
  expect(() => tab.writeJournal([pendingOf('Ways scraped')])).not.toThrow()
  expect(storage.kept).toEqual({})
})

test('what cannot be read is put away, and stands in the way of nothing else', async () => {
  const first = await openTab()
  first.writeJournal([pendingOf('Ways scraped')])
  storage.kept['dusk-journal:broken'] = '[{"change":'
  storage.kept['something-else'] = 'not ours'
  const second = await openTab()
  expect(await second.takeLeftovers()).toHaveLength(1)
  expect(Object.keys(storage.kept)).toEqual(['something-else'])
})

test('a browser that lets nothing be read gives nothing, and no error', async () => {
  const tab = await openTab()
  Object.defineProperty(globalThis, 'localStorage', {
    get: () => {
      throw new DOMException('blocked', 'SecurityError')
    },
    configurable: true,
  })
  expect(await tab.takeLeftovers()).toEqual([])
  expect(() => tab.writeJournal([])).not.toThrow()
  Object.defineProperty(globalThis, 'localStorage', {
    value: undefined,
    writable: true,
    configurable: true,
  })
})
