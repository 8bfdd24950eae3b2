import { useCallback, useRef } from 'react'
import type { Axis } from '@/core/document/axis'
import type { Edit } from '@/core/document/edit'
import type { NumberField } from '@/core/field/field'
import { FieldInput } from '@/ui/fields/FieldInput'
import { useEdit, useUnits } from './JobContext'
import { useAxis, useAxisNow } from './useAxis'

interface Props<T extends number | null> {
  field: NumberField
  select: (axis: Axis) => T
  edit: (axis: Axis, value: T, mergeKey: string) => Edit
}

/** A field for a number of the axis, such as a goal. */
export function AxisField<T extends number | null>({ field, select, edit: editOf }: Props<T>) {
  const value = useAxis(select)
  const axisNow = useAxisNow()
  const units = useUnits()
  const edit = useEdit()
  const made = useRef(editOf)
  made.current = editOf
  const onValue = useCallback(
    (next: unknown, mergeKey = '') => void edit(made.current(axisNow(), next as T, mergeKey)),
    [edit, axisNow],
  )
  return <FieldInput field={field} value={value} units={units} onValue={onValue} />
}
