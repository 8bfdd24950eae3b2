import { InputError } from '../calculation/inputError'
import type { UnitSystem } from '../units/quantity'
import { askFor } from './check'
import { inputErrorWords } from './inputErrorWords'
import { NotKnown } from './notKnown'

/** A result, or in words what it still needs. */
export type Result<T> = { value: T; ask?: undefined } | { value?: undefined; ask: string }

/** Works something out, or says what must be chosen or measured first. */
export function attempt<T>(work: () => T, units: UnitSystem = 'mm'): Result<T> {
  try {
    return { value: work() }
  } catch (error) {
    if (error instanceof NotKnown) return { ask: askFor(error.missing) }
    if (error instanceof InputError) return { ask: inputErrorWords(error, units) }
    throw error
  }
}
