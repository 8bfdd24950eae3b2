import dynamic from 'next/dynamic'
import { useCallback, useEffect, useState } from 'react'
import { setUnits } from '@/core/document/edits'
import { STAGE_WORDS, type Stage } from '@/core/document/stages'
import { type SheetId, sheetOf } from '@/core/sheets'
import type { JobSession } from '@/store/session'
import { LinkButton } from '@/ui/controls'
import { Frame } from '@/ui/frame/Frame'
import { Header } from '@/ui/frame/Header'
import { SavedNote } from '@/ui/frame/SavedNote'
import { SkipLink } from '@/ui/frame/SkipLink'
import { useIsAtLeast } from '@/ui/frame/useIsAtLeast'
import { useToastsWanted } from '@/ui/toasts'
import type { Place } from '../job/address'
import { useAxisNames, useJob, useSessionState, useUnits } from '../job/JobContext'
import { PlaceButton } from '../job/PlaceLink'
import { go } from '../job/place'
import { StandingProvider } from '../job/standing'
import { DriveLinePanel } from './DriveLinePanel'
import { DroppedFile } from './DroppedFile'
import { NarrowBar } from './NarrowBar'
import { NextLine } from './NextLine'
import type { Overlaid } from './overlaid'
import { PrintButtons, PrintedFindings, PrintedHead, StageOnPaper } from './Printed'
import { Rail } from './Rail'
import { ScreenStaysOn } from './ScreenStaysOn'
import { SheetScreen } from './SheetScreen'
import { useActions } from './useActions'
import { useAtMachine } from './useAtMachine'
import { useGaugeKeys } from './useGaugeKeys'
import { useKeys } from './useKeys'
import { Verdicts } from './Verdicts'

const FootBar = dynamic(() => import('./FootBar').then(module => module.FootBar), { ssr: false })
const Palette = dynamic(() => import('./JobPalette').then(module => module.JobPalette), { ssr: false })
const Toaster = dynamic(() => import('@/ui/toaster').then(module => module.Toaster), { ssr: false })
const KeyHelp = dynamic(() => import('@/ui/frame/KeyHelp').then(module => module.KeyHelp), { ssr: false })
const QuickNote = dynamic(() => import('../log/QuickNote').then(module => module.QuickNote), { ssr: false })
const AxisDialog = dynamic(() => import('./AxisDialog').then(module => module.AxisDialog), { ssr: false })

interface Props {
  session: JobSession
  jobId: string
  axisId: string
  stage: Stage
  sheet: SheetId
}

/** The frame of a job with one sheet in it. Its pieces follow the job each on its own. */
export function JobFrame({ session, jobId, axisId, stage, sheet }: Props) {
  const [overlaid, setOverlaid] = useState<Overlaid>(null)
  const [onPaper, setOnPaper] = useState(false)
  const endPaper = useCallback(() => setOnPaper(false), [])
  const hasRoom = useIsAtLeast('xl')
  const narrow = !useIsAtLeast('md')
  /** Where header and rail were unfolded on a narrow screen: they fold again wherever one goes from there. */
  const [unfoldedAt, setUnfoldedAt] = useState<string | null>(null)
  const here = `${axisId} ${sheet}`
  const [atMachine, setAtMachine] = useAtMachine()
  const slim = narrow || atMachine
  const unfolded = !slim || unfoldedAt === here
  const place = { jobId, axisId, stage, sheet }
  /** Another axis is opened at the same sheet; from the machine, at its first one. */
  const onAxis = useCallback(
    (next: string) =>
      go(
        stage === 'machine'
          ? { jobId, axisId: next, stage: 'survey' }
          : { jobId, axisId: next, stage, sheet },
      ),
    [jobId, stage, sheet],
  )
  const toggleAtMachine = useCallback(() => setAtMachine(!atMachine), [atMachine, setAtMachine])
  const actions = useActions({
    session,
    place,
    onAxis,
    onOverlay: setOverlaid,
    atMachine,
    onAtMachine: toggleAtMachine,
  })
  useKeys(actions, overlaid === null)
  useGaugeKeys()
  useTitle(axisId, stage, onPaper ? null : sheet)
  const toastsWanted = useToastsWanted()
  const close = () => setOverlaid(null)
  const ofAxis = stage !== 'machine'
  const verdicts = { jobId, stage, sheet }
  return (
    <StandingProvider>
      <SkipLink />
      <Frame
        bar={
          slim ? (
            <NarrowBar
              place={place}
              open={unfolded}
              onOpen={open => setUnfoldedAt(open ? here : null)}
              onFind={() => setOverlaid('palette')}
              onLeave={atMachine ? toggleAtMachine : null}
            />
          ) : undefined
        }
        header={
          unfolded && (
            <JobHeader
              session={session}
              place={place}
              onOverlay={setOverlaid}
              onAtMachine={atMachine ? null : toggleAtMachine}
            />
          )
        }
        rail={unfolded && <Rail {...place} />}
        top={
          ofAxis &&
          !atMachine && (
            <>
              <NextLine jobId={jobId} />
              <DriveLinePanel jobId={jobId} stage={stage} sheet={sheet} narrow={narrow} />
            </>
          )
        }
        verdicts={ofAxis && !atMachine && hasRoom && <Verdicts key={axisId} {...verdicts} />}
        foot={ofAxis && !atMachine && !hasRoom && <FootBar {...verdicts} />}
      >
        <PrintedHead axisId={axisId} stage={stage} />
        {onPaper ? (
          <StageOnPaper stage={stage} onPrinted={endPaper} />
        ) : (
          <SheetScreen key={`${ofAxis ? axisId : ''} ${sheet}`} sheet={sheet} />
        )}
        <PrintedFindings stage={stage} />
        {atMachine && <ScreenStaysOn />}
        <div data-frame hidden={atMachine}>
          <PrintButtons stage={stage} onStage={() => setOnPaper(true)} />
        </div>
      </Frame>
      <DroppedFile />
      {toastsWanted && <Toaster />}
      {overlaid === 'palette' && <Palette actions={actions} place={place} onClose={close} />}
      {overlaid === 'help' && <KeyHelp open actions={actions} onClose={close} />}
      {overlaid === 'note' && <QuickNote axisId={axisId} onClose={close} />}
      {(overlaid === 'axis' || overlaid === 'edit-axis') && (
        <AxisDialog editing={overlaid === 'edit-axis'} onClose={close} onAxis={onAxis} />
      )}
    </StandingProvider>
  )
}

/** The browser's tab names the sheet first, for that is what tells many tabs of one job apart. */
function useTitle(axisId: string, stage: Stage, sheet: SheetId | null) {
  const job = useJob(({ name }) => name)
  const axis = useJob(({ axes }) => axes.find(({ id }) => id === axisId)?.name)
  // A stage that is printed whole is called by its own name, as the file is that it may be printed to.
  const title = sheet === null ? STAGE_WORDS[stage].label : sheetOf(sheet).title
  const where = stage === 'machine' ? STAGE_WORDS.machine.label : `axis ${axis}`
  useEffect(() => {
    document.title = [...new Set([title, where, job])].join(', ')
  }, [title, where, job])
}

interface HeaderProps {
  session: JobSession
  place: Place & { axisId: string; stage: Stage }
  onOverlay: (overlaid: Overlaid) => void
  /** Shows only what is in hand, large; none where that is so already. */
  onAtMachine: (() => void) | null
}

function JobHeader({ session, place, onOverlay, onAtMachine }: HeaderProps) {
  const jobName = useJob(job => job.name)
  const units = useUnits()
  const undoLabel = useSessionState(session, state => state.undoLabel)
  const redoLabel = useSessionState(session, state => state.redoLabel)
  return (
    <Header
      jobName={jobName}
      places={<Places {...place} />}
      beside={
        <LinkButton href="/practice" variant="quiet" flexShrink={0}>
          Practise
        </LinkButton>
      }
      onAddAxis={() => onOverlay('axis')}
      units={units}
      onUnits={next => session.edit(setUnits(next))}
      undoLabel={undoLabel}
      redoLabel={redoLabel}
      onUndo={session.undo}
      onRedo={session.redo}
      onPalette={() => onOverlay('palette')}
      onHelp={() => onOverlay('help')}
      onAtMachine={onAtMachine}
      saved={<Saved session={session} />}
    />
  )
}

/** The place for the whole machine and its axes, each a link. */
function Places({ jobId, axisId, stage, sheet }: HeaderProps['place']) {
  const axes = useAxisNames()
  const atMachine = stage === 'machine'
  return (
    <>
      <PlaceButton
        place={{ jobId, axisId: null, stage: 'machine' }}
        variant={atMachine ? 'lamp' : 'quiet'}
        aria-current={atMachine ? 'true' : undefined}
        flexShrink={0}
      >
        Machine
      </PlaceButton>
      {axes.map(axis => {
        const current = !atMachine && axis.id === axisId
        return (
          <PlaceButton
            key={axis.id}
            place={
              atMachine
                ? { jobId, axisId: axis.id, stage: 'survey' }
                : { jobId, axisId: axis.id, stage, sheet }
            }
            variant={current ? 'lamp' : 'quiet'}
            aria-current={current ? 'true' : undefined}
            data-axis={axis.name}
            whiteSpace="nowrap"
            flexShrink={0}
            maxW="150px"
          >
            <span>{axis.name}</span>
            <span style={{ fontWeight: 400, overflow: 'hidden', textOverflow: 'ellipsis' }}>
              {axis.title}
            </span>
          </PlaceButton>
        )
      })}
    </>
  )
}

function Saved({ session }: { session: JobSession }) {
  const savedAt = useSessionState(session, state => state.savedAt)
  const saving = useSessionState(session, state => state.saving)
  const failed = useSessionState(session, ({ problem }) => problem !== null)
  return <SavedNote savedAt={savedAt} saving={saving} failed={saving && failed} />
}
