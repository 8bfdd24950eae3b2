import type { ModeAt, Problem } from './problem'

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
  // Mostly one mode is open, or the first has no order of its own.
  const first = ways[31 - Math.clz32(bits & -bits)]
  if (!first || first[side].length === 0) return NONE
  if ((bits & (bits - 1)) === 0) return first[side]
  return first[side].filter(task =>
    ways.every((mode, index) => !(bits & (1 << index)) || mode[side].includes(task)),
  )
}
const NONE: readonly number[] = []

/** Lists that are filled anew each time: making them would cost more than what is done with them. */
interface Scratch {
  after: number[][]
  before: number[][]
  forward: number[][]
  backward: number[][]
  candidate: Float64Array
  isSettled: Uint8Array
  jobs: { release: number; due: number; left: number }[]
}
const scratches = new WeakMap<Problem, Scratch>()

function scratchOf(problem: Problem): Scratch {
  const known = scratches.get(problem)
  if (known) return known
  const { modes } = problem
  const lists = () => modes.map((): number[] => [])
  const made = {
    after: lists(),
    before: lists(),
    forward: lists(),
    backward: lists(),
    candidate: new Float64Array(modes.length),
    isSettled: new Uint8Array(modes.length),
    jobs: modes.map(() => ({ release: 0, due: 0, left: 0 })),
  }
  scratches.set(problem, made)
  return made
}

/** What must be finished before each task in every open mode, and what waits for each. */
function fillArcs({ modes, after }: Problem, open: Open, { after: all, before }: Scratch): void {
  for (let task = 0; task < modes.length; task++) {
    const own = all[task] as number[]
    own.length = 0
    ;(before[task] as number[]).length = 0
    for (const other of after[task] as number[]) own.push(other)
  }
  for (let task = 0; task < modes.length; task++) {
    const ways = modes[task] as ModeAt[]
    for (const other of common(ways, open[task] as number, 'after')) (all[task] as number[]).push(other)
    for (const other of common(ways, open[task] as number, 'before')) (all[other] as number[]).push(task)
  }
  for (let task = 0; task < modes.length; task++)
    for (const other of all[task] as number[]) (before[other] as number[]).push(task)
}

const finishOf = ({ calendar }: Problem, { waits, minutes, oneGo }: ModeAt, start: number): number =>
  waits ? start + minutes : calendar.finish(start, minutes, oneGo)

const beginOf = ({ calendar }: Problem, { waits, minutes, oneGo }: ModeAt, finish: number): number =>
  waits ? finish - minutes : calendar.latestBegin(finish, minutes, oneGo)

/**
 * Settles every task once, the one that comes out least first: what a task comes to depends only on tasks that come out
 * lower (Knuth's way through a graph of ands and ors). A round of modes that wait for one another is never gone through:
 * its tasks stay without end.
 *
 * @param out what each task comes to; endless until it is settled
 * @param next tasks whose value may change when one is settled
 */
function settle(
  out: Float64Array,
  next: readonly (readonly number[])[],
  { candidate, isSettled }: Pick<Scratch, 'candidate' | 'isSettled'>,
  cost: (task: number) => number,
): void {
  const count = out.length
  out.fill(Number.POSITIVE_INFINITY)
  isSettled.fill(0)
  for (let task = 0; task < count; task++) candidate[task] = cost(task)
  for (let round = 0; round < count; round++) {
    let least = -1
    for (let task = 0; task < count; task++)
      if (!isSettled[task] && (least < 0 || (candidate[task] as number) < (candidate[least] as number)))
        least = task
    if (candidate[least] === Number.POSITIVE_INFINITY) return
    isSettled[least] = 1
    out[least] = candidate[least] as number
    for (const task of next[least] as number[]) if (!isSettled[task]) candidate[task] = cost(task)
  }
}

/** Tasks that follow, or come before, each: in all of their open modes, or in one. */
function fillNeighbours(
  { modes }: Problem,
  arcs: readonly (readonly number[])[],
  open: Open,
  side: 'after' | 'before',
  all: number[][],
): void {
  for (let task = 0; task < modes.length; task++) {
    const own = all[task] as number[]
    own.length = 0
    for (const other of arcs[task] as number[]) own.push(other)
  }
  for (let task = 0; task < modes.length; task++) {
    const bits = open[task] as number
    // What its one open mode has stands in the arcs already.
    if ((bits & (bits - 1)) === 0) continue
    const ways = modes[task] as ModeAt[]
    for (let index = 0; index < ways.length; index++)
      if (bits & (1 << index))
        for (const other of (ways[index] as ModeAt)[side]) (all[other] as number[]).push(task)
  }
}

/**
 * Takes out every mode that no plan finished by a deadline can have, and finds how early and late each task can be.
 * Tasks are pushed forward by what is before them and back by what is after; the builder's hands by all of them
 * together: work that could be broken off at any time, most urgent first, is done by its deadlines if anything is.
 *
 * @returns null when there is no plan that is finished by then
 */
export function narrow(problem: Problem, from: Open, deadlineMinute: number): Narrowed | null {
  const { modes, releaseMinute } = problem
  const count = modes.length
  const open = Int32Array.from(from)
  const earliestBegin = new Float64Array(count)
  const earliestFinish = new Float64Array(count)
  const latestFinish = new Float64Array(count)
  /** From the latest begin to the deadline: late times are settled from the end backwards. */
  const untilDeadline = new Float64Array(count)

  /** How early a mode is finished; endless while something that it waits for is not settled. */
  const early = (mode: ModeAt, begin: number): number => {
    let start = begin
    for (const other of mode.after) start = Math.max(start, earliestFinish[other] as number)
    return start === Number.POSITIVE_INFINITY ? start : finishOf(problem, mode, start)
  }
  /** By when a mode must be finished. */
  const late = (mode: ModeAt, finish: number): number => {
    let by = finish
    for (const other of mode.before) by = Math.min(by, deadlineMinute - (untilDeadline[other] as number))
    return by
  }
  /** The least value of a task's open modes. */
  const least = (task: number, cost: (mode: ModeAt) => number): number => {
    const ways = modes[task] as ModeAt[]
    let value = Number.POSITIVE_INFINITY
    for (let index = 0; index < ways.length; index++)
      if ((open[task] as number) & (1 << index)) value = Math.min(value, cost(ways[index] as ModeAt))
    return value
  }

  const arcs = scratchOf(problem)
  for (;;) {
    fillArcs(problem, open, arcs)
    fillNeighbours(problem, arcs.before, open, 'after', arcs.forward)
    settle(earliestFinish, arcs.forward, arcs, task => {
      let begin = releaseMinute[task] as number
      for (const other of arcs.after[task] as number[])
        begin = Math.max(begin, earliestFinish[other] as number)
      earliestBegin[task] = begin
      return begin === Number.POSITIVE_INFINITY ? begin : least(task, mode => early(mode, begin))
    })
    fillNeighbours(problem, arcs.after, open, 'before', arcs.backward)
    settle(untilDeadline, arcs.backward, arcs, task => {
      let finish = deadlineMinute
      for (const other of arcs.before[task] as number[])
        finish = Math.min(finish, deadlineMinute - (untilDeadline[other] as number))
      latestFinish[task] = finish
      return least(task, mode => {
        const by = late(mode, finish)
        return by === Number.NEGATIVE_INFINITY
          ? Number.POSITIVE_INFINITY
          : deadlineMinute - beginOf(problem, mode, by)
      })
    })
    let fewer = false
    for (let task = 0; task < count; task++) {
      const ways = modes[task] as ModeAt[]
      const bits = open[task] as number
      if ((bits & (bits - 1)) === 0) {
        // The only way that is open is what its times were found with.
        const finish = earliestFinish[task] as number
        if (finish > (latestFinish[task] as number) || finish === Number.POSITIVE_INFINITY) return null
        continue
      }
      for (let index = 0; index < ways.length; index++) {
        if (!(bits & (1 << index))) continue
        const mode = ways[index] as ModeAt
        const finish = early(mode, earliestBegin[task] as number)
        if (finish <= late(mode, latestFinish[task] as number) && finish < Number.POSITIVE_INFINITY) continue
        open[task] = (open[task] as number) & ~(1 << index)
        fewer = true
      }
      if (open[task] === 0) return null
    }
    if (!fewer) break
  }
  const latestBegin = untilDeadline.map(minutes => deadlineMinute - minutes)
  const narrowed = { open, earliestBegin, earliestFinish, latestBegin, latestFinish }
  return handsSuffice(problem, narrowed) ? narrowed : null
}

/** Whether the least work of all tasks fits between their earliest begins and latest finishes. */
function handsSuffice(problem: Problem, { open, earliestBegin, latestFinish }: Narrowed): boolean {
  const { modes, calendar } = problem
  const jobs: Scratch['jobs'] = []
  const { jobs: kept } = scratchOf(problem)
  for (let task = 0; task < modes.length; task++) {
    const left = leastHands(modes[task] as ModeAt[], open[task] as number)
    if (left === 0) continue
    const job = kept[task] as (typeof kept)[number]
    job.release = calendar.workedUntil(earliestBegin[task] as number)
    job.due = calendar.workedUntil(latestFinish[task] as number)
    job.left = left
    jobs.push(job)
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
