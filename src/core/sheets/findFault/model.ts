import { flag, moment, momentOrNone, type RowOf, rows, words, wordsOrNone } from '../../field/field'

/** One check that was made, and what came of it, by their names in the table of faults. */
export const ANSWERS = rows(
  'Answer',
  { check: words('Check', 40), outcome: words('Outcome', 40), at: moment('When') },
  { most: 60 },
)

/** A search for what is wrong with an axis: what was looked at, and what was mended in the end. */
export const FAULT_SEARCHES = rows('Search', {
  startedAt: moment('Started'),
  finishedAt: momentOrNone('Finished'),
  /** Whether it goes on where the one before it left off: what was mended then is not at work now. */
  carriesOn: flag('Goes on after a mending'),
  mended: wordsOrNone('Fault that was mended', 40),
  answers: ANSWERS,
})
export type FaultSearch = RowOf<typeof FAULT_SEARCHES>

declare module '../../document/axis' {
  interface SheetFields {
    faultSearches: FaultSearch[]
  }
}
