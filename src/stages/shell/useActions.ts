import { useMemo } from 'react'
import { removeAxis, setUnits } from '@/core/document/edits'
import { STAGE_WORDS, STAGES, type Stage } from '@/core/document/stages'
import { type SheetId, sheetsOf } from '@/core/sheets'
import type { JobSession } from '@/store/session'
import type { Action } from '@/ui/frame/Palette'
import { useScheme } from '@/ui/theme/useScheme'
import { useAxisNames, useJob } from '../job/JobContext'
import { addressOf, go } from '../job/place'
import { saveJob } from '../job/saveJob'
import { askStandings } from '../job/standing'
import { tellNotWorkedOut } from '../job/useRun'
import type { Overlaid } from './overlaid'

interface Bench {
  session: JobSession
  place: { jobId: string; axisId: string; stage: Stage; sheet: SheetId }
  onAxis: (axisId: string) => void
  onOverlay: (overlaid: Overlaid) => void
  /** Whether only what is in hand is shown, large. */
  atMachine: boolean
  onAtMachine: () => void
}

/** Everything that can be done from the palette or by a key. */
export function useActions({ session, place, onAxis, onOverlay, atMachine, onAtMachine }: Bench): Action[] {
  const { jobId, axisId, stage, sheet } = place
  const axes = useAxisNames()
  const units = useJob(job => job.units)
  const { scheme, switchScheme } = useScheme()
  return useMemo(() => {
    const index = axes.findIndex(({ id }) => id === axisId)
    const neighbour = (by: number) => axes[(index + by + axes.length) % axes.length]?.id ?? axisId
    const goTo = (of: Stage, id?: SheetId) => go({ jobId, axisId, stage: of, sheet: id })
    /** To the sheet before or after this one, over the ends of its stage. */
    const turn = (by: number) => {
      const all = (stage === 'machine' ? (['machine'] as const) : STAGES).flatMap(of =>
        sheetsOf(of).map(({ id }) => [of, id] as const),
      )
      const to = all[(all.findIndex(([, id]) => id === sheet) + by + all.length) % all.length]
      if (to) goTo(...to)
    }
    const goOn = async () => {
      const { job } = session.getState()
      if (!job) return
      const axes = job.axes.filter(({ id }) => id === axisId)
      const [standing] = await askStandings({ ...job, axes })
      if (standing?.next) goTo(standing.next.stage, standing.next.sheet)
    }
    return [
      ...STAGES.map((of, number) => ({
        id: `stage-${of}`,
        group: 'Stages',
        label: `${STAGE_WORDS[of].label}: ${STAGE_WORDS[of].question}`,
        keys: `Alt ${number + 1}`,
        run: () => goTo(of),
      })),
      {
        id: 'machine',
        group: 'Stages',
        label: `${STAGE_WORDS.machine.label}: ${STAGE_WORDS.machine.question}`,
        keys: 'Alt 0',
        run: () => goTo('machine'),
      },
      {
        id: 'next',
        group: 'Stages',
        label: 'What is next on this axis',
        keys: 'G',
        run: () => void goOn().catch(tellNotWorkedOut),
      },
      {
        id: 'at-machine',
        group: 'Stages',
        label: atMachine
          ? 'Back from the machine: all of the screen'
          : 'At the machine: only what is in hand, large',
        keys: 'M',
        run: onAtMachine,
      },
      { id: 'sheet-next', group: 'Stages', label: 'Next sheet', keys: 'J', run: () => turn(1) },
      { id: 'sheet-previous', group: 'Stages', label: 'Sheet before', keys: 'K', run: () => turn(-1) },
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
      { id: 'export', group: 'Job', label: 'Export the job to a file', run: () => void saveJob(session) },
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
        id: 'alignment',
        group: 'Job',
        label: 'Alignment record of this axis, to print',
        run: () => window.location.assign(addressOf({ jobId, axisId, stage: 'alignment' })),
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
        label: scheme === 'day' ? 'Dusk scheme' : 'Day scheme',
        run: switchScheme,
      },
      { id: 'palette', group: 'Look', label: 'Find and go', keys: 'Ctrl K', run: () => onOverlay('palette') },
      { id: 'help', group: 'Look', label: 'Help and keys', keys: '?', run: () => onOverlay('help') },
    ]
  }, [
    axes,
    axisId,
    jobId,
    stage,
    sheet,
    units,
    scheme,
    switchScheme,
    session,
    onAxis,
    onOverlay,
    atMachine,
    onAtMachine,
  ])
}
