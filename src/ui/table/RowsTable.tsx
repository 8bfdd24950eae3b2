import { chakra } from '@chakra-ui/react'
import { Trash2 } from 'lucide-react'
import {
  type ClipboardEvent,
  createContext,
  memo,
  useCallback,
  useContext,
  useMemo,
  useRef,
  useState,
} from 'react'
import type { Field, Row, RowsField } from '@/core/field/field'
import { readPastedRows } from '@/core/field/pasted'
import { clockWords } from '@/core/units/clock'
import { printField } from '@/core/units/print'
import { quantityFacts, type Unit, type UnitSystem } from '@/core/units/quantity'
import { Button } from '../controls'
import { cellsOf } from '../fields/cells'
import { FieldInput } from '../fields/FieldInput'
import { Stated } from '../Note'
import { CopyTable } from './CopyTable'
import { DataTable, type TableColumn } from './DataTable'

/** What can be done with the rows of a table; each is found by its id. */
export interface RowActions<R> {
  onChange: (id: string, change: Partial<R>, mergeKey?: string) => void
  onAdd: () => void
  /** Puts pasted rows in from a place on, over those that stand there, and adds what goes beyond them. */
  onFill: (from: number, rows: Partial<R>[]) => void
  onRemove: (id: string) => void
}

interface Props<R extends { id: string }> extends RowActions<R> {
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
  /** Rows that are closed are shown, not changed. */
  disabled?: boolean
  /** What is said at a cell, by the id of its row and its column: "id key". */
  notes?: Readonly<Record<string, string>>
}

/** With fewer columns than this a table stands beside its picture; a choice has room for its words. */
const FEW_COLUMNS = 4
/** With more columns than this the units go up into the heads. */
const MOST_WIDE = 5
/** Words longer than this want room. */
const LONG_WORDS = 60

/** With more columns than this they are as narrow as a figure lets them be. */
const MOST_DENSE = 7

const widthPx = (field: Field, columns: number) => {
  const tight = columns > MOST_DENSE
  if (field.is === 'words' && field.most >= LONG_WORDS) return 168
  if (field.is === 'choice') return tight ? 94 : columns < FEW_COLUMNS ? 200 : 112
  return tight ? 67 : columns > MOST_WIDE ? 74 : columns < FEW_COLUMNS ? 96 : 112
}

const isSmall = (field: Field) => field.is === 'number' && field.quantity === 'smallLength'

/** Columns typed first have the first turns; Enter goes down each of them. */
const turnOf = (first: readonly string[], key: string) =>
  first.includes(key) ? 1 + first.indexOf(key) : first.length + 1

/** What is copied out keeps what was typed. */
const COPIED_DECIMALS = 5

/** A head with the unit of its column: "To the left, mm". */
const headOf = (field: Field, units: UnitSystem, dense: boolean, typedIn?: Unit): string => {
  const unit =
    field.is === 'number' && dense
      ? (field.unit ??
        (typedIn && field.quantity === 'smallLength' ? typedIn : quantityFacts(field.quantity)[units]).unit)
      : ''
  return unit ? `${field.label}, ${unit}` : field.label
}

type AnyRow = Row<Record<string, unknown>>
const idOf = (row: AnyRow) => row.id

/** Rows of figures, words and choices, typed one after another; each cell keeps what cannot be read, with its error. */
function RowsTableOf<R extends { id: string }>(props: Props<R>) {
  const { of, rows, units, least = 0, addLabel, options, onChange, onAdd, onFill, onRemove } = props
  const { typedIn, first, disabled, notes } = props
  const name = of.label.toLowerCase()
  const fields = Object.entries(of.of)
  const dense = fields.length > MOST_WIDE
  const columns = useMemo((): TableColumn<AnyRow>[] => {
    const change = onChange as (id: string, part: Record<string, unknown>, mergeKey?: string) => void
    return [
      ...Object.entries(of.of).map(
        ([key, field]): TableColumn<AnyRow> => ({
          id: key,
          head: headOf(field, units, dense, typedIn),
          widthPx: widthPx(field, fields.length),
          cell: (row, index) => (
            <RowCell
              rowId={row.id}
              of={key}
              index={index}
              field={field}
              label={`${field.label}, ${name} ${index + 1}`}
              value={row[key]}
              units={units}
              dense={dense}
              disabled={disabled}
              options={options?.[key]}
              typedIn={typedIn && isSmall(field) ? typedIn : undefined}
              turn={first && turnOf(first, key)}
              onChange={change}
            />
          ),
        }),
      ),
      {
        id: 'out',
        head: <chakra.span srOnly>Take out</chakra.span>,
        widthPx: 44,
        cell: (row, index) => (
          <Button
            variant="quiet"
            px="2"
            disabled={disabled || rows.length <= least}
            aria-label={`Take out ${name} ${index + 1}`}
            onClick={() => onRemove(row.id)}
          >
            <Trash2 size={16} aria-hidden />
          </Button>
        ),
      },
    ]
  }, [
    of,
    fields.length,
    units,
    dense,
    name,
    options,
    rows.length,
    least,
    onChange,
    onRemove,
    typedIn,
    first,
    disabled,
  ])
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
          <Notes.Provider value={notes ?? NONE}>
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

interface CellProps {
  rowId: string
  of: string
  index: number
  field: Field
  label: string
  value: unknown
  units: UnitSystem
  dense: boolean
  disabled?: boolean
  options?: readonly { value: string; label: string }[]
  typedIn?: Unit
  turn?: number
  onChange: (id: string, part: Record<string, unknown>, mergeKey?: string) => void
}

/** One cell: it is drawn again only when its own value changes, whatever is typed beside it. */
const RowCell = memo(function RowCell({ rowId, of, index, typedIn, turn, onChange, ...input }: CellProps) {
  const onValue = useCallback(
    (value: unknown, mergeKey?: string) => onChange(rowId, { [of]: value }, mergeKey),
    [onChange, rowId, of],
  )
  return (
    <chakra.div data-cell={`${index} ${of}`} data-turn={turn}>
      <FieldInput
        {...input}
        hideLabel
        {...(typedIn && { typedIn, echoes: !input.disabled })}
        onValue={onValue}
      />
      <CellNote at={`${rowId} ${of}`} />
    </chakra.div>
  )
})

/** Notes at cells, past the cells: those are not drawn again when another one turns odd. */
const Notes = createContext<Readonly<Record<string, string>>>({})
const NONE = {}

/** What is odd about a cell, under its figure. */
function CellNote({ at }: { at: string }) {
  const words = useContext(Notes)[at]
  return words ? (
    <chakra.p role="status" data-odd color="close" fontSize="13px" fontWeight={700} lineHeight={1.2} px="1">
      {words}
    </chakra.p>
  ) : null
}

/** Rows as lines and columns, under their heads, with their units. */
const tableOf = (of: RowsField, rows: readonly AnyRow[], units: UnitSystem, typedIn?: Unit): string[][] => [
  Object.values(of.of).map(field => headOf(field, units, true, typedIn)),
  ...rows.map(row =>
    Object.entries(of.of).map(([key, field]) => {
      const value = row[key]
      if (value === null || value === undefined) return ''
      if (field.is === 'number')
        return printField(
          value as number,
          field.quantity,
          units,
          typedIn && isSmall(field) ? { ...typedIn, decimals: COPIED_DECIMALS } : undefined,
        )
      if (field.is === 'clock') return clockWords(value as number)
      return field.is === 'choice' ? (field.words?.[value as string] ?? String(value)) : String(value)
    }),
  ),
]

export const RowsTable = memo(RowsTableOf) as typeof RowsTableOf
