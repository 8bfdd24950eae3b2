import type { ReactNode } from 'react'
import type { LogEntry } from '@/core/document/job'
import { useEntries } from '@/store/hooks'
import { Note } from '@/ui/Note'
import { useJob } from './JobContext'

/** What is shown of the log, oldest line first. Until it is read nothing is said of it: “none open” would not be true. */
export function WithLog({ children }: { children: (entries: LogEntry[]) => ReactNode }) {
  const entries = useEntries(useJob(job => job.id))
  return entries ? children(entries) : <Note aria-busy>Reading the log…</Note>
}
