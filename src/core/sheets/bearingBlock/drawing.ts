import { heightAt, lengthAt } from '../../drawing/dimension'
import { boundsOf, box, circle, cross, type Drawing, line, type Mark, words } from '../../drawing/drawing'
import type { Solid } from '../../drawing/solid'
import type { EvaluationContext } from '../../evaluation/context'
import { filled } from '../../evaluation/filled'
import { NotKnown } from '../../evaluation/notKnown'
import { holeDeviations, limitWords } from '../../machine/isoFits'
import { say } from '../../units/print'
import { holeLabels, holeMarks, holesOf, holeTable, isPlaced } from '../shared/cuts/holesAboutScrew'
import { BLOCK_BODY, type BlockBody } from './model'

const PLACE = { sheet: 'bearingBlock', stage: 'room' } as const

/** A bearing block whose every length is known. */
export interface BlockToMake {
  widthMm: number
  heightMm: number
  /** Along the screw. */
  lengthMm: number
  axisUpMm: number
  boreDiameterMm: number
  boreDepthMm: number
  shoulderHoleMm: number
  boltHoles: BlockBody['boltHoles']
}

/**
 * The block of an axis: its length and height as the bearings say, its bore as the stack is measured or planned.
 *
 * @throws NotKnown naming what is not entered yet
 */
export function blockToMake(t: EvaluationContext): BlockToMake {
  const { blockLengthMm: lengthMm, blockHeightMm: heightMm } = t.part('bearing')
  const boreDepthMm = t.axis.block?.boreDepthMm ?? null
  if (boreDepthMm === null) throw new NotKnown({ ...PLACE, what: 'bearing block: depth of the bore' })
  const { boltHoles, ...body } = filled(
    t.axis.blockBody,
    ['widthMm', 'axisUpMm', 'boreDiameterMm', 'shoulderHoleMm'],
    BLOCK_BODY.of,
    { ...PLACE, name: 'block to make' },
  )
  return { ...body, boltHoles, lengthMm, heightMm, boreDepthMm }
}

/** The block as a body that lies on its back: the bore from above, the shoulder under it. */
export const blockSolid = (title: string, block: BlockToMake): Solid => ({
  title,
  outline: {
    is: 'box',
    widthMm: block.widthMm,
    heightMm: block.heightMm,
    upMm: block.heightMm / 2 - block.axisUpMm,
  },
  holes: [
    {
      x: 0,
      y: 0,
      diameterMm: block.shoulderHoleMm,
      bore: { diameterMm: block.boreDiameterMm, depthMm: block.boreDepthMm },
    },
    ...holesOf(block.boltHoles),
  ],
  thicknessMm: block.lengthMm,
})

/** From the view to the cut beside it. */
const BETWEEN_MM = 30
const NOTE_MM = 2.6

const HATCH_MM = 4

/** Metal that is cut: lines at 45 degrees over a rectangle, on one grid all over the drawing. */
function hatch(left: number, bottom: number, right: number, top: number): Mark[] {
  const marks: Mark[] = []
  // Each line is y = x + up.
  for (let up = HATCH_MM * Math.ceil((bottom - right) / HATCH_MM); up < top - left; up += HATCH_MM) {
    const [from, to] = [Math.max(left, bottom - up), Math.min(right, top - up)]
    if (to > from) marks.push(line('words', from, from + up, to, to + up))
  }
  return marks
}

/** The block seen from its cover, and cut open along the screw. */
export function blockDrawing(title: string, block: BlockToMake, { units }: EvaluationContext): Drawing {
  const { widthMm, heightMm, lengthMm, axisUpMm, boreDiameterMm, boreDepthMm, shoulderHoleMm } = block
  const length = (mm: number) => say(mm, 'length', units)
  const [left, foot] = [-widthMm / 2, -axisUpMm]
  const [cut, bore, through] = [widthMm / 2 + BETWEEN_MM, boreDiameterMm / 2, shoulderHoleMm / 2]
  const marks: Mark[] = [
    ...box('edge', left, foot, widthMm, heightMm),
    circle('edge', 0, 0, bore),
    circle('edge', 0, 0, through),
    ...cross(0, 0, bore + 6),
    ...holeMarks(block.boltHoles),
    ...box('edge', cut, foot, lengthMm, heightMm),
    line('centre', cut - 5, 0, cut + lengthMm + 5, 0),
    ...[1, -1].flatMap(side => [
      line('edge', cut, side * bore, cut + boreDepthMm, side * bore),
      line('edge', cut + boreDepthMm, side * bore, cut + boreDepthMm, side * through),
      line('edge', cut + boreDepthMm, side * through, cut + lengthMm, side * through),
    ]),
    ...[
      [cut, cut + boreDepthMm, bore],
      [cut + boreDepthMm, cut + lengthMm, through],
    ].flatMap(([from = 0, to = 0, near = 0]) => [
      ...hatch(from, near, to, foot + heightMm),
      ...hatch(from, foot, to, -near),
    ]),
  ]
  marks.push(...holeLabels(block.boltHoles, marks, length))
  const under = Math.min(foot, boundsOf(marks).bottom)
  const limits = holeDeviations(boreDiameterMm, 6)
  const fit = limits ? ` H6 ${limitWords(limits, units)}` : ' H6'
  marks.push(
    ...lengthAt({ fromX: left, toX: -left, text: length(widthMm) }, foot, under - 8),
    ...lengthAt({ fromX: cut, toX: cut + boreDepthMm, text: length(boreDepthMm) }, foot, under - 8),
    ...lengthAt({ fromX: cut, toX: cut + lengthMm, text: length(lengthMm) }, foot, under - 16),
    ...heightAt(foot, 0, length(axisUpMm), left, left - 8),
    ...heightAt(foot, foot + heightMm, length(heightMm), left, left - 24),
  )
  const { left: from, top, bottom } = boundsOf(marks)
  const rows = [
    { label: 'Bore', xMm: 0, yMm: 0, diameterMm: boreDiameterMm, size: `Ø ${length(boreDiameterMm)}${fit}` },
    { label: 'Through the shoulder', xMm: 0, yMm: 0, diameterMm: shoulderHoleMm },
    ...block.boltHoles.filter(isPlaced),
  ]
  marks.push(...holeTable(rows, { x: from, y: bottom - 9 }, length))
  const tableBottom = boundsOf(marks).bottom
  const notes = [
    'Left: seen from the cover. Right: cut along the screw, the cover at its left.',
    `Shoulder square to the bore within ${say(5, 'smallLength', units)}; foot parallel to the bore. The blocks of one screw are bored, or shimmed, to one height.`,
    `Edges broken ${length(0.2)}. Fits after ISO 286; where no limit stands, ISO 2768-m.`,
    'Fit and squareness are usual practice: what the maker of the bearings asks for comes first.',
  ]
  return {
    title,
    marks: [
      ...marks,
      ...notes.map((note, index) => words(from, tableBottom - 7 - index * (NOTE_MM + 1.8), note, NOTE_MM)),
      words(from, top + 6, title, 4),
    ],
  }
}
