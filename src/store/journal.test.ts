import { skarrow } from '@/core/demo/skarrow'
import { runEdit } from '@/core/document/edit'
import { addNote } from '@/core/document/logEdits'
import { SCHEMA_VERSION } from '@/core/document/version.generated'
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
  return { change, ids: [change.id], entries: entry ? [entry] : [], version: SCHEMA_VERSION }
}

const JOB = skarrow().job.id

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
  first.writeJournal(JOB, pending)
  expect(Object.keys(storage.kept)).toHaveLength(1)
  const second = await openTab()
  expect(await second.takeLeftovers(JOB)).toEqual(pending)
  // It stands in the journal of the tab that took it over until that has saved it.
  expect(Object.keys(storage.kept)).toHaveLength(1)
  expect(Object.values(storage.kept).join()).toContain('Gib nipped up')
  second.writeJournal(JOB, [])
  expect(await second.takeLeftovers(JOB)).toEqual([])
})

test('a tab that dies while it takes over leaves it to the next one', async () => {
  const first = await openTab()
  first.writeJournal(JOB, [pendingOf('Ways scraped')])
  const second = await openTab()
  expect(await second.takeLeftovers(JOB)).toHaveLength(1)
  const third = await openTab()
  expect(await third.takeLeftovers(JOB)).toHaveLength(1)
})

test('what is left of one job comes into no other, and is found by its job', async () => {
  const first = await openTab()
  first.writeJournal(JOB, [pendingOf('Ways scraped')])
  const other = pendingOf('Gib nipped up')
  first.writeJournal('another', [{ ...other, change: { ...other.change, jobId: 'another' } }])
  const second = await openTab()
  expect((await second.takeLeftovers(JOB)).map(({ change }) => change.id)).toEqual(['Ways scraped'])
  const [left] = await second.leftovers()
  expect(left?.pending.map(({ change }) => change.id)).toEqual(['Gib nipped up'])
  second.dropLeftover(left?.key ?? '')
  expect(await second.leftovers()).toEqual([])
})

test('what an older app kept under one key for all its jobs is sorted by job', async () => {
  const of = (jobId: string) => {
    const { ids: _, ...old } = pendingOf(`of ${jobId}`)
    return { ...old, change: { ...old.change, jobId } }
  }
  storage.kept['dusk-journal:old-tab'] = JSON.stringify([of(JOB), of('another'), of(JOB)])
  const tab = await openTab()
  expect(await tab.takeLeftovers(JOB)).toMatchObject([{ ids: [`of ${JOB}`] }, { ids: [`of ${JOB}`] }])
  expect((await tab.leftovers()).map(({ jobId }) => jobId)).toEqual(['another'])
  expect(storage.kept['dusk-journal:old-tab']).toBeUndefined()
})

test('nothing is left behind once all is saved', async () => {
  const tab = await openTab()
  tab.writeJournal(JOB, [pendingOf('Ways scraped')])
  tab.writeJournal(JOB, [])
  expect(storage.kept).toEqual({})
})

test('a tab that still lives keeps what it is about to save; a tab finds its own again', async () => {
  const first = await openTab()
  first.writeJournal(JOB, [pendingOf('Ways scraped')])
  expect(await first.takeLeftovers(JOB)).toHaveLength(1)
  const [key = ''] = Object.keys(storage.kept)
  const second = await openTab([key.split(':').slice(0, 2).join(':')])
  expect(await second.takeLeftovers(JOB)).toEqual([])
  expect(storage.kept[key]).toBeDefined()
})

test('without locks, what is left behind is still taken over', async () => {
  const first = await openTab(null)
  first.writeJournal(JOB, [pendingOf('Ways scraped')])
  const second = await openTab(null)
  expect(await second.takeLeftovers(JOB)).toHaveLength(1)
})

test('a full storage is no error here: the database says so', async () => {
  const tab = await openTab()
  storage.full = true
  expect(() => tab.writeJournal(JOB, [pendingOf('Ways scraped')])).not.toThrow()
  expect(storage.kept).toEqual({})
})

test('what cannot be read is put away, and stands in the way of nothing else', async () => {
  const first = await openTab()
  first.writeJournal(JOB, [pendingOf('Ways scraped')])
  storage.kept['dusk-journal:broken'] = '[{"change":'
  storage.kept['something-else'] = 'not ours'
  const second = await openTab()
  expect(await second.takeLeftovers(JOB)).toHaveLength(1)
  second.writeJournal(JOB, [])
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
  expect(await tab.takeLeftovers(JOB)).toEqual([])
  expect(() => tab.writeJournal(JOB, [])).not.toThrow()
  Object.defineProperty(globalThis, 'localStorage', {
    value: undefined,
    writable: true,
    configurable: true,
  })
})
