/**
 * A probability in whole percent, never quite nothing and never quite sure.
 *
 * @example percent(0.999) // 'over 99 %'
 */
export const percent = (probability: number): string =>
  probability > 0.99 ? 'over 99 %' : probability < 0.01 ? 'under 1 %' : `${Math.round(100 * probability)} %`
