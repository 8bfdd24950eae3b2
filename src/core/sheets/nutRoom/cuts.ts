import type { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'
import { CAUTION, type Cut } from '../shared/cuts/cut'
import { SECTION_SIDES, type SectionSide } from './model'
import { isBracketKnown, nutEnvelope, type SectionAt, sections, sweptMm } from './sections'

const SIDE_OF: Record<SectionSide, string> = {
  left: 'left wall',
  right: 'right wall',
  ceiling: 'ceiling',
  floor: 'floor',
}

interface Stretch {
  fromMm: number
  toMm: number
  depthMm: number
  wallMm: number | null
  fit: boolean
  /** Whether the wall is measured all along: nothing is cut into a wall that nobody knows. */
  wallKnown: boolean
}

/**
 * The stretches of one side along which metal must go: neighbours among the stations are cut in one go. A cut begins and
 * ends half-way to a neighbour that is clear, or where the nut turns back.
 */
function stretches(at: SectionAt[], side: SectionSide, swept: { fromMm: number; toMm: number }): Stretch[] {
  const all: Stretch[] = []
  let open: Stretch | null = null
  for (const [index, { station, sides }] of at.entries()) {
    const { cutMm, wallAfterMm, wallKnown, verdict } = sides[side]
    if (cutMm === 0) {
      open = null
      continue
    }
    const midway = (neighbour: SectionAt | undefined, endMm: number) =>
      neighbour ? (station.positionMm + neighbour.station.positionMm) / 2 : endMm
    if (!open) {
      open = {
        fromMm: midway(at[index - 1], swept.fromMm),
        toMm: 0,
        depthMm: 0,
        wallMm: null,
        fit: true,
        wallKnown: true,
      }
      all.push(open)
    }
    open.toMm = midway(at[index + 1], swept.toMm)
    open.depthMm = Math.max(open.depthMm, cutMm)
    open.wallKnown &&= wallKnown
    if (wallKnown) open.wallMm = Math.min(open.wallMm ?? wallAfterMm, wallAfterMm)
    open.fit &&= verdict !== 'too-thin'
  }
  return all
}

/** The cuts that make room for the nut, side by side. */
export function nutRoomCuts(t: EvaluationContext): Cut[] {
  const length = (mm: number) => say(mm, 'length', t.units)
  const at = sections(t)
  const { minimumGapMm } = t.axis.section
  const { widthMm, heightMm } = nutEnvelope(t)
  // How deep it must go nobody can say who does not know how large the bracket is.
  if (!isBracketKnown(t)) return []
  return SECTION_SIDES.flatMap(side =>
    stretches(at, side, sweptMm(t))
      .filter(({ wallKnown }) => wallKnown)
      .map(({ fromMm, toMm, depthMm, wallMm, fit }): Cut => {
        const acrossMm = side === 'left' || side === 'right' ? heightMm : widthMm
        return {
          id: `section-${side}-${fromMm}`,
          what: `Relieve the ${SIDE_OF[side]} from ${length(fromMm)} to ${length(toMm)} along the screw`,
          tool: 'End mill on the machine, or a die grinder with a carbide burr',
          guide: 'Scribed lines; a block of the depth wanted as a gauge',
          lengthMm: toMm - fromMm,
          widthMm: acrossMm + 2 * minimumGapMm,
          depthMm,
          wallLeftMm: wallMm,
          finish: 'rough',
          fit,
          cautions: [CAUTION.eyes, CAUTION.dust, CAUTION.collet],
        }
      }),
  )
}
