import { leastSquares, turnFit } from '../../../calculation/leastSquares'
import { coverageFactor } from '../../../calculation/studentLaw'
import { dragShares } from './dragShares'

// Where a set-up binds, from what it takes to turn it: along the travel, over one turn, and taken apart by halves.

/** What can bind, in the order in which it is laid on the drive line. */
export const CAUSES = ['coupler', 'fixed', 'screw', 'nut', 'preload', 'gib', 'ways', 'spot', 'far'] as const
export type Cause = (typeof CAUSES)[number]

/** One reading along the travel; direction +1 goes away from the fixed block. */
export interface DragReading {
  positionMm: number
  direction: 1 | -1
  torqueNm: number
}
export interface TurnReading {
  angleDeg: number
  torqueNm: number
}

/** How far a set-up has been taken apart, each with what it took to turn it on average. */
export const HALVES = ['whole', 'gib-slack', 'nut-off', 'coupler-off'] as const
export type Half = (typeof HALVES)[number]

export interface DragRead {
  along: readonly DragReading[]
  /** Whether the far end of the screw is free: no block stands there. */
  isFarFree?: boolean
  spanMm: number
  /** How far a block off the line is felt along the screw. */
  reachMm: number
  /** Over one turn, as it stands and with the coupler off. */
  turn?: readonly TurnReading[]
  turnUncoupled?: readonly TurnReading[]
  /** The same places or some of them with the gib slacked, after it was read whole. */
  gibSlackAlong?: readonly DragReading[]
  /** Play that the gib leaves at each end of the travel is no less than in its middle, or there is no gib. */
  isGibClear?: boolean
  /** Mean drag by how far it was taken apart. */
  halves?: Partial<Record<Half, number>>
  /** The level that preload, seals and ways should have; none where nobody can say. */
  expectedNm?: number | null
  /**
   * What a weight along the axis takes to lift, less its counterbalance: positive where it pulls towards the fixed block, and
   * its size alone where nobody has said which end is higher. None on a level axis.
   */
  weightNm?: number | { eitherWayNm: number }
  /**
   * What the screw's own weight makes near a block, where the nut holds up what hangs beyond it: as a torque, times the
   * distance between nut and block.
   */
  hangsNmMm?: number
  /** The least that a reading can differ by. */
  stepNm: number
}

/** One cause with its size where it is felt most, and whether the readings are sure of it. */
export interface Felt {
  cause: Cause
  torqueNm: number
  standardErrorNm: number
  /** Larger than the readings are uncertain by, and more than a tenth of the level. */
  counts: boolean
  /** Where it is felt most, where that is one place. */
  atMm: number | null
}

export interface TightSpots {
  levelNm: number
  /** Each cause that the readings can speak of. */
  felt: Felt[]
  /** The one that binds most, of those that count; none in a sound set-up. */
  named: Cause | null
  /** A block or a nut that is named may still be a gib that is tight there: it is slacked and read again before anything is. */
  asksGib: boolean
  /** What was fitted along the travel: the level, what each block takes at its face, what the ways take more at the far end. */
  fitted: { levelNm: number; fixedNm: number; farNm: number; waysNm: number }
  /** What each reading is less what was fitted to it. */
  residualNm: number
  /** Its weight winds it down by itself: what it takes all along cannot be told. */
  runsByItself: boolean
  /** What they differ by along the travel, going one way: the more uneven of the two. */
  unevenNm: number
  /** What each half that was taken off had held; in the order of taking apart. */
  held: { half: Half; droppedNm: number }[]
}

/** A cause counts over so many standard errors, and over this share of the level. */
const ERRORS = 3
const SHARE = 0.1
/** So sure where few readings are to spare. */
const SURE = 0.995
/** Both ends alike within this factor: the nut is off, not a block. */
const ALIKE = 2.5
/** A level so many times what it should be is high. */
const HIGH = 1.6
/** One place that lifts the spread so many times. */
const LIFTS = 3
/** A difference that is fitted may be so many times what the readings differ by. */
const SEEN_TIMES = 1.5
/** What hangs is known to this factor. */
const HANGS_TIMES = 1.5
/** A weight, its counterbalance, and what of them reaches the screw are known to this share. */
const WEIGHT_KNOWN_TO = 0.3

const FITTED = ['gib', 'fixed', 'far', 'ways'] as const

interface Fit {
  levelNm: number
  spreadNm: number
  spare: number
  of: Record<(typeof FITTED)[number], { torqueNm: number; standardErrorNm: number }>
}

/** The model of drag along the travel, without the places left out; null where it cannot be told. */
function fitAlong(
  { along, spanMm, reachMm, stepNm, isFarFree = false }: DragRead,
  leaveOutMm: number | null,
): Fit | null {
  const used = along.filter(({ positionMm }) => positionMm !== leaveOutMm)
  // At a free end no block can bind.
  const columns = [0, 1, 2, ...(isFarFree ? [] : [3]), 4]
  const fitted = leastSquares(
    used.map(({ positionMm, direction }) => {
      const shares = dragShares(positionMm, direction, spanMm, reachMm)
      return columns.map(column => shares[column] as number)
    }),
    used.map(({ torqueNm }) => torqueNm),
  )
  if (!fitted || fitted.spread === null) return null
  // Readings that happen to lie alike are not known better than their step.
  const spreadNm = Math.max(fitted.spread, stepNm / Math.sqrt(12))
  const of = (column: number) => {
    const index = columns.indexOf(column)
    return index < 0
      ? { torqueNm: 0, standardErrorNm: 0 }
      : {
          torqueNm: fitted.coefficients[index] as number,
          standardErrorNm: spreadNm * Math.hypot(...(fitted.inverse[index] as number[])),
        }
  }
  return {
    levelNm: fitted.coefficients[0] as number,
    spreadNm,
    spare: used.length - columns.length,
    of: { gib: of(1), fixed: of(2), far: of(3), ways: of(4) },
  }
}

/** What of a torque that differs with the direction is not the weight, of which a hoist may carry any part. */
function beyondWeight(torqueNm: number, weight: number | { eitherWayNm: number }): number {
  const weightNm = typeof weight === 'number' ? weight : Math.sign(torqueNm) * Math.abs(weight.eitherWayNm)
  if (torqueNm * weightNm <= 0) return torqueNm
  const leftNm = Math.abs(torqueNm) - Math.abs(weightNm)
  return leftNm <= WEIGHT_KNOWN_TO * Math.abs(weightNm) ? 0 : Math.sign(torqueNm) * leftNm
}

/**
 * Lays what binds out by its causes.
 *
 * @returns null where the readings cannot tell the causes along the travel apart: both ways at four places or more, near both
 *   blocks and between
 */
export function tightSpots(read: DragRead): TightSpots | null {
  const { along, spanMm, reachMm } = read
  const places = [...new Set(along.map(({ positionMm }) => positionMm))].toSorted((a, b) => a - b)
  const whole = fitAlong(read, null)
  if (!whole) return null
  const spot = places.slice(1, -1).reduce<{ atMm: number; fit: Fit } | null>((best, atMm) => {
    const fit = fitAlong(read, atMm)
    return fit && fit.spare >= 2 && (!best || fit.spreadNm < best.fit.spreadNm) ? { atMm, fit } : best
  }, null)
  const stands = spot && LIFTS * spot.fit.spreadNm < whole.spreadNm ? spot : null
  const fit = stands ? stands.fit : whole
  const levelNm = Math.max(fit.levelNm, read.stepNm)
  const sure = Math.max(ERRORS, coverageFactor(SURE, Math.max(1, fit.spare)))
  const torques = along.map(({ torqueNm }) => torqueNm)
  const rangeNm = Math.max(...torques) - Math.min(...torques)
  const counts = (torqueNm: number, errorNm: number) =>
    Math.abs(torqueNm) > sure * errorNm && Math.abs(torqueNm) > SHARE * levelNm
  // What its weight winds by itself takes nothing to turn that way: the two ways cannot be compared.
  const runsByItself =
    read.weightNm !== undefined &&
    ([1, -1] as const).some(way =>
      along.every(({ direction, torqueNm }) => direction !== way || torqueNm <= read.stepNm),
    )
  // What is felt cannot make more of a difference than the readings have: shares that are alike, on a screw as stiff as it is
  // short, cancel each other out of nothing.
  const isSeen = (differenceNm: number) => Math.abs(differenceNm) < SEEN_TIMES * rangeNm

  const felt: Felt[] = []
  // What a block does where the nut came nearest to it: beyond that nothing was read.
  const nearest = { fixed: places[0] as number, far: places.at(-1) as number }
  const atNearest = (end: 'fixed' | 'far'): Felt => {
    const [, , atFixed, atFar] = dragShares(nearest[end], 1, spanMm, reachMm)
    const factor = end === 'fixed' ? atFixed : atFar
    const distanceMm = end === 'fixed' ? nearest.fixed : spanMm - nearest.far
    const { torqueNm, standardErrorNm } = fit.of[end]
    const [size, error] = [torqueNm * factor, standardErrorNm * factor]
    // What hangs makes as much by itself: it is known to a factor, as friction is.
    const hangsNm = (read.hangsNmMm ?? 0) / Math.max(distanceMm, reachMm)
    // A block off the line can only add drag.
    return {
      cause: end,
      torqueNm: size,
      standardErrorNm: error,
      counts: size > HANGS_TIMES * hangsNm && counts(size, error) && isSeen(size),
      atMm: nearest[end],
    }
  }
  const [fixed, far] = [atNearest('fixed'), atNearest('far')]
  const [atZero, atSpan] = [fit.of.fixed.torqueNm, fit.of.far.torqueNm]
  const alike = fixed.counts && far.counts && Math.max(atZero, atSpan) < ALIKE * Math.min(atZero, atSpan)
  if (alike)
    felt.push({
      cause: 'nut',
      torqueNm: (fixed.torqueNm + far.torqueNm) / 2,
      standardErrorNm: Math.hypot(fixed.standardErrorNm, far.standardErrorNm) / 2,
      counts: true,
      atMm: null,
    })
  else felt.push(fixed, ...(read.isFarFree ? [] : [far]))
  for (const cause of ['gib', 'ways'] as const) {
    const { torqueNm: fittedNm, standardErrorNm } = fit.of[cause]
    // A weight pulls one way all along: only what differs from that is the gib.
    const torqueNm = cause === 'gib' ? beyondWeight(fittedNm, read.weightNm ?? 0) : fittedNm
    const differenceNm =
      cause === 'gib' ? 2 * fittedNm : (2 * torqueNm * (nearest.far - nearest.fixed)) / spanMm
    felt.push({
      cause,
      torqueNm,
      standardErrorNm,
      counts: counts(torqueNm, standardErrorNm) && isSeen(differenceNm) && !(cause === 'gib' && runsByItself),
      atMm: null,
    })
  }
  if (stands) {
    const there = along.filter(({ positionMm }) => positionMm === stands.atMm)
    const excess = there.map(({ positionMm, direction, torqueNm }) => {
      const shares = dragShares(positionMm, direction, spanMm, reachMm)
      const { gib, fixed: a, far: b, ways } = stands.fit.of
      const expected =
        stands.fit.levelNm +
        shares[1] * gib.torqueNm +
        shares[2] * a.torqueNm +
        shares[3] * b.torqueNm +
        shares[4] * ways.torqueNm
      return torqueNm - expected
    })
    const torqueNm = excess.reduce((sum, one) => sum + one, 0) / Math.max(1, excess.length)
    const standardErrorNm = stands.fit.spreadNm
    felt.push({
      cause: 'spot',
      torqueNm,
      standardErrorNm,
      counts: counts(torqueNm, standardErrorNm),
      atMm: stands.atMm,
    })
  }
  // What goes with the gib slacked was the gib, tight at that end.
  const ends = felt.filter(({ cause, counts: does }) => does && HELD_AT_ENDS.includes(cause))
  for (const one of ends) {
    if (!clearedBySlack(read, one.cause)) continue
    one.counts = false
    felt.push({
      cause: 'gib',
      torqueNm: one.torqueNm,
      standardErrorNm: one.standardErrorNm,
      counts: true,
      atMm: one.atMm,
    })
  }
  const turned = onceATurn(read, counts)
  if (turned) felt.push(turned)
  const held = heldBy(read)
  if (read.expectedNm)
    felt.push({
      cause: 'preload',
      torqueNm: levelNm - read.expectedNm,
      standardErrorNm: fit.spreadNm / Math.sqrt(Math.max(1, along.length)),
      counts: levelNm > HIGH * read.expectedNm && !runsByItself,
      atMm: null,
    })
  const named = felt
    .filter(one => one.counts)
    .reduce<Felt | null>(
      (most, one) => (!most || Math.abs(one.torqueNm) > Math.abs(most.torqueNm) ? one : most),
      null,
    )
  return {
    levelNm,
    felt,
    named: named?.cause ?? null,
    asksGib:
      named !== null &&
      HELD_AT_ENDS.includes(named.cause) &&
      !read.isGibClear &&
      leftWithSlack(read, named.cause) === null,
    fitted: {
      levelNm: fit.levelNm,
      fixedNm: atZero,
      farNm: atSpan,
      waysNm: fit.of.ways.torqueNm,
    },
    residualNm: fit.spreadNm,
    runsByItself,
    unevenNm: Math.max(
      ...([1, -1] as const).map(way => {
        const one = along.flatMap(({ direction, torqueNm }) => (direction === way ? torqueNm : []))
        return one.length === 0 ? 0 : Math.max(...one) - Math.min(...one)
      }),
    ),
    held,
  }
}

/** What is felt near a block, which a gib that is tight at that end feels like. */
const HELD_AT_ENDS: readonly Cause[] = ['fixed', 'far', 'nut']
/** What is left of it with the gib slacked is the block's; less than this share was the gib's. */
const LEFT_SHARE = 0.4

/** By how much more it takes at the end of a block than in the middle; null where one of them was not read. */
function moreAtEnd(along: readonly DragReading[], cause: Cause, spanMm: number): number | null {
  const inMiddle = along.filter(({ positionMm }) => Math.abs(positionMm - spanMm / 2) < spanMm / 5)
  const from = ({ positionMm }: DragReading) =>
    cause === 'fixed'
      ? positionMm
      : cause === 'far'
        ? spanMm - positionMm
        : Math.min(positionMm, spanMm - positionMm)
  const nearest = Math.min(...along.map(from))
  const atEnd = along.filter(one => from(one) <= nearest + 1e-6)
  if (inMiddle.length === 0 || nearest > spanMm / 3) return null
  const mean = (all: readonly DragReading[]) =>
    all.reduce((sum, { torqueNm }) => sum + torqueNm, 0) / all.length
  return mean(atEnd) - mean(inMiddle)
}

/** Which share of what is felt near a block stays with the gib slacked; null where that was not read. */
function leftWithSlack({ along, gibSlackAlong, spanMm }: DragRead, cause: Cause): number | null {
  const [before, after] = [moreAtEnd(along, cause, spanMm), moreAtEnd(gibSlackAlong ?? [], cause, spanMm)]
  return before === null || after === null || before <= 0 ? null : after / before
}
const clearedBySlack = (read: DragRead, cause: Cause): boolean =>
  (leftWithSlack(read, cause) ?? 1) < LEFT_SHARE

/** What comes once a turn: the coupler's where it goes with the coupler off, else the screw's. */
function onceATurn(
  { turn, turnUncoupled, stepNm }: DragRead,
  counts: (torqueNm: number, errorNm: number) => boolean,
): Felt | null {
  const waveOf = (readings: readonly TurnReading[] | undefined) => {
    const fit = readings && turnFit(readings.map(({ angleDeg, torqueNm }) => ({ angleDeg, value: torqueNm })))
    if (!fit || fit.fitted.spread === null) return null
    const spread = Math.max(fit.fitted.spread, stepNm / Math.sqrt(12))
    return { amplitude: fit.amplitude, error: spread * Math.sqrt(2 / (readings?.length ?? 1)) }
  }
  const wave = waveOf(turn)
  if (!wave) return null
  const free = waveOf(turnUncoupled)
  const isCoupler = free !== null && free.amplitude < wave.amplitude / 2
  return {
    cause: isCoupler ? 'coupler' : 'screw',
    torqueNm: wave.amplitude,
    standardErrorNm: wave.error,
    counts: counts(wave.amplitude, wave.error),
    atMm: null,
  }
}

/** What each half held that was taken off, in the order of taking apart. */
function heldBy({ halves = {} }: DragRead): TightSpots['held'] {
  const read = HALVES.flatMap(half => {
    const meanNm = halves[half]
    return meanNm === undefined ? [] : [{ half, meanNm }]
  })
  return read.slice(1).map(({ half, meanNm }, index) => ({
    half,
    droppedNm: (read[index]?.meanNm ?? meanNm) - meanNm,
  }))
}

/** The reading that would tell two causes apart, or make the map sure of what it cannot say yet. */
export type NextReading =
  | { kind: 'nearer'; end: 'fixed' | 'far'; atMm: number }
  | { kind: 'between' }
  | { kind: 'slack-nut' }
  | { kind: 'slack-gib' }
  | { kind: 'slack-gib-there' }
  | { kind: 'nut-off' }
  | { kind: 'turn' }
  | { kind: 'coupler-off' }
  | { kind: 'turn-there'; atMm: number }
  | { kind: 'halve' }
  | { kind: 'none' }

/** A block is felt where the nut comes within so many reaches of it. */
const FELT_REACHES = 2.5

/** What to read next. */
export function nextReading(read: DragRead, map: TightSpots): NextReading {
  const places = read.along.map(({ positionMm }) => positionMm)
  const { named } = map
  if (map.asksGib) return { kind: 'slack-gib-there' }
  if (named === null || named === 'preload') {
    const fromFixed = Math.min(...places)
    const fromFar = read.spanMm - Math.max(...places)
    const wantedMm = FELT_REACHES * read.reachMm
    if (fromFixed > wantedMm) return { kind: 'nearer', end: 'fixed', atMm: wantedMm }
    if (!read.isFarFree && fromFar > wantedMm)
      return { kind: 'nearer', end: 'far', atMm: read.spanMm - wantedMm }
    if (!read.turn) return { kind: 'turn' }
    return named === 'preload' ? { kind: 'halve' } : { kind: 'none' }
  }
  switch (named) {
    case 'nut':
      return { kind: 'slack-nut' }
    case 'gib':
      return { kind: 'slack-gib' }
    case 'ways':
      return { kind: 'nut-off' }
    case 'spot':
      return { kind: 'turn-there', atMm: map.felt.find(({ cause }) => cause === 'spot')?.atMm ?? 0 }
    case 'screw':
      return read.turnUncoupled ? { kind: 'none' } : { kind: 'coupler-off' }
    case 'fixed':
    case 'far':
      return new Set(places).size < 6 ? { kind: 'between' } : { kind: 'none' }
    case 'coupler':
      return { kind: 'none' }
  }
}
