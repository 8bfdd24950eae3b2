import type { Measure } from '@/core/evaluation/finding'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'

/** A figure with what it is uncertain by, as it is handed over; nothing where it is not known. */
export function measureWords(measure: Measure | null, units: UnitSystem): string {
  if (!measure) return ''
  const { value, expanded, quantity } = measure
  const words = (one: number) => say(one, quantity, units)
  return expanded === undefined ? words(value) : `${words(value)} ± ${words(expanded)}`
}
