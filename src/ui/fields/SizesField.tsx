import { useState } from 'react'
import type { NumberField } from '@/core/field/field'
import { printField } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { readSizes } from '@/core/units/sizes'
import { TextField } from './TextField'

interface Props {
  label: string
  sizesMm: readonly number[]
  units: UnitSystem
  /** What each of them can be. */
  of: NumberField
  onSizes: (sizesMm: number[]) => void
  /** Whether nobody has said yet which there are. */
  assumed?: boolean
}

/** A few lengths in one field, such as the cutters that a shop owns: `16, 20, 1 1/4 in`. */
export function SizesField({ label, sizesMm, units, of, onSizes, assumed }: Props) {
  const shown = sizesMm.map(mm => printField(mm, 'length', units)).join('; ')
  const [draft, setDraft] = useState<string | null>(null)
  const [error, setError] = useState<string | null>(null)
  const leave = () => {
    if (draft === null) return
    const read = readSizes(draft, units, of.min, of.max)
    if ('message' in read) return setError(read.message)
    setError(null)
    setDraft(null)
    if (draft !== shown) onSizes(read.sizesMm)
  }
  return (
    <TextField
      label={`${label}, ${quantityFacts('length')[units].unit}, with semicolons between them`}
      value={draft ?? shown}
      error={error ?? undefined}
      hint={assumed ? 'Assumed: a usual set. Type what you really have.' : undefined}
      onChange={event => {
        setDraft(event.currentTarget.value)
        setError(null)
      }}
      onBlur={leave}
      onKeyDown={event => event.key === 'Enter' && leave()}
    />
  )
}
