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
  sentence: string,
): Judgement {
  const use = figure.value / limit.value
  return { ...standing(t.axis, facts, use), figure, limit, use, sentence }
}

/** A finding whose figure must reach what is wanted. */
export function atLeast(
  t: EvaluationContext,
  facts: LimitFacts,
  figure: Measure,
  wanted: Measure,
  sentence: string,
): Judgement {
  const ratio = figure.value / wanted.value
  return {
    ...standing(t.axis, facts, ratio),
    figure,
    limit: wanted,
    use: wanted.value / figure.value,
    sentence,
  }
}
