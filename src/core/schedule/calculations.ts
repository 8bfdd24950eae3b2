import { calculation } from '../calculation/calculation'
import { InputError } from '../calculation/inputError'
import { flag, list, plain, record, words } from '../field/field'
import { bestPlan } from './best'
import { Calendar } from './calendar'
import { type PlanTask, problemOf } from './problem'

const minute = (label: string, symbol: string) =>
  plain(label, { min: 0 }, { symbol, unit: 'min', whole: true })
const windows = list(
  'working windows, sorted and apart',
  record('window', { fromMinute: minute('from', 'w'), toMinute: minute('to', 'e') }),
  0,
)
const ids = (label: string) => list(label, words('task', 80), 0)

/**
 * When work of so many minutes begins and ends, done only in working windows.
 *
 * @example
 *   scheduleWork({ startMinute: 0, workMinutes: 90, windows: [{ fromMinute: 60, toMinute: 120 }, { fromMinute: 200, toMinute: 300 }], oneGo: false })
 *   // { beginMinute: 60, finishMinute: 230 }
 */
export const scheduleWork = calculation({
  id: 'schedule.work',
  title: 'Work in windows',
  formula: 'W_f = W_b + m, b >= s',
  source: 'W: minutes of windows until then. Work stops at the end of a window and goes on in the next',
  validity: 'The windows are sorted and do not overlap; work in one go needs a window that is long enough',
  inputs: {
    startMinute: minute('earliest begin', 's'),
    workMinutes: plain('minutes of hands', { over: 0 }, { symbol: 'm', unit: 'min', whole: true }),
    windows,
    oneGo: flag('without a break'),
  },
  outputs: {
    beginMinute: plain('begin', { min: 0 }, { symbol: 'b', unit: 'min', orNone: true }),
    finishMinute: plain('finish', { min: 0 }, { symbol: 'f', unit: 'min', orNone: true }),
  },
  compute: ({ startMinute, workMinutes, windows: all, oneGo }) =>
    new Calendar(all).work(startMinute, workMinutes, oneGo) ?? { beginMinute: null, finishMinute: null },
})

/** Steps of the search after which a plan that is not proved is refused: about ten seconds. */
const MOST_STEPS = 400_000

/**
 * The earliest finish of a whole plan, over all ways to do its tasks and all their orders, for one pair of hands.
 *
 * @throws InputError when it is too large to be proved here
 * @example
 *   scheduleBest({ tasks: [{ id: 'a', releaseMinute: 0, after: [], modes: [{ id: 'hands', minutes: 30, waits: false, oneGo: false, after: [], before: [] }] }], windows: [{ fromMinute: 60, toMinute: 120 }] })
 *   // { finishMinute: 90 }
 */
export const scheduleBest = calculation({
  id: 'schedule.best',
  title: 'Earliest finish of a plan',
  formula: 'f = min(max(f_1, f_2))',
  source: 'Branch and bound over ways and orders; bound by preemptive earliest-deadline-first within windows',
  validity: 'One pair of hands; a task that has begun is not set aside for another',
  inputs: {
    tasks: list(
      'tasks',
      record('task', {
        id: words('task', 80),
        releaseMinute: minute('earliest begin', 'r'),
        after: ids('what is finished before'),
        modes: list(
          'ways to do it',
          record('way', {
            id: words('way', 80),
            minutes: plain('minutes', { over: 0 }, { symbol: 'm', unit: 'min', whole: true }),
            waits: flag('waits, without hands'),
            oneGo: flag('without a break'),
            after: ids('what this way comes after'),
            before: ids('what this way comes before'),
          }),
        ),
      }),
      0,
    ),
    windows,
  },
  outputs: { finishMinute: plain('finish', { min: 0 }, { symbol: 'f', unit: 'min', orNone: true }) },
  compute: ({ tasks, windows: all }) => {
    const outcome = bestPlan(problemOf(tasks as PlanTask[], all), { mostSteps: MOST_STEPS })
    if (
      outcome.kind === 'notFound' ||
      (outcome.kind === 'plan' && outcome.boundMinute < outcome.plan.finishMinute)
    )
      throw new InputError('tasks', tasks.length, 'a plan that can be proved; ask the schedule for a bound')
    return { finishMinute: outcome.kind === 'plan' ? outcome.plan.finishMinute : null }
  },
})

export const SCHEDULE_CALCULATIONS = [scheduleWork, scheduleBest]
