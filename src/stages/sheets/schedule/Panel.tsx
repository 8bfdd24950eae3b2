import { chakra } from '@chakra-ui/react'
import { memo, useDeferredValue, useMemo } from 'react'
import type { Job } from '@/core/document/job'
import { areUsualHours } from '@/core/document/plan'
import type { Now } from '@/core/planning/days'
import { type Placed, placedTasks } from '@/core/planning/entries'
import { hoursProblems, windowsFrom } from '@/core/planning/hours'
import type { Planned, PlannedJob } from '@/core/planning/plan'
import { type Task, tasksOf } from '@/core/planning/tasks'
import type { Window } from '@/core/schedule/calendar'
import { chartLater } from '@/ui/chart/chartLater'
import { Panel } from '@/ui/Panel'
import { usePlan } from '../../job/plan/usePlan'
import { useSettledJob } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { Agenda } from './Agenda'
import { Done } from './Done'
import { NoPlanPanel } from './NoPlanPanel'
import { OwnTasks } from './OwnTasks'
import { Standing } from './Standing'
import { WhatIfPanel } from './WhatIfPanel'

/** As high as the picture of four axes and the machine is. */
const CHART_PX = 250
const ScheduleChart = chartLater(
  () => import('./ScheduleChart').then(module => module.ScheduleChart),
  CHART_PX,
)

/** What is done when, by whom it is held up, and what would get it done sooner. */
export function SchedulePanel() {
  const job = useSettledJob()
  const catalogue = useCatalogue()
  const planning = usePlan(job, null)
  const { now, plan } = planning
  const { tasks, gaps } = useMemo(() => tasksOf(job, catalogue, now), [job, catalogue, now])
  const windows = useMemo(() => windowsFrom(job.plan, now.day, now.minute), [job.plan, now])
  // While a better plan is looked for after an edit, the one before still stands, as far as its tasks do.
  const placed = useMemo(() => (plan?.kind === 'plan' ? placedTasks(tasks, plan.tasks) : []), [tasks, plan])
  const shown = useMemo(
    () => ({ job, tasks, windows, now, placed, plan }),
    [job, tasks, windows, now, placed, plan],
  )
  // What comes next stands first; the long list and the picture follow.
  const below = useDeferredValue(shown)
  const wrong = hoursProblems(job.plan)
  const notes = [
    ...(areUsualHours(job.plan)
      ? [
          'Nobody has said yet when there is time: two evenings and a Saturday stand in. Say it under Working hours.',
        ]
      : []),
    ...(wrong.length > 0
      ? [`${wrong.length} of the working hours cannot be as they stand, and are left out: see Working hours.`]
      : []),
    ...gaps,
  ]
  return (
    <>
      <Standing job={job} planning={planning} placed={placed} windows={windows} notes={notes} />
      {plan?.kind === 'none' && plan.reason !== 'done' && <NoPlanPanel plan={plan} tasks={tasks} />}
      {/* What follows one step behind is not put on paper before it is there. */}
      <chakra.div display="contents" aria-busy={below !== shown || undefined}>
        <Below {...below} />
      </chakra.div>
    </>
  )
}

interface BelowProps {
  job: Job
  tasks: readonly Task[]
  windows: readonly Window[]
  now: Now
  placed: readonly Placed[]
  plan: Planned | null
}

const Below = memo(function Below({ job, tasks, windows, now, placed, plan }: BelowProps) {
  return (
    <>
      {placed.length > 0 && (
        <>
          <Panel title="Over the calendar">
            {/* The list under it does not move under a hand when the picture comes. */}
            <chakra.div minH={`${CHART_PX}px`}>
              <ScheduleChart
                placed={placed}
                windows={windows}
                now={now}
                finishMinute={(plan as PlannedJob).finishMinute}
                axes={job.axes.map(({ name }) => name)}
              />
            </chakra.div>
            <chakra.p fontSize="13px" color="quiet">
              Tall bars hold up the end; low ones have time to spare; thin ones wait, round the clock. Light
              stripes are the hours there are, the dashed line is now.
            </chakra.p>
          </Panel>
          <Agenda placed={placed} now={now} />
        </>
      )}
      {plan?.kind === 'plan' && <WhatIfPanel job={job} plan={plan} placed={placed} now={now} />}
      <OwnTasks tasks={tasks} />
      <Done tasks={tasks} />
    </>
  )
})
