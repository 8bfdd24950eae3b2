import type { Stage } from '../document/stages'
import type { Check, ListedCheck } from '../evaluation/check'
import type { LimitFacts } from '../evaluation/limits'
import { type LimitKey, SHEETS } from '.'

interface Checked {
  readonly id: string
  readonly stage: Stage
  readonly checks?: Readonly<Record<string, Check>>
}

/** The checks of sheets by their ids, each with where it is listed, in the order of the sheets. */
export const listed = (sheets: readonly Checked[]): ReadonlyMap<string, ListedCheck> =>
  new Map(
    sheets.flatMap(({ id: sheet, stage, checks = {} }) =>
      Object.entries(checks).map(([checkId, check]): [string, ListedCheck] => [
        checkId,
        { ...check, checkId, sheet, stage },
      ]),
    ),
  )

/** The checks that every screen of a job has: those of the stages before Align. */
export const FIRST_CHECKS = listed(SHEETS)

/** What every check is held to, by the key of the limit. */
export const LIMITS = Object.assign({}, ...SHEETS.map(({ limits }) => limits)) as Record<LimitKey, LimitFacts>
