import type { Job } from '@/core/document/job'
import { attempt } from '@/core/evaluation/attempt'

/** What comes out, or the sentence that asks for what it needs. */
export function orMissing<T>(work: () => T): T | { missing: string } {
  const result = attempt(work)
  return result.ask === undefined ? result.value : { missing: result.ask }
}

/** The day of today, as `2026-12-01`. */
export const today = () => new Date().toLocaleDateString('sv')

/** What there is of the parts of a job today. */
export const supplyOf = ({ ownParts, orders }: Job) => ({
  ownParts,
  orders,
  today: today(),
})
