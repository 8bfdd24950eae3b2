/** The least figure of some things; without end where there are none. @example least([3, 1], n => n) // 1 */
export const least = <T>(all: readonly T[], of: (one: T) => number): number =>
  all.reduce((a, one) => Math.min(a, of(one)), Number.POSITIVE_INFINITY)

/** The largest figure of some things, none of which is below 0. @example most([3, 1], n => n) // 3 */
export const most = <T>(all: readonly T[], of: (one: T) => number): number =>
  all.reduce((a, one) => Math.max(a, of(one)), 0)
