import type { Placed } from './calendar'
import { circleIn, type ModeAt, type Problem, precedenceOf } from './problem'

/** A plan of everything: how each task is done, and when. */
export interface Plan {
  chosen: number[]
  placed: Placed[]
  finishMinute: number
  handsMinutes: number
}

/** Whether a plan is better than another: it finishes earlier, or as early with less work. */
export const isBetter = (a: Pick<Plan, 'finishMinute' | 'handsMinutes'>, b: typeof a | null): boolean =>
  b === null ||
  a.finishMinute < b.finishMinute ||
  (a.finishMinute === b.finishMinute && a.handsMinutes < b.handsMinutes)

/** Minutes of hands of the ways that were chosen. */
export const handsOf = ({ modes }: Problem, chosen: readonly number[]): number =>
  modes.reduce((sum, ways, task) => {
    const { waits, minutes } = ways[chosen[task] as number] as ModeAt
    return waits ? sum : sum + minutes
  }, 0)

/**
 * Lays one task after another, each time the most urgent of those that can begin soon.
 *
 * @param urgency of each task: the least goes first
 * @param patienceMinutes how long hands may stay idle for a more urgent task that cannot begin yet
 * @returns null when the ways chosen go round in a circle, or the windows do not suffice
 */
export function serialPlan(
  problem: Problem,
  chosen: readonly number[],
  urgency: ArrayLike<number>,
  patienceMinutes: number,
): Plan | null {
  const { modes, releaseMinute, calendar } = problem
  const after = precedenceOf(problem, chosen)
  if (circleIn(after)) return null
  const count = modes.length
  const left = after.map(list => list.length)
  const next: number[][] = Array.from({ length: count }, () => [])
  for (let task = 0; task < count; task++)
    for (const other of after[task] as number[]) (next[other] as number[]).push(task)
  const ready = Float64Array.from(releaseMinute)
  const placed: Placed[] = new Array(count)
  const hands: number[] = []
  let free = 0
  let finishMinute = 0

  const done = (task: number, at: Placed) => {
    placed[task] = at
    finishMinute = Math.max(finishMinute, at.finishMinute)
    for (const other of next[task] as number[]) {
      ready[other] = Math.max(ready[other] as number, at.finishMinute)
      left[other] = (left[other] as number) - 1
      if (left[other] === 0) begin(other)
    }
  }
  const begin = (task: number) => {
    const mode = (modes[task] as ModeAt[])[chosen[task] as number] as ModeAt
    if (!mode.waits) return void hands.push(task)
    const beginMinute = ready[task] as number
    done(task, { beginMinute, finishMinute: beginMinute + mode.minutes })
  }
  for (let task = 0; task < count; task++) if ((after[task] as number[]).length === 0) begin(task)

  while (hands.length > 0) {
    const places = hands.map(task => {
      const { minutes, oneGo } = (modes[task] as ModeAt[])[chosen[task] as number] as ModeAt
      return calendar.work(Math.max(free, ready[task] as number), minutes, oneGo)
    })
    let soonest = Number.POSITIVE_INFINITY
    for (const place of places) {
      if (!place) return null
      soonest = Math.min(soonest, place.beginMinute)
    }
    let best = -1
    for (let index = 0; index < hands.length; index++) {
      if ((places[index] as Placed).beginMinute > soonest + patienceMinutes) continue
      if (
        best < 0 ||
        (urgency[hands[index] as number] as number) < (urgency[hands[best] as number] as number)
      )
        best = index
    }
    const [task] = hands.splice(best, 1)
    const place = places[best] as Placed
    free = place.finishMinute
    done(task as number, place)
  }
  return { chosen: [...chosen], placed, finishMinute, handsMinutes: handsOf(problem, chosen) }
}
