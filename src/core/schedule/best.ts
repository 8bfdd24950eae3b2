import { evenRandom } from '../calculation/evenRandom'
import { allOpen, leastHands, narrow, type Open, onlyOpen, openModes } from './narrow'
import { circleIn, type ModeAt, type Problem, precedenceOf } from './problem'
import { type Ask, searchOrders } from './sequence'
import { isBetter, type Plan, serialPlan } from './serial'

/** The best plan that was found, and what is certain of it. */
export interface Best {
  plan: Plan
  /** No plan at all is finished earlier. */
  boundMinute: number
  /** Nothing is finished earlier, and nothing as early takes less work. */
  proved: boolean
}

/** Why there is no plan. */
export type Impossible =
  | { kind: 'circle'; tasks: number[] }
  /** Everything has an order, and does not fit into the windows there are. */
  | { kind: 'windows' }
  /** None was found before the search was ended. */
  | { kind: 'notFound' }

export type Outcome = ({ kind: 'plan' } & Best) | Impossible

export interface Watch {
  /** Called with each better plan, and when the bound rises. */
  better?: (best: Best) => void
  /** Asked now and then; true ends the search with what there is. */
  cancelled?: () => boolean
  /** Steps after which the search ends with what there is; none goes on until it is proved. */
  mostSteps?: number
}

const SEED = 20_261
/** Plans that are tried at random between two looks at the clock, and steps of the exact search. */
const ASK_EVERY = 32
/** Hands left idle for something more urgent: not at all, for some hours, for days. */
const PATIENCES = [0, 0, 0, 60, 240, 1440, 4320]
/** So few tasks are tried out sooner than guessed at. */
const FEW_TASKS = 12
const NEVER = Number.NEGATIVE_INFINITY
/** Random plans in a row that may bring nothing, by the square of how many tasks there are: few tasks are soon tried out. */
const IN_VAIN = 1

/**
 * The plan that is finished first, over all ways to do the tasks and all orders, for one pair of hands. Among those that
 * are finished as early the one with the least work.
 *
 * First plans are laid by urgency and changed at random; then ways and orders are tried by depth, leaving out what
 * cannot be finished earlier. A search that is ended before that is through gives its best plan and the bound.
 */
export function bestPlan(problem: Problem, { better, cancelled, mostSteps }: Watch = {}): Outcome {
  const circle = unavoidableCircle(problem)
  if (circle) return { kind: 'circle', tasks: circle }
  let steps = 0
  let ended = false
  const ask: Ask = () => {
    steps++
    if (ended) return false
    if (steps % ASK_EVERY === 0 && cancelled?.()) ended = true
    if (mostSteps !== undefined && steps > mostSteps) ended = true
    return !ended
  }
  let best: Best | null = null
  let boundMinute = 0
  const offer = (plan: Plan) => {
    if (!isBetter(plan, best?.plan ?? null)) return
    best = { plan, boundMinute, proved: false }
    better?.(best)
  }

  const first = firstPlan(problem)
  const isFew = problem.ids.length <= FEW_TASKS
  if (first) {
    if (!isFew) boundMinute = leastFinish(problem, first.finishMinute)
    offer(first)
    if (!isFew) tryAtRandom(problem, first, boundMinute, offer, ask)
  }
  const soFar = () => best?.plan ?? null
  // Of many tasks what is finished earlier first: that is soon ruled out. Then what is as early with less work.
  const isSettled = searchWays(problem, soFar, offer, ask, isFew ? 'better' : 'earlier')
  const earliest = soFar()
  if (isSettled && earliest) {
    boundMinute = earliest.finishMinute
    best = { plan: earliest, boundMinute, proved: false }
    better?.(best)
  }
  const isWhole = isSettled && (isFew || searchWays(problem, soFar, offer, ask, 'lessWork'))
  // What `offer` has set is not seen by the compiler.
  const found = best as Best | null
  if (!found) return { kind: isSettled ? 'windows' : 'notFound' }
  return {
    kind: 'plan',
    plan: found.plan,
    // Of few tasks it is only asked for where the search was ended.
    boundMinute: boundMinute || leastFinish(problem, found.plan.finishMinute),
    proved: isWhole,
  }
}

/** A minute by which all is done that can be done at all. */
function horizonOf({ modes, releaseMinute, calendar }: Problem): number {
  const waits = modes.reduce(
    (sum, ways) => sum + ways.reduce((most, mode) => (mode.waits ? Math.max(most, mode.minutes) : most), 0),
    0,
  )
  return Math.max(0, ...releaseMinute, calendar.windows.at(-1)?.toMinute ?? 0) + waits
}

/** A round of tasks that is there whatever ways are taken; none when some ways have an order. */
function unavoidableCircle(problem: Problem): number[] | null {
  const { modes } = problem
  const chosen = modes.map(() => 0)
  let shortest: number[] | null = null
  let tried = 0
  const visit = (task: number): boolean => {
    if (task === modes.length) return true
    for (let index = 0; index < (modes[task] as ModeAt[]).length; index++) {
      chosen[task] = index
      const after = settledPrecedence(problem, chosen, task)
      const circle = circleIn(after)
      if (!circle) {
        if (visit(task + 1)) return true
      } else if (!shortest || circle.length < shortest.length) shortest = circle
      if (++tried > 200_000) return true
    }
    return false
  }
  return visit(0) ? null : shortest
}

/** What comes before what, with the ways of the tasks up to one settled and the rest left out. */
function settledPrecedence({ after, modes }: Problem, chosen: readonly number[], upTo: number): number[][] {
  return precedenceOf(
    {
      after,
      modes: modes.map((ways, task) =>
        task <= upTo ? ways : ways.map(mode => ({ ...mode, after: [], before: [] })),
      ),
    } as Problem,
    chosen.map((index, task) => (task <= upTo ? index : 0)),
  )
}

/** A plan to begin with: each task in the way that is done soonest, as far as these have an order. */
function firstPlan(problem: Problem): Plan | null {
  const { modes } = problem
  const deadline = horizonOf(problem)
  const narrowed = narrow(problem, allOpen(problem), deadline)
  if (!narrowed) return null
  const chosen = modes.map((ways, task) => {
    const open = openModes(ways, narrowed.open[task] as number)
    const cost = ({ waits, minutes, after, before }: ModeAt) =>
      (waits ? minutes / 8 : minutes) + 1e7 * Math.sign(after.length + before.length)
    return open.reduce((a, b) => (cost(b[0]) < cost(a[0]) ? b : a))[1]
  })
  const plan = laid(problem, chosen)
  if (plan) return plan
  // By depth, a task at a time, each in the first way that leaves a plan.
  const open = Int32Array.from(narrowed.open)
  for (let task = 0; task < modes.length; task++) {
    const fits = openModes(modes[task] as ModeAt[], open[task] as number).find(([, index]) => {
      const tried = Int32Array.from(open)
      tried[task] = 1 << index
      return narrow(problem, tried, deadline) !== null
    })
    if (!fits) return null
    open[task] = 1 << fits[1]
  }
  return laid(
    problem,
    Array.from(open, bits => 31 - Math.clz32(bits)),
  )
}

/** The ways laid by their urgency: how late each task may begin. */
function laid(problem: Problem, chosen: number[]): Plan | null {
  const narrowed = narrow(problem, onlyOpen(chosen), horizonOf(problem))
  return narrowed && serialPlan(problem, chosen, narrowed.latestBegin, 0)
}

/** The earliest finish that nothing rules out, by halving. */
function leastFinish(problem: Problem, knownMinute: number): number {
  const open = allOpen(problem)
  let low = 0
  let high = knownMinute
  while (low < high) {
    const middle = Math.floor((low + high) / 2)
    if (narrow(problem, open, middle)) high = middle
    else low = middle + 1
  }
  return high
}

/** Changes ways and urgencies at random, keeping what is not worse, until the bound is reached or nothing comes of it. */
function tryAtRandom(
  problem: Problem,
  first: Plan,
  boundMinute: number,
  offer: (plan: Plan) => void,
  ask: Ask,
): void {
  const random = evenRandom(SEED)
  const { modes } = problem
  const count = modes.length
  const manifold = modes.flatMap((ways, task) => (ways.length > 1 ? [task] : []))
  const horizon = horizonOf(problem)
  let current = first
  let urgency: Float64Array = Float64Array.from(
    narrow(problem, onlyOpen(first.chosen), horizon)?.latestBegin ?? new Float64Array(count),
  )
  const leastWork = modes.reduce((sum, ways) => sum + leastHands(ways, 2 ** ways.length - 1), 0)
  for (let vain = 0; vain < IN_VAIN * count ** 2; vain++) {
    if (current.finishMinute <= boundMinute && current.handsMinutes <= leastWork) return
    if (!ask()) return
    const chosen = [...current.chosen]
    let newUrgency = urgency
    const change = random()
    if (manifold.length > 0 && change < 0.5) {
      const changes = 1 + Math.floor(random() * 2)
      for (let i = 0; i < changes; i++) {
        const task = manifold[Math.floor(random() * manifold.length)] as number
        chosen[task] = Math.floor(random() * (modes[task] as ModeAt[]).length)
      }
      const narrowed = narrow(problem, onlyOpen(chosen), horizon)
      if (!narrowed) continue
      if (change < 0.35) newUrgency = narrowed.latestBegin
    } else {
      newUrgency = Float64Array.from(urgency)
      const spread = 60 * 24 * 10 ** (2 * random() - 1)
      for (let i = 0; i < 1 + count / 8; i++) {
        const task = Math.floor(random() * count)
        newUrgency[task] = (newUrgency[task] as number) + (random() - 0.5) * 2 * spread
      }
    }
    const patience = PATIENCES[Math.floor(random() * PATIENCES.length)] as number
    const plan = serialPlan(problem, chosen, newUrgency, patience)
    if (!plan || isBetter(current, plan)) continue
    if (isBetter(plan, current)) vain = 0
    current = plan
    urgency = newUrgency
    offer(plan)
  }
}

/**
 * The ways to do the tasks by depth, those of the task first that has most to choose from, and every order of each.
 *
 * @returns whether everything was tried
 */
function searchWays(
  problem: Problem,
  bestSoFar: () => Plan | null,
  offer: (plan: Plan) => void,
  ask: Ask,
  wanted: 'earlier' | 'lessWork' | 'better',
): boolean {
  const { modes } = problem
  const horizon = horizonOf(problem)
  /**
   * By when what takes so many minutes of hands must be finished to be better. That nothing is finished earlier is known
   * when less work is looked for: what takes as much is not looked at again.
   */
  const deadlineFor = (handsMinutes: number): number => {
    const best = bestSoFar()
    if (!best) return horizon
    if (wanted !== 'earlier' && handsMinutes < best.handsMinutes) return best.finishMinute
    return wanted === 'lessWork' ? NEVER : best.finishMinute - 1
  }
  const handsLeast = (open: Open) =>
    modes.reduce((sum, ways, task) => sum + leastHands(ways, open[task] as number), 0)

  const visit = (from: Open): boolean => {
    if (!ask()) return false
    const deadline = deadlineFor(handsLeast(from))
    const narrowed = deadline === NEVER ? null : narrow(problem, from, deadline)
    if (!narrowed) return true
    const { open } = narrowed
    let undecided = -1
    let most = 0
    for (let task = 0; task < modes.length; task++) {
      const bits = open[task] as number
      if ((bits & (bits - 1)) === 0) continue
      // What moves the most hands decides most.
      const ways = openModes(modes[task] as ModeAt[], bits)
      const hands = ways.map(([{ waits, minutes }]) => (waits ? 0 : minutes))
      const weight = 1 + Math.max(...hands) - Math.min(...hands)
      if (weight > most) [undecided, most] = [task, weight]
    }
    if (undecided < 0) {
      const chosen = Array.from(open, bits => 31 - Math.clz32(bits))
      return searchOrders(
        problem,
        chosen,
        narrowed,
        plan => {
          offer(plan)
          return deadlineFor(plan.handsMinutes)
        },
        ask,
      )
    }
    const ways = openModes(modes[undecided] as ModeAt[], open[undecided] as number)
    const taken = bestSoFar()?.chosen[undecided]
    // The way of the best plan first, then those with the least hands.
    ways.sort(([a, i], [b, j]) => {
      if (i === taken || j === taken) return i === taken ? -1 : 1
      return (a.waits ? 0 : a.minutes) - (b.waits ? 0 : b.minutes)
    })
    for (const [, index] of ways) {
      const tried = Int32Array.from(open)
      tried[undecided] = 1 << index
      if (!visit(tried)) return false
    }
    return true
  }
  return visit(allOpen(problem))
}
