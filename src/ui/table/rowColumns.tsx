import { chakra } from '@chakra-ui/react'
import { Trash2 } from 'lucide-react'
import { useMemo } from 'react'
import type { Field, Row, RowsField } from '@/core/field/field'
import { clockWords } from '@/core/units/clock'
import { printField } from '@/core/units/print'
import { quantityFacts, type Unit, type UnitSystem } from '@/core/units/quantity'
import { Button } from '../controls'
import type { TableColumn } from './DataTable'
import { RowCell } from './RowCell'
import type { RowsTableProps } from './RowsTable'

/** With fewer columns than this a table stands beside its picture; a choice has room for its words. */
const FEW_COLUMNS = 4
/** With more columns than this the units go up into the heads. */
const MOST_WIDE = 5
/** Words longer than this want room. */
const LONG_WORDS = 60

/** With more columns than this they are as narrow as a figure lets them be. */
const MOST_DENSE = 7

export const widthPx = (field: Field, columns: number) => {
  const tight = columns > MOST_DENSE
  if (field.is === 'words' && field.most >= LONG_WORDS) return 168
  if (field.is === 'choice') return tight ? 94 : columns < FEW_COLUMNS ? 200 : 112
  return tight ? 67 : columns > MOST_WIDE ? 74 : columns < FEW_COLUMNS ? 96 : 112
}

const isSmall = (field: Field) => field.is === 'number' && field.quantity === 'smallLength'

/** Columns typed first have the first turns; Enter goes down each of them, or across them row by row. */
const turnOf = (first: readonly string[], key: string, across = false) =>
  first.includes(key) ? 1 + (across ? 0 : first.indexOf(key)) : first.length + 1

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

export type AnyRow = Row<Record<string, unknown>>

/** Rows as lines and columns, under their heads, with their units. */
export const tableOf = (
  of: RowsField,
  rows: readonly AnyRow[],
  units: UnitSystem,
  typedIn?: Unit,
): string[][] => [
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

/** The columns of a table of rows: one a field, and the one that takes a row out. */
export function useRowColumns<R extends { id: string }>(props: RowsTableProps<R>): TableColumn<AnyRow>[] {
  const { of, rows, units, least = 0, options, onChange, onRemove, typedIn, first, across, disabled } = props
  const name = of.label.toLowerCase()
  const fields = Object.entries(of.of)
  const dense = fields.length > MOST_WIDE
  return useMemo((): TableColumn<AnyRow>[] => {
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
              turn={first && turnOf(first, key, across)}
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
    across,
    disabled,
  ])
}
