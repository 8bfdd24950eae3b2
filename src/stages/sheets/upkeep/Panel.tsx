import { chakra } from '@chakra-ui/react'
import { CalendarDays } from 'lucide-react'
import { useMemo, useState } from 'react'
import type { Due } from '@/core/acceptance/asked'
import { dueEntries, duesOf } from '@/core/acceptance/dues'
import { hoursOn, readingProblems, weeklyHours } from '@/core/acceptance/runHours'
import { usualUpkeep } from '@/core/acceptance/usualUpkeep'
import { ACCEPTANCE } from '@/core/document/acceptance'
import { setAcceptance } from '@/core/document/acceptanceEdits'
import type { Job } from '@/core/document/job'
import { HOUR_READINGS, UPKEEP_TASKS, type UpkeepTask } from '@/core/document/upkeep'
import { addUpkeep, doneUpkeep, maySet, readHours } from '@/core/document/upkeepEdits'
import { nowOf } from '@/core/planning/days'
import { dayWords } from '@/core/units/dateWords'
import { sentenceCase } from '@/core/units/sentenceCase'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { useEdit, useJob, useJobContext, useUnits, whole } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { saveCalendar } from '../../job/saveCalendar'
import { evaluationOf, useCatalogue } from '../../job/useEvaluation'
import { useJobRows } from '../../job/useRows'

const today = () => nowOf(new Date()).day
const tasksOf = (job: Job) => job.upkeep.tasks
const readingsOf = (job: Job) => job.upkeep.readings
const readToday = () => ({ day: today() })
const MACHINE = 'null'

/** What the machine asks for and when, how much it has run, and what is kept up on it. */
export function UpkeepPanel() {
  const job = useJob(whole)
  const catalogue = useCatalogue()
  const dues = useMemo(() => duesOf(job, axis => evaluationOf(axis, catalogue, job.units)), [job, catalogue])
  return (
    <>
      <Asked job={job} dues={dues} />
      <Run job={job} />
      <Tasks job={job} />
    </>
  )
}

/** All that is asked for, by its days. */
function Asked({ job, dues }: { job: Job; dues: readonly Due[] }) {
  const onDays = dues.filter(({ day, isSafety }) => day !== null || isSafety)
  const others = dues.filter(one => !onDays.includes(one))
  return (
    <Panel
      title="What is due, and when"
      note="Greasing, upkeep, proofs, and fixes for the time being. What is done goes into the log."
      action={
        dues.some(({ day }) => day !== null) && (
          <Button variant="outline" onClick={() => void saveCalendar(job, 'upkeep', dueEntries(job, dues))}>
            <CalendarDays size={16} aria-hidden /> Save as a calendar
          </Button>
        )
      }
    >
      {dues.length === 0 ? (
        <Note>Nothing yet: put the usual upkeep in below, and take out what your machine does not have.</Note>
      ) : (
        <>
          <DueList name="What is due" job={job} dues={onDays} />
          {others.length > 0 && (
            <Fold name={`${others.length} more without a day yet`}>
              <DueList name="Without a day yet" job={job} dues={others} />
            </Fold>
          )}
        </>
      )}
    </Panel>
  )
}

const DueList = ({ name, job, dues }: { name: string; job: Job; dues: readonly Due[] }) => (
  <chakra.ul aria-label={name}>
    {dues.map(due => (
      <OneDue key={due.key} job={job} due={due} />
    ))}
  </chakra.ul>
)

function OneDue({ job, due }: { job: Job; due: Due }) {
  const { axisId } = useJobContext()
  const task = job.upkeep.tasks.find(({ id }) => id === due.key)
  const isDue = due.day !== null && due.day <= today()
  return (
    <chakra.li
      data-due-on={due.day ?? 'no day'}
      display="grid"
      gridTemplateColumns={{ base: '1fr', md: '150px 1fr auto' }}
      columnGap="3"
      alignItems="center"
      borderTopWidth="1px"
      py="1"
    >
      <Stated as="span" fontWeight={700} color={due.isSafety ? 'fails' : isDue ? 'close' : undefined}>
        {due.isSafety
          ? 'now'
          : due.day === null
            ? 'no day yet'
            : `${isDue ? 'since ' : ''}${dayWords(due.day)}`}
      </Stated>
      <chakra.div minW="0" overflowWrap="anywhere">
        {sentenceCase(due.title)}
        <Note as="div">{sentenceCase(due.because)}.</Note>
      </chakra.div>
      <chakra.div display="flex" gap="2" flexWrap="wrap">
        {task ? (
          <Done job={job} task={task} />
        ) : (
          <PlaceButton
            variant="outline"
            aria-label={`Go there: ${due.title}`}
            place={{ jobId: job.id, axisId: due.axisId ?? axisId, stage: due.stage, sheet: due.sheet }}
          >
            Go there
          </PlaceButton>
        )}
      </chakra.div>
    </chakra.li>
  )
}

/** Puts down that something was done today; of what may have to be set, whether it was. */
function Done({ job, task }: { job: Job; task: UpkeepTask }) {
  const edit = useEdit()
  const done = (isSetAnew: boolean) =>
    edit(doneUpkeep(task, today(), { hours: hoursOn(job, today()), isSetAnew }))
  const on = job.axes.find(({ id }) => id === task.axisId)?.name
  const what = on ? `${on}: ${task.what}` : task.what
  if (!maySet(task))
    return (
      <Button aria-label={`Done today: ${what}`} onClick={() => done(false)}>
        Done today
      </Button>
    )
  return (
    <>
      <Button aria-label={`Found good: ${what}`} onClick={() => done(false)}>
        Found good
      </Button>
      <Button
        aria-label={`Set anew: ${what}`}
        title="Tests of this axis from before are older than that then"
        onClick={() => done(true)}
      >
        Set anew
      </Button>
    </>
  )
}

/** How much the machine has run: its counter, or a usual week. */
function Run({ job }: { job: Job }) {
  const units = useUnits()
  const edit = useEdit()
  const readings = useJobRows(HOUR_READINGS, readingsOf, readToday)
  const [shown, setShown] = useState<number | null>(null)
  const week = weeklyHours(job)
  const run = hoursOn(job, today())
  const problems = readingProblems(job)
  return (
    <Panel
      title={run === null ? 'How much it has run is not known' : `It has run about ${Math.round(run)} h`}
      note="By the hour counter, where it has one and it is read; else by the hours of a usual week, from the day of the acceptance."
    >
      <Stated mb="2" data-week={week?.from ?? 'unknown'}>
        {week === null
          ? 'Say how many hours a week it runs, or read its counter twice, two weeks apart or more.'
          : `${week.hours.toFixed(1)} h a week, as ${week.from === 'read' ? 'its counter was read' : 'was said'}.`}
      </Stated>
      <chakra.div display="flex" gap="3" flexWrap="wrap" alignItems="flex-end" mb="3">
        <chakra.div flex="0 1 240px">
          <FieldInput
            field={ACCEPTANCE.of.hoursAWeek}
            value={job.acceptance.hoursAWeek}
            units={units}
            onValue={(value, mergeKey) => edit(setAcceptance('hoursAWeek', value as number | null, mergeKey))}
          />
        </chakra.div>
        <chakra.div flex="0 1 240px">
          <FieldInput
            field={HOURS_TODAY}
            value={shown}
            units={units}
            onValue={value => setShown(value as number | null)}
          />
        </chakra.div>
        <Button
          disabled={shown === null}
          onClick={() => {
            if (shown !== null) edit(readHours(today(), shown))
            setShown(null)
          }}
        >
          Note the counter
        </Button>
      </chakra.div>
      {readings.rows.length > 0 && <RowsTable {...readings} units={units} addLabel="Another reading" />}
      <div role="alert">
        {problems.map(({ rowId, text }) => (
          <Stated key={rowId} color="fails" fontWeight={700} mt="1">
            {`Reading ${readings.rows.findIndex(({ id }) => id === rowId) + 1}: ${text}. It does not count until then. A new counter goes on from what the old one showed.`}
          </Stated>
        ))}
      </div>
    </Panel>
  )
}
const HOURS_TODAY = { ...HOUR_READINGS.of.hours, label: 'The counter shows today', orNone: true, blank: null }

/** What is kept up, how often, and when it was last done. */
function Tasks({ job }: { job: Job }) {
  const units = useUnits()
  const edit = useEdit()
  const tasks = useJobRows(UPKEEP_TASKS, tasksOf)
  const usual = usualUpkeep(job)
  const known = new Set(job.upkeep.tasks.map(({ axisId, kind }) => `${axisId} ${kind}`))
  const isMissing = usual.some(({ axisId, kind }) => !known.has(`${axisId} ${kind}`))
  const options = {
    axisId: [
      { value: MACHINE, label: 'machine' },
      ...job.axes.map(({ id, name }) => ({ value: id, label: name })),
    ],
  }
  return (
    <Panel
      title="What is kept up"
      note="By days or by hours of running, whichever comes first. How often is for you, the makers of the parts, and what the proofs show. Greasing is reckoned on its own sheet."
      action={
        isMissing && (
          <Button
            variant={tasks.rows.length === 0 ? 'lamp' : 'outline'}
            onClick={() => edit(addUpkeep(usual))}
          >
            Put the usual ones in
          </Button>
        )
      }
    >
      <RowsTable {...tasks} units={units} addLabel="Something else" options={options} />
    </Panel>
  )
}
