import 'fake-indexeddb/auto'
import { type Change, runEdit } from '@/core/document/edit'
import { renameJob, setGoal } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import type { Job } from '@/core/document/job'
import { SCHEMA_VERSION } from '@/core/document/version.generated'
import { readFileOfJobs } from '@/core/formats/backupFile'
import { backUpAsItIs } from './backUpAsItIs'
import { commitChange } from './commit'
import { DuskDatabase, type JobRow, NewerDataError } from './database'
import { exportJob } from './exportJob'
import { describeProblem } from './problem'
import { JobSession } from './session'
import { until, withSessions } from './sessionTools'

// Node clones into objects of another realm, whose constructors are not those that the tests see.
globalThis.structuredClone = value => JSON.parse(JSON.stringify(value))

const { now, open, keep } = withSessions()

/** What a newer app does when it opens: it raises the database, from which the older one is asked to go. */
const raise = (db: DuskDatabase) =>
  new Promise<void>((done, failed) => {
    const asked = indexedDB.open(db.name, (SCHEMA_VERSION + 1) * 10)
    asked.onsuccess = () => {
      asked.result.close()
      done()
    }
    asked.onerror = () => failed(asked.error)
    asked.onblocked = () => failed(new Error('held up by the older app'))
  })
/** All that is stored, as it is. */
const asItIs = async (db: DuskDatabase) => JSON.parse(await backUpAsItIs(db.name)).jobs
const named = (name: string): Change =>
  runEdit(now.job, renameJob(name), { id: newId(), at: new Date().toISOString() }).change

describe('a newer app, in another tab, has opened what is kept here', () => {
  beforeEach(() => {
    jest.spyOn(console, 'warn').mockImplementation(() => {})
  })
  afterEach(() => jest.restoreAllMocks())

  test('then this one writes nothing more, keeps what is typed, and asks to be loaded again', async () => {
    const session = await open()
    const before = await asItIs(now.db)
    await raise(now.db)
    session.edit(setGoal(now.job.axes[0] as Job['axes'][number], 'cuttingForceN', 640, 'visit-1'))
    await until(() => session.getState().problem !== null)
    expect(session.getState().problem).toMatchObject({ isOvertaken: true })
    expect(session.getState().saving).toBe(true)
    session.retry()
    session.edit(renameJob('Typed after'))
    await new Promise(done => setTimeout(done, 300))
    expect(await asItIs(now.db)).toEqual(before)
    // It goes into the job when the newer app, or this one after it, is loaded.
    const journal = Object.values(localStorage).join()
    expect(journal).toContain('640')
    expect(journal).toContain('Typed after')
  })

  test('nor does one that is opened only then; everything can be taken along as it is', async () => {
    const sound = await exportJob(now.db, now.job.id)
    await raise(now.db)
    const late = new DuskDatabase(now.db.name)
    const reasons = await Promise.all([
      late.jobs.toArray().catch(describeProblem),
      commitChange(late, named('Late')).catch(describeProblem),
    ])
    for (const reason of reasons) expect(reason).toMatchObject({ isOvertaken: true })
    const session = new JobSession(late, now.job.id)
    keep(session)
    await until(() => session.getState().problem?.isOvertaken === true)
    expect(session.getState().status).toBe('loading')
    const [file] = readFileOfJobs(await backUpAsItIs(now.db.name)).jobs
    expect(file).toEqual(readFileOfJobs(sound).jobs[0])
    late.close()
  })
})

describe('a row is of the version that it says, whatever the database says', () => {
  const put = (job: object, revision = 2) =>
    now.db.jobs.put({ id: now.job.id, revision, savedAt: '', deletedAt: null, job } as unknown as JobRow)
  /** The demo job as the version before the last wrote it: without what the last one put in. */
  const older = () => ({ ...now.job, schemaVersion: SCHEMA_VERSION - 1 })

  test.each<[string, () => Promise<unknown>]>([
    ['opened', async () => void (await open())],
    ['changed', () => commitChange(now.db, named('Changed'))],
    ['exported', () => exportJob(now.db, now.job.id)],
  ])('an older one is brought up when it is %s', async (_, use) => {
    await put(older())
    await use()
    await until(async () => (await now.db.jobs.get(now.job.id))?.job.schemaVersion === SCHEMA_VERSION)
  })

  test('one that comes while the job is open is brought up before it is shown', async () => {
    const session = await open()
    await put({ ...older(), name: 'From an older tab' }, 9)
    await until(() => session.getState().job?.name === 'From an older tab')
    expect(session.getState().job?.schemaVersion).toBe(SCHEMA_VERSION)
  })

  test('a newer one is left as it is', async () => {
    const newer = { ...now.job, schemaVersion: SCHEMA_VERSION + 1, unheard: true }
    await put(newer)
    await expect(commitChange(now.db, named('Late'))).rejects.toBeInstanceOf(NewerDataError)
    await expect(exportJob(now.db, now.job.id)).rejects.toBeInstanceOf(NewerDataError)
    const session = new JobSession(now.db, now.job.id)
    keep(session)
    await until(() => session.getState().problem?.isOvertaken === true)
    expect((await now.db.jobs.get(now.job.id))?.job).toEqual(newer)
  })
})
