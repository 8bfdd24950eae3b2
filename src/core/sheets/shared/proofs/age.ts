import type { Judgement } from '../../../evaluation/check'
import type { EvaluationContext } from '../../../evaluation/context'
import { dayWords } from '../../../units/dateWords'
import { noAdvice } from '../rounds/roundFinding'
import { mendedSince } from './mendedSince'

// A result is as old as what it rests on.

/** When something of an axis was last mended or changed, and what; null while nothing was. */
export function lastChange({
  touched,
  faultSearches,
}: Pick<EvaluationContext['axis'], 'touched' | 'faultSearches'>): { at: string; what: string } | null {
  const mended = mendedSince({ faultSearches })
  if (mended !== null && (!touched || mended > touched.at)) return { at: mended, what: 'a fault mended' }
  return touched
}

/** The first sentence: what was found, without the advice that followed from it. */
const firstOf = (text: string): string => text.split(/(?<=\.)\s/)[0] ?? text

/**
 * What a test says, or that it was taken before the last change and says nothing of the axis as it is.
 *
 * @param startedAt when it was begun
 */
export function asOld(t: EvaluationContext, startedAt: string, said: Judgement | null): Judgement | null {
  const change = lastChange(t.axis)
  if (!said || !change || startedAt >= change.at) return said
  const { sentence } = said
  return {
    ...noAdvice(''),
    sentence: () =>
      `Read on ${dayWords(startedAt)}, before the last change (${dayWords(change.at)}: ${change.what}): read it again. It said: ${firstOf(typeof sentence === 'string' ? sentence : sentence())}`,
  }
}
