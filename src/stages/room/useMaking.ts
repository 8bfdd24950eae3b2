import type { Making } from '@/core/sheets/making'
import { setMaking } from '@/core/sheets/makingCommands'
import { useAxis, useAxisNow, useEdit } from '../bench'

/** What undo calls the changes of a list. */
interface RowNames {
  change: string
  more: string
  less: string
}

/** What is made to fit the axis as it stands now, and a way to change it. */
export function useMaking() {
  const making = useAxis(axis => axis.making)
  const axisNow = useAxisNow()
  const edit = useEdit()
  const change = (label: string, run: (making: Making) => void, mergeKey?: string) =>
    edit(setMaking(axisNow(), label, run, mergeKey))
  /** What a table needs to show and change a list of what is made; each change has its name for undo. */
  const rowsOf = <R extends object>(
    pick: (making: Making) => R[],
    names: RowNames,
    fresh: (rows: R[]) => R,
  ) => ({
    rows: pick(making),
    onChange: (index: number, key: keyof R & string, value: unknown, mergeKey?: string) =>
      change(
        names.change,
        draft => {
          const row = pick(draft)[index]
          if (row) Object.assign(row, { [key]: value })
        },
        mergeKey,
      ),
    onAdd: () =>
      change(names.more, draft => {
        const rows = pick(draft)
        rows.push(fresh(rows))
      }),
    onRemove: (index: number) =>
      change(names.less, draft => {
        pick(draft).splice(index, 1)
      }),
  })
  return { making, change, rowsOf }
}
