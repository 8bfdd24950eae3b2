import type { LogEntry } from '@/core/document/job'

/** What a line of the log is about. */
export const KIND_WORDS: Record<LogEntry['kind'], string> = {
  note: 'note',
  part: 'part',
  step: 'step',
  round: 'alignment',
  test: 'test',
  fix: 'temporary fix',
  mended: 'fix mended',
  upkeep: 'upkeep',
  job: 'job',
}
