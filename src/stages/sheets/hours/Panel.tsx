import { chakra } from '@chakra-ui/react'
import { CalendarPlus } from 'lucide-react'
import { useEffect, useState } from 'react'
import type { Job } from '@/core/document/job'
import { areUsualHours, DAYS_OFF, EXTRA_HOURS, HOURS, PLAN } from '@/core/document/plan'
import { refuseLargeCalendar } from '@/core/formats/calendarError'
import type { DaysOffFile as DaysOffFound } from '@/core/formats/daysOff'
import { nowOf } from '@/core/planning/days'
import { type HoursProblem, hoursProblems, lastDayFrom } from '@/core/planning/hours'
import { addDaysOff, setHelp } from '@/core/planning/planEdits'
import { dayWords } from '@/core/units/dateWords'
import { errorWords } from '@/store/errorWords'
import { Button } from '@/ui/controls'
import { FilePicker } from '@/ui/FilePicker'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { type Running, startDaysOff } from '@/workers/client'
import { useEdit, useJob, useJobContext, useUnits } from '../../job/JobContext'
import { useJobRows } from '../../job/useRows'
import { useTextOf } from '../../job/useTextOf'

const today = () => nowOf(new Date()).day
const hoursOf = (job: Job) => job.plan.hours
const daysOffOf = (job: Job) => job.plan.daysOff
const extraOf = (job: Job) => job.plan.extraHours
const dayOff = () => ({ fromDay: today(), toDay: today() })
const extraDay = () => ({ day: today() })

/** When there is time for the work: every week, days off, extra days, and what help there is. */
export function HoursPanel() {
  const plan = useJob(job => job.plan)
  const units = useUnits()
  const edit = useEdit()
  const hours = useJobRows(HOURS, hoursOf)
  const daysOff = useJobRows(DAYS_OFF, daysOffOf, dayOff)
  const extra = useJobRows(EXTRA_HOURS, extraOf, extraDay)
  const problems = hoursProblems(plan)
  return (
    <>
      <Panel
        title="Working hours"
        note={
          areUsualHours(plan)
            ? 'Nobody has said yet when there is time: these stand in. Change them to your own.'
            : 'Every week. Work stops at the end of a stretch and goes on in the next.'
        }
      >
        <RowsTable {...hours} units={units} addLabel="Another time" />
        <Problems problems={problems} rows={plan.hours} name="Working time" />
      </Panel>
      <Panel title="Days off">
        <RowsTable {...daysOff} units={units} addLabel="More days off" />
        <Problems problems={problems} rows={plan.daysOff} name="Days off" />
        <DaysOffFile />
      </Panel>
      <Panel title="Extra time" note="On a single day, also on one that is off.">
        <RowsTable {...extra} units={units} addLabel="More time" />
        <Problems problems={problems} rows={plan.extraHours} name="Extra time" />
      </Panel>
      <Panel
        title="Help"
        note="With it brackets and blocks can be made otherwise than by hand, where that gets it done sooner."
      >
        {(['otherMill', 'elsewhere'] as const).map(help => (
          <chakra.div key={help}>
            <FieldInput
              field={PLAN.of[help]}
              value={plan[help]}
              units={units}
              onValue={value => edit(setHelp(help, value === true))}
            />
          </chakra.div>
        ))}
      </Panel>
    </>
  )
}

/** What is wrong with the rows of a table, each by its place. */
function Problems({
  problems,
  rows,
  name,
}: {
  problems: readonly HoursProblem[]
  rows: readonly { id: string }[]
  name: string
}) {
  const of = problems.flatMap(({ rowId, text }) => {
    const place = rows.findIndex(({ id }) => id === rowId)
    return place < 0 ? [] : [`${name} ${place + 1}: ${text}. Left out of the plan until then.`]
  })
  return (
    <div role="alert">
      {of.map(text => (
        <Stated key={text} color="fails" fontWeight={700} mt="1">
          {text}
        </Stated>
      ))}
    </div>
  )
}

/** Takes days off out of a calendar file. */
function DaysOffFile() {
  const edit = useEdit()
  const { session } = useJobContext()
  const { textOf, ask } = useTextOf()
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null)
  const [reading, setReading] = useState<Running<DaysOffFound> | null>(null)
  useEffect(() => () => reading?.cancel(), [reading])
  const take = async (file: File) => {
    setSaid(null)
    try {
      refuseLargeCalendar(file.size)
      const text = await textOf(file)
      if (text === null) return
      const started = startDaysOff(text, {
        fromDay: today(),
        untilDay: lastDayFrom(today()),
        most: DAYS_OFF.most - (session.getState().job?.plan.daysOff.length ?? 0),
      })
      setReading(started)
      const found = await started.done
      if (found.rows.length > 0) edit(addDaysOff(found.rows, file.name.slice(0, 80)))
      setSaid({ bad: found.rows.length === 0 || found.beyond !== null, text: foundWords(found) })
    } catch (error) {
      setSaid({ bad: true, text: `${errorWords(error)} Nothing was changed.` })
    } finally {
      setReading(null)
    }
  }
  const cancel = () => {
    reading?.cancel()
    setReading(null)
    setSaid({ bad: false, text: 'Called off. Nothing was changed.' })
  }
  return (
    <chakra.div mt="2">
      {ask}
      <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="center">
        {reading ? (
          <>
            <span>Looking through the calendar…</span>
            <Button onClick={cancel}>Stop</Button>
          </>
        ) : (
          <FilePicker
            label="Calendar file"
            accept=".ics,text/calendar,text/plain"
            onFile={file => void take(file)}
          >
            <CalendarPlus size={16} aria-hidden /> Take days off from a calendar
          </FilePicker>
        )}
        <Stated as="span" role="status" fontWeight={700} color={said?.bad ? 'fails' : 'quiet'}>
          {said?.text}
        </Stated>
      </chakra.div>
    </chakra.div>
  )
}

/** What was found, and what was not taken: nothing is left out unsaid. */
function foundWords({ rows, withHours, free, beyond }: DaysOffFound): string {
  const parts = [
    rows.length === 0 ? 'No days off from today on' : `${rows.length} taken`,
    beyond &&
      `${beyond.count} more from ${dayWords(beyond.fromDay)} on were left out: a plan takes ${DAYS_OFF.most}`,
    withHours > 0 && `${withHours} appointments with hours were left out`,
    free > 0 && `${free} that block no day or were called off were left out`,
  ]
  return `${parts.filter(Boolean).join('; ')}.`
}
