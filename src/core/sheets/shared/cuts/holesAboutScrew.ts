import { circle, cross, line, type Mark, words } from '../../../drawing/drawing'
import { labelBeside } from '../../../drawing/label'
import { textWidthMm } from '../../../drawing/letterWidths'
import type { RoundHole } from '../../../drawing/solid'
import { type Filled, isFilled } from '../../../evaluation/filled'
import type { HoleAboutScrew } from './holesAboutScrewModel'

// Holes given from the axis of the screw, seen from the fixed end: in the bracket of the nut, in a bearing block.

/** What a hole that is added is called. */
export const nextHole = (holes: readonly unknown[]) => ({ label: `${holes.length + 1}` })

/** Whether a hole can be drawn: where it is and how wide are entered. */
export const isPlaced = <T extends HoleAboutScrew>(
  hole: T,
): hole is Filled<T, 'xMm' | 'yMm' | 'diameterMm'> => isFilled(hole, ['xMm', 'yMm', 'diameterMm'])

/** The holes of a body: those that can be drawn. */
export const holesOf = (holes: readonly HoleAboutScrew[]): RoundHole[] =>
  holes.filter(isPlaced).map(({ xMm, yMm, diameterMm }) => ({ x: xMm, y: yMm, diameterMm }))

/** Each hole with its cross to punch. */
export const holeMarks = (holes: readonly HoleAboutScrew[]): Mark[] =>
  holesOf(holes).flatMap(({ x, y, diameterMm }) => [
    circle('edge', x, y, diameterMm / 2),
    ...cross(x, y, diameterMm / 2 + 3),
  ])

/** A label beside each hole, none of them on what is drawn already. */
export function holeLabels(
  holes: readonly HoleAboutScrew[],
  drawn: readonly Mark[],
  length: (mm: number) => string,
): Mark[] {
  const labels: Mark[] = []
  for (const { label, xMm, yMm, diameterMm } of holes.filter(isPlaced))
    labels.push(
      labelBeside(
        [...drawn, ...labels],
        { x: xMm, y: yMm, radiusMm: diameterMm / 2 },
        `${label}: Ø ${length(diameterMm)}`,
        2.5,
      ),
    )
  return labels
}

const TABLE_MM = 2.4
const TABLE_ROW_MM = 4.4
const TABLE_LEAST_MM = 106
const TABLE_COLUMNS_MM = [0, 34, 58, 82]

/** Every hole from the middle of the bore, as the dials of a mill are turned to it; a hole may have its size in words. */
export function holeTable(
  holes: readonly { label: string; xMm: number; yMm: number; diameterMm: number; size?: string }[],
  { x, y }: { x: number; y: number },
  length: (mm: number) => string,
): Mark[] {
  const rows = [
    ['Hole', 'x from the bore', 'y from the bore', 'Diameter'],
    ...holes.map(({ label, xMm, yMm, diameterMm, size }) => [
      label,
      length(xMm),
      length(yMm),
      size ?? `Ø ${length(diameterMm)}`,
    ]),
  ]
  const widthMm = Math.max(
    ...rows.map(cells => (TABLE_COLUMNS_MM[3] ?? 0) + textWidthMm(cells[3] ?? '', TABLE_MM)),
    TABLE_LEAST_MM,
  )
  return rows.flatMap((cells, row) => [
    ...cells.map((cell, column) =>
      words(x + (TABLE_COLUMNS_MM[column] ?? 0), y - row * TABLE_ROW_MM, cell, TABLE_MM),
    ),
    line('words', x, y - row * TABLE_ROW_MM - 1, x + widthMm, y - row * TABLE_ROW_MM - 1),
  ])
}
