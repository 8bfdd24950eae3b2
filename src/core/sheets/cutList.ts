import type { Trace } from '../evaluation/context'
import { say } from '../units/print'
import type { UnitSystem } from '../units/quantity'
import { holeEnlarge } from './holes/calculation'
import { holeInputs } from './makingInputs'
import { SECTION_SIDES, type SectionSide } from './nutRoom/calculation'
import { type SectionAt, sections } from './nutRoom/sections'

type Say = (mm: number) => string

/** One cut of the list, in the order in which they are made. */
export interface Cut {
  id: string
  what: string
  tool: string
  guide: string
  depthMm: number | null
  wallLeftMm: number | null
  /** Rough cuts only make room; true ones carry a part. */
  finish: 'rough' | 'true'
  /** Whether it can be made; where not, another way must be taken. */
  fit: boolean
  cautions: string[]
}

const CAUTION = {
  dust: 'Cast-iron dust: mask on, vacuum beside the cut, nothing blown about.',
  eyes: 'Eye protection; gloves off while anything turns.',
  collet: 'A cutter held in a collet creeps out: mark it, and look after every pass.',
  grab: 'A hole saw grabs as it breaks through: clamp the casting, lowest speed, a stop behind it.',
  heavy: 'The casting is heavy: support it so that it cannot tip as it gets lighter on one side.',
  chips: 'Clean out every chip before anything is fitted: one under a block is a bent screw.',
}

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

function sectionCuts(t: Trace, length: Say): Cut[] {
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

function recessCuts(t: Trace): Cut[] {
  const { recessFixedMm, recessFarMm } = t.axis.room
  const recess = (end: 'fixed' | 'far', depthMm: number): Cut[] =>
    depthMm > 0
      ? [
          {
            id: `recess-${end}`,
            what: `Recess for the nut at the ${end} end, about the screw axis`,
            tool: 'Boring head, or a hole saw and a boring bar',
            guide: 'The bore of the block: a pilot through it marks the axis',
            depthMm,
            wallLeftMm: null,
            finish: 'rough',
            fit: true,
            cautions: [CAUTION.eyes, CAUTION.heavy, CAUTION.dust],
          },
        ]
      : []
  return [...recess('fixed', recessFixedMm), ...recess('far', recessFarMm)]
}

function holeCuts(t: Trace, length: Say): Cut[] {
  return t.axis.making.holes.map((hole, index): Cut => {
    const { cutterMm, wallAfterMm, verdict } = holeEnlarge(holeInputs(hole, t.shop.cutterSizesMm))
    const bung = hole.existingDiameterMm > 0
    return {
      id: `hole-${index}`,
      what: `${hole.label}: enlarge to ${length(cutterMm ?? hole.requiredDiameterMm)}`,
      tool: cutterMm === null ? 'No cutter at hand is large enough' : `Hole cutter ${length(cutterMm)}`,
      guide: bung
        ? `A bung of ${length(hole.existingDiameterMm)} in the old hole, its pilot ${hole.centreOffsetMm > 0 ? `${length(hole.centreOffsetMm)} off its middle` : 'in its middle'}`
        : 'Punch mark and pilot drill',
      depthMm: hole.depthMm,
      wallLeftMm: wallAfterMm,
      finish: 'rough',
      fit: verdict === 'cut',
      cautions: [CAUTION.eyes, CAUTION.grab, CAUTION.dust],
    }
  })
}

/** The faces that carry a part, cut last and in one clamping where that can be. */
function trueFaces(t: Trace): Cut[] {
  const face = (id: string, what: string): Cut => ({
    id,
    what,
    tool: 'Fly cutter or face mill, light cuts; else scrape to blue',
    guide: 'The ways: an indicator along the face against the carriage',
    depthMm: null,
    wallLeftMm: null,
    finish: 'true',
    fit: true,
    cautions: [CAUTION.eyes, CAUTION.chips],
  })
  const { screws } = t.axis.drive
  const both = screws === 2 ? ', of both screws' : ''
  return [
    face('seat-fixed', `Seat of the fixed block${both}: square to the screw axis`),
    ...(t.axis.ends === 'fixed-free'
      ? []
      : [face('seat-far', `Seat of the far block${both}: in line with the fixed one`)]),
    face('seat-bracket', 'Face of the nut bracket: square to the screw axis'),
  ]
}

/**
 * What is cut, in a sensible order: what only makes room first, heaviest first, then holes, then the few faces that
 * must be true, when nothing that follows can spring them.
 *
 * @param units in which the words give lengths
 * @throws NotKnown without a screw or a measured span
 */
export function cutList(t: Trace, units: UnitSystem): Cut[] {
  const length = (mm: number) => say(mm, 'length', units)
  return [...recessCuts(t), ...sectionCuts(t, length), ...holeCuts(t, length), ...trueFaces(t)]
}
