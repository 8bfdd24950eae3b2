import 'fake-indexeddb/auto'
import fc from 'fast-check'
import { skarrow } from '@/core/demo/skarrow'
import type { Axis } from '@/core/document/axis'
import { runEdit } from '@/core/document/edit'
import { setGoal } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import { readFileOfJobs } from '@/core/formats/backupFile'
import { commitChange } from './commit'
import { DuskDatabase, type JobRow } from './database'
import { exportJob } from './exportJob'
import { type CopyFolder, copyInto } from './folder'
import { createJob, deleteForGood, deleteJob, duplicateJob, putBack, restoreJobs } from './jobs'
import {
  backUp,
  countDay,
  daysBinned,
  isBinnedLong,
  KEPT_DAYS,
  keepOn,
  noteFirstUse,
  unbackedSince,
} from './keeping'

// Node clones into objects of another realm, whose constructors are not those that the tests see.
globalThis.structuredClone = value => JSON.parse(JSON.stringify(value))

let db: DuskDatabase
const { job, entries } = skarrow()
const day = (text: string) => new Date(`${text}T12:00:00.000Z`)

beforeEach(async () => {
  db = new DuskDatabase(`keeping-${newId()}`)
  await createJob(db, job, entries)
  await duplicateJob(db, job.id, { choices: true, limits: true, plans: true })
})
afterEach(() => db.delete())

const names = async () => (await db.jobs.toArray()).map(row => row.job.name).toSorted()

test('a backup holds every job that is not deleted, and puts all of them back as they were', async () => {
  const exported = await exportJob(db, job.id)
  const text = await backUp(db, day('2026-11-26'))
  const files = readFileOfJobs(text)
  expect(files.jobs).toHaveLength(2)
  const other = new DuskDatabase(`other-${newId()}`)
  await restoreJobs(other, files, 'both')
  expect(await exportJob(other, job.id)).toBe(exported)
  expect(await other.jobs.count()).toBe(2)
  await other.delete()
})

test('what is here stays, is joined or replaced, as it is asked; what is deleted comes back', async () => {
  const files = readFileOfJobs(await backUp(db, day('2026-11-26')))
  const before = await names()
  expect(await restoreJobs(db, files, 'missing')).toEqual([])
  expect(await names()).toEqual(before)
  expect(await restoreJobs(db, files, 'both')).toHaveLength(2)
  expect(await db.jobs.count()).toBe(4)
  await deleteJob(db, job.id)
  expect(await restoreJobs(db, files, 'missing')).toEqual([job.id])
  expect((await db.jobs.get(job.id))?.deletedAt).toBeNull()
})

test('a backup that is put back half-way changes nothing', async () => {
  const files = readFileOfJobs(await backUp(db, day('2026-11-26')))
  const jobs = files.jobs.map((file, index) =>
    index === 1 ? { ...file, entries: [{ ...entries[0], id: undefined }] } : file,
  ) as unknown as typeof files.jobs
  const broken = { ...files, jobs }
  const before = await names()
  await expect(restoreJobs(db, broken, 'replace')).rejects.toThrow()
  expect(await names()).toEqual(before)
})

test('a backup with a broken job, or one twice, is refused with its place', async () => {
  const backup = JSON.parse(await backUp(db, day('2026-11-26')))
  const refused = (change: (copy: typeof backup) => void) => {
    const copy = structuredClone(backup)
    change(copy)
    try {
      readFileOfJobs(JSON.stringify(copy))
      return 'taken'
    } catch (error) {
      return (error as Error).message
    }
  }
  expect(refused(copy => Object.assign(copy.jobs[1].job, { units: 'ell' }))).toBe(
    'jobs[1]: job.units: got "ell", takes one of mm, inch',
  )
  expect(refused(copy => copy.jobs.push(copy.jobs[0]))).toBe('jobs: two jobs have the same id')
  expect(refused(copy => Object.assign(copy, { jobs: 7 }))).toBe(
    'jobs: got 7, takes a list of at most 1000 jobs',
  )
})

test('one is reminded after a week of work that no backup has, and not before', async () => {
  expect(await unbackedSince(db, day('2026-11-01'))).toBeNull()
  await noteFirstUse(db, day('2026-11-01'))
  await noteFirstUse(db, day('2026-11-05'))
  expect(await unbackedSince(db, day('2026-11-07'))).toBeNull()
  expect(await unbackedSince(db, day('2026-11-08'))).toBe('2026-11-01T12:00:00.000Z')
  // Later than what was saved just now, in whatever year this test runs.
  const made = new Date(Date.now() + 1000)
  await backUp(db, made)
  expect(await unbackedSince(db, new Date(made.getTime() + 30 * 24 * 3600 * 1000))).toBeNull()
})

describe('what is deleted', () => {
  const look = (text: string) => countDay(db, day(text))
  const row = async () => (await db.jobs.get(job.id)) as JobRow
  const later = (days: number) =>
    new Date(Date.parse('2026-11-01') + days * 24 * 3600 * 1000).toISOString().slice(0, 10)

  beforeEach(() => deleteJob(db, job.id))

  test('is asked about after thirty days of use, and goes by no count of its own', async () => {
    for (let days = 0; days <= KEPT_DAYS; days++) {
      expect(isBinnedLong(await row())).toBe(false)
      await look(later(days))
      // A second look on the same day is none.
      await look(later(days))
    }
    expect(isBinnedLong(await row())).toBe(true)
    for (let days = 31; days < 400; days++) await look(later(days))
    expect((await row()).job).toEqual(job)
    await keepOn(db, [job.id])
    expect(isBinnedLong(await row())).toBe(false)
    await putBack(db, job.id)
    await deleteJob(db, job.id)
    expect(daysBinned(await row())).toBe(0)
  })

  test('is kept whatever the clock does: one that jumps counts nothing', async () => {
    for (const text of ['2000-01-01', '2026-11-02', '2027-01-31', '2026-11-03', '2099-01-01', '2026-11-04'])
      await look(text)
    expect(daysBinned(await row())).toBe(0)
    await look('2026-11-05')
    expect(daysBinned(await row())).toBe(1)
    // Nor does a clock that is flat at every start.
    await fc.assert(
      fc.asyncProperty(fc.array(fc.integer({ min: 0, max: 40_000 }), { maxLength: 8 }), async days => {
        await keepOn(db, [job.id])
        for (const one of days) await look(later(one))
        expect(daysBinned(await row())).toBeLessThanOrEqual(days.length)
        expect((await row()).job.id).toBe(job.id)
      }),
      { numRuns: 20 },
    )
  })

  test('goes for good with all that is its own, when that is said', async () => {
    await deleteForGood(db, job.id)
    expect(await db.jobs.get(job.id)).toBeUndefined()
    expect(await db.entries.where('jobId').equals(job.id).count()).toBe(0)
    expect(await db.jobs.count()).toBe(1)
  })
})

test('the copy in a folder is what an export would be, in a file of its own for each job', async () => {
  const files = new Map<string, string>()
  const folder = {
    name: 'Bench copies',
    getFileHandle: async (name: string) => ({
      createWritable: async () => ({
        write: async (text: string) => void files.set(name, text),
        close: async () => {},
      }),
    }),
  } as unknown as CopyFolder
  await copyInto(folder, db, job.id)
  const { change } = runEdit(job, setGoal(job.axes[0] as Axis, 'cuttingForceN', 700), { id: newId(), at: '' })
  await commitChange(db, change)
  await copyInto(folder, db, job.id)
  expect([...files.keys()]).toEqual(['skarrow-8-demo-skarrow-8.json'])
  expect(files.get('skarrow-8-demo-skarrow-8.json')).toBe(await exportJob(db, job.id))
  expect(files.get('skarrow-8-demo-skarrow-8.json')).toContain('"cuttingForceN": 700')
})
