import type { CircleRound } from '../sheets/circle/model'
import type { DragRound, TurnRound } from '../sheets/drag/model'
import type { FlangeRound } from '../sheets/flange/model'
import { courseOf } from '../sheets/fullTest/course'
import type { FullTest } from '../sheets/fullTest/model'
import type { GibRound } from '../sheets/gib/model'
import type { ReturnRound } from '../sheets/lostSteps/model'
import type { WaveRound } from '../sheets/oneTurn/model'
import type { OverhangRound } from '../sheets/overhang/model'
import type { PreloadRound } from '../sheets/preload/model'
import type { PushRound } from '../sheets/pushPull/model'
import type { RailRound } from '../sheets/rails/model'
import type { ReversalTest } from '../sheets/reversal/model'
import type { RunOutRound, Wobble } from '../sheets/runOut/model'
import type { ScaleRound } from '../sheets/scale/model'
import type { AlignRound } from '../sheets/screwLine/model'
import type { BeltRound, CouplerRound } from '../sheets/shafts/model'
import type { SquareRound } from '../sheets/square/model'
import type { WaysRound } from '../sheets/waysFriction/model'
import type { LostRound } from '../sheets/whereLost/model'
import type { ZeroRound } from '../sheets/zeroTime/model'
import { SimulatedAxis } from '../simulate/axis/axis'
import type { Place } from '../simulate/axis/figures'
import type { Gauge, Hand } from '../simulate/axis/hand'
import {
  drillClutch,
  indicator,
  SQUARE_OWN_UM,
  scaleOnLever,
  springScale,
  thermometer,
  torqueDriver,
} from '../simulate/axis/instruments'
import {
  cutCircle,
  diagonalsMm,
  faceUm,
  hubFaceUm,
  pulleyGapUm,
  railUm,
  rimUm,
  squareRiseUm,
} from '../simulate/axis/setting'

// Tables of readings, filled from a simulated axis as a hand would fill them, in the order in which one reads. Slow against
// fast, cold against warm and before against after are two tests of reversal each.

/** What each sheet has read, as it is planned and as it is filled. */
export interface Plans {
  screwLine: AlignRound
  drag: DragRound
  turn: TurnRound
  gib: GibRound
  pushPull: PushRound
  whereLost: LostRound
  reversal: ReversalTest
  fullTest: FullTest
  lostSteps: ReturnRound
  scale: ScaleRound
  flange: FlangeRound
  runOut: RunOutRound
  coupler: CouplerRound
  belt: BeltRound
  rails: RailRound
  preload: PreloadRound
  overhang: OverhangRound
  waysFriction: WaysRound
  square: SquareRound
  circle: CircleRound
  oneTurn: WaveRound
  zeroTime: ZeroRound
}
export type Read = keyof Plans

/** A test goes past its places by this before it turns. */
const PAST_MM = 3
const SLOW_MM_PER_MIN = 500
/** What is moved to and fro before a return. */
const STROKE_MM = 50

/** So long a machine is run to be warm, at half of its top speed; a shop has so many degrees. */
const WARM_UP_MIN = 30
const WARM_UP_SHARE = 0.5
/** Fast moves to and fro that are tried between two returns. */
const MOVES_BETWEEN = 2
const SHOP_C = 19
const THERMOMETER_STEP_C = 0.5
/** A screw is pushed and pulled along by hand, hard. */
const HARD_N = 120
const CALIPERS_UM = 10
/** A trammel bar, where a tape cannot tell. */
const TAPE_MM = 0.05
/** Less than this no driver shows to turn it. */
const FELT_NM = 0.02
/** The coupler's journal is read so far before the fixed block. */
const DRIVE_END_MM = -30

const PUSHED: Readonly<Record<PushRound['at'], Place>> = {
  slide: 'slide',
  nut: 'nutFlange',
  'screw-end': 'screwEnd',
  block: 'block',
}

/** A torque as it is read with what a round is read with. */
const felt = (
  { by, leverMm, step }: Pick<DragRound, 'by' | 'leverMm' | 'step'>,
  hand: Hand,
  torqueNm: number,
): number => {
  switch (by) {
    case 'scale':
      return scaleOnLever(torqueNm, leverMm, step, hand)
    case 'torque':
      return torqueDriver(torqueNm, step, hand)
    case 'clutch':
      return drillClutch(torqueNm, hand)
  }
}

/** What a test is noted to have been taken at, read from a thermometer; a warm machine has run before. */
function taken<T extends { temperatureC: number | null }>(plan: T, hand: Hand): T {
  return { ...plan, temperatureC: thermometer(SHOP_C, THERMOMETER_STEP_C, hand) }
}

/** Where on the screw a run-out is read, from its fixed block. */
function wobbleAtMm(axis: SimulatedAxis, where: Wobble['where']): number {
  const { spanMm } = axis.figures
  return { drive: DRIVE_END_MM, fixed: 0, middle: spanMm / 2, far: spanMm, free: spanMm }[where]
}

const HALF_TURN_DEG = 180
/** Goes round by the angles of a table. */
const around = <S extends { angleDeg: number }>(
  stations: readonly S[],
  key: keyof S,
  at: (one: S) => number,
) => stations.map(one => ({ ...one, [key]: at(one) }))

const READERS: { readonly [R in Read]: (axis: SimulatedAxis, plan: Plans[R], hand: Hand) => Plans[R] } = {
  screwLine: (axis, plan, hand) => {
    const read = (plane: 'heightUm' | 'sideUm', positionMm: number) =>
      hand.read(
        axis.lineUm(plane, positionMm, plan.clampedAtMm, 0, plan.tight ?? 'both'),
        indicator(plan.gaugeStepUm),
      )
    const heights = plan.stations.map(({ positionMm }) => read('heightUm', positionMm))
    const sides = plan.stations.map(({ positionMm }) => read('sideUm', positionMm))
    const most = (all: readonly number[]) => {
      const at = all.reduce((so, one, index) => (Math.abs(one) > Math.abs(all[so] as number) ? index : so), 0)
      return plan.stations[at]?.positionMm ?? 0
    }
    const halfTurn = (plane: 'heightUm' | 'sideUm', atMm: number) =>
      hand.read(
        axis.lineUm(plane, atMm, plan.clampedAtMm, HALF_TURN_DEG, plan.tight ?? 'both'),
        indicator(plan.gaugeStepUm),
      )
    const [halfTurnHeightUm, halfTurnSideUm] = [
      halfTurn('heightUm', most(heights)),
      halfTurn('sideUm', most(sides)),
    ]
    return {
      ...plan,
      tipLifted: hand.tipLifted(),
      halfTurnHeightUm,
      halfTurnSideUm,
      stations: plan.stations.map((one, index) => ({
        ...one,
        heightUm: heights[index] as number,
        sideUm: sides[index] as number,
      })),
    }
  },
  drag: (axis, plan, hand) => {
    const apart = {
      gibSlack: plan.half !== 'whole',
      nutOff: plan.half === 'nut-off' || plan.half === 'coupler-off',
      couplerOff: plan.half === 'coupler-off',
    }
    // What its weight winds down by itself hangs on a hoist while it is read.
    const runs = plan.stations.some(({ positionMm }) =>
      ([1, -1] as const).some(way => axis.meanTorqueNm(positionMm, way, apart) <= FELT_NM),
    )
    const hung = runs ? new SimulatedAxis({ ...axis.figures, weightN: 0 }, axis.causes) : axis
    const at = (positionMm: number, way: 1 | -1) =>
      felt(plan, hand, hung.meanTorqueNm(positionMm, way, apart))
    const away = plan.stations.map(({ positionMm }) => at(positionMm, 1))
    const towards = plan.stations
      .toReversed()
      .map(({ positionMm }) => at(positionMm, -1))
      .toReversed()
    return {
      ...plan,
      stations: plan.stations.map((one, index) => ({
        ...one,
        away: away[index] as number,
        towards: towards[index] as number,
      })),
    }
  },
  turn: (axis, plan, hand) => ({
    ...plan,
    stations: plan.stations.map(one => ({
      ...one,
      drag: felt(
        plan,
        hand,
        axis.torqueNm(plan.nutAtMm, 1, one.angleDeg, { couplerOff: plan.coupled === 'off' }),
      ),
    })),
  }),
  gib: (axis, plan, hand) => ({
    ...plan,
    stations: plan.stations.map(one => ({
      ...one,
      playUm: hand.measure(axis.sidePlayUm(one.positionMm), indicator(plan.gaugeStepUm)),
    })),
  }),
  pushPull: (axis, plan, hand) => ({
    ...plan,
    stations: plan.stations.map(one => ({
      ...one,
      forceN: hand.force(one.forceN),
      readingUm: hand.read(axis.pushedUm(PUSHED[plan.at], one.forceN), indicator(plan.gaugeStepUm)),
    })),
  }),
  whereLost: (axis, plan, hand) => {
    const { forceN, motorRadiusMm, screwRadiusMm } = plan
    const toAndFro = (at: (handN: number) => number) =>
      // Set to zero at each push: what it goes to at the pull has no zero that moves.
      hand.measure(at(forceN) - at(-forceN), indicator(plan.gaugeStepUm))
    return {
      ...plan,
      forceN: hand.force(forceN),
      stations: plan.stations.map(one => ({
        ...one,
        motorHubUm: toAndFro(f => axis.arcUm('motorHub', f, motorRadiusMm)),
        screwHubUm: toAndFro(f => axis.arcUm('screwHub', f, screwRadiusMm)),
        screwEndUm: toAndFro(f => axis.pushedUm('screwEnd', f)),
        nutFlangeUm: toAndFro(f => axis.pushedUm('nutFlange', f)),
        slideUm: toAndFro(f => axis.pushedUm('slide', f)),
      })),
    }
  },
  reversal: (axis, plan, hand) => {
    const feed = plan.feedMmPerMin ?? SLOW_MM_PER_MIN
    if (plan.warmth === 'warm') axis.pass(WARM_UP_MIN, WARM_UP_SHARE)
    return {
      ...taken(plan, hand),
      stations: plan.stations.map(station => {
        const [up, down]: [number[], number[]] = [[], []]
        // The indicator stands at this place and is set to zero at the first approach.
        let zeroUm: number | null = null
        const come = (fromMm: number) => {
          axis.moveTo(fromMm, feed)
          axis.moveTo(station.positionMm, feed)
          zeroUm ??= axis.offUm
          return hand.read(axis.offUm - zeroUm, indicator(plan.gaugeStepUm))
        }
        for (let run = 0; run < READINGS_A_SIDE; run++) {
          up.push(come(station.positionMm - PAST_MM))
          down.push(come(station.positionMm + PAST_MM))
        }
        return { ...station, approachPositiveUm: up, approachNegativeUm: down }
      }),
    }
  },
  fullTest: (axis, plan, hand) => {
    const places = plan.targets.map(({ targetMm }) => targetMm)
    const [first, last] = [Math.min(...places) - plan.overrunMm, Math.max(...places) + plan.overrunMm]
    const read = new Map(
      plan.targets.map(({ id }) => [id, { positiveUm: [] as number[], negativeUm: [] as number[] }]),
    )
    axis.pass(plan.warmUpMinutes, plan.feedMmPerMin / axis.figures.topSpeedMmPerMin)
    let zeroUm: number | null = null
    let before = ''
    for (const { targetId, targetMm, way } of courseOf(plan)) {
      if (way !== before) axis.moveTo(way === 'positiveUm' ? first : last, plan.feedMmPerMin)
      before = way
      axis.moveTo(targetMm, plan.feedMmPerMin)
      axis.dwell(plan.dwellS)
      zeroUm ??= axis.offUm
      read.get(targetId)?.[way].push(hand.read(axis.offUm - zeroUm, indicator(plan.gaugeStepUm)))
    }
    return {
      ...taken(plan, hand),
      gaugeMore: hand.tipLifted() === 'more' ? 'up' : 'down',
      targets: plan.targets.map(target => ({ ...target, ...read.get(target.id) })),
    }
  },
  lostSteps: (axis, plan, hand) => {
    let zeroUm: number | null = null
    const come = (feed: number) => {
      for (let move = 0; move < plan.movesEach; move++) axis.moveTo(move % 2 ? PAST_MM : STROKE_MM, feed)
      axis.moveTo(-PAST_MM, SLOW_MM_PER_MIN)
      axis.moveTo(0, SLOW_MM_PER_MIN)
      zeroUm ??= axis.offUm
      return hand.read(axis.offUm - zeroUm, indicator(plan.gaugeStepUm))
    }
    const slow = plan.stations.map(() => come(SLOW_MM_PER_MIN))
    const fast = plan.stations.map(() => come(plan.fastMmPerMin))
    return {
      ...plan,
      stations: plan.stations.map((one, index) => ({
        ...one,
        slowUm: slow[index] as number,
        fastUm: fast[index] as number,
      })),
    }
  },
  scale: (axis, plan, hand) => {
    axis.moveTo(-PAST_MM, SLOW_MM_PER_MIN)
    axis.moveTo(0, SLOW_MM_PER_MIN)
    const fromMm = axis.standsAtMm
    const stepMm = (plan.gaugeStepUm ?? 0) / 1000
    return {
      ...plan,
      stations: plan.stations.map(one => {
        axis.moveTo(one.commandedMm, SLOW_MM_PER_MIN)
        return {
          ...one,
          measuredMm: hand.measure(axis.standsAtMm - fromMm, { step: stepMm, spread: stepMm / 2 }),
        }
      }),
    }
  },
  oneTurn: (axis, plan, hand) => {
    const places = plan.stations.map(({ positionMm }) => positionMm)
    let zeroUm: number | null = null
    const come = (positionMm: number) => {
      // The first place again is come to from the same side as well.
      if (positionMm === Math.min(...places)) axis.moveTo(positionMm - PAST_MM, SLOW_MM_PER_MIN)
      axis.moveTo(positionMm, SLOW_MM_PER_MIN)
      zeroUm ??= axis.offUm
      return hand.read(axis.offUm - zeroUm, indicator(plan.gaugeStepUm))
    }
    return {
      ...plan,
      gaugeMore: hand.tipLifted() === 'more' ? 'up' : 'down',
      stations: plan.stations.map(one => ({ ...one, deviationUm: come(one.positionMm) })),
    }
  },
  zeroTime: (axis, plan, hand) => {
    const gauge = indicator(plan.gaugeStepUm)
    const zeros = new Map<number, number>()
    const come = (placeMm: number) => {
      axis.moveTo(placeMm - PAST_MM, SLOW_MM_PER_MIN)
      axis.moveTo(placeMm, SLOW_MM_PER_MIN)
      const offUm = axis.offUm
      if (!zeros.has(placeMm)) zeros.set(placeMm, offUm)
      return hand.read(offUm - (zeros.get(placeMm) as number), gauge)
    }
    const feed = WARM_UP_SHARE * axis.figures.topSpeedMmPerMin
    let runMin = 0
    return {
      ...plan,
      gaugeMore: hand.tipLifted() === 'more' ? 'up' : 'down',
      stations: plan.stations.map(one => {
        axis.pass(one.minutes - runMin, WARM_UP_SHARE)
        for (let move = 0; move < MOVES_BETWEEN; move++)
          axis.moveTo(move % 2 ? plan.farMm : plan.nearMm, feed)
        runMin = one.minutes
        return { ...one, nearUm: come(plan.nearMm), farUm: come(plan.farMm) }
      }),
    }
  },
  flange: ({ causes }, plan, hand) => ({
    ...plan,
    tipLifted: hand.tipLifted(),
    stations: around(plan.stations, 'readingUm', ({ angleDeg }) =>
      hand.read(faceUm(causes, angleDeg, plan.radiusMm), indicator(plan.gaugeStepUm)),
    ),
  }),
  runOut: (axis, plan, hand) => ({
    ...plan,
    stations: plan.stations.map(one => ({
      ...one,
      wholeUm: hand.measure(
        axis.runOutUm(wobbleAtMm(axis, one.where), one.where !== 'free'),
        indicator(plan.gaugeStepUm),
      ),
    })),
  }),
  coupler: ({ causes }, plan, hand) => {
    const gauge = indicator(plan.gaugeStepUm)
    const rim = around(plan.stations, 'rimUm', ({ angleDeg }) => hand.read(rimUm(causes, angleDeg), gauge))
    return {
      ...plan,
      tipLifted: hand.tipLifted(),
      stations: around(rim, 'faceUm', ({ angleDeg }) =>
        hand.read(hubFaceUm(causes, angleDeg, plan.faceRadiusMm), gauge),
      ),
    }
  },
  belt: ({ causes }, plan, hand) => {
    const widthMm = Math.max(...plan.stations.map(({ acrossMm }) => acrossMm))
    return {
      ...plan,
      // Feelers have no zero that moves, and a gap can be on the other side.
      stations: plan.stations.map(one => ({
        ...one,
        gapUm: hand.read(pulleyGapUm(causes, one.acrossMm, widthMm), FEELERS),
      })),
    }
  },
  rails: ({ causes }, plan, hand) => {
    const lengthMm = Math.max(...plan.stations.map(({ positionMm }) => positionMm))
    const at = (mm: number) => railUm(causes, mm, lengthMm)
    return {
      ...plan,
      tipLifted: hand.tipLifted(),
      stations: plan.stations.map((one, index) =>
        plan.how === 'level'
          ? {
              ...one,
              slopeUmPerM: hand.read(
                (1000 * (at((index + 1) * plan.baseMm) - at(index * plan.baseMm))) / plan.baseMm,
                LEVEL,
              ),
            }
          : { ...one, readingUm: hand.read(at(one.positionMm), indicator(plan.gaugeStepUm)) },
      ),
    }
  },
  overhang: ({ causes }, plan, hand) => {
    const gauge = indicator(plan.gaugeStepUm)
    return {
      ...plan,
      withoutUm: hand.read(0, gauge),
      withUm: hand.read(-(causes.droopUm ?? 0), gauge),
      againUm: hand.read(0, gauge),
    }
  },
  preload: (axis, plan, hand) => {
    const pulled = (torqueNm: number) => scaleOnLever(torqueNm, plan.leverMm, plan.scaleStepN, hand)
    const sealsNm = axis.figures.dragNm - axis.figures.bearingDragNm
    return {
      ...plan,
      playUm: hand.measure(axis.screwEndPlayUm(HARD_N), indicator(plan.gaugeStepUm)),
      ...(plan.scaleStepN !== null && {
        pullBeforeN: plan.pullBeforeN ?? pulled(sealsNm),
        pullAfterN: pulled(sealsNm + axis.bearingNm()),
      }),
    }
  },
  waysFriction: (axis, plan, hand) => ({
    ...plan,
    stations: plan.stations.map(one => ({
      ...one,
      pullN: springScale(axis.pullN(one.addedMassKg), plan.scaleStepN, hand),
    })),
  }),
  square: ({ causes }, plan, hand) => {
    if (plan.how === 'diagonals') {
      const [a, b] = diagonalsMm(causes, plan.sideAMm, plan.sideBMm)
      const tape = { step: TAPE_MM, spread: plan.readingUncertaintyMm / 2 }
      return { ...plan, diagonalAMm: hand.measure(a, tape), diagonalBMm: hand.measure(b, tape) }
    }
    const [first, turned] = squareRiseUm(causes, plan.edgeMm, SQUARE_OWN_UM)
    const gauge = indicator(plan.gaugeStepUm)
    return {
      ...plan,
      tipLifted: hand.tipLifted(),
      firstUm: hand.read(first, gauge),
      turnedUm: hand.read(turned, gauge),
    }
  },
  circle: (axis, plan, hand) => {
    const calipers = { step: CALIPERS_UM / 1000, spread: CALIPERS_UM / 2000 }
    const across = cutCircle(axis, plan.sideMm, SLOW_MM_PER_MIN)
    const stations = around(plan.stations, 'diameterMm', ({ angleDeg }) =>
      hand.measure(across(angleDeg), calipers),
    )
    const [a, b] = diagonalsMm(axis.causes, plan.sideMm, plan.sideMm)
    const pins = { step: CALIPERS_UM / 1000, spread: plan.diagonalReadToUm / 2000 }
    return {
      ...plan,
      gaugeStepUm: CALIPERS_UM,
      stations,
      diagonalAMm: hand.measure(a, pins),
      diagonalBMm: hand.measure(b, pins),
    }
  },
}
const FEELERS: Gauge = { step: 50, spread: 20 }
/** A machinist's level, 20 um a metre. */
const LEVEL: Gauge = { step: 20, spread: 8 }
/** A reversal test has five from each side. */
const READINGS_A_SIDE = 5

/**
 * Fills a table of readings from a simulated axis.
 *
 * @param sheet whose table it is
 * @param plan the round or test as it is set up, with the places where it is read
 * @param hand that reads it
 * @returns the same, filled; the axis stands where the last move left it
 */
export const read = <R extends Read>(axis: SimulatedAxis, sheet: R, plan: Plans[R], hand: Hand): Plans[R] =>
  READERS[sheet](axis, plan, hand)
