import { type EvaluationContext, remembered } from '../../evaluation/context'
import { nutRange, nutReach } from '../../machine/travel/placement'
import { clearanceSection } from './calculation'
import { SECTION_SIDES, type SectionSide, type SectionStation } from './model'

type Inputs = Parameters<typeof clearanceSection>[0]
type Side = ReturnType<typeof clearanceSection>['left']

/** The nut's outline across the screw: what is widest of body, flange and bracket, without what stands out of those. */
export function nutEnvelope(t: EvaluationContext): { widthMm: number; heightMm: number } {
  const { nutBodyDiameterMm, nutFlangeDiameterMm } = t.part('screw')
  const { bracketWidthMm, bracketHeightMm } = t.axis.section
  const nutMm = Math.max(nutBodyDiameterMm, nutFlangeDiameterMm)
  return { widthMm: Math.max(nutMm, bracketWidthMm), heightMm: Math.max(nutMm, bracketHeightMm) }
}

/** One station as the nut meets it. */
export interface SectionAt {
  station: SectionStation
  sides: Record<SectionSide, Side>
  /** The side that is worst off. */
  worst: SectionSide
}

const RANK = { clear: 0, cut: 1, 'too-thin': 2 } as const

/** Whether a side is worse off than another: a wall too thin before a cut before a clear one, then the closer. */
function isWorse(a: Side, b: Side): boolean {
  if (a.verdict !== b.verdict) return RANK[a.verdict] > RANK[b.verdict]
  return a.verdict === 'clear' ? a.gapMm < b.gapMm : a.cutMm > b.cutMm
}

/** Inputs for one station; with what stands out counted on every side. */
function inputsAt(t: EvaluationContext, station: SectionStation, standsOutMm: number): Inputs {
  const { spacersMm, minimumGapMm, minimumWallMm } = t.axis.section
  const { widthMm, heightMm } = nutEnvelope(t)
  return {
    envelopeWidthMm: widthMm + 2 * standsOutMm,
    envelopeHeightMm: heightMm + 2 * standsOutMm,
    axisFromLeftMm: station.leftMm,
    axisFromRightMm: station.rightMm,
    // Spacers under the carriages lift the table, and with it the ceiling, off the screw.
    axisFromCeilingMm: station.ceilingMm + spacersMm,
    axisFromFloorMm: station.floorMm,
    wallLeftMm: station.wallLeftMm,
    wallRightMm: station.wallRightMm,
    wallCeilingMm: station.wallCeilingMm,
    wallFloorMm: station.wallFloorMm,
    minimumGapMm,
    minimumWallMm,
  }
}

/** How far the furthest of what stands out on a side does so; 0 where nothing does. */
const standsOutOn = (t: EvaluationContext, side: SectionSide): number =>
  t.axis.section.protrusions.reduce(
    (most, one) => (one.side === side ? Math.max(most, one.standsOutMm) : most),
    0,
  )

/** A station: each side with what stands out on it, and with nothing of what stands out on the others. */
function sectionAt(t: EvaluationContext, station: SectionStation): SectionAt {
  const sides: Record<SectionSide, Side> = clearanceSection.compute(inputsAt(t, station, 0))
  for (const side of new Set(t.axis.section.protrusions.map(one => one.side)))
    sides[side] = clearanceSection.compute(inputsAt(t, station, standsOutOn(t, side)))[side]
  const worst = SECTION_SIDES.reduce((a, b) => (isWorse(sides[b], sides[a]) ? b : a))
  return { station, sides, worst }
}

/**
 * Every measured station that the nut comes past, as the nut meets it.
 *
 * @throws NotKnown without a screw or a measured span
 */
export const sections = remembered((t: EvaluationContext): SectionAt[] => {
  const { firstMm, lastMm } = nutRange(t)
  const { nutAheadMm, nutBehindMm } = nutReach(t)
  return t.axis.section.stations
    .filter(({ positionMm }) => positionMm >= firstMm - nutBehindMm && positionMm <= lastMm + nutAheadMm)
    .map(station => sectionAt(t, station))
})

/** The station at which the nut is worst off, with its working; null where the nut comes past none. */
export const worstSection = remembered((t: EvaluationContext): SectionAt | null => {
  const [first, ...more] = sections(t)
  if (!first) return null
  const worst = more.reduce((a, b) => (isWorse(b.sides[b.worst], a.sides[a.worst]) ? b : a), first)
  t.figure('section', clearanceSection, inputsAt(t, worst.station, standsOutOn(t, worst.worst)))
  return worst
})
