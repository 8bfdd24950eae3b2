import type { SectionStation } from '../job/making'
import type { Trace } from '../verdicts/trace'
import { nutRange, nutReach } from './placement'
import { clearanceSection, SECTION_SIDES, type SectionSide } from './section'

type Inputs = Parameters<typeof clearanceSection>[0]
type Side = ReturnType<typeof clearanceSection>['left']

/** The nut's outline across the screw: what is widest of body, flange and bracket, without a grease fitting. */
export function nutEnvelope(t: Trace): { widthMm: number; heightMm: number } {
  const { nutBodyDiameterMm, nutFlangeDiameterMm } = t.part('screw')
  const { bracketWidthMm, bracketHeightMm } = t.axis.making.section
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

/** Inputs for one station; with the fitting counted on every side. */
function inputsAt(t: Trace, station: SectionStation, fittingMm: number): Inputs {
  const { spacersMm, minimumGapMm, minimumWallMm } = t.axis.making.section
  const { widthMm, heightMm } = nutEnvelope(t)
  return {
    envelopeWidthMm: widthMm + 2 * fittingMm,
    envelopeHeightMm: heightMm + 2 * fittingMm,
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

/** A station: its sides without the fitting, but for the side on which that stands. */
function sectionAt(t: Trace, station: SectionStation): SectionAt {
  const { fittingMm, fittingSide } = t.axis.making.section
  const plain = clearanceSection.compute(inputsAt(t, station, 0))
  const sides =
    fittingMm > 0
      ? { ...plain, [fittingSide]: clearanceSection.compute(inputsAt(t, station, fittingMm))[fittingSide] }
      : plain
  const worst = SECTION_SIDES.reduce((a, b) => (isWorse(sides[b], sides[a]) ? b : a))
  return { station, sides, worst }
}

/**
 * Every measured station that the nut comes past, as the nut meets it.
 *
 * @throws NotKnown without a screw or a measured span
 */
export const sections = (t: Trace): SectionAt[] =>
  t.once('sections', () => {
    const { firstMm, lastMm } = nutRange(t)
    const { nutAheadMm, nutBehindMm } = nutReach(t)
    return t.axis.making.section.stations
      .filter(({ positionMm }) => positionMm >= firstMm - nutBehindMm && positionMm <= lastMm + nutAheadMm)
      .map(station => sectionAt(t, station))
  })

/** The station at which the nut is worst off, with its working; null where the nut comes past none. */
export const worstSection = (t: Trace): SectionAt | null =>
  t.once('worstSection', () => {
    const [first, ...more] = sections(t)
    if (!first) return null
    const worst = more.reduce((a, b) => (isWorse(b.sides[b.worst], a.sides[a.worst]) ? b : a), first)
    const { fittingMm, fittingSide } = t.axis.making.section
    t.figure(
      'section',
      clearanceSection,
      inputsAt(t, worst.station, worst.worst === fittingSide ? fittingMm : 0),
    )
    return worst
  })
