import { chakra } from '@chakra-ui/react'
import { Trash2 } from 'lucide-react'
import { type QuantityKind, quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { Button } from '../controls'
import { SideScroll } from '../Panel'
import { QuantityField } from './QuantityField'
import { SelectField } from './SelectField'
import { TextField } from './TextField'

/** One column of a table that is typed into. */
export type Column<R> = { key: keyof R & string; label: string; wide?: boolean } & (
  | { is: 'words'; most: number }
  | { is: 'quantity'; quantity: QuantityKind; min: number; max: number; optional?: boolean }
  | { is: 'choice'; of: readonly { value: string; label: string }[]; read: (value: string) => unknown }
)

/** With more columns than this the units go up into the heads. */
const MOST_WIDE = 5

/** A head with the unit of its column: "To the left, mm". */
function withUnit<R>(column: Column<R>, units: UnitSystem): string {
  const { unit } = column.is === 'quantity' ? quantityFacts(column.quantity)[units] : { unit: '' }
  return unit ? `${column.label}, ${unit}` : column.label
}

interface Props<R> {
  /** What a row is, for those who do not see the table: "Hole". */
  row: string
  columns: readonly Column<R>[]
  rows: readonly R[]
  units: UnitSystem
  most: number
  least?: number
  onChange: (index: number, key: keyof R & string, value: unknown, mergeKey?: string) => void
  onAdd: () => void
  onRemove: (index: number) => void
  addLabel: string
}

/** Rows of figures, words and choices, typed one after another; each cell keeps what cannot be read, with its error. */
export function RowsTable<R extends object>({
  row: rowName,
  columns,
  rows,
  units,
  most,
  least = 0,
  onChange,
  onAdd,
  onRemove,
  addLabel,
}: Props<R>) {
  const dense = columns.length > MOST_WIDE
  const narrowPx = dense ? 66 : 104
  const widthPx = (column: Column<R>) => (column.wide ? 170 : column.is === 'choice' ? 96 : narrowPx)
  const template = `${columns.map(column => `minmax(${widthPx(column)}px, ${column.wide ? 1.6 : 1}fr)`).join(' ')} 44px`
  const leastPx = columns.reduce((sum, column) => sum + widthPx(column) + 4, 44)
  return (
    <>
      {rows.length > 0 && (
        <SideScroll pb="1">
          <chakra.div minW={`${leastPx}px`} data-readings>
            <chakra.div
              aria-hidden="true"
              display="grid"
              gap="1"
              gridTemplateColumns={template}
              fontSize="13px"
              fontWeight={700}
              color="quiet"
              alignItems="end"
              mb="1"
            >
              {columns.map(column => (
                <span key={column.key}>{dense ? withUnit(column, units) : column.label}</span>
              ))}
            </chakra.div>
            {rows.map((row, index) => (
              <chakra.div
                // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place in the table
                key={index}
                role="group"
                aria-label={`${rowName} ${index + 1}`}
                display="grid"
                gap="1"
                mb="1.5"
                alignItems="start"
                gridTemplateColumns={template}
              >
                {columns.map(column => (
                  <RowCell
                    key={column.key}
                    column={column}
                    label={`${column.label}, ${rowName.toLowerCase()} ${index + 1}`}
                    value={row[column.key]}
                    units={units}
                    dense={dense}
                    onValue={(value, mergeKey) => onChange(index, column.key, value, mergeKey)}
                  />
                ))}
                <Button
                  variant="quiet"
                  px="2"
                  disabled={rows.length <= least}
                  aria-label={`Take out ${rowName.toLowerCase()} ${index + 1}`}
                  onClick={() => onRemove(index)}
                >
                  <Trash2 size={16} aria-hidden />
                </Button>
              </chakra.div>
            ))}
          </chakra.div>
        </SideScroll>
      )}
      <Button variant="outline" mt="1" disabled={rows.length >= most} onClick={onAdd}>
        {addLabel}
      </Button>
    </>
  )
}

interface CellProps<R> {
  column: Column<R>
  label: string
  value: unknown
  units: UnitSystem
  dense: boolean
  onValue: (value: unknown, mergeKey?: string) => void
}

function RowCell<R>({ column, label, value, units, dense, onValue }: CellProps<R>) {
  switch (column.is) {
    case 'words':
      return (
        <TextField
          label={label}
          hideLabel
          key={String(value)}
          defaultValue={String(value)}
          maxLength={column.most}
          onBlur={event => {
            const typed = event.currentTarget.value.trim()
            if (typed && typed !== value) onValue(typed)
          }}
        />
      )
    case 'choice':
      return (
        <SelectField
          label={label}
          hideLabel
          value={String(value)}
          options={column.of}
          onChange={next => onValue(column.read(next))}
        />
      )
    case 'quantity':
      return (
        <QuantityField
          label={label}
          hideLabel
          hideUnit={dense}
          kind={column.quantity}
          units={units}
          min={column.min}
          max={column.max}
          optional={column.optional}
          value={value as number | null}
          onValue={(next, mergeKey) => (next !== null || column.optional) && onValue(next, mergeKey)}
        />
      )
  }
}

/** Columns of quantities out of the facts of their fields. */
export const quantityColumns = <R,>(
  facts: Record<string, { label: string; quantity: QuantityKind; min: number; max: number }>,
): Column<R>[] =>
  Object.entries(facts).map(([key, fact]) => ({
    ...fact,
    key: key as keyof R & string,
    is: 'quantity' as const,
  }))
