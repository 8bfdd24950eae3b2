/** What fits on a screen beside what to do about it. */
const LONGEST_MESSAGE = 280

/** A file that cannot be taken; the message names what is wrong and where. */
export class JobFileError extends Error {
  override name = 'JobFileError'
  constructor(message: string) {
    super(message.length > LONGEST_MESSAGE ? `${message.slice(0, LONGEST_MESSAGE - 1)}…` : message)
  }
}

const MEGABYTE = 1024 * 1024
/** Far above any real job; a file beyond it is not one. */
export const LARGEST_FILE_BYTES = 32 * MEGABYTE
/** All jobs of a browser in one file. */
export const LARGEST_BACKUP_BYTES = 128 * MEGABYTE

/** Refuses what is too large, before it is read. @throws JobFileError that says how large it is */
export function refuseLarge(bytes: number, most: number = LARGEST_FILE_BYTES): void {
  if (bytes > most)
    throw new JobFileError(
      `The file has ${Math.ceil(bytes / MEGABYTE)} MB; ${most === LARGEST_FILE_BYTES ? 'a job file' : 'a backup'} has at most ${most / MEGABYTE} MB.`,
    )
}
