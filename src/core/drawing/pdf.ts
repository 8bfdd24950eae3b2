import { grayscale, PDFDocument, StandardFonts } from 'pdf-lib'
import { boundsOf, type Drawing } from './drawing'

const POINTS_PER_MM = 72 / 25.4
const MARGIN_MM = 10
/** Sheets that printers take, short side first; a drawing larger than the last gets a sheet of its own size. */
const SHEETS_MM = [
  [210, 297],
  [297, 420],
  [420, 594],
  [594, 841],
] as const

/** The smallest sheet that a drawing fits on, upright or lying. */
export function sheetFor(widthMm: number, heightMm: number): [widthMm: number, heightMm: number] {
  for (const [short, long] of SHEETS_MM) {
    if (widthMm <= short && heightMm <= long) return [short, long]
    if (widthMm <= long && heightMm <= short) return [long, short]
  }
  return [widthMm, heightMm]
}

/** What the built-in font of a PDF can show; anything else would stop the writing. */
const plain = (text: string) => text.replace(/[^\x20-\x7e\u00a0-\u00ff]/g, '?')

/**
 * Writes a drawing as a PDF of one page at full size, in the middle of the smallest sheet that holds it.
 *
 * Whoever prints it must not let the printer scale it: the check bar tells.
 */
export async function writePdf({ title, marks }: Drawing): Promise<Uint8Array> {
  const { left, bottom, right, top } = boundsOf(marks)
  const [widthMm, heightMm] = sheetFor(right - left + 2 * MARGIN_MM, top - bottom + 2 * MARGIN_MM)
  const pdf = await PDFDocument.create()
  pdf.setTitle(title)
  const font = await pdf.embedFont(StandardFonts.Helvetica)
  const page = pdf.addPage([widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM])
  const x = (mm: number) => (mm - left + (widthMm - (right - left)) / 2) * POINTS_PER_MM
  const y = (mm: number) => (mm - bottom + (heightMm - (top - bottom)) / 2) * POINTS_PER_MM
  for (const mark of marks) {
    const thickness = (mark.layer === 'centre' ? 0.13 : 0.25) * POINTS_PER_MM
    switch (mark.is) {
      case 'line':
        page.drawLine({
          start: { x: x(mark.x1), y: y(mark.y1) },
          end: { x: x(mark.x2), y: y(mark.y2) },
          thickness,
          ...(mark.layer === 'centre' && { dashArray: [4, 1, 1, 1].map(mm => mm * POINTS_PER_MM) }),
        })
        break
      case 'circle':
        // Without a colour for its border the package fills it, and a hole would be a black disc.
        page.drawCircle({
          x: x(mark.x),
          y: y(mark.y),
          size: mark.r * POINTS_PER_MM,
          borderWidth: thickness,
          borderColor: grayscale(0),
        })
        break
      case 'text':
        page.drawText(plain(mark.text), {
          x: x(mark.x),
          y: y(mark.y),
          size: mark.heightMm * 1.3 * POINTS_PER_MM,
          font,
        })
    }
  }
  return pdf.save({ useObjectStreams: false })
}
