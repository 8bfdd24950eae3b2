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
/** Far above any real job; a file beyond it is not one. What is written is held to it too. */
export const LARGEST_FILE_BYTES = 32 * MEGABYTE
/** All jobs of a browser in one file. */
export const LARGEST_BACKUP_BYTES = 128 * MEGABYTE
/** Rows of a log, or of a history, in one file. */
export const MOST_ROWS = 100_000

/** The size of a text as a file, which is how files are measured everywhere. @example bytesOf('µm') // 3 */
export const bytesOf = (text: string): number => new TextEncoder().encode(text).length

/** Refuses a text that is too large; no letter has more than three bytes for a place, so most need not be measured. @throws JobFileError */
export function refuseLargeText(text: string, most: number = LARGEST_FILE_BYTES): void {
  if (text.length * 3 > most) refuseLarge(bytesOf(text), most)
}

/** Refuses what is too large, before it is read. @throws JobFileError that says how large it is */
export function refuseLarge(bytes: number, most: number = LARGEST_FILE_BYTES): void {
  if (bytes > most)
    throw new JobFileError(
      `The file has ${(Math.ceil((bytes * 10) / MEGABYTE) / 10).toFixed(1)} MB; ${most === LARGEST_FILE_BYTES ? 'a job file' : 'a backup'} has at most ${most / MEGABYTE} MB.`,
    )
}
