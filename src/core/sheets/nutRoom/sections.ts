import { type EvaluationContext, remembered } from '../../evaluation/context'
import { type Filled, gapWords, isFilled } from '../../evaluation/filled'
import { nutTurns } from '../../machine/drive/transmission'
import { nutRange, nutReach } from '../../machine/travel/placement'
import { clearanceSection } from './calculation'
import { SECTION_SIDES, type SectionSide, type SectionStation, STATIONS } from './model'

type Inputs = Parameters<typeof clearanceSection>[0]
type Side = ReturnType<typeof clearanceSection>['left'] & { wallKnown: boolean }

/**
 * The nut's outline across the screw: what is widest of body, flange and bracket, without what stands out of those. While the
 * bracket is not measured it is that of the nut alone, and nothing holds by it.
 */
export function nutEnvelope(t: EvaluationContext): { widthMm: number; heightMm: number } {
  const { nutBodyDiameterMm, nutFlangeDiameterMm } = t.part('screw')
  const { bracketWidthMm, bracketHeightMm } = t.axis.section
  // A nut that turns does so in its housing, which is what goes along.
  const housingMm = nutTurns(t) ? t.part('bearing').blockHeightMm : 0
  const nutMm = Math.max(nutBodyDiameterMm, nutFlangeDiameterMm, housingMm)
  return { widthMm: Math.max(nutMm, bracketWidthMm ?? 0), heightMm: Math.max(nutMm, bracketHeightMm ?? 0) }
}

/** One station as the nut meets it. */
export interface SectionAt {
  station: MeasuredStation
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

/** Which distance of a station a side goes by, and which wall. */
export const SIDE_FIELDS = {
  left: { from: 'leftMm', wall: 'wallLeftMm' },
  right: { from: 'rightMm', wall: 'wallRightMm' },
  ceiling: { from: 'ceilingMm', wall: 'wallCeilingMm' },
  floor: { from: 'floorMm', wall: 'wallFloorMm' },
} as const satisfies Record<SectionSide, { from: keyof SectionStation; wall: keyof SectionStation }>

const STATION_NEEDS = ['leftMm', 'rightMm', 'ceilingMm', 'floorMm'] as const
/** A station whose four distances are measured. */
export type MeasuredStation = Filled<SectionStation, (typeof STATION_NEEDS)[number]>

/** Inputs for one station; with what stands out counted on every side. A wall that is not measured counts as none. */
function inputsAt(t: EvaluationContext, station: MeasuredStation, standsOutMm: number): Inputs {
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
    wallLeftMm: station.wallLeftMm ?? 0,
    wallRightMm: station.wallRightMm ?? 0,
    wallCeilingMm: station.wallCeilingMm ?? 0,
    wallFloorMm: station.wallFloorMm ?? 0,
    minimumGapMm,
    minimumWallMm,
  }
}

/** How far the furthest of what stands out on a side does so; 0 where nothing does. */
const standsOutOn = (t: EvaluationContext, side: SectionSide): number =>
  t.axis.section.protrusions.reduce(
    (most, one) => (one.side === side ? Math.max(most, one.standsOutMm ?? 0) : most),
    0,
  )

/** The sides on which something stands out, and how far. */
const standingOut = remembered((t: EvaluationContext) =>
  SECTION_SIDES.map(side => ({ side, mm: standsOutOn(t, side) })).filter(({ mm }) => mm > 0),
)

/** A station: each side with what stands out on it, and with nothing of what stands out on the others. */
function sectionAt(t: EvaluationContext, station: MeasuredStation): SectionAt {
  const sides = clearanceSection.compute(inputsAt(t, station, 0)) as Record<SectionSide, Side>
  for (const { side, mm } of standingOut(t))
    sides[side] = clearanceSection.compute(inputsAt(t, station, mm))[side] as Side
  let worst: SectionSide = 'left'
  for (const side of SECTION_SIDES) {
    const one = sides[side]
    one.wallKnown = station[SIDE_FIELDS[side].wall] !== null
    // Whether a wall that nobody measured would be too thin is not known.
    if (!one.wallKnown && one.verdict === 'too-thin') one.verdict = 'cut'
    if (isWorse(one, sides[worst])) worst = side
  }
  return { station, sides, worst }
}

/** The stretch of the screw that the nut sweeps over its travel. @throws NotKnown without a screw or a measured span */
export const sweptMm = remembered((t: EvaluationContext) => {
  const { firstMm, lastMm } = nutRange(t)
  const { nutAheadMm, nutBehindMm } = nutReach(t)
  return { fromMm: firstMm - nutBehindMm, toMm: lastMm + nutAheadMm }
})

/**
 * Every measured station that the nut comes past, as the nut meets it, from the fixed block on.
 *
 * @throws NotKnown without a screw or a measured span
 */
export const sections = remembered((t: EvaluationContext): SectionAt[] => {
  const { fromMm, toMm } = sweptMm(t)
  return measuredSections(t).filter(
    ({ station: { positionMm } }) => positionMm >= fromMm && positionMm <= toMm,
  )
})

/** Every measured station as the nut would meet it, also where it does not come. */
const measuredSections = remembered((t: EvaluationContext): SectionAt[] =>
  t.axis.section.stations
    .filter(station => isFilled(station, STATION_NEEDS))
    .map(station => sectionAt(t, station))
    .toSorted((a, b) => a.station.positionMm - b.station.positionMm),
)

/**
 * Where stations speak for the travel: those that the nut comes past, and those no further than its own length beyond its ends, at
 * which it would be clear. The natural places to measure are the faces of the blocks, and the nut stops short of those.
 */
const spokenForMm = remembered((t: EvaluationContext): number[] => {
  const { fromMm, toMm } = sweptMm(t)
  const { nutAheadMm, nutBehindMm } = nutReach(t)
  const nutMm = nutAheadMm + nutBehindMm
  return measuredSections(t)
    .filter(({ station: { positionMm }, sides, worst }) => {
      const beyondMm = Math.max(fromMm - positionMm, positionMm - toMm)
      return beyondMm <= 0 || (beyondMm <= nutMm && sides[worst].verdict === 'clear')
    })
    .map(({ station }) => Math.min(Math.max(station.positionMm, fromMm), toMm))
})

/** A station that is begun and not measured all round; null where none is. */
export const openStation = ({ axis: { section } }: EvaluationContext): SectionStation | null =>
  section.stations.find(station => !isFilled(station, STATION_NEEDS)) ?? null

/** Whether the bracket is measured across the screw: 0 says that it is no wider than its nut. */
export const isBracketKnown = ({ axis: { section } }: EvaluationContext): boolean =>
  section.bracketWidthMm !== null && section.bracketHeightMm !== null

/** What such a station still needs, in words. */
export const stationGaps = (station: SectionStation): string => gapWords(station, STATION_NEEDS, STATIONS.of)

/** A casting may change between two stations further apart than this many nuts, or than half of what the nut sweeps. */
const NUTS_APART = 2

/**
 * The longest stretch of the travel that no station speaks for: more than a nut's length before the first or after the
 * last, or between two that are far apart.
 *
 * @returns null where the stations tell of the whole travel
 */
export const unmeasuredMm = remembered((t: EvaluationContext): { fromMm: number; toMm: number } | null => {
  const { fromMm, toMm } = sweptMm(t)
  const { nutAheadMm, nutBehindMm } = nutReach(t)
  const nutMm = nutAheadMm + nutBehindMm
  const places = spokenForMm(t)
  const apartMm = Math.max(NUTS_APART * nutMm, (toMm - fromMm) / 2)
  const gaps = [fromMm, ...places].map((placeMm, index) => ({
    fromMm: placeMm,
    toMm: places[index] ?? toMm,
    mostMm: index === 0 || index === places.length ? nutMm : apartMm,
  }))
  return (
    gaps
      .filter(gap => gap.toMm - gap.fromMm > gap.mostMm)
      .toSorted((a, b) => b.toMm - b.fromMm - (a.toMm - a.fromMm))[0] ?? null
  )
})

/** The station at which the nut is worst off, with its working; null where the nut comes past none. */
export const worstSection = remembered((t: EvaluationContext): SectionAt | null => {
  const [first, ...more] = sections(t).length > 0 ? sections(t) : measuredSections(t)
  if (!first || (sections(t).length === 0 && spokenForMm(t).length === 0)) return null
  const worst = more.reduce((a, b) => (isWorse(b.sides[b.worst], a.sides[a.worst]) ? b : a), first)
  t.figure('section', clearanceSection, inputsAt(t, worst.station, standsOutOn(t, worst.worst)))
  return worst
})
