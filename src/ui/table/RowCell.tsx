import { chakra } from '@chakra-ui/react'
import { createContext, memo, useCallback, useContext } from 'react'
import type { Field } from '@/core/field/field'
import type { Unit, UnitSystem } from '@/core/units/quantity'
import { FieldInput } from '../fields/FieldInput'

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
export const RowCell = memo(function RowCell({
  rowId,
  of,
  index,
  typedIn,
  turn,
  onChange,
  ...input
}: CellProps) {
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
export const Notes = createContext<Readonly<Record<string, string>>>({})

/** What is odd about a cell, under its figure. */
function CellNote({ at }: { at: string }) {
  const words = useContext(Notes)[at]
  return words ? (
    <chakra.p role="status" data-odd color="close" fontSize="13px" fontWeight={700} lineHeight={1.2} px="1">
      {words}
    </chakra.p>
  ) : null
}
