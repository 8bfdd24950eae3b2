import { box, type Mark, words } from './drawing'
import { PAPERS, type Page, type Paper } from './pages'

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
}

const EDGE_MM = 3.5
const HEAD_MM = 6
const TITLE_MM = 2.3
const LINE_MM = 2.3
const LEAD_MM = 3.6
/** A letter is about so wide for its height, on the safe side. */
const LETTER = 0.64

/** How many letters of a height lie side by side. */
const lettersIn = (widthMm: number, heightMm: number) =>
  Math.max(1, Math.floor(widthMm / (heightMm * LETTER)))

/** A text cut to a width, with dots where something was left out. */
function cut(text: string, most: number): string {
  return text.length <= most ? text : `${text.slice(0, most - 1)}…`
}

/** A text in lines of so many letters, broken between words; lines after the first are set in. */
function wrapped(text: string, most: number): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(' ')) {
    if (line && line.length + 1 + word.length > most) {
      lines.push(line)
      line = `   ${word}`
    } else line = line ? `${line} ${word}` : word
  }
  return [...lines, line].map(one => cut(one, most))
}

/** A label as it lies on its sheet, from its lower left corner. */
function labelMarks(
  { head, title, lines }: Label,
  x: number,
  y: number,
  widthMm: number,
  heightMm: number,
): Mark[] {
  const roomMm = widthMm - 2 * EDGE_MM
  const headMm = head.length * HEAD_MM * LETTER + 3
  const top = y + heightMm - EDGE_MM - HEAD_MM
  const fitting = Math.max(1, Math.floor((top - y - EDGE_MM) / LEAD_MM))
  const most = lettersIn(roomMm, LINE_MM)
  const whole = lines.flatMap(line => wrapped(line, most))
  // Where not everything has room, each thing has one row, and the last says how many are left out.
  const shown =
    whole.length <= fitting
      ? whole
      : lines.length <= fitting
        ? lines.map(line => cut(line, most))
        : [
            ...lines.slice(0, fitting - 1).map(line => cut(line, most)),
            `and ${lines.length - fitting + 1} more`,
          ]
  return [
    words(x + EDGE_MM, top, head, HEAD_MM),
    words(
      x + EDGE_MM + headMm,
      top + HEAD_MM - TITLE_MM,
      cut(title, lettersIn(roomMm - headMm, TITLE_MM)),
      TITLE_MM,
    ),
    ...shown.map((line, index) => words(x + EDGE_MM, top - (index + 1) * LEAD_MM, line, LINE_MM)),
  ]
}

/**
 * Labels on sheets at true size, row by row.
 *
 * @param plain whether the sheet is plain paper, on which each label has an edge to be cut along
 * @returns as many sheets as it takes
 */
export function labelPages(labels: readonly Label[], sheet: LabelSheet, plain: boolean): Page[] {
  const { paper, columns, rows, widthMm, heightMm, gapMm } = LABEL_SHEETS[sheet]
  const page = PAPERS[paper]
  const left = (page.widthMm - columns * widthMm - (columns - 1) * gapMm) / 2
  const top = page.heightMm - (page.heightMm - rows * heightMm) / 2
  const perPage = columns * rows
  return Array.from({ length: Math.max(1, Math.ceil(labels.length / perPage)) }, (_, number) => {
    const frame = labels.slice(number * perPage, (number + 1) * perPage).flatMap((label, index) => {
      const x = left + (index % columns) * (widthMm + gapMm)
      const y = top - (Math.floor(index / columns) + 1) * heightMm
      return [
        ...labelMarks(label, x, y, widthMm, heightMm),
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
    }
  })
}
