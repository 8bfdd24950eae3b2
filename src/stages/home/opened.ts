/** The part of an address by which the installed app is asked for a new job. */
export const NEW_JOB = 'new'

interface LaunchQueue {
  setConsumer: (take: (launched: { files?: readonly FileSystemFileHandle[] }) => void) => void
}

/** Tells the file that the installed app was opened with, where it was opened with one. */
export function watchOpenedFile(tell: (file: File) => void): void {
  const queue = (globalThis as { launchQueue?: LaunchQueue }).launchQueue
  queue?.setConsumer(({ files }) => void files?.[0]?.getFile().then(tell, () => undefined))
}
