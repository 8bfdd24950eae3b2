import { heightAt, lengthAt } from '../../drawing/dimension'
import { boundsOf, box, circle, cross, type Drawing, line, type Mark, words } from '../../drawing/drawing'
import { labelBeside } from '../../drawing/label'
import type { Solid } from '../../drawing/solid'
import { type Filled, isFilled } from '../../evaluation/filled'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import type { BracketHole } from './model'

/** Whether a hole can be drawn: where it is and how wide are entered. */
export const isPlaced = (hole: BracketHole): hole is Filled<BracketHole, 'xMm' | 'yMm' | 'diameterMm'> =>
  isFilled(hole, ['xMm', 'yMm', 'diameterMm'])

/**
 * A drilling template of the nut bracket about the screw axis: outline, bore, every hole with its cross.
 *
 * @param outline of the bracket, even about the axis; none where it is not measured, or 0
 * @param boreMm of the nut's body through the bracket
 */
export function bracketTemplate(
  title: string,
  holes: readonly BracketHole[],
  outline: { widthMm: number | null; heightMm: number | null },
  boreMm: number,
  units: UnitSystem,
): Drawing {
  const [widthMm, heightMm] = [outline.widthMm ?? 0, outline.heightMm ?? 0]
  const marks: Mark[] = [
    ...(widthMm > 0 && heightMm > 0 ? box('edge', -widthMm / 2, -heightMm / 2, widthMm, heightMm) : []),
    circle('edge', 0, 0, boreMm / 2),
    ...cross(0, 0, boreMm / 2 + 8),
    ...holes
      .filter(isPlaced)
      .flatMap(({ xMm, yMm, diameterMm }) => [
        circle('edge', xMm, yMm, diameterMm / 2),
        ...cross(xMm, yMm, diameterMm / 2 + 3),
      ]),
  ]
  // When all that is cut is drawn: so that no label lies on any of it.
  for (const { label, xMm, yMm, diameterMm } of holes.filter(isPlaced))
    marks.push(
      labelBeside(
        marks,
        { x: xMm, y: yMm, radiusMm: diameterMm / 2 },
        `${label}: Ø ${say(diameterMm, 'length', units)}`,
        2.5,
      ),
    )
  const length = (mm: number) => say(mm, 'length', units)
  if (widthMm > 0 && heightMm > 0) {
    const under = boundsOf(marks).bottom
    marks.push(
      ...lengthAt({ fromX: -widthMm / 2, toX: widthMm / 2, text: length(widthMm) }, -heightMm / 2, under - 8),
      ...heightAt(-heightMm / 2, heightMm / 2, length(heightMm), -widthMm / 2, boundsOf(marks).left - 6),
    )
  }
  const { left, top, bottom } = boundsOf(marks)
  return {
    title,
    marks: [
      ...marks,
      ...holeTable(
        [{ label: 'Bore', xMm: 0, yMm: 0, diameterMm: boreMm }, ...holes.filter(isPlaced)],
        { x: left, y: bottom - 8 },
        length,
      ),
      words(left, top + 6, title, 4),
    ],
  }
}

/**
 * The bracket as a body, with its bore and its holes; null while its outline or its thickness is not measured.
 *
 * @param outline as the template takes it
 */
export function bracketSolid(
  title: string,
  holes: readonly BracketHole[],
  { widthMm, heightMm }: { widthMm: number | null; heightMm: number | null },
  boreMm: number,
  thicknessMm: number | null,
): Solid | null {
  if (!widthMm || !heightMm || !thicknessMm) return null
  return {
    title,
    outline: { is: 'box', widthMm, heightMm },
    holes: [
      { x: 0, y: 0, diameterMm: boreMm },
      ...holes.filter(isPlaced).map(({ xMm, yMm, diameterMm }) => ({ x: xMm, y: yMm, diameterMm })),
    ],
    thicknessMm,
  }
}

const TABLE_MM = 2.4
const TABLE_ROW_MM = 4.4
const TABLE_COLUMNS_MM = [0, 34, 58, 82]

/** Every hole from the middle of the bore, as the dials of a mill are turned to it. */
function holeTable(
  holes: readonly { label: string; xMm: number; yMm: number; diameterMm: number }[],
  { x, y }: { x: number; y: number },
  length: (mm: number) => string,
): Mark[] {
  const rows = [
    ['Hole', 'x from the bore', 'y from the bore', 'Diameter'],
    ...holes.map(({ label, xMm, yMm, diameterMm }) => [
      label,
      length(xMm),
      length(yMm),
      `Ø ${length(diameterMm)}`,
    ]),
  ]
  return rows.flatMap((cells, row) => [
    ...cells.map((cell, column) =>
      words(x + (TABLE_COLUMNS_MM[column] ?? 0), y - row * TABLE_ROW_MM, cell, TABLE_MM),
    ),
    line('words', x, y - row * TABLE_ROW_MM - 1, x + 106, y - row * TABLE_ROW_MM - 1),
  ])
}
