import { heightAt, lengthAt } from '../../drawing/dimension'
import { boundsOf, box, circle, cross, type Drawing, type Mark, words } from '../../drawing/drawing'
import type { Solid } from '../../drawing/solid'
import { say } from '../../units/print'
import type { UnitSystem } from '../../units/quantity'
import { holeLabels, holeMarks, holesOf, holeTable, isPlaced } from '../shared/cuts/holesAboutScrew'
import type { BracketHole } from './model'

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
    ...holeMarks(holes),
  ]
  const length = (mm: number) => say(mm, 'length', units)
  marks.push(...holeLabels(holes, marks, length))
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
    holes: [{ x: 0, y: 0, diameterMm: boreMm }, ...holesOf(holes)],
    thicknessMm,
  }
}
