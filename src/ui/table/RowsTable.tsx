import { chakra } from '@chakra-ui/react'
import { type ClipboardEvent, memo, useCallback, useRef, useState } from 'react'
import type { RowsField } from '@/core/field/field'
import { readPastedRows } from '@/core/field/pasted'
import type { Unit, UnitSystem } from '@/core/units/quantity'
import { Button } from '../controls'
import { cellsOf } from '../fields/cells'
import { Stated } from '../Note'
import { CopyTable } from './CopyTable'
import { DataTable } from './DataTable'
import { Notes } from './RowCell'
import { type AnyRow, tableOf, useRowColumns, widthPx } from './rowColumns'

/** What can be done with the rows of a table; each is found by its id. */
export interface RowActions<R> {
  onChange: (id: string, change: Partial<R>, mergeKey?: string) => void
  onAdd: () => void
  /** Puts pasted rows in from a place on, over those that stand there, and adds what goes beyond them. */
  onFill: (from: number, rows: Partial<R>[]) => void
  onRemove: (id: string) => void
}

export interface RowsTableProps<R extends { id: string }> extends RowActions<R> {
  /** The rows' description: columns, ranges and words come from it. */
  of: RowsField<R>
  rows: readonly R[]
  units: UnitSystem
  least?: number
  addLabel: string
  /** Choices of a column that are fewer or said otherwise than its description has them. */
  options?: { readonly [key: string]: readonly { value: string; label: string }[] }
  /** The unit of small lengths that are typed without one: readings of a gauge. */
  typedIn?: Unit
  /** Columns that are typed first, each downward; the rest stand as they were laid out. */
  first?: readonly string[]
  /** They are read together, row by row. */
  across?: boolean
  /** Rows that are closed are shown, not changed. */
  disabled?: boolean
  /** What is said at a cell, by the id of its row and its column: "id key". */
  notes?: Readonly<Record<string, string>>
}

const NONE = {}
const idOf = (row: AnyRow) => row.id

/** Rows of figures, words and choices, typed one after another; each cell keeps what cannot be read, with its error. */
function RowsTableOf<R extends { id: string }>(props: RowsTableProps<R>) {
  const { of, rows, units, addLabel, onAdd, onFill, typedIn, disabled, notes = NONE } = props
  const name = of.label.toLowerCase()
  const fields = Object.entries(of.of)
  const columns = useRowColumns(props)
  const rowProps = useCallback(
    (_: AnyRow, index: number) => ({ 'aria-label': `${of.label} ${index + 1}` }),
    [of.label],
  )
  const now = useRef(rows)
  now.current = rows
  const cells = useCallback(
    () => tableOf(of, now.current as unknown as AnyRow[], units, typedIn),
    [of, units, typedIn],
  )
  const [problem, setProblem] = useState<string | null>(null)
  /** A table that is pasted into a cell goes right and down from there. */
  const onPaste = (event: ClipboardEvent<HTMLElement>) => {
    const cells = cellsOf(event.clipboardData.getData('text/plain'))
    const at = (event.target as HTMLElement).closest<HTMLElement>('[data-cell]')?.dataset.cell
    if (!cells || !at || disabled) return
    event.preventDefault()
    const [row, key = ''] = at.split(' ')
    const read = readPastedRows(of.of, key, cells, units, typedIn)
    setProblem(read.ok ? null : read.message)
    if (read.ok) onFill(Number(row), read.rows as Partial<R>[])
  }
  return (
    <>
      {rows.length > 0 && (
        <chakra.div data-readings onPaste={onPaste} css={TABLE_LOOK}>
          <Notes.Provider value={notes}>
            <DataTable
              label={`Rows of ${name}s`}
              columns={columns}
              rows={rows as unknown as AnyRow[]}
              rowId={idOf}
              fixed
              inert={disabled}
              rowProps={rowProps}
              leastPx={fields.reduce((sum, [, field]) => sum + widthPx(field, fields.length) + 4, 48)}
            />
          </Notes.Provider>
        </chakra.div>
      )}
      {problem && (
        <Stated role="alert" color="fails" fontWeight={700}>
          {problem}
        </Stated>
      )}
      <Foot
        addLabel={addLabel}
        onAdd={onAdd}
        disabled={disabled || rows.length >= of.most}
        copies={rows.length > 0 ? `${name}s` : null}
        cells={cells}
      />
    </>
  )
}
/** What can be done with the whole table; it stays as it is while a cell is typed in. */
const Foot = memo(function Foot({
  addLabel,
  onAdd,
  disabled,
  copies,
  cells,
}: {
  addLabel: string
  onAdd: () => void
  disabled: boolean | undefined
  /** What is copied, if there is something to copy. */
  copies: string | null
  cells: () => string[][]
}) {
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="2" alignItems="center" mt="1">
      <Button variant="outline" disabled={disabled} onClick={onAdd}>
        {addLabel}
      </Button>
      {copies && <CopyTable label={copies} cells={cells} />}
    </chakra.div>
  )
})

const TABLE_LOOK = {
  '& td': { borderTopWidth: 0, px: '0.5', py: '1', verticalAlign: 'top' },
  '& [data-cell]:has([data-odd])': { outline: '2px solid', outlineColor: 'close', borderRadius: '6px' },
}

export const RowsTable = memo(RowsTableOf) as typeof RowsTableOf
