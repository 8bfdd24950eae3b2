import { fileNameOfJob } from '@/core/formats/fileName'
import type { DuskDatabase } from './database'
import { exportJob } from './exportJob'

const FOLDER = 'copy-folder'

/** A folder of the user's: as much of it as is needed here. */
export interface CopyFolder {
  name: string
  queryPermission?: (how: { mode: 'readwrite' }) => Promise<PermissionState>
  requestPermission?: (how: { mode: 'readwrite' }) => Promise<PermissionState>
  getFileHandle: FileSystemDirectoryHandle['getFileHandle']
}

type WithPicker = typeof globalThis & {
  showDirectoryPicker?: (how: { mode: 'readwrite' }) => Promise<FileSystemDirectoryHandle>
}

/** Whether this browser lets an app write into a folder. */
export const canCopy = (): boolean => 'showDirectoryPicker' in globalThis

/** Has the user choose the folder in which a copy of every job is kept. @throws DOMException when none is chosen */
export async function chooseFolder(db: DuskDatabase): Promise<CopyFolder> {
  const folder = await (globalThis as WithPicker).showDirectoryPicker?.({ mode: 'readwrite' })
  if (!folder) throw new Error('This browser does not let an app write into a folder.')
  await db.settings.put({ key: FOLDER, value: folder })
  return folder as unknown as CopyFolder
}

/** The folder that was chosen; null when none was. */
export const copyFolder = async (db: DuskDatabase): Promise<CopyFolder | null> =>
  ((await db.settings.get(FOLDER))?.value as CopyFolder | undefined) ?? null

export const leaveFolder = (db: DuskDatabase) => db.settings.delete(FOLDER)

/** Whether the folder may be written into without asking; a browser forgets that when it is closed. */
export async function mayWrite(folder: CopyFolder): Promise<boolean> {
  const permission = await folder.queryPermission?.({ mode: 'readwrite' })
  return permission !== 'denied' && permission !== 'prompt'
}

/** Writes a job into the folder, over its copy of before. @throws DOMException when that may not or cannot be done */
export async function copyInto(folder: CopyFolder, db: DuskDatabase, jobId: string): Promise<void> {
  const row = await db.jobs.get(jobId)
  if (!row || row.deletedAt) return
  // Two machines may have one name: the id tells their files apart.
  const file = await folder.getFileHandle(fileNameOfJob(row.job.name, jobId), { create: true })
  const writing = await file.createWritable()
  await writing.write(await exportJob(db, jobId))
  await writing.close()
}
