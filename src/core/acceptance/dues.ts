import { REPROOF_WORDS } from '../document/acceptanceEdits'
import type { Axis } from '../document/axis'
import type { FixTerms } from '../document/fixes'
import type { Job } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import { UPKEEP_WORDS, type UpkeepTask } from '../document/upkeep'
import type { EvaluationContext } from '../evaluation/context'
import type { CalendarEntry } from '../formats/calendarFile'
import { dayAfter } from '../planning/days'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { nextGreasing } from '../sheets/grease/due'
import { playTrendOf } from '../sheets/playTrend/trend'
import type { Due } from './asked'
import { reproofsOf } from './reproofs'
import { reversalTests } from './reversalTests'
import { dayOfRun, hoursOn, weeklyHours } from './runHours'

// What a machine asks for, and when: fixes that were meant for a while, greasing, upkeep, and proofs.

/** How a line of the list begins: with the axis, where it is on one. */
const named = (job: Pick<Job, 'axes'>, axisId: string | null, what: string): string => {
  const axis = job.axes.find(({ id }) => id === axisId)
  return axis ? `${axis.name}: ${what}` : what
}

const hoursWords = (hours: number) => `${Math.round(hours)} h`

/** When an open fix asks: by its day or its hours, whichever comes first. */
export function fixDay(job: Pick<Job, 'acceptance' | 'upkeep'>, fix: FixTerms): string | null {
  const byHours = fix.untilHours === null ? null : dayOfRun(job, fix.untilHours)
  return firstOf([fix.untilDay, byHours])
}
const firstOf = (days: readonly (string | null)[]): string | null =>
  days.filter(day => day !== null).toSorted()[0] ?? null

const fixDues = (job: Job): Due[] =>
  Object.entries(job.fixes).map(([key, fix]): Due => {
    const day = fixDay(job, fix)
    const { untilDay, untilHours, isSafety } = fix
    const hours =
      untilHours === null
        ? null
        : `once the machine has run ${hoursWords(untilHours)}${day === null ? ', of which nobody knows when that is' : ''}`
    return {
      key,
      kind: 'fix',
      axisId: fix.axisId,
      title: named(job, fix.axisId, `mend for good: ${fix.text}`),
      day,
      because: [isSafety ? 'it concerns safety' : null, untilDay !== null ? 'as agreed' : null, hours]
        .filter(Boolean)
        .join('; '),
      details: '',
      isSafety,
      stage: 'log',
      sheet: 'log',
    }
  })

/** When something is done next that is done by days or by hours; null while nothing says from when it counts. */
export function taskDay(
  job: Pick<Job, 'acceptance' | 'upkeep'>,
  { everyDays, everyHours, doneDay, doneHours }: UpkeepTask,
): { day: string | null; because: string } {
  const from = doneDay ?? job.acceptance.acceptedDay
  if (everyDays === null && everyHours === null)
    return { day: null, because: 'say after how many days or hours it is done again' }
  if (from === null)
    return { day: null, because: 'counts from the acceptance, or from the first time that it is done' }
  const byDays = everyDays === null ? null : dayAfter(from, everyDays)
  const fromHours = doneDay === null ? hoursOn(job, from) : (doneHours ?? hoursOn(job, from))
  const byHours = everyHours === null || fromHours === null ? null : dayOfRun(job, fromHours + everyHours)
  const day = firstOf([byDays, byHours])
  const since = doneDay === null ? 'the acceptance' : 'the last time'
  if (everyHours !== null && byHours === null && !(weeklyHours(job)?.hours === 0))
    return {
      day,
      because: `${day === null ? '' : `${everyDays} days after ${since}; `}by hours as well, once somebody says how much it runs`,
    }
  return {
    day,
    because:
      day === null
        ? 'it does not run at present'
        : day === byHours && day !== byDays
          ? `${everyHours} hours of running after ${since}`
          : `${everyDays} days after ${since}`,
  }
}

const taskDues = (job: Job): Due[] =>
  job.upkeep.tasks.map(task => ({
    key: task.id,
    kind: 'upkeep',
    axisId: task.axisId,
    title: named(job, task.axisId, task.what || UPKEEP_WORDS[task.kind]),
    ...taskDay(job, task),
    details: '',
    isSafety: false,
    stage: 'machine',
    sheet: 'upkeep',
  }))

const proofDues = (job: Job): Due[] =>
  reproofsOf(job).flatMap(({ kind, dueDay, doneDay }): Due[] =>
    doneDay !== null
      ? []
      : [
          {
            key: kind,
            kind: 'proof',
            axisId: null,
            title: REPROOF_WORDS[kind],
            day: dueDay,
            because:
              dueDay === null
                ? 'known once somebody says how many hours a week it runs'
                : 'reversal on every axis; screws of joints first',
            details: `Axes ${job.axes.map(({ name }) => name).join(', ')}.`,
            isSafety: false,
            stage: 'machine',
            sheet: 'acceptance',
          },
        ],
  )

/** What an axis asks for by what was read on it and how far it runs: grease, and a proof before its play is too much. */
function axisDues(t: EvaluationContext, job: Pick<Job, 'axes'>): Due[] {
  const { axis } = t
  const grease = nextGreasing(t)
  const reaches = playTrendOf(t, reversalTests(axis)).found?.reaches ?? null
  const about = (key: string) => ({ key: `${axis.id}.${key}`, axisId: axis.id, isSafety: false })
  return [
    ...(grease
      ? [
          {
            ...about('grease'),
            kind: 'grease' as const,
            title: named(job, axis.id, 'grease it'),
            day: grease.day,
            because:
              grease.because === 'first'
                ? 'a week after the first time'
                : grease.because === 'travel'
                  ? 'by the travel of the nut'
                  : 'half a year after the last time',
            details: axis.lubePoints.map(({ what }) => what).join(', '),
            stage: 'build' as const,
            sheet: 'grease' as const,
          },
        ]
      : []),
    ...(reaches
      ? [
          {
            ...about('play'),
            kind: 'proof' as const,
            title: named(job, axis.id, 'prove its play again'),
            day: reaches.earliest.slice(0, 10),
            because:
              reaches.at === null
                ? 'it has passed what is wanted'
                : 'by its trend it may pass what is wanted from then on',
            details: '',
            stage: 'prove' as const,
            sheet: 'playTrend' as const,
          },
        ]
      : []),
  ]
}

/** What concerns safety first, then by days; what has none comes last. */
const inOrder = (one: Due, other: Due): number =>
  Number(other.isSafety) - Number(one.isSafety) ||
  (one.day ?? '9999').localeCompare(other.day ?? '9999') ||
  one.title.localeCompare(other.title)

/**
 * All that a machine asks for, what concerns safety first, then by its days.
 *
 * @param evaluate the evaluation of an axis
 */
export const duesOf = (job: Job, evaluate: (axis: Axis) => EvaluationContext): Due[] =>
  [
    ...fixDues(job),
    ...taskDues(job),
    ...proofDues(job),
    ...job.axes.flatMap(axis => axisDues(evaluate(axis), job)),
  ].toSorted(inOrder)

/** All that a machine asks for, its axes evaluated here. */
export const duesOfJob = (job: Job, catalogue: Catalogue): Due[] =>
  duesOf(job, axis => evaluateAxis(axis, catalogue, job.units))

/** What a machine asks for on a day, for a calendar. */
export const dueEntries = ({ id, name }: Pick<Job, 'id' | 'name'>, dues: readonly Due[]): CalendarEntry[] =>
  dues.flatMap(({ key, title, day, because, details }): CalendarEntry[] =>
    day === null
      ? []
      : [
          {
            uid: `${key}@${id}.dusk-bench`,
            title: `${name}: ${title}`.slice(0, 200),
            note: [`${because.charAt(0).toUpperCase()}${because.slice(1)}.`, details]
              .filter(Boolean)
              .join(' '),
            from: day,
            to: dayAfter(day, 1),
          },
        ],
  )
