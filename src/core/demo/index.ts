import type { Job, LogEntry } from '../document/job'
import { longTom } from './longTom'
import { ostrey } from './ostrey'
import { skarrow } from './skarrow'

/** The three machines of the yard shed, the one that is furthest first. */
export const demoJobs = (): { job: Job; entries: LogEntry[] }[] => [skarrow(), ostrey(), longTom()]
