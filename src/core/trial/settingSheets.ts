import { degrees, GRAVITY_M_PER_S2, radians } from '../calculation/constants'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { faceTilt } from '../sheets/flange/calculation'
import { flangeRounds, sweptOf } from '../sheets/flange/rounds'
import { droopUm, overhangRounds } from '../sheets/overhang/rounds'
import { preloadRounds } from '../sheets/preload/rounds'
import { railOrder } from '../sheets/rails/check'
import { heightsOf, railRounds } from '../sheets/rails/rounds'
import { runOutRounds } from '../sheets/runOut/rounds'
import { BELT_DEG, beltRounds, couplerRead, couplerRounds, pulleyLine } from '../sheets/shafts/rounds'
import { lastRound } from '../sheets/shared/rounds/rounds'
import { locknut } from '../sheets/shared/steps/preload'
import { squareOf, squareRounds } from '../sheets/square/rounds'
import { frictionRead, waysRounds } from '../sheets/waysFriction/rounds'
import { SimulatedAxis } from '../simulate/axis/axis'
import type { Causes } from '../simulate/axis/figures'
import { railUm } from '../simulate/axis/setting'
import { roundsOf, type Sheet } from './sheetTried'

// The sheets of Align for what stands around the drive, as a builder goes through them.

/** How well a hand sets what is ordered: a shim, a motor that is pushed on its plate, a rail that is tapped, a screw turned. */
const SHIMMED_UM = 4
const PUSHED_UM = 20
const TAPPED_UM = 5
const TURNED_UM = 20
const TURNED_SHARE = 0.08

/** A length with a direction, less another one. */
const less = (size: number, atDeg: number, bySize: number, byDeg: number): [size: number, atDeg: number] => {
  const [x, y] = (['cos', 'sin'] as const).map(
    of => size * Math[of](radians(atDeg)) - bySize * Math[of](radians(byDeg)),
  ) as [number, number]
  return [Math.hypot(x, y), degrees(Math.atan2(y, x))]
}

const BOLTS_MM = 36
const SQUARE_ENOUGH_UM = 20
export const FLANGE: Sheet<'flange'> = {
  read: 'flange',
  checks: ['align.flange'],
  about: ['face-off-square'],
  ...roundsOf(flangeRounds, { boltCircleMm: BOLTS_MM, acceptedUm: SQUARE_ENOUGH_UM }),
  readings: 7,
  orders: (t, _fails, hand) => {
    const round = lastRound(flangeRounds, t.axis)
    if (!round) return null
    const { radiusMm, boltCircleMm } = round
    const { shimUm, proudAtDeg } = faceTilt({ readings: sweptOf(round), radiusMm, boltCircleMm })
    return {
      names: ['face-off-square'],
      done: causes => {
        const { tiltUmPerMm = 0, atDeg = 0, warpUm = 0 } = causes.face ?? {}
        const shimmed = (shimUm + SHIMMED_UM * hand()) / boltCircleMm
        const [tilt, at] = less(tiltUmPerMm, atDeg, shimmed, proudAtDeg)
        return { ...causes, face: { tiltUmPerMm: tilt, atDeg: at, warpUm } }
      },
    }
  },
  truth: (_, { face }) => [(face?.tiltUmPerMm ?? 0) * BOLTS_MM, SQUARE_ENOUGH_UM],
}

export const RUN_OUT: Sheet<'runOut'> = {
  read: 'runOut',
  checks: ['align.runOut'],
  about: ['journal-off'],
  ...roundsOf(runOutRounds),
  readings: 3,
  orders: () => ({ names: ['journal-off', 'bent-screw'], done: ({ journal: _, ...causes }) => causes }),
  truth: (_, { journal }, { goals, parts }, catalogue) => {
    if (journal?.at !== 'drive') return [journal?.um ?? 0, goals.alignmentTargetUm]
    const limitMm = catalogue.coupler.get(parts.coupler ?? '')?.parallelLimitMm
    return [limitMm === undefined ? 0 : journal.um / (1000 * limitMm), 1]
  },
}

const isBelted = ({ drive }: { drive: { transmission: string } }) => drive.transmission === 'belt'
export const COUPLER: Sheet<'coupler'> = {
  read: 'coupler',
  checks: ['align.coupler'],
  about: ['motor-off-line'],
  fits: ({ axis }) => !isBelted(axis),
  ...roundsOf(couplerRounds),
  readings: 14,
  orders: (t, _fails, hand) => {
    const found = couplerRead(t)
    if (!found) return null
    const { parallelMm, parallelTowardsDeg, angularDeg, openAtDeg } = found
    return {
      names: ['motor-off-line'],
      done: causes => {
        const { besideUm = 0, towardsDeg = 0, mrad = 0, openAtDeg: open = 0 } = causes.motor ?? {}
        const pushedUm = 1000 * parallelMm + PUSHED_UM * hand()
        const [beside, towards] = less(besideUm, towardsDeg, pushedUm, parallelTowardsDeg)
        const shimmed = 1000 * radians(angularDeg) + 0.2 * hand()
        const [angle, at] = less(mrad, open, shimmed, openAtDeg)
        return {
          ...causes,
          motor: { besideUm: beside, towardsDeg: towards, mrad: angle, openAtDeg: at },
        }
      },
    }
  },
  truth: (_, { motor }, { parts }, catalogue) => {
    const part = catalogue.coupler.get(parts.coupler ?? '')
    if (!part || !motor) return [0, 1]
    const angularDeg = degrees(Math.atan(motor.mrad / 1000))
    return [motor.besideUm / 1000 / part.parallelLimitMm + angularDeg / part.angularLimitDeg, 1]
  },
}

export const BELT: Sheet<'belt'> = {
  read: 'belt',
  checks: ['align.belt'],
  about: ['motor-off-line'],
  fits: ({ axis }) => isBelted(axis),
  ...roundsOf(beltRounds, { gaugeStepUm: 50 }),
  readings: 3,
  orders: (t, _fails, hand) => {
    const round = lastRound(beltRounds, t.axis)
    const line = round && pulleyLine(round)
    if (!line) return null
    return {
      names: ['motor-off-line'],
      done: causes => ({
        ...causes,
        pulleys: {
          besideUm: (causes.pulleys?.besideUm ?? 0) - line.besideUm + 2 * PUSHED_UM * hand(),
          tiltUmPerMm: (causes.pulleys?.tiltUmPerMm ?? 0) - line.tiltUmPerMm + hand(),
        },
      }),
    }
  },
  truth: (_, { pulleys }, { driveSizes }) =>
    pulleys
      ? [
          degrees(Math.atan(Math.abs(pulleys.besideUm) / 1000 / driveSizes.beltCentresMm)) +
            degrees(Math.atan(Math.abs(pulleys.tiltUmPerMm) / 1000)),
          BELT_DEG,
        ]
      : [0, BELT_DEG],
}

const STRAIGHT_ENOUGH_UM = 20
/** How wide a rail is that runs beside another: from least to most. */
function railWidthUm(causes: Causes, travelMm: number): number {
  const read = Array.from({ length: 41 }, (_, index) => railUm(causes, (travelMm * index) / 40, travelMm))
  return Math.max(...read) - Math.min(...read)
}
export const RAILS: Sheet<'rails'> = {
  read: 'rails',
  checks: ['align.rails'],
  about: ['rail-not-straight'],
  ...roundsOf(railRounds, { how: 'second', acceptedUm: STRAIGHT_ENOUGH_UM }),
  readings: 7,
  orders: (t, _fails, hand) => {
    const round = lastRound(railRounds, t.axis)
    if (!round) return null
    const heights = heightsOf(round)
    const { worst, isOne, bow, slopeUmPerM, leansMostly } = railOrder(heights)
    return {
      names: ['rail-not-straight'],
      done: causes => {
        const { leanUmPerM = 0, proud = [] } = causes.rail ?? {}
        return {
          ...causes,
          rail: leansMostly
            ? {
                ...causes.rail,
                leanUmPerM:
                  leanUmPerM - slopeUmPerM + (TAPPED_UM * hand() * 1000) / t.axis.goals.wantedTravelMm,
              }
            : !isOne
              ? {
                  ...causes.rail,
                  set: [
                    ...(causes.rail?.set ?? []),
                    bow.map(({ positionMm, offUm }) => ({
                      atMm: positionMm,
                      um: -offUm + TAPPED_UM * hand(),
                    })),
                  ],
                }
              : {
                  ...causes.rail,
                  proud: [...proud, { atMm: worst.positionMm, um: -worst.offUm + TAPPED_UM * hand() }],
                },
        }
      },
    }
  },
  truth: ({ travelMm }, causes) => [railWidthUm(causes, travelMm), STRAIGHT_ENOUGH_UM],
}

/** A turn within so much of the right one is as good as a hand turns a spanner. */
const TURN_OFF = 0.4
const TURNED_WELL = 0.3
/** So much is seen to go. */
const GOES_UM = 6
export const PRELOAD: Sheet<'preload'> = {
  read: 'preload',
  checks: ['align.preload'],
  about: ['preload-low', 'preload-high', 'fixed-bearing-play', 'block-loose'],
  put: (axis, ...filled) => PRELOAD_ROUNDS.put(axis, ...filled),
  // From the second round on it was turned by what the sheet asks for.
  plan: (axis, trial) => ({
    ...PRELOAD_ROUNDS.plan(axis, trial),
    turnedDeg:
      axis.preloadRounds.length === 0
        ? null
        : Math.round(locknut(evaluateAxis(axis, trial.catalogue, trial.job.units)).turnDeg),
  }),
  readings: 3,
  ordersWhen: ['fails', 'close', 'unknown'],
  orders: (t, fails, hand) => {
    const wasTurned = lastRound(preloadRounds, t.axis)?.turnedDeg !== null
    if (wasTurned && !fails('align.preload')) return null
    const names = ['preload-low', 'preload-high', 'fixed-bearing-play', 'block-loose'] as const
    return {
      names,
      done: causes =>
        // With the tip on the block it shows whether that goes.
        (causes.playUm?.block ?? 0) > GOES_UM && fails('align.preload')
          ? { ...causes, playUm: { ...causes.playUm, block: 0 } }
          : {
              ...causes,
              locknutTurn: 1 + TURNED_SHARE * hand(),
              playUm: { ...causes.playUm, bearing: 0 },
            },
    }
  },
  // What a hand turns it off by is as good as none.
  truth: (_, { locknutTurn = 1, playUm }) => {
    const off = Math.abs(locknutTurn - 1)
    const isLoose = Math.max(playUm?.bearing ?? 0, playUm?.block ?? 0) > GOES_UM
    return [isLoose ? 1 : off > TURNED_WELL ? off : 0, TURN_OFF]
  },
}
const PRELOAD_ROUNDS = roundsOf(preloadRounds, { set: 'loose', scaleStepN: 0.1 })

const LEVEL_DEG = 10
const KNOWN_TO = 0.25
export const WAYS: Sheet<'waysFriction'> = {
  read: 'waysFriction',
  checks: ['align.waysFriction'],
  about: [],
  fits: ({ figures }) => Math.abs(figures.inclineDeg) < LEVEL_DEG,
  ...roundsOf(waysRounds, { scaleStepN: 1 }),
  readings: 4,
  ordersWhen: ['close'],
  orders: t => {
    const found = frictionRead(t)
    if (!found) return null
    const { dragN, frictionCoefficient } = found
    const measured = (value: number) => ({ value, provenance: 'measured' as const })
    return {
      names: [],
      noted: axis => ({
        ...axis,
        dimensions: {
          ...axis.dimensions,
          dragN: measured(dragN),
          frictionCoefficient: measured(frictionCoefficient),
        },
      }),
    }
  },
  truth: (figures, causes, { dimensions }) => {
    const truly = new SimulatedAxis(figures, causes).pullN(0)
    const { dragN, frictionCoefficient, movingMassKg } = dimensions
    const reckoned =
      (dragN.value ?? 0) + (frictionCoefficient.value ?? 0) * GRAVITY_M_PER_S2 * (movingMassKg.value ?? 0)
    return [Math.abs(reckoned - truly) / Math.max(truly, 1), KNOWN_TO]
  },
}

const SQUARE_UM_PER_M = 200
export const SQUARE: Sheet<'square'> = {
  read: 'square',
  // Over the edge of a workshop square.
  slipUm: 75,
  checks: ['align.square'],
  about: ['axes-not-square'],
  ...roundsOf(squareRounds, { acceptedUmPerM: SQUARE_UM_PER_M, readingUncertaintyMm: 0.05 }),
  readings: 2,
  orders: (t, _fails, hand) => {
    const round = lastRound(squareRounds, t.axis)
    const found = round && squareOf(t, round)
    if (!found) return null
    const spacingMm = t.axis.driveSizes.screwSpacingMm
    return {
      names: ['axes-not-square'],
      done: causes => ({
        ...causes,
        squareUmPerM:
          (causes.squareUmPerM ?? 0) - ((1000 * found.shiftMm + TURNED_UM * hand()) / spacingMm) * 1000,
      }),
    }
  },
  truth: (_, { squareUmPerM = 0 }) => [Math.abs(squareUmPerM), SQUARE_UM_PER_M],
}

const PROPPED = 0.1
export const DROOP: Sheet<'overhang'> = {
  read: 'overhang',
  checks: ['align.droop'],
  about: ['bracket-droops'],
  fits: ({ axis }) => axis.drive.screws !== 2,
  ...roundsOf(overhangRounds),
  readings: 2,
  orders: (t, _fails, hand) => {
    const round = lastRound(overhangRounds, t.axis)
    const um = round && droopUm(round)
    if (um === null || um === undefined) return null
    return {
      names: ['bracket-droops'],
      // Propped, it gives a tenth of that, or less where the prop is set well.
      done: causes => ({
        ...causes,
        droopUm: Math.abs(PROPPED * (1 + 0.3 * hand()) * (causes.droopUm ?? 0)),
      }),
    }
  },
  truth: (_, { droopUm: um = 0 }, { goals }) => [Math.abs(um), goals.alignmentTargetUm],
}
