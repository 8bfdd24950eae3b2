import type { Judgement, Say } from './check'
import type { Trace } from './context'
import { type Measure, standing } from './finding'
import type { LimitKey } from './limits'

export const measure = (value: number, quantity: Measure['quantity']): Measure => ({ value, quantity })
export const percent = (ratio: number, say: Say) => say(Math.abs(ratio), 'share', 0)

/** A finding whose figure must stay below its limit. */
export function atMost(
  t: Trace,
  key: LimitKey,
  figure: Measure,
  limit: Measure,
  sentence: string,
): Judgement {
  const use = figure.value / limit.value
  return { ...standing(t.axis, key, use), figure, limit, use, sentence }
}

/** A finding whose figure must reach what is wanted. */
export function atLeast(
  t: Trace,
  key: LimitKey,
  figure: Measure,
  wanted: Measure,
  sentence: string,
): Judgement {
  const ratio = figure.value / wanted.value
  return {
    ...standing(t.axis, key, ratio),
    figure,
    limit: wanted,
    use: wanted.value / figure.value,
    sentence,
  }
}
