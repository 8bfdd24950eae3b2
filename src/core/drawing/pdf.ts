import fontkit from '@pdf-lib/fontkit'
import {
  clip,
  endPath,
  grayscale,
  PDFDocument,
  type PDFFont,
  type PDFPage,
  PrintScaling,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
} from 'pdf-lib'
import type { Mark } from './drawing'
import { FONT_SHARE } from './letterWidths'
import type { Page } from './pages'

const POINTS_PER_MM = 72 / 25.4

/** A font with the letters that it has, by their code points. */
interface Typeface {
  font: PDFFont
  letters: ReadonlySet<number>
}

/** What a file says of itself. */
export interface PdfFacts {
  title: string
  /** Who answers for it; none where nobody is named. */
  author?: string | null
}
export interface WrittenPdf {
  bytes: Uint8Array
  /** Letters that no font has: a question mark stands for each. */
  missing: string[]
}

/** Says which letters a file does not have; null where it has all. @example missingWords(['铣']) // 'No font here has 铣: …' */
export const missingWords = (missing: readonly string[]): string | null =>
  missing.length === 0
    ? null
    : `No font here has ${missing.slice(0, 12).join(' ')}${missing.length > 12 ? ' …' : ''}: a question mark stands for each in the PDF. SVG and DXF keep them as they are.`

/**
 * Writes sheets as a PDF at full size, its fonts within it, and asks whoever prints it not to scale it; the check bar tells
 * whether that was done.
 *
 * @param fonts files of fonts (WOFF or TTF); a letter is set in the first that has it
 */
export async function writePdf(
  { title, author }: PdfFacts,
  pages: readonly Page[],
  fonts: readonly Uint8Array[],
): Promise<WrittenPdf> {
  const pdf = await PDFDocument.create()
  pdf.setTitle(title, { showInWindowTitleBar: true })
  if (author) pdf.setAuthor(author)
  pdf.setLanguage('en')
  pdf.setCreator('Dusk Bench')
  pdf.catalog.getOrCreateViewerPreferences().setPrintScaling(PrintScaling.None)
  pdf.registerFontkit(fontkit)
  const faces = new Faces(pdf, fonts)
  for (const { widthMm, heightMm, frame, marks, origin, window, full = [] } of pages) {
    const page = pdf.addPage([widthMm * POINTS_PER_MM, heightMm * POINTS_PER_MM])
    const { left, bottom, right, top } = window
    page.pushOperators(
      pushGraphicsState(),
      rectangle(...([left, bottom, right - left, top - bottom].map(mm => mm * POINTS_PER_MM) as FourNumbers)),
      clip(),
      endPath(),
    )
    for (const mark of marks) await draw(page, mark, origin, faces)
    page.pushOperators(popGraphicsState())
    for (const mark of frame) await draw(page, mark, { x: 0, y: 0 }, faces)
    for (const box of full)
      page.drawRectangle({
        x: box.left * POINTS_PER_MM,
        y: box.bottom * POINTS_PER_MM,
        width: (box.right - box.left) * POINTS_PER_MM,
        height: (box.top - box.bottom) * POINTS_PER_MM,
        color: grayscale(0),
      })
  }
  return { bytes: await pdf.save({ useObjectStreams: false }), missing: [...faces.missing] }
}

type FourNumbers = [number, number, number, number]

/** The fonts of a document: each goes in when a letter asks for it. */
class Faces {
  private readonly embedded: Typeface[] = []
  readonly missing = new Set<string>()

  constructor(
    private readonly pdf: PDFDocument,
    private readonly files: readonly Uint8Array[],
  ) {}

  private async face(index: number): Promise<Typeface | null> {
    const known = this.embedded[index]
    const file = this.files[index]
    if (known || !file) return known ?? null
    const font = await this.pdf.embedFont(file, { subset: true })
    const face = { font, letters: new Set(font.getCharacterSet()) }
    this.embedded[index] = face
    return face
  }

  /** A text in pieces, each with the font that has its letters. */
  async pieces(text: string): Promise<{ text: string; font: PDFFont }[]> {
    const pieces: { text: string; font: PDFFont }[] = []
    for (const letter of text.normalize('NFC')) {
      const { font, shown } = await this.fontOf(letter)
      const last = pieces.at(-1)
      if (last?.font === font) last.text += shown
      else pieces.push({ text: shown, font })
    }
    return pieces
  }

  private async fontOf(letter: string): Promise<{ font: PDFFont; shown: string }> {
    for (let index = 0; index < this.files.length; index++) {
      const face = await this.face(index)
      if (face?.letters.has(letter.codePointAt(0) ?? 0)) return { font: face.font, shown: letter }
    }
    const first = await this.face(0)
    if (!first) throw new Error('A PDF takes at least one font.')
    this.missing.add(letter)
    return { font: first.font, shown: '?' }
  }
}

async function draw(page: PDFPage, mark: Mark, origin: { x: number; y: number }, faces: Faces) {
  const x = (mm: number) => (mm + origin.x) * POINTS_PER_MM
  const y = (mm: number) => (mm + origin.y) * POINTS_PER_MM
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
    case 'text': {
      const size = mark.heightMm * FONT_SHARE * POINTS_PER_MM
      let at = x(mark.x)
      for (const { text, font } of await faces.pieces(mark.text)) {
        page.drawText(text, { x: at, y: y(mark.y), size, font })
        at += font.widthOfTextAtSize(text, size)
      }
    }
  }
}
