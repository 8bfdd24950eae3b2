import { useMemo } from 'react'
import { getDatabase } from '@/store/database'
import { JobSession } from '@/store/session'

/** The session of a job for as long as its screen is open. */
export const useSession = (jobId: string): JobSession =>
  useMemo(() => new JobSession(getDatabase(), jobId), [jobId])
