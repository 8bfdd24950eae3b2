import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { NumberField } from '@/core/field/field'
import type { UnitSystem } from '@/core/units/quantity'
import { FieldInput } from './FieldInput'

interface Props<K extends string, V extends number | null> {
  fields: { readonly [N in K]: NumberField }
  values: { readonly [N in NoInfer<K>]: V }
  units: UnitSystem
  onValue: (key: K, value: V, mergeKey: string) => void
  /** Stands before the fields, in the same grid. */
  lead?: ReactNode
  /** Stands after the fields, in the same grid. */
  children?: ReactNode
}

/** Fields for figures, out of their descriptions, three abreast where there is room. */
export function FieldGrid<K extends string, V extends number | null>({
  fields,
  values,
  units,
  onValue,
  lead,
  children,
}: Props<K, V>) {
  return (
    <chakra.div
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: 'repeat(2, minmax(0, 1fr))', lg: 'repeat(3, minmax(0, 1fr))' }}
      data-readings
    >
      {lead}
      {(Object.keys(fields) as K[]).map(key => (
        <FieldInput
          key={key}
          field={fields[key]}
          value={values[key]}
          units={units}
          onValue={(value, mergeKey = '') => onValue(key, value, mergeKey)}
        />
      ))}
      {children}
    </chakra.div>
  )
}
