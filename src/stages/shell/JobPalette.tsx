import { useMemo } from 'react'
import { useJobRows } from '@/store/hooks'
import { type Action, Palette } from '@/ui/frame/Palette'
import type { Place } from '../job/address'
import { useJob } from '../job/JobContext'
import { useFindings, useSettledEvaluation } from '../job/useEvaluation'
import { findable } from './findable'

interface Props {
  actions: Action[]
  place: Place & { axisId: string }
  onClose: () => void
}

/** What can be done, and all that can be gone to: sheets, verdicts, parts, calculations, jobs. */
export function JobPalette({ actions, place, onClose }: Props) {
  const context = useSettledEvaluation()
  const findings = useFindings()
  const axes = useJob(job => job.axes)
  const jobs = useJobRows()
  const places = useMemo(
    () => findable({ context, findings, axes, jobs: jobs?.rows ?? [], place }),
    [context, findings, axes, jobs, place],
  )
  return <Palette open actions={actions} places={places} onClose={onClose} />
}
