import type { Judgement, Say } from './check'
import type { EvaluationContext } from './context'
import { type Measure, standing } from './finding'
import type { LimitFacts } from './limits'

export const measure = (value: number, quantity: Measure['quantity']): Measure => ({ value, quantity })
/** Of a finding that is no comparison of figures. */
export const NO_FIGURES = { figure: null, limit: null, use: null }
export const percent = (ratio: number, say: Say) => say(Math.abs(ratio), 'share', 0)

/** A finding whose figure must stay below its limit. */
export function atMost(
  t: EvaluationContext,
  facts: LimitFacts,
  figure: Measure,
  limit: Measure,
  sentence: Judgement['sentence'],
): Judgement {
  const use = figure.value / limit.value
  const { state, margin, limitKey } = standing(t, facts, use)
  return { state, margin, limitKey, figure, limit, use, sentence }
}

/** A finding whose figure must reach what is wanted. */
export function atLeast(
  t: EvaluationContext,
  facts: LimitFacts,
  figure: Measure,
  wanted: Measure,
  sentence: Judgement['sentence'],
): Judgement {
  const { state, margin, limitKey } = standing(t, facts, figure.value / wanted.value)
  return {
    state,
    margin,
    limitKey,
    figure,
    limit: wanted,
    use: wanted.value / figure.value,
    sentence,
  }
}

/** Longer than any machine is used: nobody reads what comes beyond. */
const LONGEST_LIFE_HOURS = 1_000_000

/** A life, said no longer than anybody can mean it. */
export const lifeWords = (hours: number, say: Say): string =>
  hours > LONGEST_LIFE_HOURS ? `more than ${say(LONGEST_LIFE_HOURS, 'hours')}` : say(hours, 'hours')

/** A life that must be as long as is wanted. */
export const livesAtLeast = (
  t: EvaluationContext,
  facts: LimitFacts,
  hours: number,
  wantedHours: number,
  sentence: Judgement['sentence'],
): Judgement => ({
  ...atLeast(t, facts, measure(hours, 'hours'), measure(wantedHours, 'hours'), sentence),
  figure: measure(Math.min(hours, LONGEST_LIFE_HOURS), 'hours'),
})
