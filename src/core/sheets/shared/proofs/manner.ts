import { type Comparison, compareTests, type Tested } from './compare'

/** A test with the manner in which the slide came to its places. */
export interface MannerOfTest extends Tested {
  id: string
  label: string
  startedAt: string
  feedMmPerMin: number | null
  warmth: 'cold' | 'warm' | null
}

/** Two tests that differ in one thing: the slow or cold one first. */
export interface Pair<T extends MannerOfTest> {
  before: T
  after: T
  /** The place where they differ most, and how. */
  worst: Comparison
}

/** From so many times the feed on a test is a fast one beside a slow one. */
const OTHER_FEED = 2

const isSlower = (a: MannerOfTest, b: MannerOfTest): boolean =>
  a.feedMmPerMin !== null && b.feedMmPerMin !== null && b.feedMmPerMin >= OTHER_FEED * a.feedMmPerMin
/** Whether two tests were taken alike, as far as anybody noted. */
export const sameManner = (a: MannerOfTest, b: MannerOfTest): boolean => sameFeed(a, b) && sameWarmth(a, b)

const sameFeed = (a: MannerOfTest, b: MannerOfTest) => !isSlower(a, b) && !isSlower(b, a)
const sameWarmth = (a: MannerOfTest, b: MannerOfTest) =>
  a.warmth === null || b.warmth === null || a.warmth === b.warmth

/** What two tests are compared by, and which of them comes first. */
const FIRST = {
  feed: (a: MannerOfTest, b: MannerOfTest) => isSlower(a, b) && sameWarmth(a, b),
  warmth: (a: MannerOfTest, b: MannerOfTest) => a.warmth === 'cold' && b.warmth === 'warm' && sameFeed(a, b),
} as const
export type Manner = keyof typeof FIRST

/**
 * The two latest tests that differ in one thing alone, with the place where their reversals differ most.
 *
 * @param since tests begun before it are of another machine: something was mended or set since; null takes all
 * @returns null while there are no two such tests that were read
 */
export function latestPair<T extends MannerOfTest>(
  tests: readonly T[],
  manner: Manner,
  since: string | null,
): Pair<T> | null {
  const newest = tests.filter(({ startedAt }) => since === null || startedAt > since).toReversed()
  for (const [at, one] of newest.entries())
    for (const other of newest.slice(at + 1)) {
      const [before, after] = FIRST[manner](one, other)
        ? [one, other]
        : FIRST[manner](other, one)
          ? [other, one]
          : []
      const lines = before && after ? compareTests(before, after) : []
      const worst = lines.toSorted((a, b) => Math.abs(b.differenceUm) - Math.abs(a.differenceUm))[0]
      if (before && after && worst) return { before, after, worst }
    }
  return null
}
