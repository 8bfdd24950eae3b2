import { boundsOf, type Drawing, type Mark } from './drawing'
import { FONT_SHARE, textWidthMm } from './letterWidths'

/** White around a drawing on its sheet. */
const MARGIN_MM = 10

const escaped = (text: string) =>
  text.replace(/[&<>"]/g, sign => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign)

const fixed = (mm: number) => String(Math.round(mm * 10_000) / 10_000)

function element(mark: Mark): string {
  switch (mark.is) {
    case 'line':
      return `<line class="${mark.layer}" x1="${fixed(mark.x1)}" y1="${fixed(-mark.y1)}" x2="${fixed(mark.x2)}" y2="${fixed(-mark.y2)}"/>`
    case 'circle':
      return `<circle class="${mark.layer}" cx="${fixed(mark.x)}" cy="${fixed(-mark.y)}" r="${fixed(mark.r)}"/>`
    case 'text':
      return `<text x="${fixed(mark.x)}" y="${fixed(-mark.y)}" font-size="${fixed(mark.heightMm * FONT_SHARE)}" textLength="${fixed(textWidthMm(mark.text, mark.heightMm))}" lengthAdjust="spacingAndGlyphs">${escaped(mark.text)}</text>`
  }
}

/**
 * Writes a drawing as SVG at full size: a millimetre of the drawing is one of the sheet.
 *
 * @example writeSvg({ title: 'T', marks: [circle('edge', 0, 0, 5)] }).includes('width="30mm"') // true
 */
export function writeSvg({ title, marks }: Drawing): string {
  const { left, bottom, right, top } = boundsOf(marks)
  const width = right - left + 2 * MARGIN_MM
  const height = top - bottom + 2 * MARGIN_MM
  const view = [left - MARGIN_MM, -top - MARGIN_MM, width, height].map(fixed).join(' ')
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${fixed(width)}mm" height="${fixed(height)}mm" viewBox="${view}">
<title>${escaped(title)}</title>
<style>line,circle{fill:none;stroke:#000;stroke-width:.25}.centre{stroke-width:.13;stroke-dasharray:4 1 1 1}text{font-family:sans-serif}</style>
${marks.map(element).join('\n')}
</svg>
`
}
