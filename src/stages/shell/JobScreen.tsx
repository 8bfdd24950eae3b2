'use client'
import { chakra } from '@chakra-ui/react'
import dynamic from 'next/dynamic'
import { useEffect, useRef, useState } from 'react'
import type { Job } from '@/core/document/job'
import { firstSheet } from '@/core/sheets'
import { getDatabase } from '@/store/database'
import { loadNewest } from '@/store/renewal'
import type { Conflict, JobSession } from '@/store/session'
import { Button, LinkButton } from '@/ui/controls'
import { FirstFrame } from '@/ui/frame/FirstFrame'
import { Notice } from '@/ui/frame/Notice'
import { OvertakenActions } from '../home/OvertakenActions'
import { isPaper } from '../job/address'
import { JobContextProvider, useSessionState } from '../job/JobContext'
import { withLater } from '../job/later'
import { addressOf, go, usePlace } from '../job/place'
import { saveJob } from '../job/saveJob'
import { JobFrame } from './JobFrame'
import { useSession } from './useSession'

/** Copies follow when a job has rested for a while: what makes them comes when the first screen stands. */
const COPIES_AFTER_MS = 2500
const FolderCopy = dynamic(
  async () => {
    await new Promise(done => setTimeout(done, COPIES_AFTER_MS))
    return (await import('./FolderCopy')).FolderCopy
  },
  { ssr: false },
)
// Paper comes when it is asked for.
const RecordScreen = dynamic(
  () => withLater(() => import('../record/RecordScreen').then(module => module.RecordScreen)),
  {
    ssr: false,
  },
)
const AlignmentScreen = dynamic(
  () => withLater(() => import('../record/AlignmentScreen').then(module => module.AlignmentScreen)),
  { ssr: false },
)
const EveningScreen = dynamic(
  () => withLater(() => import('../record/EveningScreen').then(module => module.EveningScreen)),
  {
    ssr: false,
  },
)
const WorksheetScreen = dynamic(
  () => withLater(() => import('../record/WorksheetScreen').then(module => module.WorksheetScreen)),
  {
    ssr: false,
  },
)

const AcceptanceScreen = dynamic(
  () => withLater(() => import('../record/AcceptanceScreen').then(module => module.AcceptanceScreen)),
  { ssr: false },
)
const CutPartScreen = dynamic(
  () => withLater(() => import('../record/CutPartScreen').then(module => module.CutPartScreen)),
  { ssr: false },
)

/** Everything of one open job: its stages, or a sheet of an axis to print. */
export function JobScreen({ demo }: { demo: boolean }) {
  const place = usePlace()
  const isSeeded = useSeeded(demo)
  if (!place) return null
  return isSeeded ? <OpenJob key={place.jobId} jobId={place.jobId} /> : <FirstFrame job />
}

/** Whether the demo jobs are here, where the app is started with them: an address may lead to one before the list was seen. */
function useSeeded(demo: boolean): boolean {
  const [isSeeded, setIsSeeded] = useState(!demo)
  useEffect(() => {
    // Where nothing can be stored, the job itself says so.
    if (demo)
      import('@/store/jobs')
        .then(({ seedDemo }) => seedDemo(getDatabase()))
        .catch(() => {})
        .finally(() => setIsSeeded(true))
  }, [demo])
  return isSeeded
}

function OpenJob({ jobId }: { jobId: string }) {
  const session = useSession(jobId)
  const status = useSessionState(session, state => state.status)
  const problem = useSessionState(session, state => state.problem)
  const place = usePlace()
  // At the place for the whole machine, the axis that was looked at last stays the one at work.
  const lastAxis = useRef<string | null>(null)
  const axisId = useSessionState(session, ({ job }) => idOfAxis(job, place?.axisId ?? lastAxis.current))
  if (place?.axisId) lastAxis.current = place.axisId
  const stage = place?.stage ?? 'survey'
  const sheet = isPaper(stage) ? null : (place?.sheet ?? firstSheet(stage))

  // An address that leaves out its axis or its sheet, or has one that is gone, is made whole.
  useEffect(() => {
    if (!axisId) return
    const address = addressOf({ jobId, axisId, stage, sheet })
    if (window.location.pathname !== address) window.history.replaceState(null, '', address)
  }, [axisId, jobId, stage, sheet])

  if (status === 'loading' && !problem) return <FirstFrame job />
  if (status !== 'ready' || !axisId)
    return (
      <Plain>
        <Notice
          title={problem?.title ?? 'This job is not in this browser'}
          actions={
            problem?.isOvertaken ? (
              <OvertakenActions />
            ) : (
              <LinkButton href="/" variant="outline">
                All jobs
              </LinkButton>
            )
          }
        >
          {problem?.advice ??
            'It was deleted, or it was made in another browser: import its file from the list of jobs.'}
        </Notice>
      </Plain>
    )
  return (
    <JobContextProvider session={session} axisId={axisId}>
      {stage === 'record' ? (
        <RecordScreen onBack={() => go({ jobId, axisId, stage: 'log' })} />
      ) : stage === 'worksheet' ? (
        <WorksheetScreen onBack={() => go({ jobId, axisId, stage: 'room', sheet: 'cuts' })} />
      ) : stage === 'alignment' ? (
        <AlignmentScreen onBack={() => go({ jobId, axisId, stage: 'align' })} />
      ) : stage === 'evening' ? (
        <EveningScreen onBack={() => go({ jobId, axisId, stage: 'build', sheet: 'steps' })} />
      ) : stage === 'handover' ? (
        <AcceptanceScreen onBack={() => go({ jobId, axisId: null, stage: 'machine', sheet: 'acceptance' })} />
      ) : stage === 'cutPart' ? (
        <CutPartScreen onBack={() => go({ jobId, axisId, stage: 'prove', sheet: 'circle' })} />
      ) : (
        <>
          <Troubles session={session} />
          <FolderCopy session={session} jobId={jobId} />
          <JobFrame
            session={session}
            jobId={jobId}
            axisId={axisId}
            stage={stage}
            sheet={sheet ?? firstSheet(stage)}
          />
        </>
      )}
    </JobContextProvider>
  )
}

/** The id of the axis that is asked for, or of the first one. */
const idOfAxis = (job: Job | null, wanted: string | null) =>
  (job?.axes.find(({ id }) => id === wanted) ?? job?.axes[0])?.id

function Plain({ children }: { children: React.ReactNode }) {
  return (
    <chakra.main maxW="760px" mx="auto" p="6">
      {children}
    </chakra.main>
  )
}

/** What went wrong with saving, and what can be done about it. */
function Troubles({ session }: { session: JobSession }) {
  const problem = useSessionState(session, state => state.problem)
  const notUndone = useSessionState(session, state => state.notUndone)
  const conflicts = useSessionState(session, state => state.conflicts)
  const any = problem || notUndone || conflicts.length > 0
  return (
    <chakra.div data-frame display="grid" gap="2" px="3" pt={any ? '3' : '0'}>
      {problem && (
        <Notice
          title={`Not saved. ${problem.title}`}
          actions={
            <>
              <Button
                variant={problem.isOvertaken ? undefined : 'lamp'}
                onClick={() => void saveJob(session)}
              >
                Export now
              </Button>
              {problem.isOvertaken ? (
                <Button variant="lamp" onClick={() => void loadNewest()}>
                  Load again
                </Button>
              ) : (
                <Button onClick={session.retry}>Save again</Button>
              )}
            </>
          }
        >
          {problem.advice}
        </Notice>
      )}
      {notUndone && (
        <Notice
          title={`Not undone. ${notUndone.title}`}
          actions={<Button onClick={session.closeNotUndone}>Close</Button>}
        >
          {notUndone.advice}
        </Notice>
      )}
      {conflicts.length > 0 && <Conflicts session={session} conflicts={conflicts} />}
    </chakra.div>
  )
}

/** Changes that another tab came before, each with the two ways to settle it: they stay until they are answered. */
function Conflicts({ session, conflicts }: { session: JobSession; conflicts: readonly Conflict[] }) {
  const each = (settle: (conflict: Conflict) => void) => () => conflicts.forEach(settle)
  const many = conflicts.length > 1
  return (
    <Notice
      title={
        many
          ? `Another tab saved something else first, in ${conflicts.length} places`
          : (conflicts[0]?.message ?? '')
      }
      actions={
        <>
          <Button onClick={each(session.insist)}>{many ? 'Put all of mine in' : 'Put mine in'}</Button>
          <Button variant="quiet" onClick={each(session.giveWay)}>
            {many ? 'Keep all of theirs' : 'Keep theirs'}
          </Button>
        </>
      }
    >
      What the other tab saved is shown; nothing of it was overwritten. Yours is kept until you have said
      which it is to be.
      {many && (
        <chakra.ul display="grid" gap="1" mt="1" maxH="176px" overflowY="auto">
          {conflicts.map(conflict => (
            <chakra.li
              key={conflict.pending.change.id}
              display="flex"
              gap="2"
              alignItems="center"
              flexWrap="wrap"
            >
              <chakra.span flex="1 1 220px">{conflict.pending.change.label}</chakra.span>
              <Button
                aria-label={`Put mine in: ${conflict.pending.change.label}`}
                onClick={() => session.insist(conflict)}
              >
                Mine
              </Button>
              <Button
                aria-label={`Keep theirs: ${conflict.pending.change.label}`}
                onClick={() => session.giveWay(conflict)}
              >
                Theirs
              </Button>
            </chakra.li>
          ))}
        </chakra.ul>
      )}
    </Notice>
  )
}
