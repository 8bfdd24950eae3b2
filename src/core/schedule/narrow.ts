import { circleIn, type ModeAt, type Problem } from './problem'

/** The ways of each task that are still open, a bit a mode. */
export type Open = Int32Array

/** What must hold of every plan that is finished by a deadline and takes none but the open modes. */
export interface Narrowed {
  open: Open
  /** No task can begin or be finished earlier. */
  earliestBegin: Float64Array
  earliestFinish: Float64Array
  /** None may begin or be finished later. */
  latestBegin: Float64Array
  latestFinish: Float64Array
}

export const allOpen = ({ modes }: Problem): Open => Int32Array.from(modes, ways => 2 ** ways.length - 1)

/** Each task in the one way that was chosen for it. */
export const onlyOpen = (chosen: readonly number[]): Open => Int32Array.from(chosen, mode => 1 << mode)

/** The open modes of a task, with their numbers. */
export function openModes(ways: readonly ModeAt[], bits: number): [mode: ModeAt, index: number][] {
  const open: [ModeAt, number][] = []
  for (let index = 0; index < ways.length; index++)
    if (bits & (1 << index)) open.push([ways[index] as ModeAt, index])
  return open
}

/** Least minutes of hands that a task can cost. */
export function leastHands(ways: readonly ModeAt[], bits: number): number {
  let least = Number.POSITIVE_INFINITY
  for (let index = 0; index < ways.length; index++)
    if (bits & (1 << index)) {
      const { waits, minutes } = ways[index] as ModeAt
      least = Math.min(least, waits ? 0 : minutes)
    }
  return least
}

/** What all open modes of a task agree on. */
function common(ways: readonly ModeAt[], bits: number, side: 'after' | 'before'): readonly number[] {
  const [first, ...rest] = openModes(ways, bits)
  if (!first) return []
  return first[0][side].filter(task => rest.every(([mode]) => mode[side].includes(task)))
}

/**
 * Takes out every mode that no plan finished by a deadline can have, and finds how early and late each task can be.
 * Tasks are pushed forward by what is before them and back by what is after; the builder's hands by all of them
 * together: work that could be broken off at any time, most urgent first, is done by its deadlines if anything is.
 *
 * @returns null when there is no plan that is finished by then
 */
export function narrow(problem: Problem, from: Open, deadlineMinute: number): Narrowed | null {
  const { modes, after, releaseMinute, calendar } = problem
  const count = modes.length
  const open = Int32Array.from(from)
  const earliestBegin = Float64Array.from(releaseMinute)
  const earliestFinish = new Float64Array(count)
  const latestBegin = new Float64Array(count).fill(deadlineMinute)
  const latestFinish = new Float64Array(count).fill(deadlineMinute)

  let arcs = arcsOf(problem, open)
  for (let changed = true; changed; ) {
    if (circleIn(arcs.after)) return null
    changed = false
    for (let task = 0; task < count; task++) {
      let begin = earliestBegin[task] as number
      for (const other of arcs.after[task] as number[])
        begin = Math.max(begin, earliestFinish[other] as number)
      let finish = Number.POSITIVE_INFINITY
      const ways = modes[task] as ModeAt[]
      for (let index = 0; index < ways.length; index++) {
        if (!((open[task] as number) & (1 << index))) continue
        const mode = ways[index] as ModeAt
        let start = begin
        for (const other of mode.after) start = Math.max(start, earliestFinish[other] as number)
        const end = mode.waits
          ? start + mode.minutes
          : (calendar.work(start, mode.minutes, mode.oneGo)?.finishMinute ?? Number.POSITIVE_INFINITY)
        let latest = latestFinish[task] as number
        for (const other of mode.before) latest = Math.min(latest, latestBegin[other] as number)
        if (end > latest) {
          open[task] = (open[task] as number) & ~(1 << index)
          changed = true
        } else finish = Math.min(finish, end)
      }
      if (open[task] === 0) return null
      if (begin > (earliestBegin[task] as number) || finish > (earliestFinish[task] as number)) changed = true
      earliestBegin[task] = begin
      earliestFinish[task] = finish
    }
    for (let task = count - 1; task >= 0; task--) {
      let finish = latestFinish[task] as number
      for (const other of arcs.before[task] as number[])
        finish = Math.min(finish, latestBegin[other] as number)
      let begin = Number.NEGATIVE_INFINITY
      const ways = modes[task] as ModeAt[]
      for (let index = 0; index < ways.length; index++) {
        if (!((open[task] as number) & (1 << index))) continue
        const mode = ways[index] as ModeAt
        let latest = finish
        for (const other of mode.before) latest = Math.min(latest, latestBegin[other] as number)
        begin = Math.max(
          begin,
          mode.waits
            ? latest - mode.minutes
            : (calendar.latestBegin(latest, mode.minutes, mode.oneGo) ?? Number.NEGATIVE_INFINITY),
        )
      }
      if (begin < (latestBegin[task] as number) || finish < (latestFinish[task] as number)) changed = true
      latestBegin[task] = Math.min(begin, latestBegin[task] as number)
      latestFinish[task] = finish
    }
    if (changed) arcs = arcsOf(problem, open)
  }
  const narrowed = { open, earliestBegin, earliestFinish, latestBegin, latestFinish }
  return handsSuffice(problem, narrowed) ? narrowed : null

  /** What must be finished before each task, and what waits for each, in every open mode. */
  function arcsOf({ modes: ways }: Problem, bits: Open) {
    const before: number[][] = Array.from({ length: count }, () => [])
    const all = after.map(list => [...list])
    for (let task = 0; task < count; task++) {
      const own = ways[task] as ModeAt[]
      for (const other of common(own, bits[task] as number, 'after')) (all[task] as number[]).push(other)
      for (const other of common(own, bits[task] as number, 'before')) (all[other] as number[]).push(task)
    }
    for (let task = 0; task < count; task++)
      for (const other of all[task] as number[]) (before[other] as number[]).push(task)
    return { after: all, before }
  }
}

/** Whether the least work of all tasks fits between their earliest begins and latest finishes. */
function handsSuffice(
  { modes, calendar }: Problem,
  { open, earliestBegin, latestFinish }: Narrowed,
): boolean {
  const jobs: { release: number; due: number; left: number }[] = []
  for (let task = 0; task < modes.length; task++) {
    const left = leastHands(modes[task] as ModeAt[], open[task] as number)
    if (left > 0)
      jobs.push({
        release: calendar.workedUntil(earliestBegin[task] as number),
        due: calendar.workedUntil(latestFinish[task] as number),
        left,
      })
  }
  return inTime(jobs)
}

/** Whether one pair of hands gets everything done by its time, if work could be broken off at will: the most urgent first. */
export function inTime(jobs: { release: number; due: number; left: number }[]): boolean {
  jobs.sort((a, b) => a.release - b.release)
  const ready: typeof jobs = []
  let next = 0
  let now = 0
  while (next < jobs.length || ready.length > 0) {
    if (ready.length === 0) now = Math.max(now, (jobs[next] as { release: number }).release)
    for (; next < jobs.length && (jobs[next] as { release: number }).release <= now; next++) {
      const job = jobs[next] as (typeof jobs)[number]
      // Kept with the most urgent last.
      let place = ready.length
      while (place > 0 && (ready[place - 1] as typeof job).due < job.due) place--
      ready.splice(place, 0, job)
    }
    const job = ready.at(-1) as (typeof jobs)[number]
    const until = next < jobs.length ? (jobs[next] as { release: number }).release : Number.POSITIVE_INFINITY
    const worked = Math.min(job.left, until - now)
    now += worked
    job.left -= worked
    if (job.left === 0) {
      if (now > job.due) return false
      ready.pop()
    }
  }
  return true
}
