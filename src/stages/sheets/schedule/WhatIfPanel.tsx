import { chakra } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { Job } from '@/core/document/job'
import { WEEKDAYS } from '@/core/document/plan'
import { dateAt, type Now } from '@/core/planning/days'
import { nameOf, type Placed } from '@/core/planning/entries'
import type { PlannedJob, WhatIf } from '@/core/planning/plan'
import { nearDayWords } from '@/core/units/dateWords'
import { SelectField } from '@/ui/fields/SelectField'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { lengthWords, whenWords } from '../../job/plan/planWords'
import { usePlan } from '../../job/plan/usePlan'

interface Props {
  job: Job
  plan: PlannedJob
  placed: readonly Placed[]
  now: Now
}

const WEEK_DAYS = 7
/** Those that press most; the rest are counted. */
const MOST_TO_ORDER = 5
const EVENING = { fromMinute: 19 * 60, toMinute: 22 * 60 }

/** The first day of the week without working time. */
const freeWeekday = ({ plan }: Job) =>
  WEEKDAYS.find(weekday => !plan.hours.some(row => row.weekday === weekday)) ?? null

/** Questions that can be asked of this job. */
function questions(job: Job, placed: readonly Placed[]): { id: string; label: string; whatIf: WhatIf }[] {
  const weekday = freeWeekday(job)
  return [
    ...placed
      .filter(({ task }) => task.kind === 'parcel')
      .map(({ task }) => ({
        id: task.key,
        label: `${task.title} comes a week late`,
        whatIf: { kind: 'late', key: task.key, days: WEEK_DAYS } as const,
      })),
    ...(weekday === null
      ? []
      : [
          {
            id: 'evening',
            label: 'one more evening a week',
            whatIf: { kind: 'evening', weekday, ...EVENING } as const,
          },
        ]),
    ...(job.plan.otherMill
      ? []
      : [{ id: 'otherMill', label: 'a mill could be borrowed', whatIf: { kind: 'otherMill' } as const }]),
    ...(job.plan.elsewhere
      ? []
      : [
          {
            id: 'elsewhere',
            label: 'somebody else made the parts',
            whatIf: { kind: 'elsewhere' } as const,
          },
        ]),
  ]
}

/** What a late parcel, an evening more or a borrowed mill would do to the end; and what is to be ordered by when. */
export function WhatIfPanel({ job, plan, placed, now }: Props) {
  const all = useMemo(() => questions(job, placed), [job, placed])
  const [id, setId] = useState('')
  const asked = all.find(one => one.id === id) ?? null
  const toOrder = placed
    .filter(({ task }) => task.kind === 'parcel' && !task.isOrdered)
    .toSorted((a, b) => a.slackMinutes - b.slackMinutes)
  const later = toOrder.length - MOST_TO_ORDER
  return (
    <Panel title="What if">
      <chakra.div maxW="420px">
        <SelectField
          label="What would it do if"
          value={asked?.id ?? ''}
          options={[{ value: '', label: 'choose' }, ...all.map(one => ({ value: one.id, label: one.label }))]}
          onChange={setId}
        />
      </chakra.div>
      {asked && <Answer key={asked.id} job={job} whatIf={asked.whatIf} plan={plan} />}
      {toOrder.length > 0 && (
        <chakra.div mt="3">
          <strong>To order, so that nothing waits for it</strong>
          <Stated as="ul" mt="1">
            {toOrder.slice(0, MOST_TO_ORDER).map(({ task, slackMinutes }) => (
              <li key={task.key}>
                {nameOf(task)}:{' '}
                {slackMinutes < 24 * 60
                  ? 'today, there is nothing to spare'
                  : `by ${nearDayWords(dateAt(now.day, now.minute + slackMinutes))}`}
              </li>
            ))}
            {later > 0 && <li>{later} more have more time.</li>}
          </Stated>
        </chakra.div>
      )}
    </Panel>
  )
}

function Answer({ job, whatIf, plan }: { job: Job; whatIf: WhatIf; plan: PlannedJob }) {
  const { plan: otherwise, now, isLooking, failed } = usePlan(job, whatIf)
  const words = (then: PlannedJob): string => {
    const later = then.finishMinute - plan.finishMinute
    const change =
      later === 0
        ? 'no sooner and no later'
        : `${lengthWords(Math.abs(later))} ${later > 0 ? 'later' : 'sooner'}`
    return `Everything would be done on ${whenWords(now.day, then.finishMinute)}: ${change}.`
  }
  return (
    <chakra.p
      mt="2"
      role="status"
      data-what-if
      aria-busy={(!failed && (!otherwise || isLooking)) || undefined}
    >
      {failed
        ? `It could not be planned: ${failed}`
        : otherwise?.kind === 'plan'
          ? `${words(otherwise)}${isLooking ? ' Looking further…' : ''}`
          : otherwise
            ? 'There would be no plan at all.'
            : 'Laying the plan…'}
    </chakra.p>
  )
}
