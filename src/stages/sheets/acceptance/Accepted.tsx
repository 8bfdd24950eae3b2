import { chakra } from '@chakra-ui/react'
import { CalendarDays } from 'lucide-react'
import { useState } from 'react'
import { type AcceptanceSheet, openPoints } from '@/core/acceptance/acceptanceOf'
import { reproofsOf } from '@/core/acceptance/reproofs'
import { ACCEPTANCE } from '@/core/document/acceptance'
import { acceptMachine, REPROOF_WORDS, setAcceptance, setReproved } from '@/core/document/acceptanceEdits'
import { LONGEST_LINE } from '@/core/document/job'
import { nowOf } from '@/core/planning/days'
import { dayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { TextField } from '@/ui/fields/TextField'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob, useJobContext, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { saveCalendar } from '../../job/saveCalendar'
import { evaluationOf, useCatalogue } from '../../job/useEvaluation'

const today = () => nowOf(new Date()).day

/** What is open of a machine, in a few words for the log. */
const openWords = (sheet: AcceptanceSheet): string => {
  const points = openPoints(sheet)
  return points.length === 0
    ? 'Nothing is open.'
    : `${points.length} ${points.length === 1 ? 'point is' : 'points are'} open: ${points.join(' ')}`
}

/** The day of the acceptance, and the proofs that come after it. */
export function Accepted({ sheet }: { sheet: AcceptanceSheet }) {
  const { session, axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const terms = useJob(job => job.acceptance)
  const units = useUnits()
  const catalogue = useCatalogue()
  const edit = useEdit()
  const [day, setDay] = useState(today)
  const accept = () => {
    const due = reproofsOf({ acceptance: { ...terms, acceptedDay: day, reproved: {} }, axes: [] }).map(
      ({ kind, dueDay }) => `${REPROOF_WORDS[kind]}: ${dueDay ? `about ${dayWords(dueDay)}` : 'no day yet'}.`,
    )
    const who = terms.acceptedBy ? ` by ${terms.acceptedBy}` : ''
    edit(
      acceptMachine(
        day,
        `Accepted${who} on ${dayWords(day)}. ${due.join(' ')} ${openWords(sheet)}`.slice(0, LONGEST_LINE),
      ),
    )
  }
  const save = async () => {
    const { job } = session.getState()
    if (!job) return
    const { dueEntries, duesOf } = await import('@/core/acceptance/dues')
    const proofs = duesOf(job, axis => evaluationOf(axis, catalogue, units)).filter(
      ({ kind }) => kind === 'proof',
    )
    await saveCalendar(job, 'proofs', dueEntries(job, proofs))
  }
  return (
    <Panel
      title={terms.acceptedDay ? `Accepted on ${dayWords(terms.acceptedDay)}` : 'Not accepted yet'}
      note="A machine is proved again once its screws have settled, after ten hours of running, and after half a year for wear."
      action={
        terms.acceptedDay && (
          <Button variant="outline" onClick={() => void save()}>
            <CalendarDays size={16} aria-hidden /> Save the dates as a calendar
          </Button>
        )
      }
    >
      <chakra.div display="flex" gap="3" flexWrap="wrap" alignItems="flex-end">
        <chakra.div flex="0 1 240px">
          <FieldInput
            field={ACCEPTANCE.of.hoursAWeek}
            value={terms.hoursAWeek}
            units={units}
            onValue={(value, mergeKey) => edit(setAcceptance('hoursAWeek', value as number | null, mergeKey))}
          />
        </chakra.div>
        {!terms.acceptedDay && (
          <>
            <TextField
              type="date"
              label="Day of the acceptance"
              value={day}
              onChange={event => setDay(event.currentTarget.value || today())}
            />
            <Button variant="lamp" onClick={accept} disabled={sheet.blockedBy.length > 0}>
              {sheet.isComplete ? 'It is accepted' : 'It is accepted with its open points'}
            </Button>
          </>
        )}
        {terms.acceptedDay && (
          <Button variant="quiet" onClick={() => edit(setAcceptance('acceptedDay', null))}>
            Take the acceptance back
          </Button>
        )}
      </chakra.div>
      {sheet.blockedBy.length > 0 && (
        <chakra.div role="alert" data-blocked mt="3" color="fails" fontWeight={700}>
          {terms.acceptedDay
            ? 'Not to be run, though it was accepted: something that concerns safety is mended for the time being only.'
            : 'Nobody can take it over yet: something that concerns safety is mended for the time being only.'}
          <chakra.ul pl="5" listStyleType="disc" fontWeight={400}>
            {sheet.blockedBy.map(text => (
              <li key={text}>{text}</li>
            ))}
          </chakra.ul>
          <PlaceButton variant="outline" place={{ jobId, axisId, stage: 'log' }}>
            To the temporary fixes
          </PlaceButton>
        </chakra.div>
      )}
      {sheet.reproofs.map(({ kind, dueDay, doneDay, untested }) => (
        <chakra.div
          key={kind}
          data-reproof={kind}
          display="flex"
          gap="3"
          flexWrap="wrap"
          alignItems="center"
          mt="3"
        >
          <chakra.span flex="1 1 320px">
            <strong>{REPROOF_WORDS[kind]}:</strong>{' '}
            {doneDay
              ? `done on ${dayWords(doneDay)}`
              : dueDay
                ? `${dueDay < today() ? 'was due' : 'due'} about ${dayWords(dueDay)}`
                : 'say how many hours a week it runs, and its day is known'}
            {!doneDay && untested.length > 0 && `. Not tested since: ${untested.join(', ')}.`}
          </chakra.span>
          {!doneDay && (
            <Button
              variant="outline"
              aria-label={`Proved again: ${REPROOF_WORDS[kind].toLowerCase()}`}
              disabled={untested.length > 0}
              onClick={() => edit(setReproved(kind, today()))}
            >
              Proved again
            </Button>
          )}
        </chakra.div>
      ))}
    </Panel>
  )
}
