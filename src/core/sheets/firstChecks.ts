import type { CheckMap, ListedCheck } from '../evaluation/check'
import { type CheckId, keysOf } from '../evaluation/ids'
import { SHEETS } from '.'
import { FIRST } from './first.generated'
import type { LoadedSheets } from './sheet'

/** The checks of sheets by their ids, each with where it is listed, in the order of the sheets. */
export const listed = (loaded: LoadedSheets): CheckMap =>
  new Map(
    SHEETS.flatMap(({ id: sheet, stage }) => {
      const { checks = {} } = loaded[sheet] ?? {}
      return keysOf(checks).flatMap((checkId): [CheckId, ListedCheck][] => {
        const check = checks[checkId]
        return check ? [[checkId, { ...check, checkId, sheet, stage }]] : []
      })
    }),
  )

/** The checks that every screen of a job has. */
export const FIRST_CHECKS = listed(FIRST)
