/** How numbers are set: what stands before the decimals, and what sets thousands apart. */
export interface NumberMarks {
  decimal: string
  group: string
}

/** A space that does not break a figure in two lines. */
const NARROW_SPACE = '\u202f'
const PLAIN: NumberMarks = { decimal: '.', group: ',' }

/**
 * The marks that a language sets numbers with. Where the comma is for decimals, thousands are set apart by a narrow space
 * and never by a point: on a bench, where 3.000 is read off a caliper, a point that means thousands is a trap.
 *
 * @param locale such as `de-DE`; by default the one of the browser
 * @example marksOf('de-DE') // { decimal: ',', group: '\u202f' }
 */
export function marksOf(locale?: string): NumberMarks {
  const parts = new Intl.NumberFormat(locale, { numberingSystem: 'latn' }).formatToParts(1_234_567.5)
  const of = (type: string) => parts.find(part => part.type === type)?.value
  const decimal = of('decimal') === ',' ? ',' : '.'
  const group = of('group') ?? NARROW_SPACE
  const isSpace = group.trim() === ''
  return { decimal, group: group === '.' || isSpace || group === decimal ? NARROW_SPACE : group }
}

let marks = PLAIN

/** Sets the marks for all that is printed and read from here on: once, where a page, a worker or a command starts. */
export const setMarks = (next: NumberMarks = PLAIN): void => {
  marks = next
}

/** The marks in use. */
export const numberMarks = (): NumberMarks => marks

/**
 * Reads the figure of a number as people write it: `12.7`, `12,7`, `1,234.5`, `1 234,5`, `1'234`, `1.234,5`, `1e3`. One mark
 * before exactly three digits could be either; what it is then depends on where it is typed.
 *
 * @param text of the figure alone, without sign or unit
 * @param decimals that a value is worth where it is typed: with three or more a mark may well stand before three of them
 * @returns the number; the mark, where it can be read two ways; null when it is no number
 * @example readFigure('1 234,5', 3) // 1234.5
 * @example readFigure('3,000', 3) // ','
 */
export function readFigure(text: string, decimals: number): number | ',' | '.' | null {
  const [, whole = '', exponent = ''] = /^(.*?)(e[+-]?\d{1,3})?$/i.exec(text) ?? []
  const value = (figure: string) => Number(figure + exponent)
  const spaced = whole.replace(/[\u00a0\u202f\u2009]/g, ' ').replace(/’/g, "'")
  if (/^(\d+(\.\d*)?|\.\d+)$/.test(spaced)) {
    // Where points mean nothing but decimals, and where decimals are worth nothing, nobody can tell.
    const isThousands = marks.decimal === ',' && decimals < 3 && /^[1-9]\d{0,2}\.\d{3}$/.test(spaced)
    return isThousands ? '.' : value(spaced)
  }
  if (/^[1-9]\d{0,2},\d{3}$/.test(spaced)) {
    if (marks.decimal === ',' && decimals >= 3) return value(spaced.replace(',', '.'))
    if (marks.decimal === '.' && decimals < 3) return value(spaced.replace(',', ''))
    return ','
  }
  if (/^(\d+,\d*|,\d+)$/.test(spaced)) return value(spaced.replace(',', '.'))
  const groups: readonly [RegExp, RegExp][] = [
    [/^\d{1,3}( \d{3})+([.,]\d*)?$/, / /g],
    [/^\d{1,3}('\d{3})+([.,]\d*)?$/, /'/g],
    [/^[1-9]\d{0,2}(,\d{3})+(\.\d*)?$/, /,/g],
    [/^[1-9]\d{0,2}(\.\d{3})+(,\d*)?$/, /\./g],
  ]
  const found = groups.find(([shape]) => shape.test(spaced))
  return found ? value(spaced.replace(found[1], '').replace(',', '.')) : null
}
