import type { EvaluationContext } from '../../evaluation/context'
import { CAUTION, type Cut } from '../../machine/cut'
import { say } from '../../units/print'
import { SECTION_SIDES, type SectionSide } from './model'
import { type SectionAt, sections } from './sections'

const SIDE_OF: Record<SectionSide, string> = {
  left: 'left wall',
  right: 'right wall',
  ceiling: 'ceiling',
  floor: 'floor',
}

/** The stretches of one side along which metal must go: neighbours among the stations are cut in one go. */
function stretches(at: SectionAt[], side: SectionSide) {
  const all: { fromMm: number; toMm: number; depthMm: number; wallMm: number; fit: boolean }[] = []
  let open: (typeof all)[number] | null = null
  for (const { station, sides } of at) {
    const { cutMm, wallAfterMm, verdict } = sides[side]
    if (cutMm === 0) {
      open = null
      continue
    }
    if (!open) {
      open = {
        fromMm: station.positionMm,
        toMm: station.positionMm,
        depthMm: 0,
        wallMm: wallAfterMm,
        fit: true,
      }
      all.push(open)
    }
    open.toMm = station.positionMm
    open.depthMm = Math.max(open.depthMm, cutMm)
    open.wallMm = Math.min(open.wallMm, wallAfterMm)
    open.fit &&= verdict !== 'too-thin'
  }
  return all
}

/** The cuts that make room for the nut, side by side. */
export function nutRoomCuts(t: EvaluationContext): Cut[] {
  const length = (mm: number) => say(mm, 'length', t.units)
  const at = sections(t).toSorted((a, b) => a.station.positionMm - b.station.positionMm)
  return SECTION_SIDES.flatMap(side =>
    stretches(at, side).map(({ fromMm, toMm, depthMm, wallMm, fit }): Cut => {
      const along = fromMm === toMm ? `at ${length(fromMm)}` : `from ${length(fromMm)} to ${length(toMm)}`
      return {
        id: `section-${side}-${fromMm}`,
        what: `Relieve the ${SIDE_OF[side]} ${along} along the screw`,
        tool: 'End mill on the machine, or a die grinder with a carbide burr',
        guide: 'Scribed lines; a block of the depth wanted as a gauge',
        depthMm,
        wallLeftMm: wallMm,
        finish: 'rough',
        fit,
        cautions: [CAUTION.eyes, CAUTION.dust, CAUTION.collet],
      }
    }),
  )
}
