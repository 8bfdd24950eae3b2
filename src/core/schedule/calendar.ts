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
  /** Working minutes before each window. */
  private readonly before: number[] = []
  readonly totalMinutes: number

  /** @throws InputError naming the window that overlaps, comes too early or ends before it begins */
  constructor(readonly windows: readonly Window[]) {
    let total = 0
    for (const [index, window] of windows.entries()) {
      const { fromMinute, toMinute } = window
      if (!(toMinute > fromMinute))
        throw new InputError(`windows[${index}].toMinute`, toMinute, takes(window))
      if (fromMinute < (windows[index - 1]?.toMinute ?? Number.NEGATIVE_INFINITY))
        throw new InputError(`windows[${index}].fromMinute`, fromMinute, takes(window))
      this.before.push(total)
      total += toMinute - fromMinute
    }
    this.totalMinutes = total
  }

  /** The first window that ends after a minute; as many as there are when none does. */
  private windowAfter(minute: number): number {
    let low = 0
    let high = this.windows.length
    while (low < high) {
      const middle = (low + high) >> 1
      if ((this.windows[middle] as Window).toMinute > minute) high = middle
      else low = middle + 1
    }
    return low
  }

  /** Working minutes that lie before a minute. */
  workedUntil(minute: number): number {
    const index = this.windowAfter(minute)
    const window = this.windows[index]
    if (!window) return this.totalMinutes
    return (this.before[index] as number) + Math.max(0, minute - window.fromMinute)
  }

  /**
   * The earliest time for work of so many minutes.
   *
   * @param oneGo whether it must be done without a break; else it stops at the end of a window and goes on in the next
   * @returns null when the windows do not suffice
   * @example new Calendar([{ fromMinute: 60, toMinute: 120 }, { fromMinute: 200, toMinute: 300 }]).work(0, 90, false)
   *   // { beginMinute: 60, finishMinute: 230 }
   */
  work(startMinute: number, minutes: number, oneGo: boolean): Placed | null {
    let index = this.windowAfter(startMinute)
    if (oneGo) {
      for (; index < this.windows.length; index++) {
        const { fromMinute, toMinute } = this.windows[index] as Window
        const beginMinute = Math.max(startMinute, fromMinute)
        if (beginMinute + minutes <= toMinute) return { beginMinute, finishMinute: beginMinute + minutes }
      }
      return null
    }
    const first = this.windows[index]
    if (!first) return null
    const beginMinute = Math.max(startMinute, first.fromMinute)
    const worked = (this.before[index] as number) + (beginMinute - first.fromMinute) + minutes
    if (worked > this.totalMinutes) return null
    return { beginMinute, finishMinute: this.minuteOfWorked(worked) }
  }

  /** The minute at which so many working minutes are over: an end of a window rather than the beginning of the next. */
  private minuteOfWorked(worked: number): number {
    let low = 0
    let high = this.windows.length - 1
    while (low < high) {
      const middle = (low + high + 1) >> 1
      if ((this.before[middle] as number) < worked) low = middle
      else high = middle - 1
    }
    return (this.windows[low] as Window).fromMinute + worked - (this.before[low] as number)
  }

  /**
   * The latest minute at which work of so many minutes can begin to be done by a deadline; none when it cannot.
   *
   * @example new Calendar([{ fromMinute: 60, toMinute: 120 }]).latestBegin(100, 30, true) // 70
   */
  latestBegin(deadlineMinute: number, minutes: number, oneGo: boolean): number | null {
    if (oneGo) {
      for (
        let index = Math.min(this.windowAfter(deadlineMinute), this.windows.length - 1);
        index >= 0;
        index--
      ) {
        const { fromMinute, toMinute } = this.windows[index] as Window
        const begin = Math.min(deadlineMinute, toMinute) - minutes
        if (begin >= fromMinute) return begin
      }
      return null
    }
    const worked = this.workedUntil(deadlineMinute) - minutes
    if (worked < 0) return null
    // What begins in the last minute of a window may as well begin with the next.
    const index = this.windowOfBegin(worked)
    return (this.windows[index] as Window).fromMinute + worked - (this.before[index] as number)
  }

  /** The window in which work begins that has so many working minutes before it. */
  private windowOfBegin(worked: number): number {
    let low = 0
    let high = this.windows.length - 1
    while (low < high) {
      const middle = (low + high + 1) >> 1
      if ((this.before[middle] as number) <= worked) low = middle
      else high = middle - 1
    }
    return low
  }
}
