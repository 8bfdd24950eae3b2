import { InputError } from '../calculation/inputError'
import { Calendar, type Window } from './calendar'

/** One way to do a task. */
export interface PlanMode {
  id: string
  minutes: number
  /** Goes on round the clock and takes no hands: glue, a parcel, a part that is made elsewhere. */
  waits: boolean
  /** Must be done without a break. */
  oneGo: boolean
  /** Done this way, it comes after these tasks. */
  after: string[]
  /** Done this way, it is finished before these tasks begin. */
  before: string[]
}

export interface PlanTask {
  id: string
  /** It cannot begin earlier, such as before a delivery. */
  releaseMinute: number
  after: string[]
  modes: PlanMode[]
}

/** A mode with the tasks it speaks of by their number. */
export interface ModeAt extends Omit<PlanMode, 'after' | 'before'> {
  after: number[]
  before: number[]
}

/** What is to be planned, its tasks by number, checked. */
export interface Problem {
  ids: string[]
  releaseMinute: number[]
  /** What must be finished before each task, however it is done. */
  after: number[][]
  modes: ModeAt[][]
  calendar: Calendar
}

/** Longer than any plan: ten years. */
const LONGEST_MINUTES = 10 * 366 * 24 * 60

/**
 * Reads tasks and windows.
 *
 * @throws InputError naming the task, mode or window that cannot be planned with
 */
export function problemOf(tasks: readonly PlanTask[], windows: readonly Window[]): Problem {
  const numbers = new Map<string, number>()
  for (const [index, { id }] of tasks.entries()) {
    if (numbers.has(id)) throw new InputError(`tasks[${index}].id`, id, 'an id that no other task has')
    numbers.set(id, index)
  }
  const numberOf = (place: string) => (id: string, index: number) => {
    const found = numbers.get(id)
    if (found === undefined) throw new InputError(`${place}[${index}]`, id, 'the id of a task')
    return found
  }
  return {
    ids: tasks.map(({ id }) => id),
    releaseMinute: tasks.map(({ releaseMinute }, index) => {
      if (!(releaseMinute >= 0 && releaseMinute <= LONGEST_MINUTES))
        throw new InputError(`tasks[${index}].releaseMinute`, releaseMinute, 'minutes from 0 up to ten years')
      return releaseMinute
    }),
    after: tasks.map(({ after }, index) => [...new Set(after.map(numberOf(`tasks[${index}].after`)))]),
    modes: tasks.map(({ modes }, index) => {
      if (modes.length === 0)
        throw new InputError(`tasks[${index}].modes`, modes, 'at least one way to do it')
      return modes.map((mode, at) => {
        const place = `tasks[${index}].modes[${at}]`
        if (!(mode.minutes > 0 && mode.minutes <= LONGEST_MINUTES))
          throw new InputError(`${place}.minutes`, mode.minutes, 'minutes over 0 up to ten years')
        return {
          ...mode,
          after: mode.after.map(numberOf(`${place}.after`)),
          before: mode.before.map(numberOf(`${place}.before`)),
        }
      })
    }),
    calendar: new Calendar(windows),
  }
}

/** Everything that must be finished before each task, when each is done in the way chosen. */
export function precedenceOf({ after, modes }: Problem, chosen: readonly number[]): number[][] {
  const all = after.map(list => [...list])
  for (const [task, ways] of modes.entries()) {
    const mode = ways[chosen[task] as number] as ModeAt
    for (const other of mode.after) (all[task] as number[]).push(other)
    for (const other of mode.before) (all[other] as number[]).push(task)
  }
  return all
}

/**
 * Tasks that wait for one another in a round, each for the next; none when there is an order.
 *
 * @param after what must be finished before each
 * @example circleIn([[1], [0]]) // [0, 1]
 */
export function circleIn(after: readonly (readonly number[])[]): number[] | null {
  const state = new Uint8Array(after.length)
  const path: number[] = []
  const visit = (task: number): number[] | null => {
    if (state[task] === 2) return null
    if (state[task] === 1) return path.slice(path.indexOf(task))
    state[task] = 1
    path.push(task)
    for (const other of after[task] as number[]) {
      const circle = visit(other)
      if (circle) return circle
    }
    path.pop()
    state[task] = 2
    return null
  }
  for (let task = 0; task < after.length; task++) {
    const circle = visit(task)
    if (circle) return circle
  }
  return null
}
