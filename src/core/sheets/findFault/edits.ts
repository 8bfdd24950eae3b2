import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import { blankRow } from '../../field/field'
import { ANSWERS, FAULT_SEARCHES } from './model'
import { CHECK_WORDS, type CheckName, FAULT_WORDS, type FaultId, outcomeWords } from './words'

/** The search that is going on; none when none was begun, or the last one is closed. */
export const openSearch = ({ faultSearches }: Pick<Axis, 'faultSearches'>) => {
  const last = faultSearches.at(-1)
  return last?.finishedAt === null ? last : undefined
}

/** Begins a search. */
export const startSearch = (axis: Axis, id: string, at: string, carriesOn: boolean): Edit =>
  onAxis(axis, 'Search for a fault begun', draft => {
    draft.faultSearches.push(blankRow(FAULT_SEARCHES, id, { startedAt: at, carriesOn }))
  })

/** Puts down what came of a check, in place of what was put down before; nothing takes it back. */
export const setAnswer = (
  axis: Axis,
  check: CheckName,
  outcome: string | null,
  { id, at }: { id: string; at: string },
): Edit =>
  onAxis(
    axis,
    `${CHECK_WORDS[check].title}${outcome === null ? ': taken back' : `: ${outcomeWords(check, outcome).toLowerCase()}`}`,
    draft => {
      const search = openSearch(draft)
      if (!search) return
      search.answers = search.answers.filter(one => one.check !== check)
      if (outcome !== null) search.answers.push(blankRow(ANSWERS, id, { check, outcome, at }))
    },
  )

/** Closes a search: with the fault that was mended, which goes to the log, or with none. */
export const closeSearch = (axis: Axis, mended: FaultId | null, at: string): Edit =>
  onAxis(
    axis,
    mended ? `Mended: ${FAULT_WORDS[mended].name}` : 'Search for a fault closed',
    draft => {
      const search = openSearch(draft)
      if (search) Object.assign(search, { finishedAt: at, mended })
    },
    mended
      ? {
          entry: {
            axisId: axis.id,
            kind: 'note',
            text: `Fault found and mended: ${FAULT_WORDS[mended].name.toLowerCase()}. To test again: ${CHECK_WORDS[FAULT_WORDS[mended].again].title.toLowerCase()}.`,
          },
        }
      : {},
  )
