import type { UnitSystem } from '../units/quantity'
import { checkBar } from './checkBar'
import { boundsOf, box, type Drawing, line, type Mark, type Rectangle, words } from './drawing'
import { type BlockField, titleBlock } from './titleBlock'

/** What printers take. */
export const PAPERS = {
  a4: { label: 'A4', widthMm: 210, heightMm: 297 },
  letter: { label: 'Letter', widthMm: 215.9, heightMm: 279.4 },
} as const
export type Paper = keyof typeof PAPERS

/** What a builder has in the printer who measures so. */
export const usualPaper = (units: UnitSystem): Paper => (units === 'inch' ? 'letter' : 'a4')

/** What every sheet says of itself. */
export interface Imprint {
  machine: string
  axis: string | null
  /** The day, in words. */
  date: string
  /** Who answers for it; none where nobody is named. */
  author?: string | null
}

/** One sheet: its frame as it lies on it, and the part of the drawing that shows through its window. */
export interface Page {
  widthMm: number
  heightMm: number
  frame: Mark[]
  marks: Mark[]
  /** Where the origin of the drawing lies on the sheet, from its lower left corner. */
  origin: { x: number; y: number }
  /** The part of the sheet that the drawing shows in. */
  window: Rectangle
  /** What is printed full, such as the squares of a code, as it lies on the sheet. */
  full?: Rectangle[]
}

/** White that no printer can print on. */
const MARGIN_MM = 10
/** Bar, title block and map under the drawing. */
const FOOT_MM = 31
/** What two sheets that are glued together have in common. */
const OVERLAP_MM = 12
/** A sheet on the map. */
const MAP_MM = { width: 6, height: 7 }

/** What the title block of a drawing says. */
function fieldsOf(
  { machine, axis, date, author }: Imprint,
  title: string,
  sheet: string,
  units: UnitSystem,
): BlockField[] {
  // What stands in a field of its own is not said again in the title.
  const prefix = axis ? `${machine}, ${axis}: ` : `${machine}: `
  return [
    { label: 'Machine', text: machine, share: 26 },
    { label: 'Axis', text: axis ?? '-', share: 8 },
    { label: 'Title', text: title.startsWith(prefix) ? title.slice(prefix.length) : title, share: 40 },
    { label: 'Responsible', text: author || '-', share: 20 },
    { label: 'Date', text: date, share: 30 },
    { label: 'Scale', text: '1:1', share: 9 },
    { label: 'Lengths in', text: units === 'inch' ? 'in (mm)' : 'mm', share: 13 },
    { label: 'Sheet', text: sheet, share: 14 },
  ]
}

/** A title block as wide as its fields need at the least. */
const BLOCK_WIDTH_MM = 170

/** A drawing as one sheet of its own size, with its bar and its imprint under it: for formats that are not printed by sheets. */
export function framed({ title, marks }: Drawing, imprint: Imprint, units: UnitSystem): Drawing {
  const { left, bottom } = boundsOf(marks)
  return {
    title,
    marks: [
      ...marks,
      ...checkBar(left, bottom - 12, units),
      ...titleBlock(fieldsOf(imprint, title, '1 of 1', units), left, bottom - 30, BLOCK_WIDTH_MM),
    ],
  }
}

/** How many windows of a length it takes to cover another, each over the last by the overlap. */
const countFor = (lengthMm: number, windowMm: number) =>
  lengthMm <= windowMm ? 1 : Math.ceil((lengthMm - OVERLAP_MM) / (windowMm - OVERLAP_MM))

/**
 * Lays a drawing out on sheets at full size: on one where it fits, upright or lying; else on several that overlap, with
 * crosses that come to lie on each other and a map.
 *
 * @returns the sheets from the upper left, row by row; each with its check bar, what it is, and which of how many
 */
export function pagesOf(drawing: Drawing, paper: Paper, imprint: Imprint, units: UnitSystem): Page[] {
  const bounds = boundsOf(drawing.marks)
  const size = { width: bounds.right - bounds.left, height: bounds.top - bounds.bottom }
  const { widthMm, heightMm } = PAPERS[paper]
  const [upright, lying] = [grid(size, widthMm, heightMm), grid(size, heightMm, widthMm)]
  const { columns, rows, sheet, window } =
    lying.columns * lying.rows < upright.columns * upright.rows ? lying : upright
  const step = { x: window.width - OVERLAP_MM, y: window.height - OVERLAP_MM }
  // What is covered lies evenly about the drawing.
  const startX = (bounds.left + bounds.right - (columns * step.x + OVERLAP_MM)) / 2
  const startY = (bounds.bottom + bounds.top - (rows * step.y + OVERLAP_MM)) / 2
  const joins = crossesOfJoins({ columns, rows, startX, startY, step })
  const count = columns * rows
  return Array.from({ length: count }, (_, index) => {
    const column = index % columns
    const row = Math.floor(index / columns)
    const left = startX + column * step.x
    const bottom = startY + (rows - 1 - row) * step.y
    const mapMm = count > 1 ? columns * MAP_MM.width + 2 : 0
    const foot = [
      ...checkBar(MARGIN_MM, MARGIN_MM + 17.5, units),
      ...titleBlock(
        fieldsOf(imprint, drawing.title, `${index + 1} of ${count}`, units),
        MARGIN_MM,
        MARGIN_MM,
        sheet.widthMm - 2 * MARGIN_MM - mapMm,
      ),
      ...(count > 1 ? mapOf(columns, rows, index, sheet.widthMm) : []),
    ]
    return {
      ...sheet,
      frame: foot,
      marks: [...drawing.marks, ...joins],
      origin: { x: MARGIN_MM - left, y: MARGIN_MM + FOOT_MM - bottom },
      window: {
        left: MARGIN_MM,
        bottom: MARGIN_MM + FOOT_MM,
        right: MARGIN_MM + window.width,
        top: MARGIN_MM + FOOT_MM + window.height,
      },
    }
  })
}

function grid(size: { width: number; height: number }, widthMm: number, heightMm: number) {
  const window = { width: widthMm - 2 * MARGIN_MM, height: heightMm - 2 * MARGIN_MM - FOOT_MM }
  return {
    columns: countFor(size.width, window.width),
    rows: countFor(size.height, window.height),
    sheet: { widthMm, heightMm },
    window,
  }
}

/** Crosses in what two sheets have in common, at both ends of it: glued, they come to lie on each other. */
function crossesOfJoins({
  columns,
  rows,
  startX,
  startY,
  step,
}: {
  columns: number
  rows: number
  startX: number
  startY: number
  step: { x: number; y: number }
}): Mark[] {
  const at = (x: number, y: number) => [line('words', x - 4, y, x + 4, y), line('words', x, y - 4, x, y + 4)]
  const joinsX = Array.from(
    { length: columns - 1 },
    (_, index) => startX + (index + 1) * step.x + OVERLAP_MM / 2,
  )
  const joinsY = Array.from(
    { length: rows - 1 },
    (_, index) => startY + (index + 1) * step.y + OVERLAP_MM / 2,
  )
  const shares = [0.15, 0.85]
  return [
    ...joinsX.flatMap(x =>
      Array.from({ length: rows }, (_, row) =>
        shares.flatMap(share => at(x, startY + (row + share) * step.y + OVERLAP_MM / 2)),
      ).flat(),
    ),
    ...joinsY.flatMap(y =>
      Array.from({ length: columns }, (_, column) =>
        shares.flatMap(share => at(startX + (column + share) * step.x + OVERLAP_MM / 2, y)),
      ).flat(),
    ),
  ]
}

/** Where the sheet belongs among the others: numbered, its own with a second edge. */
function mapOf(columns: number, rows: number, index: number, sheetWidthMm: number): Mark[] {
  const left = sheetWidthMm - MARGIN_MM - columns * MAP_MM.width
  return Array.from({ length: columns * rows }, (_, one) => {
    const x = left + (one % columns) * MAP_MM.width
    const y = MARGIN_MM + (rows - 1 - Math.floor(one / columns)) * MAP_MM.height
    return [
      ...box('words', x, y, MAP_MM.width, MAP_MM.height),
      ...(one === index ? box('words', x + 0.7, y + 0.7, MAP_MM.width - 1.4, MAP_MM.height - 1.4) : []),
      words(x + 2, y + 2.2, `${one + 1}`, 2),
    ]
  }).flat()
}
