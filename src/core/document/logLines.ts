import type { LogEntry } from './job'

/**
 * What the log of an axis shows, oldest first: its own lines and those of the whole machine, without those
 * that were taken back.
 */
export const linesOfAxis = (entries: LogEntry[], axisId: string): LogEntry[] =>
  entries.filter(entry => !entry.hidden && (entry.axisId === axisId || entry.axisId === null))

/** The temporary fixes that no later line ends. */
export function openFixes(lines: LogEntry[]): LogEntry[] {
  const ended = new Set(lines.map(({ closes }) => closes))
  return lines.filter(({ kind, id }) => kind === 'fix' && !ended.has(id))
}
