import { parseQuantity } from './parse'
import { say } from './print'
import type { UnitSystem } from './quantity'

/**
 * Reads lengths with semicolons or blanks after commas between them.
 *
 * @example readSizes('16; 1/2 in', 'mm', 1, 500) // { sizesMm: [16, 12.7] }
 */
export function readSizes(
  text: string,
  units: UnitSystem,
  least: number,
  most: number,
): { sizesMm: number[] } | { message: string } {
  const sizesMm: number[] = []
  for (const one of text
    .split(/;|,\s+/)
    .map(part => part.trim())
    .filter(Boolean)) {
    const parsed = parseQuantity(one, 'length', units)
    if (!parsed.ok) return { message: parsed.message }
    if (parsed.value < least || parsed.value > most)
      return {
        message: `Got ${say(parsed.value, 'length', units)}. Takes ${say(least, 'length', units)} to ${say(most, 'length', units)}.`,
      }
    sizesMm.push(parsed.value)
  }
  return { sizesMm }
}
