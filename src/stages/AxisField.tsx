import type { Command } from '@/core/document/edit'
import type { Axis } from '@/core/document/job'
import type { QuantityKind } from '@/core/units/quantity'
import { QuantityField } from '@/ui/fields/QuantityField'
import { useAxis, useAxisNow, useEdit, useUnits } from './bench'

interface Props {
  facts: { label: string; quantity: QuantityKind; min: number; max: number }
  select: (axis: Axis) => number
  command: (axis: Axis, value: number, mergeKey: string) => Command
}

/** A field for a number of the axis that always has a value, such as a goal. */
export function AxisField({ facts: { label, quantity, min, max }, select, command }: Props) {
  const value = useAxis(select)
  const axisNow = useAxisNow()
  const units = useUnits()
  const edit = useEdit()
  return (
    <QuantityField
      label={label}
      kind={quantity}
      units={units}
      min={min}
      max={max}
      value={value}
      onValue={(next, mergeKey) => next !== null && edit(command(axisNow(), next, mergeKey))}
    />
  )
}
