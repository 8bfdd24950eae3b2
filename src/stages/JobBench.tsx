import dynamic from 'next/dynamic'
import { type ComponentType, useCallback, useMemo, useState } from 'react'
import { setUnits } from '@/core/document/edits'
import { STATES } from '@/core/evaluation/finding'
import { STAGES, type StageId, stillToMeasure } from '@/core/sheets/nextAction'
import { procedure } from '@/core/sheets/steps/procedure'
import type { JobSession } from '@/store/session'
import { Frame, type StageTab, StageTabs } from '@/ui/frame/Frame'
import { Header } from '@/ui/frame/Header'
import { SavedNote } from '@/ui/frame/SavedNote'
import {
  evaluationOf,
  useCatalogue,
  useJob,
  useJobDigest,
  useSessionState,
  useSettledAxis,
  useUnits,
} from './bench'
import { DriveBench } from './DriveBench'
import { go } from './place'
import { type Overlaid, STAGE_WORDS } from './stageWords'
import { SurveyStage } from './survey/SurveyStage'
import { axisNames, useActions } from './useActions'
import { useKeys } from './useKeys'
import { Verdicts } from './Verdicts'

const later = (load: () => Promise<ComponentType>) => dynamic(() => load(), { ssr: false })

const BENCHES: Record<StageId, ComponentType> = {
  survey: SurveyStage,
  size: later(() => import('./size/SizeStage').then(module => module.SizeStage)),
  room: later(() => import('./room/RoomStage').then(module => module.RoomStage)),
  build: later(() => import('./build/BuildStage').then(module => module.BuildStage)),
  align: later(() => import('./align/AlignStage').then(module => module.AlignStage)),
  prove: later(() => import('./prove/ProveStage').then(module => module.ProveStage)),
  log: later(() => import('./log/LogStage').then(module => module.LogStage)),
}
const Palette = dynamic(() => import('@/ui/frame/Palette').then(module => module.Palette), { ssr: false })
const KeyHelp = dynamic(() => import('@/ui/frame/KeyHelp').then(module => module.KeyHelp), { ssr: false })
const QuickNote = dynamic(() => import('./log/QuickNote').then(module => module.QuickNote), { ssr: false })
const AxisDialog = dynamic(() => import('./AxisDialog').then(module => module.AxisDialog), { ssr: false })

interface Props {
  session: JobSession
  jobId: string
  axisId: string
  stage: StageId
}

/** The frame of a job with the bench of one stage in it. Its pieces follow the job each on its own. */
export function JobBench({ session, jobId, axisId, stage }: Props) {
  const [overlaid, setOverlaid] = useState<Overlaid>(null)
  const onStage = useCallback((next: StageId) => go({ jobId, axisId, stage: next }), [jobId, axisId])
  const onAxis = useCallback((next: string) => go({ jobId, axisId: next, stage }), [jobId, stage])
  const actions = useActions({ session, jobId, axisId, onStage, onAxis, onOverlay: setOverlaid })
  useKeys(actions, overlaid === null)
  const Bench = BENCHES[stage]
  const close = () => setOverlaid(null)
  return (
    <>
      <Frame
        header={<JobHeader session={session} axisId={axisId} onAxis={onAxis} onOverlay={setOverlaid} />}
        stages={<Stages stage={stage} onStage={onStage} />}
        drive={<DriveBench stage={stage} onStage={onStage} />}
        verdicts={<Verdicts key={axisId} onStage={onStage} onUndo={session.undo} />}
      >
        <Bench key={axisId} />
      </Frame>
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
function Stages({ stage, onStage }: { stage: StageId; onStage: (stage: StageId) => void }) {
  const axis = useSettledAxis()
  const units = useUnits()
  const catalogue = useCatalogue()
  const tabs = useMemo((): StageTab[] => {
    const { findings } = evaluationOf(axis, catalogue, units)
    const steps = procedure(axis, catalogue, units)
    const open = stillToMeasure(axis).length
    const counts: Partial<Record<StageId, string>> = {
      ...(open > 0 && { survey: `${open} open` }),
      ...(steps && { build: `${steps.filter(step => axis.ticks[step.id]).length}/${steps.length}` }),
    }
    return STAGES.map(id => {
      const own = findings.filter(finding => finding.stage === id)
      return {
        id,
        ...STAGE_WORDS[id],
        state: STATES.find(state => own.some(finding => finding.state === state)) ?? null,
        count: counts[id] ?? null,
      }
    })
  }, [axis, catalogue, units])
  return <StageTabs tabs={tabs} current={stage} onStage={id => onStage(id as StageId)} />
}
