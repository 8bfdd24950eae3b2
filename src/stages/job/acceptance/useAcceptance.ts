import { useMemo } from 'react'
import { type AcceptanceSheet, acceptanceOf } from '@/core/acceptance/acceptanceOf'
import type { LogEntry } from '@/core/document/job'
import { useJob, whole } from '../JobContext'
import { evaluationOf, useCatalogue } from '../useEvaluation'

/**
 * The machine at hand as it would be handed over now.
 *
 * @param entries its log, oldest line first
 */
export function useAcceptance(entries: LogEntry[]): AcceptanceSheet {
  const job = useJob(whole)
  const catalogue = useCatalogue()
  return useMemo(
    () => acceptanceOf(job, axis => evaluationOf(axis, catalogue, job.units), entries),
    [job, catalogue, entries],
  )
}
