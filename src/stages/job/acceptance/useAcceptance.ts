import { useMemo } from 'react'
import { type AcceptanceSheet, acceptanceOf } from '@/core/acceptance/acceptanceOf'
import { useEntries } from '@/store/hooks'
import { useJob, whole } from '../JobContext'
import { evaluationOf, useCatalogue } from '../useEvaluation'

/** The machine at hand as it would be handed over now. */
export function useAcceptance(): AcceptanceSheet {
  const job = useJob(whole)
  const catalogue = useCatalogue()
  const entries = useEntries(job.id)
  return useMemo(
    () => acceptanceOf(job, axis => evaluationOf(axis, catalogue, job.units), entries ?? []),
    [job, catalogue, entries],
  )
}
