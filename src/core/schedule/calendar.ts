import { InputError } from '../calculation/inputError'

/** Time in which hands can work, in whole minutes from the start of the plan. */
export interface Window {
  fromMinute: number
  toMinute: number
}

/** When a piece of work begins and ends. */
export interface Placed {
  beginMinute: number
  finishMinute: number
}

const takes = (window: Window | undefined): string =>
  `windows in order that end after they begin and do not overlap${
    window ? `: this one from ${window.fromMinute} to ${window.toMinute}` : ''
  }`

/** The working windows of a plan, with what lies between two of them found quickly. */
export class Calendar {
  private readonly from: Float64Array
  private readonly to: Float64Array
  /** Working minutes before each window. */
  private readonly before: Float64Array
  readonly totalMinutes: number

  /** @throws InputError naming the window that overlaps, comes too early or ends before it begins */
  constructor(readonly windows: readonly Window[]) {
    this.from = Float64Array.from(windows, ({ fromMinute }) => fromMinute)
    this.to = Float64Array.from(windows, ({ toMinute }) => toMinute)
    this.before = new Float64Array(windows.length)
    let total = 0
    for (const [index, window] of windows.entries()) {
      const { fromMinute, toMinute } = window
      if (!(toMinute > fromMinute))
        throw new InputError(`windows[${index}].toMinute`, toMinute, takes(window))
      if (fromMinute < (windows[index - 1]?.toMinute ?? Number.NEGATIVE_INFINITY))
        throw new InputError(`windows[${index}].fromMinute`, fromMinute, takes(window))
      this.before[index] = total
      total += toMinute - fromMinute
    }
    this.totalMinutes = total
  }

  /** The first window that ends after a minute; as many as there are when none does. */
  private windowAfter(minute: number): number {
    const { to } = this
    let low = 0
    let high = to.length
    while (low < high) {
      const middle = (low + high) >> 1
      if ((to[middle] as number) > minute) high = middle
      else low = middle + 1
    }
    return low
  }

  /** Working minutes that lie before a minute. */
  workedUntil(minute: number): number {
    const index = this.windowAfter(minute)
    if (index === this.to.length) return this.totalMinutes
    return (this.before[index] as number) + Math.max(0, minute - (this.from[index] as number))
  }

  /**
   * The earliest minute by which work of so many minutes can be finished; endless when the windows do not suffice.
   *
   * @param oneGo whether it must be done without a break; else it stops at the end of a window and goes on in the next
   * @example new Calendar([{ fromMinute: 60, toMinute: 120 }, { fromMinute: 200, toMinute: 300 }]).finish(0, 90, false)
   *   // 230
   */
  finish(startMinute: number, minutes: number, oneGo: boolean): number {
    const { from, to } = this
    let left = minutes
    for (let index = this.windowAfter(startMinute); index < to.length; index++) {
      const begin = Math.max(startMinute, from[index] as number)
      const room = (to[index] as number) - begin
      if (left <= room) return begin + left
      if (!oneGo) left -= room
    }
    return Number.POSITIVE_INFINITY
  }

  /**
   * The earliest time for work of so many minutes, as for `finish`.
   *
   * @returns null when the windows do not suffice
   * @example new Calendar([{ fromMinute: 60, toMinute: 120 }, { fromMinute: 200, toMinute: 300 }]).work(0, 90, false)
   *   // { beginMinute: 60, finishMinute: 230 }
   */
  work(startMinute: number, minutes: number, oneGo: boolean): Placed | null {
    const finishMinute = this.finish(startMinute, minutes, oneGo)
    if (finishMinute === Number.POSITIVE_INFINITY) return null
    const beginMinute = oneGo
      ? finishMinute - minutes
      : Math.max(startMinute, this.from[this.windowAfter(startMinute)] as number)
    return { beginMinute, finishMinute }
  }

  /**
   * The latest minute at which work of so many minutes can begin to be done by a deadline; endlessly early when it cannot.
   *
   * @example new Calendar([{ fromMinute: 60, toMinute: 120 }]).latestBegin(100, 30, true) // 70
   */
  latestBegin(deadlineMinute: number, minutes: number, oneGo: boolean): number {
    const { from, to } = this
    let left = minutes
    for (let index = Math.min(this.windowAfter(deadlineMinute), to.length - 1); index >= 0; index--) {
      const end = Math.min(deadlineMinute, to[index] as number)
      const room = end - (from[index] as number)
      // What begins in the last minute of a window may as well begin with the next.
      if (left <= room) return end - left
      if (!oneGo && room > 0) left -= room
    }
    return Number.NEGATIVE_INFINITY
  }
}
