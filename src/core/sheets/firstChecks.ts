import type { CheckMap, ListedCheck } from '../evaluation/check'
import type { CheckId } from '../evaluation/ids'
import { SHEETS } from '.'
import { FIRST } from './first.generated'
import type { LoadedSheets } from './sheet'

/** The checks of sheets by their ids, each with where it is listed, in the order of the sheets. */
export const listed = (judged: LoadedSheets): CheckMap =>
  new Map(
    SHEETS.flatMap(({ id: sheet, stage }) =>
      Object.entries(judged[sheet]?.checks ?? {}).map(([id, check]): [CheckId, ListedCheck] => {
        const checkId = id as CheckId
        return [checkId, { ...check, checkId, sheet, stage }]
      }),
    ),
  )

/** The checks that every screen of a job has. */
export const FIRST_CHECKS = listed(FIRST)
