import { chakra } from '@chakra-ui/react'
import { CalendarDays } from 'lucide-react'
import type { Job } from '@/core/document/job'
import { entriesOf, nameOf, type Placed } from '@/core/planning/entries'
import type { Window } from '@/core/schedule/calendar'
import { Button } from '@/ui/controls'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { useJobContext } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { boundWords, lengthWords, spanWords, whenWords, workWords } from '../../job/plan/planWords'
import type { Planning } from '../../job/plan/usePlan'
import { saveCalendar } from '../../job/saveCalendar'
import { useCatalogue } from '../../job/useEvaluation'

interface Props {
  job: Job
  planning: Planning
  placed: readonly Placed[]
  windows: readonly Window[]
  /** What the builder should know of the plan. */
  notes: readonly string[]
}

/** The next thing to do and when, and when everything is done. */
export function Standing({ job, planning, placed, windows, notes }: Props) {
  const { now, plan, isLooking, failed, stop } = planning
  const { axisId } = useJobContext()
  const catalogue = useCatalogue()
  const next = placed.find(({ way }) => !way.waits)
  const save = async () => {
    const { dueEntries, duesOfJob } = await import('@/core/acceptance/dues')
    await saveCalendar(job, 'schedule', [
      ...entriesOf(job.id, placed, windows, now.day),
      ...dueEntries(job, duesOfJob(job, catalogue)),
    ])
  }
  return (
    <Panel
      title="Schedule"
      action={
        placed.length > 0 && (
          <Button variant="outline" onClick={() => void save()}>
            <CalendarDays size={16} aria-hidden /> Save as a calendar
          </Button>
        )
      }
    >
      {!plan && !failed && (
        <chakra.p color="quiet" aria-busy>
          Laying the plan…
        </chakra.p>
      )}
      {next && (
        <chakra.div data-next-task={next.key}>
          <Note>Next, {spanWords(now.day, next.beginMinute, next.finishMinute)}</Note>
          <chakra.p fontSize="22px" fontWeight={700} lineHeight="1.25">
            {nameOf(next.task)}
            <chakra.span fontSize="15px" fontWeight={400} color="quiet">
              {' '}
              {lengthWords(next.way.minutes)}
              {next.task.ways.length > 1 && `, ${next.way.words}`}
            </chakra.span>
          </chakra.p>
          <PlaceButton
            variant="lamp"
            mt="2"
            place={{ jobId: job.id, axisId: next.task.axisId ?? axisId, ...next.task.place }}
          >
            Go there
          </PlaceButton>
        </chakra.div>
      )}
      {plan?.kind === 'plan' && (
        <chakra.p mt="3" data-finish={plan.tasks.length}>
          <strong>Everything is done on {whenWords(now.day, plan.finishMinute)}</strong>, with{' '}
          {workWords(plan.handsMinutes)} of work. {!isLooking && boundWords(plan, now.minute)}
        </chakra.p>
      )}
      {plan?.kind === 'none' && plan.reason === 'done' && <p>Everything is done.</p>}
      <chakra.div
        role="status"
        aria-live="polite"
        aria-busy={isLooking || undefined}
        display="flex"
        alignItems="center"
        gap="3"
      >
        {isLooking && plan && (
          <>
            <Note as="span">Looking for a better plan…</Note>
            <Button variant="quiet" onClick={stop}>
              This one will do
            </Button>
          </>
        )}
        {failed && (
          <chakra.span color="fails" fontWeight={700}>
            It could not be planned: {failed}
          </chakra.span>
        )}
      </chakra.div>
      {notes.map(note => (
        <Stated key={note} color="close" mt="1">
          {note}
        </Stated>
      ))}
    </Panel>
  )
}
