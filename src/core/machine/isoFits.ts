import { say } from '../units/print'
import type { UnitSystem } from '../units/quantity'

// Limit deviations (ISO 286-1), for the sizes and the fits that the ends of a screw are turned to and their seats are bored to.

/** Sizes over the first and up to the second, with IT 5, 6 and 7 and the fundamental deviation of g, in um. */
const ROWS = [
  { upToMm: 3, it5: 4, it6: 6, it7: 10, g: -2 },
  { upToMm: 6, it5: 5, it6: 8, it7: 12, g: -4 },
  { upToMm: 10, it5: 6, it6: 9, it7: 15, g: -5 },
  { upToMm: 18, it5: 8, it6: 11, it7: 18, g: -6 },
  { upToMm: 30, it5: 9, it6: 13, it7: 21, g: -7 },
  { upToMm: 50, it5: 11, it6: 16, it7: 25, g: -9 },
  { upToMm: 80, it5: 13, it6: 19, it7: 30, g: -10 },
] as const

/** What a diameter may be over and under its size. */
export interface Deviations {
  upperUm: number
  lowerUm: number
}

/**
 * The limits of a shaft.
 *
 * @param fit such as h5, h6, h7 or g6
 * @returns null for a size or a fit that is not in the table
 * @source ISO 286-1, tables 1 and 2
 * @example shaftDeviations(15, 'h5') // { upperUm: 0, lowerUm: -8 }
 */
export function shaftDeviations(diameterMm: number, fit: string): Deviations | null {
  const row = ROWS.find(({ upToMm }) => diameterMm <= upToMm)
  const [, letter, grade] = /^([gh])([567])$/.exec(fit) ?? []
  if (!row || !letter) return null
  const upperUm = letter === 'g' ? row.g : 0
  return { upperUm, lowerUm: upperUm - row[`it${grade as '5' | '6' | '7'}`] }
}

/**
 * The limits of a hole whose least size is its nominal size.
 *
 * @param grade of the tolerance, 5 to 7
 * @returns null for a size that is not in the table
 * @source ISO 286-1, tables 1 and 2
 * @example holeDeviations(32, 6) // { upperUm: 16, lowerUm: 0 }
 */
export function holeDeviations(diameterMm: number, grade: 5 | 6 | 7): Deviations | null {
  const row = ROWS.find(({ upToMm }) => diameterMm <= upToMm)
  return row ? { upperUm: row[`it${grade}`], lowerUm: 0 } : null
}

/** Limits as a drawing has them, without their unit. @example limitWords({ upperUm: 0, lowerUm: -8 }, 'mm') // '0/-0.008' */
export function limitWords({ upperUm, lowerUm }: Deviations, units: UnitSystem): string {
  const one = (um: number) =>
    `${um > 0 ? '+' : ''}${say(um / 1000, 'length', units, units === 'inch' ? 2 : 3).replace(/ (mm|in)$/, '')}`
  return `${one(upperUm)}/${one(lowerUm)}`
}
