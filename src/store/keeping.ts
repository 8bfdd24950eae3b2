import { type JobFile, writeBackup } from '@/core/formats/writeJobFile'
import { daysBetween, nowOf } from '@/core/planning/days'
import type { DuskDatabase, JobRow } from './database'
import { collect } from './exportJob'
import { practisersOf } from './practisers'

const DAY_MS = 24 * 3600 * 1000
/** So many days of use a deleted job is kept before one is asked whether it is to go for good. */
export const KEPT_DAYS = 30
/** So long without a backup, and one is reminded. */
const REMIND_AFTER_DAYS = 7

const LAST_BACKUP = 'last-backup'
const FIRST_USE = 'first-use'

/** A day further on than this is no day of work: the clock of the machine was wrong, then or now. */
const LONGEST_PAUSE_DAYS = 62

/** How many days of use a deleted job has been kept for; when they are over, one is asked whether it is to go. */
export const daysBinned = ({ binned }: JobRow): number => binned?.days ?? 0
export const isBinnedLong = (row: JobRow): boolean => row.deletedAt !== null && daysBinned(row) >= KEPT_DAYS

/**
 * Counts a day on which the app was used, for every deleted job. A clock is believed from one day to a later one, not when it
 * jumps: a battery that is flat counts nothing, and no job goes by itself.
 */
export async function countDay(db: DuskDatabase, now: Date): Promise<void> {
  const today = nowOf(now).day
  await db.jobs
    .filter(({ deletedAt, binned }) => deletedAt !== null && binned?.lastDay !== today)
    .modify(row => {
      const { days, lastDay } = row.binned ?? { days: 0, lastDay: null }
      const since = lastDay === null ? 0 : daysBetween(lastDay, today)
      const counts = since > 0 && since <= LONGEST_PAUSE_DAYS
      row.binned = { days: days + (counts ? 1 : 0), lastDay: today }
    })
}

/** Keeps deleted jobs for as many days of use again. */
export const keepOn = (db: DuskDatabase, ids: string[]) =>
  db.jobs
    .where('id')
    .anyOf(ids)
    .modify(row => {
      if (row.binned) row.binned.days = 0
    })

/** What the file of a backup is called. @example backupName(new Date('2026-12-01')) // 'dusk-bench-backup-2026-12-01.json' */
export const backupName = (now: Date): string => `dusk-bench-backup-${now.toISOString().slice(0, 10)}.json`

/** Every job that is not deleted, and what those who practise have done, as one text; and that it was made is noted. */
export async function backUp(db: DuskDatabase, now: Date): Promise<string> {
  const ids = await db.jobs.filter(({ deletedAt }) => deletedAt === null).primaryKeys()
  const jobs: JobFile[] = []
  for (const id of ids) jobs.push(await collect(db, id))
  const text = writeBackup({ jobs, practisers: await practisersOf(db) }, now.toISOString())
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
