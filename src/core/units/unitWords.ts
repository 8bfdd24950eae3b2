const LETTERS: [RegExp, string][] = [
  [/\bum\b/g, 'µm'],
  [/\bdeg\b/g, '°'],
  [/(?<=[a-zA-Z])2\b/g, '²'],
  [/(?<=[a-zA-Z])3\b/g, '³'],
  [/ /g, '·'],
]

/**
 * A unit as it is written on a drawing; a plain number has none.
 *
 * @param unit as calculations name it, in plain letters
 * @example unitWords('N/um') // 'N/µm'
 * @example unitWords('kg m2') // 'kg·m²'
 */
export const unitWords = (unit: string): string =>
  unit === '1' ? '' : LETTERS.reduce((words, [letters, written]) => words.replace(letters, written), unit)
