import { SHEETS } from '.'
import { OUTCOME_OF } from './asked.generated'

/** What comes of every sheet, in the order of the work. */
export const OUTCOMES = SHEETS.map(({ id }) => ({ ...OUTCOME_OF[id], id }))
