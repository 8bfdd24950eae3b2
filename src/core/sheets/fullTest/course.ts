import type { FullTest, Target } from './model'

// How a test runs: up over the targets and past the last, down over them and past the first, and again.

/** One reading of a test: which target, which way, and which run. */
export interface Stop {
  targetId: string
  targetMm: number
  way: 'positiveUm' | 'negativeUm'
  /** From 0. */
  run: number
}

/** The way of a reading in a word. @example wayWord('positiveUm') // 'up' */
export const wayWord = (way: Stop['way']): 'up' | 'down' => (way === 'positiveUm' ? 'up' : 'down')

type Plan = Pick<FullTest, 'runs' | 'targets'>

/** The targets as the slide comes to them going up. */
const rising = (targets: readonly Target[]) => targets.toSorted((a, b) => a.targetMm - b.targetMm)

/** Every reading of a test, in the order in which the axis moves. */
export function courseOf({ runs, targets }: Plan): Stop[] {
  const up = rising(targets)
  const down = up.toReversed()
  const course: Stop[] = []
  for (let run = 0; run < runs; run++) {
    for (const { id, targetMm } of up) course.push({ targetId: id, targetMm, way: 'positiveUm', run })
    for (const { id, targetMm } of down) course.push({ targetId: id, targetMm, way: 'negativeUm', run })
  }
  return course
}

/** Where to read next; null when all is read. */
export function nextStop(plan: Plan): Stop | null {
  const read = new Map(plan.targets.map(target => [target.id, target]))
  return (
    courseOf(plan).find(({ targetId, way, run }) => (read.get(targetId)?.[way].length ?? 0) <= run) ?? null
  )
}

/** How many readings were taken, and how many there are. */
export function progressOf({ runs, targets }: Plan): { taken: number; all: number } {
  const taken = targets.reduce(
    (sum, { positiveUm, negativeUm }) =>
      sum + Math.min(positiveUm.length, runs) + Math.min(negativeUm.length, runs),
    0,
  )
  return { taken, all: 2 * runs * targets.length }
}
