/** A text as CSS has it in quotes. */
const quoted = (text: string) =>
  `"${text.replace(/["\\\n\r\f]/g, sign => `\\${(sign.codePointAt(0) ?? 32).toString(16)} `)}"`

/**
 * What stands at the edge of every page that is printed, as a style sheet: what it is about, the day, and which page of how
 * many.
 *
 * @example writePageMarks('Skarrow 8, axis X', '26 Nov 2026') // '@page{margin:12mm;@top-left{content:"Skarrow 8, ...'
 */
export function writePageMarks(about: string, day: string): string {
  const box = (place: string, content: string) =>
    `@${place}{content:${content};font:9pt "Atkinson Hyperlegible",sans-serif;color:#1a222c}`
  const marks = [
    box('top-left', quoted(about)),
    box('bottom-left', quoted(day)),
    box('bottom-right', '"page " counter(page) " of " counter(pages)'),
  ]
  return `@page{margin:12mm;${marks.join('')}}`
}
