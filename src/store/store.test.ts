import type { Axis } from '@/core/document/axis'
import 'fake-indexeddb/auto'
import { skarrow } from '@/core/demo/skarrow'
import { type Edit, runEdit } from '@/core/document/edit'
import { setGoal, setUnits } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import type { Job, LogEntry } from '@/core/document/job'
import { addNote, deleteLine } from '@/core/document/logEdits'
import { readJobFile } from '@/core/formats/jobFile'
import { writeJobFile } from '@/core/formats/writeJobFile'
import { commitChange, reach, redo, undo } from './commit'
import { ConflictError, JobGoneError } from './conflict'
import { DuskDatabase } from './database'
import { collect, exportJob } from './exportJob'
import * as jobs from './jobs'

// Node clones into objects of another realm, whose constructors are not those that the tests see.
globalThis.structuredClone = value => JSON.parse(JSON.stringify(value))

let db: DuskDatabase
let job: Job
const X = () => job.axes[0] as Axis

beforeEach(async () => {
  db = new DuskDatabase(`test-${newId()}`)
  const demo = skarrow()
  job = demo.job
  await jobs.createJob(db, demo.job, demo.entries)
})
afterEach(() => db.delete())

/** Saves what a command does to the job as the tab sees it. */
async function commit(command: Edit, seen = job) {
  const { change, entry } = runEdit(seen, command, { id: newId(), at: new Date().toISOString() })
  const row = await commitChange(db, change, entry ? [entry] : [])
  job = row.job
  return change
}
const stored = async () => (await db.jobs.get(job.id))?.job as Job
const visible = async () =>
  (await db.entries.where('jobId').equals(job.id).toArray()).filter(entry => !entry.hidden)

test('an edit is saved with its history and its log line, and raises the revision', async () => {
  await commit(addNote(X().id, 'Ways scraped', 'note'))
  expect((await visible()).map(entry => entry.text)).toContain('Ways scraped')
  expect((await db.jobs.get(job.id))?.revision).toBe(2)
  expect((await reach(db, job.id)).undo?.label).toBe('Note')
})

test('undo and redo go back over every edit, with their log lines, and end without harm', async () => {
  const before = await stored()
  await commit(setGoal(X(), 'cuttingForceN', 700))
  await commit(addNote(X().id, 'Ways scraped', 'note'))
  await undo(db, job.id)
  expect((await visible()).map(entry => entry.text)).not.toContain('Ways scraped')
  await undo(db, job.id)
  expect(await stored()).toEqual(before)
  expect(await undo(db, job.id)).toBeNull()
  await redo(db, job.id)
  await redo(db, job.id)
  expect((await stored()).axes[0]?.goals.cuttingForceN).toBe(700)
  expect((await visible()).map(entry => entry.text)).toContain('Ways scraped')
  expect(await redo(db, job.id)).toBeNull()
})

test('an edit after an undo drops what could be redone', async () => {
  await commit(setGoal(X(), 'cuttingForceN', 700))
  const row = await undo(db, job.id)
  job = row?.job as Job
  await commit(setGoal(X(), 'cuttingForceN', 650))
  expect((await reach(db, job.id)).redo).toBeNull()
})

test('typing in one field is taken back in one go, but not with the field before it', async () => {
  await commit(setGoal(X(), 'cuttingForceN', 7, 'a'))
  await commit(setGoal(X(), 'cuttingForceN', 70, 'a'))
  await commit(setGoal(X(), 'cuttingForceN', 700, 'a'))
  await commit(setGoal(X(), 'wantedLifeHours', 9000, 'b'))
  await undo(db, job.id)
  expect((await stored()).axes[0]?.goals.cuttingForceN).toBe(700)
  await undo(db, job.id)
  expect((await stored()).axes[0]?.goals.cuttingForceN).toBe(850)
})

test('a deleted note comes back by undo', async () => {
  const note = (await visible()).find(entry => entry.kind === 'fix')
  await commit(deleteLine({ entry: note as LogEntry, before: [] }))
  expect((await visible()).some(entry => entry.id === note?.id)).toBe(false)
  await undo(db, job.id)
  expect((await visible()).some(entry => entry.id === note?.id)).toBe(true)
})

test('a change left over from a closed tab is saved once, however often it is tried', async () => {
  const change = await commit(setGoal(X(), 'cuttingForceN', 700))
  const { revision } = await commitChange(db, change)
  expect(revision).toBe(2)
})

test('an edit made on a stale value is refused whole; one of another field goes through', async () => {
  const seen = job
  await commit(setGoal(X(), 'cuttingForceN', 700))
  await expect(commit(setGoal(seen.axes[0] as Axis, 'cuttingForceN', 600), seen)).rejects.toThrow(
    ConflictError,
  )
  expect((await stored()).axes[0]?.goals.cuttingForceN).toBe(700)
  await commit(setGoal(seen.axes[0] as Axis, 'wantedLifeHours', 9000), seen)
  expect((await stored()).axes[0]?.goals).toMatchObject({ cuttingForceN: 700, wantedLifeHours: 9000 })
})

test('nothing is saved into a deleted job; put back, it is as it was', async () => {
  await jobs.deleteJob(db, job.id)
  await expect(commit(setUnits('inch'))).rejects.toThrow(JobGoneError)
  await jobs.putBack(db, job.id)
  await commit(setUnits('inch'))
  expect((await stored()).units).toBe('inch')
})

describe('files', () => {
  test('a job with its history goes to a file and into another browser unchanged', async () => {
    await commit(setGoal(X(), 'cuttingForceN', 700))
    await commit(addNote(X().id, 'Ways scraped', 'note'))
    await undo(db, job.id)
    const text = await exportJob(db, job.id)
    const other = new DuskDatabase(`other-${newId()}`)
    const file = readJobFile(text)
    await jobs.importJob(other, file, 'both')
    expect(await exportJob(other, job.id)).toBe(text)
    await redo(other, job.id)
    await undo(other, job.id)
    await undo(other, job.id)
    expect((await other.jobs.get(job.id))?.job.axes[0]?.goals.cuttingForceN).toBe(850)
    await other.delete()
  })

  test('beside a job of the same id both are kept, each with its own log and history', async () => {
    await commit(addNote(X().id, 'Ways scraped', 'note'))
    const file = await collect(db, job.id)
    const id = await jobs.importJob(db, file, 'both')
    expect(id).not.toBe(job.id)
    await undo(db, id)
    const there = (await db.entries.where('jobId').equals(id).toArray()).filter(entry => !entry.hidden)
    expect(there.map(entry => entry.text)).not.toContain('Ways scraped')
    expect((await visible()).map(entry => entry.text)).toContain('Ways scraped')
  })

  test('a file with another job under the same ids of lines and changes takes nothing from the job here', async () => {
    await commit(addNote(X().id, 'Ways scraped', 'note'))
    await commit(setGoal(X(), 'cuttingForceN', 700))
    const before = await exportJob(db, job.id)
    const text = before.replaceAll(`"${job.id}"`, '"another"').replaceAll('Ways scraped', 'Not mine')
    const file = readJobFile(text)
    expect(await jobs.importJob(db, file, 'both')).toBe('another')
    expect(await exportJob(db, job.id)).toBe(before)
    const words = async (id: string) =>
      (await collect(db, id)).entries.filter(({ hidden }) => !hidden).map(entry => entry.text)
    expect(await words('another')).toContain('Not mine')
    await undo(db, 'another')
    await undo(db, 'another')
    expect(await words('another')).not.toContain('Not mine')
    expect(await exportJob(db, job.id)).toBe(before)
  })

  test('a replaced job can be put back', async () => {
    const file = await collect(db, job.id)
    await commit(setGoal(X(), 'cuttingForceN', 700))
    await jobs.importJob(db, file, 'replace')
    expect((await stored()).axes[0]?.goals.cuttingForceN).toBe(850)
    const old = (await db.jobs.toArray()).find(row => row.deletedAt)
    expect(old?.job.axes[0]?.goals.cuttingForceN).toBe(700)
  })

  test('an import that fails half-way changes nothing', async () => {
    const file = await collect(db, job.id)
    const before = [await db.jobs.toArray(), await db.entries.count(), await db.history.count()]
    const nameless = { ...file.entries[0], id: undefined }
    const broken = { ...file, entries: [...file.entries, nameless] } as typeof file
    await expect(jobs.importJob(db, broken, 'replace')).rejects.toThrow()
    expect([await db.jobs.toArray(), await db.entries.count(), await db.history.count()]).toEqual(before)
  })

  test('when the database cannot be read, what the tab holds is exported', async () => {
    db.close({ disableAutoOpen: true })
    expect(await exportJob(db, job.id, job)).toBe(
      writeJobFile({ format: 'dusk-bench-job', job, entries: [], history: [] }),
    )
  })
})

test('a duplicate, a rename and putting away are edits of the list', async () => {
  await jobs.duplicateJob(db, job.id, { choices: true, limits: true, plans: true })
  await jobs.renameStored(db, job.id, 'Skarrow, the first')
  await jobs.archiveStored(db, job.id, true)
  const rows = await db.jobs.toArray()
  expect(rows.map(row => [row.job.name, row.job.archived]).toSorted()).toEqual([
    ['Skarrow 8 (copy)', false],
    ['Skarrow, the first', true],
  ])
  await jobs.deleteForGood(db, job.id)
  expect(await db.jobs.count()).toBe(1)
  expect(await db.history.where('id').above('').count()).toBe(0)
})

test('the demos are put in once, and a deleted one does not come back by itself', async () => {
  await jobs.deleteForGood(db, job.id)
  await jobs.seedDemo(db)
  expect(await db.jobs.count()).toBe(3)
  await jobs.deleteForGood(db, job.id)
  await jobs.seedDemo(db)
  expect((await db.jobs.toArray()).map(({ id }) => id)).not.toContain(job.id)
  expect(await db.jobs.count()).toBe(2)
  const first = await jobs.openDemo(db)
  expect(await jobs.openDemo(db)).not.toBe(first)
})
