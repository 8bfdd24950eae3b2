import { type JobFile, writeBackup } from '@/core/formats/writeJobFile'
import type { DuskDatabase } from './database'
import { collect } from './exportJob'
import { deleteForGood } from './jobs'

const DAY_MS = 24 * 3600 * 1000
/** So long a deleted job can be put back. */
export const KEPT_DAYS = 30
/** So long without a backup, and one is reminded. */
const REMIND_AFTER_DAYS = 7

const LAST_BACKUP = 'last-backup'
const FIRST_USE = 'first-use'

/** When a deleted job goes for good by itself. */
export const goesAt = (deletedAt: string): string =>
  new Date(Date.parse(deletedAt) + KEPT_DAYS * DAY_MS).toISOString()

/** Deletes for good what was deleted long ago. */
export async function clearOld(db: DuskDatabase, now: Date): Promise<void> {
  const old = await db.jobs
    .filter(({ deletedAt }) => deletedAt !== null && goesAt(deletedAt) <= now.toISOString())
    .primaryKeys()
  for (const id of old) await deleteForGood(db, id)
}

/** Every job that is not deleted, as one text; and that it was made is noted. */
export async function backUp(db: DuskDatabase, now: Date): Promise<string> {
  const ids = await db.jobs.filter(({ deletedAt }) => deletedAt === null).primaryKeys()
  const jobs: JobFile[] = []
  for (const id of ids) jobs.push(await collect(db, id))
  const text = writeBackup(jobs, now.toISOString())
  await db.settings.put({ key: LAST_BACKUP, value: now.toISOString() })
  return text
}

/** When the last backup was made; null when there is none. */
export const lastBackup = async (db: DuskDatabase): Promise<string | null> =>
  ((await db.settings.get(LAST_BACKUP))?.value as string | undefined) ?? null

/**
 * Since when there is something that no backup has, where that is a week or more ago.
 *
 * @returns null while there is nothing to remind of
 */
export async function unbackedSince(db: DuskDatabase, now: Date): Promise<string | null> {
  const made = await lastBackup(db)
  const since = made ?? ((await db.settings.get(FIRST_USE))?.value as string | undefined)
  if (!since) return null
  const isNew = await db.jobs.filter(row => row.deletedAt === null && row.savedAt > (made ?? '')).first()
  return isNew && now.getTime() - Date.parse(since) >= REMIND_AFTER_DAYS * DAY_MS ? since : null
}

/** Notes when this browser was first worked in, by which the first backup is reminded. */
export async function noteFirstUse(db: DuskDatabase, now: Date): Promise<void> {
  if (!(await db.settings.get(FIRST_USE))) await db.settings.put({ key: FIRST_USE, value: now.toISOString() })
}

/** What is used of what the browser gives, in bytes, and whether it keeps it when the disk runs full. */
export interface Room {
  usedBytes: number
  givenBytes: number
  kept: boolean
}

/** How much room there is; null where the browser does not tell. */
export async function roomLeft(): Promise<Room | null> {
  try {
    const { usage, quota } = await navigator.storage.estimate()
    if (usage === undefined || quota === undefined) return null
    return { usedBytes: usage, givenBytes: quota, kept: await navigator.storage.persisted() }
  } catch {
    return null
  }
}

/** Asks the browser not to clear what is kept here when the disk runs full. Resolves to whether it says so. */
export async function askToKeep(): Promise<boolean> {
  try {
    return await navigator.storage.persist()
  } catch {
    return false
  }
}
