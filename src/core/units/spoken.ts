import { type QuantityKind, quantityFacts, type UnitSystem } from './quantity'

/** A figure to start from is said in two places and a half: 20.5, not 20.4724. */
const PLACES = 2

/**
 * The nearest figure that a builder would say in the units of a job, in base units again: for values to start from, never
 * for what was measured.
 *
 * @example spoken(520, 'length', 'inch') // 520.7, which is 20.5 in
 * @example spoken(520, 'length', 'mm') // 520
 */
export function spoken(value: number, kind: QuantityKind, units: UnitSystem): number {
  const { perUnit } = quantityFacts(kind)[units]
  if (units === 'mm' || perUnit === 1 || value === 0) return value
  const said = value / perUnit
  const step = 5 * 10 ** (Math.floor(Math.log10(Math.abs(said))) - PLACES)
  return Number((Math.round(said / step) * step * perUnit).toPrecision(12))
}
