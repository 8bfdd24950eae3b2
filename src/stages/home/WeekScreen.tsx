'use client'
import { chakra } from '@chakra-ui/react'
import { parseISO } from 'date-fns'
import { Printer } from 'lucide-react'
import { nowOf } from '@/core/planning/days'
import { WEEK_DAYS } from '@/core/planning/week'
import { nearDayWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { useJobRows } from '@/store/hooks'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { PageHead } from '@/ui/frame/PageHead'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { ProgressBar } from '@/ui/ProgressBar'
import { addressAsKnown } from '../job/address'
import { useWeeks, type Weeks } from './useWeeks'

/** What all machines need this week, on one page: what is next on each, and what their plans lay on each day. */
export function WeekScreen() {
  const stored = useJobRows()
  const live = stored?.rows.filter(row => !row.deletedAt && !row.job.archived) ?? null
  const weeks = useWeeks(live)
  const problem = stored?.problem ?? weeks.problem
  return (
    <chakra.div maxW="1080px" mx="auto" px="4" pb="10" data-sheets>
      <PageHead />
      <chakra.main display="grid" gap="4">
        <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end" justifyContent="space-between">
          <chakra.div>
            <chakra.h1 fontSize="26px" fontWeight={700}>
              This week
            </chakra.h1>
            <Note>What each machine needs next, and what its plan lays on the next {WEEK_DAYS} days.</Note>
          </chakra.div>
          <Button variant="outline" onClick={() => window.print()} disabled={weeks.isWorking}>
            <Printer size={16} aria-hidden /> Print the week
          </Button>
        </chakra.div>
        {problem && <Notice title={problem.title}>{problem.advice}</Notice>}
        {live && weeks.isWorking && (
          <chakra.div display="flex" gap="3" alignItems="center" data-frame>
            <ProgressBar aria-label="Plans laid" flex="1" max={live.length} value={weeks.done} />
            <Note as="span" role="status">
              {weeks.done} of {live.length} machines
            </Note>
            <Button variant="quiet" onClick={weeks.stop}>
              Stop
            </Button>
          </chakra.div>
        )}
        {live?.length === 0 && !problem && (
          <Panel title="No job yet">There is nothing to do this week.</Panel>
        )}
        {weeks.isStopped && (
          <Stated color="close">
            Stopped: {weeks.done} of {live?.length} machines are in it.
          </Stated>
        )}
        {weeks.machines.length > 0 && <NextOfAll weeks={weeks} />}
        {weeks.machines.length > 0 && <Days weeks={weeks} />}
      </chakra.main>
    </chakra.div>
  )
}

function NextOfAll({ weeks: { machines } }: { weeks: Weeks }) {
  return (
    <Panel title="Next on each machine">
      <chakra.ul display="grid" gap="2">
        {machines.map(({ job, next }) => (
          <chakra.li key={job.id} data-job={job.id}>
            <b>{job.name}</b>
            {next.length === 0 && <Note as="span"> nothing left to do</Note>}
            <chakra.ul pl="3">
              {next.map(({ axisId, stage, sheet, text }) => (
                <li key={axisId}>
                  <chakra.a
                    data-words
                    href={addressAsKnown({ jobId: job.id, axisId, stage, sheet })}
                    display="inline-flex"
                    alignItems="center"
                    minH={{ base: '44px', xl: '28px' }}
                  >
                    {text}
                  </chakra.a>
                </li>
              ))}
            </chakra.ul>
          </chakra.li>
        ))}
      </chakra.ul>
    </Panel>
  )
}

/** Hours of work are told in quarters: a plan is no finer. */
const hoursOf = (minutes: number) =>
  say(Math.round(minutes / 15) / 4, 'hours', 'mm', minutes % 60 === 0 ? 0 : 2)

function Days({ weeks: { machines } }: { weeks: Weeks }) {
  const today = nowOf(new Date()).day
  const lines = machines.flatMap(({ job, week }) =>
    (week?.lines ?? []).map(line => ({ ...line, jobId: job.id, machine: job.name })),
  )
  const days = [...new Set(lines.map(({ day }) => day))].toSorted()
  const unplanned = machines.filter(({ week, next }) => week === null && next.length > 0)
  return (
    <>
      {days.map(day => {
        const ofDay = lines.filter(line => line.day === day)
        const work = ofDay.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0)
        // One shop has its hours once, however many machines are planned into them.
        const most = Math.max(0, ...machines.map(({ week }) => week?.hours[day] ?? 0))
        return (
          <Panel key={day} title={`${nearDayWords(parseISO(day))}${day === today ? ', today' : ''}`}>
            {work > 0 && (
              <Stated
                color={work > most ? 'close' : 'quiet'}
                fontWeight={work > most ? 700 : undefined}
                mb="2"
              >
                {hoursOf(work)} of work, of {hoursOf(most)}.
                {work > most &&
                  ' Each machine is planned as if it were alone: not all of it can be done on this day by one pair of hands.'}
              </Stated>
            )}
            <chakra.ul display="grid" gap="1" data-day={day}>
              {ofDay.map(({ jobId, machine, text, minutes }) => (
                <chakra.li key={`${jobId} ${text}`} display="flex" gap="3" flexWrap="wrap">
                  <chakra.span flex="0 0 150px" fontWeight={700} overflowWrap="anywhere">
                    {machine}
                  </chakra.span>
                  <chakra.span flex="1" minW="160px">
                    {text}
                  </chakra.span>
                  <chakra.span fontFamily="mono" color="quiet">
                    {minutes === null ? '' : `${minutes} min`}
                  </chakra.span>
                </chakra.li>
              ))}
            </chakra.ul>
          </Panel>
        )
      })}
      {days.length === 0 && <Panel title="Nothing is planned">No plan lays anything on these days.</Panel>}
      {unplanned.length > 0 && (
        <Note>Without a plan: {unplanned.map(({ job }) => job.name).join(', ')}. Its schedule says why.</Note>
      )}
    </>
  )
}
