import { useTheme } from 'next-themes'
import { useMemo } from 'react'
import { removeAxis, setUnits } from '@/core/document/edits'
import type { Job } from '@/core/document/job'
import { STAGE_WORDS, STAGES, type Stage } from '@/core/document/stages'
import { getDatabase } from '@/store/database'
import { exportJob } from '@/store/exportJob'
import type { JobSession } from '@/store/session'
import type { Action } from '@/ui/frame/Palette'
import { download, fileName } from '../job/download'
import { useJob, useJobDigest } from '../job/JobContext'
import { addressOf } from '../job/place'
import type { Overlaid } from './overlaid'

interface Bench {
  session: JobSession
  jobId: string
  axisId: string
  onStage: (stage: Stage) => void
  onAxis: (axisId: string) => void
  onOverlay: (overlaid: Overlaid) => void
}

/** The axes of a job by name, for where nothing else of them is shown. */
export const axisNames = (job: Job) => job.axes.map(({ id, name, title }) => ({ id, name, title }))

/** Everything that can be done from the palette or by a key. */
export function useActions({ session, jobId, axisId, onStage, onAxis, onOverlay }: Bench): Action[] {
  const axes = useJobDigest(axisNames)
  const units = useJob(job => job.units)
  const { resolvedTheme, setTheme } = useTheme()
  return useMemo(() => {
    const index = axes.findIndex(({ id }) => id === axisId)
    const neighbour = (by: number) => axes[(index + by + axes.length) % axes.length]?.id ?? axisId
    const exportNow = async () => {
      const { job } = session.getState()
      if (job)
        download(fileName(job.name, 'json'), await exportJob(getDatabase(), jobId, job), 'application/json')
    }
    return [
      ...STAGES.map((stage, number) => ({
        id: `stage-${stage}`,
        group: 'Stages',
        label: `${STAGE_WORDS[stage].label}: ${STAGE_WORDS[stage].question}`,
        keys: `Alt ${number + 1}`,
        run: () => onStage(stage),
      })),
      { id: 'axis-next', group: 'Axes', label: 'Next axis', keys: ']', run: () => onAxis(neighbour(1)) },
      {
        id: 'axis-previous',
        group: 'Axes',
        label: 'Previous axis',
        keys: '[',
        run: () => onAxis(neighbour(-1)),
      },
      ...axes.map(axis => ({
        id: `axis-${axis.id}`,
        group: 'Axes',
        label: `Axis ${axis.name}: ${axis.title}`,
        run: () => onAxis(axis.id),
      })),
      { id: 'axis-add', group: 'Axes', label: 'Add an axis', run: () => onOverlay('axis') },
      { id: 'axis-edit', group: 'Axes', label: 'Rename this axis', run: () => onOverlay('edit-axis') },
      ...(axes.length > 1
        ? [
            {
              id: 'axis-remove',
              group: 'Axes',
              label: `Remove axis ${axes[index]?.name}`,
              run: () => {
                const axis = session.getState().job?.axes.find(({ id }) => id === axisId)
                if (axis) session.edit(removeAxis(axis))
              },
            },
          ]
        : []),
      { id: 'undo', group: 'Job', label: 'Undo', keys: 'Ctrl Z', run: session.undo },
      { id: 'redo', group: 'Job', label: 'Redo', keys: 'Ctrl Shift Z', run: session.redo },
      { id: 'note', group: 'Job', label: 'Quick log entry', keys: 'N', run: () => onOverlay('note') },
      { id: 'export', group: 'Job', label: 'Export the job to a file', run: exportNow },
      {
        id: 'record',
        group: 'Job',
        label: 'Record of this axis, to print',
        run: () => window.location.assign(addressOf({ jobId, axisId, stage: 'record' })),
      },
      {
        id: 'worksheet',
        group: 'Job',
        label: 'Work sheet of this axis, to print',
        run: () => window.location.assign(addressOf({ jobId, axisId, stage: 'worksheet' })),
      },
      {
        id: 'reference',
        group: 'Look',
        label: 'Reference of every calculation',
        run: () => window.location.assign('/reference'),
      },
      { id: 'jobs', group: 'Job', label: 'All jobs', run: () => window.location.assign('/') },
      {
        id: 'units',
        group: 'Look',
        label: units === 'mm' ? 'Show inches' : 'Show millimetres',
        run: () => session.edit(setUnits(units === 'mm' ? 'inch' : 'mm')),
      },
      {
        id: 'scheme',
        group: 'Look',
        label: resolvedTheme === 'day' ? 'Dusk scheme' : 'Day scheme',
        run: () => setTheme(resolvedTheme === 'day' ? 'dusk' : 'day'),
      },
      { id: 'palette', group: 'Look', label: 'Find and go', keys: 'Ctrl K', run: () => onOverlay('palette') },
      { id: 'help', group: 'Look', label: 'Help and keys', keys: '?', run: () => onOverlay('help') },
    ]
  }, [axes, axisId, jobId, units, resolvedTheme, setTheme, session, onStage, onAxis, onOverlay])
}
