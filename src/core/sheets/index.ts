import type { Stage } from '../document/stages'
import type { LimitKey, SheetId } from '../evaluation/ids'
import type { LimitFacts } from '../evaluation/limits'
import type { Sheet } from './sheet'
import { LISTED } from './sheets.generated'

export type { CheckId, LimitKey, SheetId } from '../evaluation/ids'

/** Every sheet, in the order of the work. Everything that the app knows of a sheet is folded out of this list. */
export const SHEETS: readonly Sheet[] = LISTED

const BY_ID = new Map(SHEETS.map(sheet => [sheet.id, sheet]))

/** A sheet by its id. */
export const sheetOf = (id: SheetId): Sheet => BY_ID.get(id) as Sheet

/** The sheets of a stage, in the order of the work. */
export const sheetsOf = (stage: Stage): readonly Sheet[] => SHEETS.filter(sheet => sheet.stage === stage)

/** The sheet of a stage that it opens with. */
export const firstSheet = (stage: Stage): SheetId => (sheetsOf(stage)[0] as Sheet).id

/** What every check is held to, by the key of the limit. */
export const LIMITS = Object.assign({}, ...SHEETS.map(({ limits }) => limits)) as Readonly<
  Record<LimitKey, LimitFacts>
>
