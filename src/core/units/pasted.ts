import { parseQuantity } from './parse'
import { type ReadingUnit, readingUnit } from './readingUnit'

/** A column of readings that was pasted, or what is wrong with it. */
export type Pasted = { ok: true; valuesUm: (number | null)[] } | { ok: false; message: string }

const lineWords = (index: number) => `Line ${index + 1} of what was pasted`

/**
 * Reads a column of readings, all or none: a half that is taken would stand at the wrong places.
 *
 * @param texts line by line; an empty one is a reading that was not taken
 * @param typedIn the unit of figures that have none
 * @param within the range of a reading, in um
 * @example readPasted(['5', '5,5'], 'um', { min: -100, max: 100 }) // { ok: true, valuesUm: [5, 5.5] }
 */
export function readPasted(
  texts: readonly string[],
  typedIn: ReadingUnit,
  { min, max }: { min: number; max: number },
): Pasted {
  const unit = readingUnit(typedIn)
  const valuesUm: (number | null)[] = []
  for (const [index, text] of texts.entries()) {
    if (text.trim() === '') {
      valuesUm.push(null)
      continue
    }
    const read = parseQuantity(text, 'smallLength', 'mm', unit)
    const where = lineWords(index)
    if (!read.ok) return { ok: false, message: `${where}: ${read.message} Nothing was taken.` }
    if (read.value < min || read.value > max)
      return {
        ok: false,
        message: `${where}: got ${text.trim()}, takes ${min / unit.perUnit} to ${max / unit.perUnit} ${unit.unit}. Nothing was taken.`,
      }
    valuesUm.push(read.value)
  }
  return { ok: true, valuesUm }
}

/**
 * Reads one reading that was typed.
 *
 * @returns the reading in µm, or what was got and what is accepted
 * @example readOne('5,5', 'um', { min: -100, max: 100 }) // { ok: true, valueUm: 5.5 }
 */
export function readOne(
  text: string,
  typedIn: ReadingUnit,
  within: { min: number; max: number },
): { ok: true; valueUm: number } | { ok: false; message: string } {
  const read = readPasted([text], typedIn, within)
  if (!read.ok) return { ok: false, message: read.message.replace(`${lineWords(0)}: `, '') }
  const [valueUm] = read.valuesUm
  return valueUm == null
    ? { ok: false, message: `Got nothing. Takes a reading in ${readingUnit(typedIn).unit}.` }
    : { ok: true, valueUm }
}
