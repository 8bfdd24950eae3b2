import type { Table } from 'dexie'
import { DEMOS, type DemoName } from '@/core/demo/demos'
import { type Edit, runEdit } from '@/core/document/edit'
import { archiveJob, renameJob } from '@/core/document/edits'
import { newId } from '@/core/document/id'
import type { Job, LogEntry } from '@/core/document/job'
import type { Backup, JobFile } from '@/core/formats/writeJobFile'
import type { TakeOver } from '@/core/sheets/sisterJob'
import { calendarsOf } from './calendars'
import { commitChange } from './commit'
import { type DuskDatabase, historyOf, present } from './database'
import { collect } from './exportJob'
import { putPractisers } from './practisers'

const now = () => new Date().toISOString()

const inOne = <T>(db: DuskDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', db.jobs, db.history, db.entries, db.settings, work)

async function put(db: DuskDatabase, { job, entries, history }: JobFile) {
  await db.jobs.put({ id: job.id, revision: 1, savedAt: now(), deletedAt: null, job })
  await db.entries.bulkPut(entries)
  await db.history.bulkAdd(history)
}

/** Everything of a job under new ids, so that it stands beside the one it came from. */
const copyOf = (file: JobFile, name: string): JobFile =>
  renumbered({ ...file, job: { ...file.job, id: newId(), name: name.slice(0, 80) } })

/** A job with new ids for all that goes with it: lines of the log and changes are found by theirs alone. */
function renumbered({ job, entries, history }: JobFile): JobFile {
  const { id } = job
  const renamed = new Map(entries.map(entry => [entry.id, newId()]))
  const idNow = (old: string) => renamed.get(old) ?? old
  const ids = (old: string[]) => old.map(idNow)
  return {
    format: 'dusk-bench-job',
    job: {
      ...job,
      fixes: Object.fromEntries(Object.entries(job.fixes).map(([lineId, terms]) => [idNow(lineId), terms])),
    },
    entries: entries.map(entry => ({
      ...entry,
      id: renamed.get(entry.id) ?? newId(),
      jobId: id,
      closes: entry.closes && (renamed.get(entry.closes) ?? entry.closes),
    })),
    history: history.map(change => ({
      ...change,
      id: newId(),
      jobId: id,
      shows: ids(change.shows),
      hides: ids(change.hides),
      // What is asked of a fix stands in the job by the id of its line.
      patches: change.patches.map(patch =>
        patch.path[0] === 'fixes' ? { ...patch, path: ids(patch.path) } : patch,
      ),
    })),
  }
}

export const createJob = (db: DuskDatabase, job: Job, entries: LogEntry[] = []): Promise<void> =>
  inOne(db, () => put(db, { format: 'dusk-bench-job', job, entries, history: [] }))

/** They come when they are asked for: with every sheet that has something in them. */
const demoJobs = async () => (await import('@/core/demo')).demoJobs()

const seededKey = (id: string) => `demo-seeded:${id}`

/** Puts the demo jobs in, each once; a demo that was changed or deleted is left as it is. */
export async function seedDemo(db: DuskDatabase): Promise<void> {
  const isHere = async (id: string) => (await db.settings.get(seededKey(id))) || (await db.jobs.get(id))
  const here = await Promise.all(DEMOS.map(({ id }) => isHere(id)))
  if (here.every(Boolean)) return
  const jobs = await demoJobs()
  await inOne(db, async () => {
    // The one that is furthest goes in last, so that it stands first in the list.
    for (const { job, entries } of jobs.toReversed()) {
      if (await isHere(job.id)) continue
      await db.settings.put({ key: seededKey(job.id), value: true })
      await put(db, { format: 'dusk-bench-job', job, entries, history: [] })
    }
  })
}

/** A fresh demo job beside whatever is there. */
export async function openDemo(db: DuskDatabase, name: DemoName = DEMOS[0].name): Promise<string> {
  const demo = (await demoJobs()).find(one => one.job.name === name)
  if (!demo) throw new Error(`There is no demo job called ${name}.`)
  const { job, entries } = demo
  const fresh = copyOf({ format: 'dusk-bench-job', job, entries, history: [] }, job.name)
  await inOne(db, () => put(db, fresh))
  return fresh.job.id
}

/** Starts the job of the next machine of its kind: unmeasured, unbuilt and untested, with what it is asked to take over. */
export async function duplicateJob(db: DuskDatabase, jobId: string, take: TakeOver): Promise<void> {
  const [{ sisterJob }, { minutesOf }] = await Promise.all([
    import('@/core/sheets/sisterJob'),
    import('@/core/planning/minutesOf'),
  ])
  await inOne(db, async () => {
    const { job } = await collect(db, jobId)
    const name = `${job.name.slice(0, 70)} (copy)`
    await put(db, {
      format: 'dusk-bench-job',
      ...sisterJob(job, name, take, now(), minutesOf(job)),
      history: [],
    })
  })
}

async function editStored(db: DuskDatabase, jobId: string, edit: Edit) {
  const row = await db.jobs.get(jobId)
  if (!row) return
  const { job } = await present(db, row)
  const { change, entry } = runEdit(job, edit, { id: newId(), at: now() })
  await commitChange(db, change, entry ? [entry] : [])
}
export const renameStored = (db: DuskDatabase, jobId: string, name: string) =>
  editStored(db, jobId, renameJob(name))
export const archiveStored = (db: DuskDatabase, jobId: string, archived: boolean) =>
  editStored(db, jobId, archiveJob(archived))

/** Takes a job off the list; it stays put until it is deleted for good. */
export const deleteJob = (db: DuskDatabase, jobId: string) =>
  db.jobs.update(jobId, { deletedAt: now(), binned: undefined })
export const putBack = (db: DuskDatabase, jobId: string) => db.jobs.update(jobId, { deletedAt: null })
export const deleteForGood = (db: DuskDatabase, jobId: string): Promise<void> =>
  inOne(db, async () => {
    await historyOf(db, jobId).delete()
    await db.entries.where('jobId').equals(jobId).delete()
    await db.settings.where('key').startsWith(calendarsOf(jobId)).delete()
    await db.jobs.delete(jobId)
  })

/** Whether another job has lines of the log or changes under the ids of a file. */
async function isTaken(db: DuskDatabase, { entries, history }: JobFile): Promise<boolean> {
  const found = (table: Table, list: readonly { id: string }[]) =>
    table
      .where('id')
      .anyOf(list.map(({ id }) => id))
      .count()
  return (await found(db.entries, entries)) + (await found(db.history as unknown as Table, history)) > 0
}

/** The names of what stands here already under the ids of files that are to be imported. */
export const standingHere = async (db: DuskDatabase, files: readonly JobFile[]): Promise<string[]> =>
  (await db.jobs.bulkGet(files.map(({ job }) => job.id))).flatMap(row =>
    row && !row.deletedAt ? [row.job.name] : [],
  )

/**
 * Puts a checked file in, all or nothing.
 *
 * @param mode where the job is here already: "both" keeps it beside the new one, "replace" puts it among
 *   the deleted ones, from where it can be put back
 * @returns the id under which the job now stands
 */
export const importJob = (db: DuskDatabase, file: JobFile, mode: 'both' | 'replace'): Promise<string> =>
  inOne(db, async () => {
    const here = await db.jobs.get(file.job.id)
    if (here && mode === 'both') {
      const copy = copyOf(file, `${file.job.name.slice(0, 70)} (imported)`)
      await put(db, copy)
      return copy.job.id
    }
    if (here) {
      const old = copyOf(await collect(db, here.id), `${here.job.name.slice(0, 70)} (replaced)`)
      await put(db, old)
      await db.jobs.update(old.job.id, { deletedAt: now() })
      await historyOf(db, here.id).delete()
      await db.entries.where('jobId').equals(here.id).delete()
    }
    await put(db, (await isTaken(db, file)) ? renumbered(file) : file)
    return file.job.id
  })

/** What is to become of the jobs of a backup that are here already. */
export type RestoreMode = 'missing' | 'both' | 'replace'

/**
 * Puts the jobs of a backup in, all or none, and with them what those who practise have done.
 *
 * @param mode "missing" leaves what is here as it is, "both" puts the ones of the backup beside them, "replace" puts the ones
 *   that are here among the deleted
 * @returns the ids under which jobs now stand that came in
 */
export const restoreJobs = (
  db: DuskDatabase,
  { jobs, practisers }: Backup,
  mode: RestoreMode,
): Promise<string[]> =>
  inOne(db, async () => {
    const ids: string[] = []
    for (const file of jobs) {
      const here = await db.jobs.get(file.job.id)
      if (mode === 'missing' && here && !here.deletedAt) continue
      // One that is deleted here is no job that could stand beside another.
      ids.push(await importJob(db, file, mode === 'both' && !here?.deletedAt ? 'both' : 'replace'))
    }
    await putPractisers(db, practisers)
    return ids
  })
