import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { QuantityKind, UnitSystem } from '@/core/units/quantity'
import { QuantityField } from './QuantityField'

interface Props<K extends string> {
  facts: Record<K, { label: string; quantity: QuantityKind; min: number; max: number }>
  values: { readonly [N in NoInfer<K>]: number }
  units: UnitSystem
  onValue: (key: K, label: string, value: number, mergeKey: string) => void
  /** Stands before the fields, in the same grid. */
  lead?: ReactNode
  /** Stands after the fields, in the same grid. */
  children?: ReactNode
}

/** Fields for figures that always have a value, out of their facts, three abreast where there is room. */
export function FieldGrid<K extends string>({ facts, values, units, onValue, lead, children }: Props<K>) {
  return (
    <chakra.div
      display="grid"
      gap="3"
      gridTemplateColumns={{ base: '1fr 1fr', lg: 'repeat(3, minmax(0, 1fr))' }}
      data-readings
    >
      {lead}
      {(Object.keys(facts) as K[]).map(key => {
        const { label, quantity, min, max } = facts[key]
        return (
          <QuantityField
            key={key}
            label={label}
            kind={quantity}
            units={units}
            min={min}
            max={max}
            value={values[key]}
            onValue={(value, mergeKey) => value !== null && onValue(key, label, value, mergeKey)}
          />
        )
      })}
      {children}
    </chakra.div>
  )
}
