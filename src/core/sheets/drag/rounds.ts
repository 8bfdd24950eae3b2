import { GRAVITY_M_PER_S2, radians, roundAreaMm2, STEEL_DENSITY_KG_PER_M3 } from '../../calculation/constants'
import type { Axis } from '../../document/axis'
import { CLUTCH_PULLS } from '../../document/shop'
import { attempt } from '../../evaluation/attempt'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { weightAlongN } from '../../machine/drive/load'
import { dragNm } from '../../machine/drive/torque'
import { reachOf } from '../shared/rounds/dragShares'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { axisOfScrew } from '../shared/rounds/screws'
import { SUPPORT_STIFFNESS_N_PER_UM } from '../shared/rounds/sideLoad'
import {
  type DragRead,
  type DragReading,
  HALVES,
  type TurnReading,
  tightSpots,
} from '../shared/rounds/tightSpots'
import { clutchTorque, dragAlongTravel } from './calculation'
import { DRAG_ROUNDS, type DragRound, TURN_ROUNDS, type TurnRound } from './model'

type ReadWith = Pick<DragRound, 'by' | 'leverMm' | 'step'>
type Shop = EvaluationContext['shop']

/** The calibration of the drill's clutch as far as it goes; null below two settings. */
export function calibrationOf({ clutchPulls, clutchLeverMm }: Shop) {
  const calibration = clutchPulls.flatMap(({ setting, pullN }) =>
    pullN === null ? [] : [{ setting, pullN }],
  )
  const settings = new Set(calibration.map(({ setting }) => setting))
  return settings.size < 2 ? null : { calibration, leverMm: clutchLeverMm }
}

/**
 * What a reading is as a torque, and a step of it.
 *
 * @throws NotKnown where a clutch was read that is not calibrated
 */
export function torqueOf({ by, leverMm }: ReadWith, shop: Shop): (reading: number) => number {
  if (by === 'torque') return reading => reading
  if (by === 'scale') return reading => (reading * leverMm) / 1000
  const calibrated = calibrationOf(shop)
  if (!calibrated)
    throw new NotKnown({
      sheet: 'drag',
      stage: 'align',
      what: `the ${CLUTCH_PULLS.label.toLowerCase()}s of the drill's clutch, at two settings or more`,
    })
  return setting => Math.max(0, clutchTorque({ ...calibrated, setting }).torqueNm)
}

/** A step of what is read with, as a torque. */
export const stepNmOf = (round: ReadWith, shop: Shop): number => {
  const toNm = torqueOf(round, shop)
  return round.by === 'clutch' ? toNm(2) - toNm(1) : toNm(round.step ?? 0)
}

export function readingsOf(round: DragRound, shop: Shop): DragReading[] {
  const toNm = torqueOf(round, shop)
  return round.stations.flatMap(({ positionMm, away, towards }) => [
    ...(away === null ? [] : [{ positionMm, direction: 1 as const, torqueNm: toNm(away) }]),
    ...(towards === null ? [] : [{ positionMm, direction: -1 as const, torqueNm: toNm(towards) }]),
  ])
}

function turnReadings(round: TurnRound | undefined, shop: Shop): TurnReading[] | undefined {
  if (!round) return undefined
  const toNm = torqueOf(round, shop)
  const read = round.stations.flatMap(({ angleDeg, drag }) =>
    drag === null ? [] : [{ angleDeg, torqueNm: toNm(drag) }],
  )
  return read.length < 4 ? undefined : read
}

const meanOf = (readings: readonly DragReading[]): number | null =>
  readings.length === 0 ? null : readings.reduce((sum, { torqueNm }) => sum + torqueNm, 0) / readings.length

const lastOf = <T>(rounds: readonly T[], is: (round: T) => boolean) => rounds.filter(is).at(-1)

/** The last round along the travel with nothing taken apart. */
export const wholeRound = ({ dragRounds }: Pick<Axis, 'dragRounds'>) =>
  lastOf(dragRounds, ({ half }) => half === 'whole')

/** What was read with the gib slacked after a round was read whole: before it, it says nothing of it. */
function gibSlackAfter(
  rounds: readonly DragRound[],
  whole: DragRound,
  shop: Shop,
): DragReading[] | undefined {
  const after = rounds.slice(rounds.indexOf(whole) + 1)
  const of = lastOf(after, ({ half }) => half === 'gib-slack' || half === 'nut-off')
  return of && readingsOf(of, shop)
}

/** Play at the ends that is no tighter than in the middle, by so much of it. */
const NO_TIGHTER = 0.6
/** Whether a gib cannot be what is tight at an end: it has play there, or the table runs on rails. */
function isGibClear({ axis }: EvaluationContext): boolean {
  const plays = (axis.gibRounds.at(-1)?.stations ?? [])
    .toSorted((a, b) => a.positionMm - b.positionMm)
    .flatMap(({ playUm }) => playUm ?? [])
  if (plays.length < FEWEST_PLAYS) return axis.railRounds.length > 0
  const [first, last] = [plays[0] as number, plays.at(-1) as number]
  const middle = plays[Math.floor(plays.length / 2)] as number
  return Math.min(first, last) >= NO_TIGHTER * middle
}
const FEWEST_PLAYS = 3

/** Everything that was read of the drag of an axis, as torques; null before anything was. @throws NotKnown without a screw, or a calibration */
export const dragRead = remembered((t: EvaluationContext): DragRead | null => {
  const { shop } = t
  // Of two screws, the one that was read last.
  const axis = axisOfScrew(
    { dragRounds: t.axis.dragRounds, turnRounds: t.axis.turnRounds },
    lastRound(dragRounds, t.axis)?.screw ?? 'first',
  )
  const round = wholeRound(axis)
  if (!round) return null
  const halves = HALVES.flatMap(half => {
    const of = lastOf(axis.dragRounds, one => one.half === half)
    const mean = of ? meanOf(readingsOf(of, shop)) : null
    return mean === null ? [] : [[half, mean] as const]
  })
  return {
    along: readingsOf(round, shop),
    spanMm: t.dimension('supportSpanMm'),
    isFarFree: t.axis.ends === 'fixed-free',
    reachMm: reachOf(t.part('screw').rootDiameterMm, SUPPORT_STIFFNESS_N_PER_UM),
    turn: turnReadings(
      lastOf(axis.turnRounds, ({ coupled }) => coupled === 'on'),
      shop,
    ),
    turnUncoupled: turnReadings(
      lastOf(axis.turnRounds, ({ coupled }) => coupled === 'off'),
      shop,
    ),
    halves: Object.fromEntries(halves),
    gibSlackAlong: gibSlackAfter(axis.dragRounds, round, shop),
    isGibClear: isGibClear(t),
    expectedNm: attempt(() => expectedNm(t)).value ?? null,
    weightNm: attempt(() => weightNm(t)).value,
    hangsNmMm: hangsNmMm(t),
    stepNm: stepNmOf(round, shop),
  }
})

/** Balls roll at about this friction, on about half of the screw's diameter. */
const BALL_FRICTION = 0.01
/** Moment of its own weight over a screw: held at both ends like a beam on three supports, at one like a bracket. */
const OF_THREE = 1 / 8
const OF_BRACKET = 1 / 2
/** What the nut takes for holding up the screw beside a block, times its distance from there. */
function hangsNmMm(t: EvaluationContext): number {
  const { rootDiameterMm } = t.part('screw')
  const spanMm = t.dimension('supportSpanMm')
  const kg = roundAreaMm2(rootDiameterMm) * spanMm * 1e-9 * STEEL_DENSITY_KG_PER_M3
  const acrossN = kg * GRAVITY_M_PER_S2 * Math.cos(radians(t.dimension('inclineDeg')))
  const momentNmm = acrossN * spanMm * (t.axis.ends === 'fixed-free' ? OF_BRACKET : OF_THREE)
  return (momentNmm * BALL_FRICTION * rootDiameterMm) / 2 / 1000
}

/** What a weight along the axis adds to what it takes to turn, going up, and takes off going down; none on a level axis. */
const weightNm = (t: EvaluationContext): DragRead['weightNm'] => {
  if (t.dimension('inclineDeg') === 0) return undefined
  const nm = (weightAlongN(t) * t.part('screw').leadMm) / 1000 / (2 * Math.PI) / HAND_EFFICIENCY
  const { higherEnd } = t.axis
  return higherEnd === null ? { eitherWayNm: nm } : higherEnd === 'far' ? nm : -nm
}
/** Of a ball screw that is turned by hand. */
const HAND_EFFICIENCY = 0.9

/** What a sound axis takes to turn by hand: preload, bearings, ways. */
const expectedNm = (t: EvaluationContext): number => {
  const { leadMm } = t.part('screw')
  const waysN =
    t.dimension('dragN') + t.dimension('frictionCoefficient') * 9.80665 * t.dimension('movingMassKg')
  return dragNm(t) + (waysN * leadMm) / 1000 / (2 * Math.PI) / HAND_EFFICIENCY
}

/** The map of what binds; null where the readings cannot tell. */
export const dragMap = remembered((t: EvaluationContext) => {
  const read = dragRead(t)
  if (!read || read.along.length < 5) return null
  const map = tightSpots(read)
  if (map)
    t.figure('dragAlongTravel', dragAlongTravel, {
      readings: [...read.along],
      spanMm: read.spanMm,
      rootDiameterMm: t.part('screw').rootDiameterMm,
      supportStiffnessNPerUm: SUPPORT_STIFFNESS_N_PER_UM,
    })
  return map && { read, map }
})

const FIRST_PLACES = 6

export const dragRounds = defineRounds<DragRound>({
  about: 'Drag along the travel',
  of: DRAG_ROUNDS,
  pick: axis => axis.dragRounds,
  only: dragRounds => ({ dragRounds }),
  columns: [
    { key: 'away', step: () => null, at: 'positionMm', beside: ['towards'] },
    { key: 'towards', step: () => null, at: 'positionMm', beside: ['away'] },
  ],
  begin: axis => {
    const spanMm = axis.dimensions.supportSpanMm.value ?? 500
    const near = Math.min(50, spanMm / 8)
    return {
      stations: Array.from({ length: FIRST_PLACES }, (_, index) => ({
        positionMm: Math.round(near + ((spanMm - 2 * near) * index) / (FIRST_PLACES - 1)),
        away: null,
        towards: null,
      })),
    }
  },
  worst: (context, round) => {
    const value = attempt(() =>
      Math.max(...readingsOf(round, context.shop).map(({ torqueNm }) => torqueNm)),
    ).value
    return value === undefined || !Number.isFinite(value) ? null : { value, quantity: 'torque' }
  },
  worstWords: 'tightest',
})

export const turnRounds = defineRounds<TurnRound>({
  about: 'Drag over one turn',
  of: TURN_ROUNDS,
  pick: axis => axis.turnRounds,
  only: turnRounds => ({ turnRounds }),
  begin: axis => ({
    nutAtMm: Math.round((axis.dimensions.supportSpanMm.value ?? 500) / 2),
    stations: Array.from({ length: 8 }, (_, index) => ({ angleDeg: 45 * index, drag: null })),
  }),
  worst: (context, round) => {
    const torques = attempt(() => turnReadings(round, context.shop)).value?.map(({ torqueNm }) => torqueNm)
    return torques ? { value: Math.max(...torques) - Math.min(...torques), quantity: 'torque' } : null
  },
  worstWords: 'goes up and down by',
})

export { turnReadings }
