import { box, type Mark, type Rectangle, words } from './drawing'
import { cutToWidth, textWidthMm } from './letterWidths'
import { PAPERS, type Page, type Paper } from './pages'
import { qrSquares } from './qr'

/** Sheets of labels as they are sold everywhere, by how many stand across and down. */
export const LABEL_SHEETS = {
  'a4-3x8': { paper: 'a4', columns: 3, rows: 8, widthMm: 70, heightMm: 37, gapMm: 0 },
  'a4-2x7': { paper: 'a4', columns: 2, rows: 7, widthMm: 99.1, heightMm: 38.1, gapMm: 2.5 },
  'a4-3x7': { paper: 'a4', columns: 3, rows: 7, widthMm: 63.5, heightMm: 38.1, gapMm: 2.5 },
  'letter-3x10': { paper: 'letter', columns: 3, rows: 10, widthMm: 66.7, heightMm: 25.4, gapMm: 3.2 },
  'letter-2x5': { paper: 'letter', columns: 2, rows: 5, widthMm: 101.6, heightMm: 50.8, gapMm: 4.8 },
} as const satisfies Record<
  string,
  { paper: Paper; columns: number; rows: number; widthMm: number; heightMm: number; gapMm: number }
>
export type LabelSheet = keyof typeof LABEL_SHEETS
export const LABEL_SHEET_IDS = Object.keys(LABEL_SHEETS) as LabelSheet[]

/** What stands on a label: its number large, and lines under it. */
export interface Label {
  head: string
  /** Beside the head: the machine. */
  title: string
  lines: string[]
  /** The address that its code leads to; none where it has no code. */
  link?: string
}

const EDGE_MM = 3.5
const HEAD_MM = 6
const TITLE_MM = 2.3
const LINE_MM = 2.3
const LEAD_MM = 3.6
/** A text in lines of a width, broken between words; lines after the first are set in. */
function wrapped(text: string, widthMm: number, heightMm: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    if (line && textWidthMm(`${line} ${word}`, heightMm) > widthMm) {
      lines.push(line)
      line = `   ${word}`
    } else line = line ? `${line} ${word}` : word
  }
  return [...lines, line].map(one => cutToWidth(one, widthMm, heightMm))
}

/** A label as it lies on its sheet, from its lower left corner. */
function labelMarks(
  { head, title, lines }: Label,
  x: number,
  y: number,
  widthMm: number,
  heightMm: number,
  codeMm: number,
): Mark[] {
  const roomMm = widthMm - 2 * EDGE_MM - codeMm
  const headMm = textWidthMm(head, HEAD_MM) + 3
  const top = y + heightMm - EDGE_MM - HEAD_MM
  const fitting = Math.max(1, Math.floor((top - y - EDGE_MM) / LEAD_MM))
  const whole = lines.flatMap(line => wrapped(line, roomMm, LINE_MM))
  // Where not everything has room, each thing has one row, and the last says how many are left out.
  const shown =
    whole.length <= fitting
      ? whole
      : lines.length <= fitting
        ? lines.map(line => cutToWidth(line, roomMm, LINE_MM))
        : [
            ...lines.slice(0, fitting - 1).map(line => cutToWidth(line, roomMm, LINE_MM)),
            `and ${lines.length - fitting + 1} more`,
          ]
  return [
    words(x + EDGE_MM, top, head, HEAD_MM),
    words(
      x + EDGE_MM + headMm,
      top + HEAD_MM - TITLE_MM,
      cutToWidth(title, roomMm - headMm, TITLE_MM),
      TITLE_MM,
    ),
    ...shown.map((line, index) => words(x + EDGE_MM, top - (index + 1) * LEAD_MM, line, LINE_MM)),
  ]
}

/** A code is at most so large, and leaves the words this much. */
const CODE_MM = 20
const LEAST_ROOM_MM = 26

/** How large the code of a label is; 0 where it has none, or no room for it. */
const codeSizeMm = ({ link }: Label, widthMm: number, heightMm: number): number => {
  const sizeMm = Math.min(CODE_MM, heightMm - 2)
  return link && widthMm - 2 * EDGE_MM - sizeMm >= LEAST_ROOM_MM ? sizeMm : 0
}

/**
 * Labels on sheets at true size, row by row.
 *
 * @param first the first label of the first sheet that is still there, from 1 on
 * @param plain whether the sheet is plain paper, on which each label has an edge to be cut along
 * @returns as many sheets as it takes
 */
export function labelPages(labels: readonly Label[], sheet: LabelSheet, plain: boolean, first = 1): Page[] {
  const { paper, columns, rows, widthMm, heightMm, gapMm } = LABEL_SHEETS[sheet]
  const page = PAPERS[paper]
  const left = (page.widthMm - columns * widthMm - (columns - 1) * gapMm) / 2
  const top = page.heightMm - (page.heightMm - rows * heightMm) / 2
  const perPage = columns * rows
  // Those that were taken off the first sheet before are left out.
  const places = [...Array.from({ length: Math.min(first, perPage) - 1 }, () => null), ...labels]
  return Array.from({ length: Math.max(1, Math.ceil(places.length / perPage)) }, (_, number) => {
    const full: Rectangle[] = []
    const frame = places.slice(number * perPage, (number + 1) * perPage).flatMap((label, index) => {
      if (!label) return []
      const x = left + (index % columns) * (widthMm + gapMm)
      const y = top - (Math.floor(index / columns) + 1) * heightMm
      const codeMm = codeSizeMm(label, widthMm, heightMm)
      if (codeMm > 0 && label.link)
        full.push(...qrSquares(label.link, x + widthMm - codeMm - 1, y + (heightMm - codeMm) / 2, codeMm))
      return [
        ...labelMarks(label, x, y, widthMm, heightMm, codeMm),
        ...(plain ? box('edge', x, y, widthMm, heightMm) : []),
      ]
    })
    return {
      widthMm: page.widthMm,
      heightMm: page.heightMm,
      frame,
      marks: [],
      origin: { x: 0, y: 0 },
      window: { left: 0, bottom: 0, right: page.widthMm, top: page.heightMm },
      full,
    }
  })
}
