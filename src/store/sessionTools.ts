import { skarrow } from '@/core/demo/skarrow'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { DuskDatabase } from './database'
import { createJob } from './jobs'
import { JobSession } from './session'

// What the tests of a job in a tab need.

/** As much of local storage as the journal needs. */
function fakeStorage() {
  const store: Record<string, string> = {}
  const hidden = (value: unknown) => ({ value, enumerable: false })
  return Object.defineProperties(store, {
    getItem: hidden((key: string) => store[key] ?? null),
    setItem: hidden((key: string, value: string) => {
      store[key] = value
    }),
    removeItem: hidden((key: string) => {
      delete store[key]
    }),
  }) as unknown as Storage
}

/** Waits for something to come true, fifteen seconds at the most. */
export const until = async (fine: () => boolean | Promise<boolean>) => {
  for (let i = 0; i < 1500 && !(await fine()); i++) await new Promise(done => setTimeout(done, 10))
  expect(await fine()).toBe(true)
}

/** A database of its own for each test, with the demo mill in it and what opens it in a tab. */
export function withSessions() {
  const now = {} as { db: DuskDatabase; job: Job }
  const stops: (() => void)[] = []
  beforeEach(async () => {
    Object.assign(globalThis, { localStorage: fakeStorage() })
    now.db = new DuskDatabase(`session-${newId()}`)
    now.job = skarrow().job
    await createJob(now.db, now.job)
  })
  afterEach(async () => {
    for (const stop of stops.splice(0)) stop()
    await new Promise(done => setTimeout(done, 20))
    await now.db.delete()
  })
  /** Keeps a session open until its test is over. */
  const keep = (session: JobSession) => stops.push(session.subscribe(() => {}))
  return {
    now,
    keep,
    async open() {
      const session = new JobSession(now.db, now.job.id)
      keep(session)
      await until(() => session.getState().status === 'ready')
      return session
    },
  }
}
