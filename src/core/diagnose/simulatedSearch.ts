import { rankFaults } from '../sheets/findFault/calculation'
import { FAULT_TABLE, likelihoodOf } from '../sheets/findFault/table'
import { FAULT_WORDS, type FaultId } from '../sheets/findFault/words'
import { FOUND_FROM } from './diagnosis'

// Searches for planted faults, whose checks come out as the table says: how good is it to go by information?

/** How the next check is chosen: by what it tells in a minute, down the list, or what proves the likeliest fault. */
export const STRATEGIES = ['information', 'checklist', 'likeliest'] as const
export type Strategy = (typeof STRATEGIES)[number]

interface Observed {
  testId: string
  outcomeId: string
}

/** Draws one of some by their shares. */
function drawn<T>(random: () => number, of: readonly T[], share: (one: T) => number): T {
  let left = random() * of.reduce((sum, one) => sum + share(one), 0)
  for (const one of of) {
    left -= share(one)
    if (left < 0) return one
  }
  return of.at(-1) as T
}

/**
 * One search for a planted fault, from the complaint on, until a fault is as good as found or nothing is left to check.
 *
 * @param random even numbers from 0 up to 1
 * @returns the fault that was there, the one that was named, and the minutes that it took
 */
export function simulatedSearch(
  random: () => number,
  strategy: Strategy,
): { planted: string; named: string; minutes: number } {
  const { faults, tests } = FAULT_TABLE
  const planted = drawn(random, faults, ({ prior }) => prior).id
  const observed: Observed[] = []
  let minutes = 0
  let check: string = 'complaint'
  for (;;) {
    const test = tests.find(({ id }) => id === check) as (typeof tests)[number]
    const outcome = drawn(random, test.outcomes, ({ id }) => likelihoodOf(check, id, planted))
    observed.push({ testId: check, outcomeId: outcome.id })
    minutes += test.minutes
    const { posteriors, gains } = rankFaults.compute({ faults, tests, observed })
    const top = posteriors.reduce((best, one) => (one.probability > best.probability ? one : best))
    const next = chosen(strategy, posteriors, gains)
    if (top.probability >= FOUND_FROM || next === null) return { planted, named: top.faultId, minutes }
    check = next
  }
}

type Ranked = ReturnType<typeof rankFaults>

/** The next check of a strategy; null where none is left. */
function chosen(strategy: Strategy, posteriors: Ranked['posteriors'], gains: Ranked['gains']): string | null {
  const left = gains.map(({ testId }) => testId)
  if (strategy === 'checklist') return left[0] ?? null
  if (strategy === 'information')
    return (
      gains.reduce<Ranked['gains'][number] | null>(
        (best, one) => (best === null || one.bitsPerMinute > best.bitsPerMinute ? one : best),
        null,
      )?.testId ?? null
    )
  const likeliest = posteriors.toSorted((a, b) => b.probability - a.probability)
  for (const { faultId } of likeliest) {
    const { again } = FAULT_WORDS[faultId as FaultId]
    if (left.includes(again)) return again
  }
  return left[0] ?? null
}
