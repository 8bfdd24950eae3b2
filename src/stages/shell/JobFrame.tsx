import dynamic from 'next/dynamic'
import { useCallback, useMemo, useState } from 'react'
import { setUnits } from '@/core/document/edits'
import { STAGE_WORDS, STAGES, type Stage } from '@/core/document/stages'
import { stageState } from '@/core/evaluation/finding'
import { stillToMeasure } from '@/core/machine/stillToMeasure'
import { procedure } from '@/core/sheets/steps/procedure'
import type { JobSession } from '@/store/session'
import { Frame, type StageTab, StageTabs } from '@/ui/frame/Frame'
import { Header } from '@/ui/frame/Header'
import { SavedNote } from '@/ui/frame/SavedNote'
import { useToastsWanted } from '@/ui/toasts'
import { useJob, useJobDigest, useSessionState, useUnits } from '../job/JobContext'
import { go } from '../job/place'
import { useSettledAxis } from '../job/useAxis'
import { evaluationOf, useCatalogue } from '../job/useEvaluation'
import { DriveLinePanel } from './DriveLinePanel'
import type { Overlaid } from './overlaid'
import { StageScreen } from './StageScreen'
import { axisNames, useActions } from './useActions'
import { useKeys } from './useKeys'
import { Verdicts } from './Verdicts'

const Palette = dynamic(() => import('@/ui/frame/Palette').then(module => module.Palette), { ssr: false })
const Toaster = dynamic(() => import('@/ui/toaster').then(module => module.Toaster), { ssr: false })
const KeyHelp = dynamic(() => import('@/ui/frame/KeyHelp').then(module => module.KeyHelp), { ssr: false })
const QuickNote = dynamic(() => import('../log/QuickNote').then(module => module.QuickNote), { ssr: false })
const AxisDialog = dynamic(() => import('./AxisDialog').then(module => module.AxisDialog), { ssr: false })

interface Props {
  session: JobSession
  jobId: string
  axisId: string
  stage: Stage
}

/** The frame of a job with the bench of one stage in it. Its pieces follow the job each on its own. */
export function JobFrame({ session, jobId, axisId, stage }: Props) {
  const [overlaid, setOverlaid] = useState<Overlaid>(null)
  const onStage = useCallback((next: Stage) => go({ jobId, axisId, stage: next }), [jobId, axisId])
  const onAxis = useCallback((next: string) => go({ jobId, axisId: next, stage }), [jobId, stage])
  const actions = useActions({ session, jobId, axisId, onStage, onAxis, onOverlay: setOverlaid })
  useKeys(actions, overlaid === null)
  const toastsWanted = useToastsWanted()
  const close = () => setOverlaid(null)
  return (
    <>
      <Frame
        header={<JobHeader session={session} axisId={axisId} onAxis={onAxis} onOverlay={setOverlaid} />}
        stages={<Stages stage={stage} onStage={onStage} />}
        drive={<DriveLinePanel stage={stage} onStage={onStage} />}
        verdicts={<Verdicts key={axisId} onStage={onStage} />}
      >
        <StageScreen key={`${axisId} ${stage}`} stage={stage} />
      </Frame>
      {toastsWanted && <Toaster />}
      {overlaid === 'palette' && <Palette open actions={actions} onClose={close} />}
      {overlaid === 'help' && <KeyHelp open actions={actions} onClose={close} />}
      {overlaid === 'note' && <QuickNote axisId={axisId} onClose={close} />}
      {(overlaid === 'axis' || overlaid === 'edit-axis') && (
        <AxisDialog editing={overlaid === 'edit-axis'} onClose={close} onAxis={onAxis} />
      )}
    </>
  )
}

interface HeaderProps {
  session: JobSession
  axisId: string
  onAxis: (axisId: string) => void
  onOverlay: (overlaid: Overlaid) => void
}

function JobHeader({ session, axisId, onAxis, onOverlay }: HeaderProps) {
  const jobName = useJob(job => job.name)
  const axes = useJobDigest(axisNames)
  const units = useUnits()
  const undoLabel = useSessionState(session, state => state.undoLabel)
  const redoLabel = useSessionState(session, state => state.redoLabel)
  return (
    <Header
      jobName={jobName}
      axes={axes}
      axisId={axisId}
      onAxis={onAxis}
      onAddAxis={() => onOverlay('axis')}
      units={units}
      onUnits={next => session.edit(setUnits(next))}
      undoLabel={undoLabel}
      redoLabel={redoLabel}
      onUndo={session.undo}
      onRedo={session.redo}
      onPalette={() => onOverlay('palette')}
      onHelp={() => onOverlay('help')}
      saved={<Saved session={session} />}
    />
  )
}

function Saved({ session }: { session: JobSession }) {
  const savedAt = useSessionState(session, state => state.savedAt)
  const saving = useSessionState(session, state => state.saving)
  return <SavedNote savedAt={savedAt} saving={saving} />
}

/** The stages with what each of them has to say about the axis. */
function Stages({ stage, onStage }: { stage: Stage; onStage: (stage: Stage) => void }) {
  const axis = useSettledAxis()
  const units = useUnits()
  const catalogue = useCatalogue()
  const tabs = useMemo((): StageTab[] => {
    const context = evaluationOf(axis, catalogue, units)
    const steps = procedure(context)
    const open = stillToMeasure(axis).length
    const counts: Partial<Record<Stage, string>> = {
      ...(open > 0 && { survey: `${open} open` }),
      ...(steps && { build: `${steps.filter(step => axis.ticks[step.id]).length}/${steps.length}` }),
    }
    return STAGES.map(id => {
      return {
        id,
        ...STAGE_WORDS[id],
        state: stageState(context.findings.filter(finding => finding.stage === id)),
        count: counts[id] ?? null,
      }
    })
  }, [axis, catalogue, units])
  return <StageTabs tabs={tabs} current={stage} onStage={id => onStage(id as Stage)} />
}
