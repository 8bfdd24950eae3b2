import type { Placed } from './calendar'
import { inTime, type Narrowed, narrow, onlyOpen } from './narrow'
import { circleIn, type ModeAt, type Problem, precedenceOf } from './problem'
import { handsOf, type Plan } from './serial'

/** What is known of a place in the search: nothing that comes after can be better than from one that is earlier in all. */
interface Seen {
  free: number
  latest: number
  ready: Float64Array
}

/** As many ways to come to the same work done are remembered. */
const MOST_SEEN = 12
const MOST_KEYS = 50_000

/** Goes on while it may; false ends the search. */
export type Ask = () => boolean

/**
 * Every order of the work in which no task could be pulled forward without moving another, by depth, with what cannot
 * be finished in time left out. The ways to do the tasks are settled.
 *
 * @param within what must hold of a plan for it to be finished in time
 * @param found called with each plan, better than the one before; returns the minute by which the next must be finished
 * @param ask asked at every step; false ends it
 * @returns whether everything was tried
 */
export function searchOrders(
  problem: Problem,
  chosen: readonly number[],
  within: Narrowed,
  found: (plan: Plan) => number,
  ask: Ask,
): boolean {
  const { modes, releaseMinute, calendar } = problem
  const count = modes.length
  const after = precedenceOf(problem, chosen)
  if (circleIn(after)) return true
  const mode = chosen.map((index, task) => (modes[task] as ModeAt[])[index] as ModeAt)
  const order = inOrder(after)
  const handsMinutes = handsOf(problem, chosen)
  const seen = new Map<string, Seen[]>()
  const placed: (Placed | undefined)[] = new Array(count).fill(undefined)
  const isPlaced = (task: number) => placed[task] !== undefined
  const finish = new Float64Array(count)
  /** None once nothing can be finished by the deadline. */
  let limits: Narrowed | null = within

  /** Whether what is left can be in time; gives when each task could begin. */
  const readyTimes = (free: number): Float64Array | null => {
    if (!limits) return null
    const { latestFinish } = limits
    const ready = new Float64Array(count)
    const jobs: { release: number; due: number; left: number }[] = []
    for (const task of order) {
      const at = placed[task]
      if (at) {
        finish[task] = at.finishMinute
        continue
      }
      let start = releaseMinute[task] as number
      for (const other of after[task] as number[]) start = Math.max(start, finish[other] as number)
      ready[task] = start
      const { waits, minutes, oneGo } = mode[task] as ModeAt
      if (waits) finish[task] = start + minutes
      else {
        const place = calendar.work(Math.max(start, free), minutes, oneGo)
        if (!place) return null
        finish[task] = place.finishMinute
        jobs.push({
          release: calendar.workedUntil(place.beginMinute),
          due: calendar.workedUntil(latestFinish[task] as number),
          left: minutes,
        })
      }
      if ((finish[task] as number) > (latestFinish[task] as number)) return null
    }
    return inTime(jobs) ? ready : null
  }

  const urgencyOf = (task: number) => (limits ? (limits.latestBegin[task] as number) : 0)

  const isBeaten = (key: string, now: Seen): boolean => {
    const all = seen.get(key)
    if (!all) {
      if (seen.size < MOST_KEYS) seen.set(key, [now])
      return false
    }
    const beats = (a: Seen, b: Seen) =>
      a.free <= b.free &&
      a.latest <= b.latest &&
      a.ready.every((minute, task) => minute <= (b.ready[task] as number))
    if (all.some(one => beats(one, now))) return true
    if (all.length < MOST_SEEN) all.push(now)
    return false
  }

  const visit = (free: number): boolean => {
    if (!ask()) return false
    const undo: number[] = []
    // What waits begins as soon as it can.
    for (const task of order) {
      if (placed[task] || !(mode[task] as ModeAt).waits) continue
      if (!(after[task] as number[]).every(isPlaced)) continue
      let beginMinute = releaseMinute[task] as number
      for (const other of after[task] as number[])
        beginMinute = Math.max(beginMinute, (placed[other] as Placed).finishMinute)
      placed[task] = { beginMinute, finishMinute: beginMinute + (mode[task] as ModeAt).minutes }
      undo.push(task)
    }
    const whole = visitOrders(free)
    for (const task of undo) placed[task] = undefined
    return whole
  }

  const visitOrders = (free: number): boolean => {
    const ready = readyTimes(free)
    if (!ready) return true
    const can: number[] = []
    let key = ''
    let latest = 0
    for (const task of order) {
      const at = placed[task]
      if (at) {
        key += String.fromCharCode(task)
        latest = Math.max(latest, at.finishMinute)
      } else if ((after[task] as number[]).every(isPlaced)) can.push(task)
    }
    if (can.length === 0) {
      const deadline = found({
        chosen: [...chosen],
        placed: [...(placed as Placed[])],
        finishMinute: latest,
        handsMinutes,
      })
      limits = deadline > 0 ? narrow(problem, onlyOpen(chosen), deadline) : null
      return true
    }
    if (isBeaten(key, { free, latest, ready })) return true
    const places = can.map(task => {
      const { minutes, oneGo } = mode[task] as ModeAt
      return { task, at: calendar.work(Math.max(free, ready[task] as number), minutes, oneGo) as Placed }
    })
    // Before one that begins this late another could be done whole.
    const soonest = places.reduce(
      (least, { at }) => Math.min(least, at.finishMinute),
      Number.POSITIVE_INFINITY,
    )
    const tried = places
      .filter(({ at }) => at.beginMinute < soonest)
      .sort((a, b) => urgencyOf(a.task) - urgencyOf(b.task))
    for (const { task, at } of tried) {
      placed[task] = at
      const whole = visit(at.finishMinute)
      placed[task] = undefined
      if (!whole) return false
    }
    return true
  }
  return visit(0)
}

/** The tasks so that each comes after what must be finished before it. */
function inOrder(after: readonly (readonly number[])[]): number[] {
  const order: number[] = []
  const known = new Uint8Array(after.length)
  const visit = (task: number) => {
    if (known[task]) return
    known[task] = 1
    for (const other of after[task] as number[]) visit(other)
    order.push(task)
  }
  for (let task = 0; task < after.length; task++) visit(task)
  return order
}
