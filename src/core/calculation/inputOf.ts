import type { NumberField } from '../field/field'
import type { QuantityKind } from '../units/quantity'
import { number } from './spec'

/** The unit that a formula reckons a quantity in: the one that stored values have. */
const UNIT: { readonly [K in QuantityKind]: string } = {
  length: 'mm',
  smallLength: 'um',
  speed: 'mm/min',
  acceleration: 'mm/s2',
  pull: 'N',
  force: 'N',
  mass: 'kg',
  torque: 'N m',
  angle: 'deg',
  temperatureRise: 'K',
  duration: 's',
  frequency: 'Hz',
  stiffness: 'N/um',
  pressure: 'MPa',
  pressureSpeed: 'MPa m/min',
  inertia: 'kg m2',
  hours: 'h',
  rotation: 'rpm',
  stepsPerLength: '1/mm',
  ratio: '1',
  share: '1',
}

/**
 * The input of a calculation that a field feeds: its words, its unit and its sign come from the field. Its ends do not:
 * they are what a form takes, and a formula holds beyond them.
 *
 * @param symbol how the formula writes it
 * @param label where the field's own words need the rest of its form to be understood
 * @example inputOf(HOLES.of.requiredDiameterMm, 'd') // number('hole wanted', 'd', 'mm', { over: 0 })
 */
export function inputOf(field: NumberField, symbol: string, label?: string) {
  const sign = field.min > 0 ? { over: 0 } : field.min === 0 ? { min: 0 } : {}
  const words = label ?? field.label.charAt(0).toLowerCase() + field.label.slice(1)
  return number(words, symbol, UNIT[field.quantity], sign as { min?: number; over?: number })
}

const QUANTITY = Object.fromEntries(
  Object.entries(UNIT)
    .filter(([, unit]) => unit !== '1')
    .map(([quantity, unit]) => [unit, quantity as QuantityKind]),
)

/**
 * The quantity that a formula's unit stands for, where a job in inches says it otherwise; none for a plain number.
 *
 * @example quantityOf('N/um') // 'stiffness'
 */
export const quantityOf = (unit: string): QuantityKind | undefined => QUANTITY[unit]
