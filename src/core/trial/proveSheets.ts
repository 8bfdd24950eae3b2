import { circleRounds } from '../sheets/circle/rounds'
import { unevenTargets } from '../sheets/fullTest/calculation'
import { newFullTest } from '../sheets/fullTest/edits'
import { returnRounds, stepsLost } from '../sheets/lostSteps/rounds'
import { waveRounds } from '../sheets/oneTurn/rounds'
import { pushRounds } from '../sheets/pushPull/rounds'
import { newReversalTest } from '../sheets/reversal/edits'
import { measuredScale, scaleRounds } from '../sheets/scale/rounds'
import { newRound } from '../sheets/shared/rounds/rounds'
import { lostRounds, lostShares, reckonedShares, SHARES, type Share } from '../sheets/whereLost/rounds'
import { zeroRounds } from '../sheets/zeroTime/rounds'
import { growthOf } from '../simulate/axis/axis'
import { type Causes, LINKS, type Link } from '../simulate/axis/figures'
import { GAUGE_STEP_UM, ids, roundsOf, type Sheet, without } from './sheetTried'
import { type Fault, TRIAL_DAY } from './trial'
import { lossesUm } from './truth'

// The sheets of Prove, as a builder goes through them.

/** What is loose between the motor and the slide, pushed and pulled. */
const looseTruth: Sheet<'whereLost'>['truth'] = ({ links }, { playUm = {} }, { goals }) => [
  LINKS.reduce((sum, link) => sum + links[link].playUm + (playUm[link] ?? 0), 0),
  goals.backlashTargetUm,
]
const reversalTruth: Sheet<'reversal'>['truth'] = (figures, causes, { goals }) => [
  lossesUm(figures, causes),
  goals.backlashTargetUm,
]

const LOOSE: Readonly<Record<Share, readonly [Fault[], Link[]]>> = {
  motor: [[], ['motor']],
  coupler: [['coupler-play', 'coupler-slip'], ['coupler']],
  bearing: [
    ['fixed-bearing-play', 'block-loose'],
    ['bearing', 'block'],
  ],
  nut: [['nut-play'], ['nut']],
  bracket: [['nut-bracket-loose'], ['bracket']],
}
const tightened = (causes: Causes, links: readonly Link[]): Causes => ({
  ...causes,
  playUm: Object.fromEntries(
    Object.entries(causes.playUm ?? {}).filter(([link]) => !links.includes(link as Link)),
  ),
})

export const LOST: Sheet<'whereLost'> = {
  read: 'whereLost',
  checks: ['prove.whereLost'],
  about: ['nut-play', 'fixed-bearing-play', 'coupler-play', 'nut-bracket-loose', 'block-loose'],
  ...roundsOf(lostRounds),
  readings: 15,
  orders: t => {
    const found = lostShares(t, GAUGE_STEP_UM)
    const round = t.axis.lostRounds.at(-1)
    if (!found || !round) return null
    const reckoned = reckonedShares(t, round.forceN)
    const [most] = SHARES.map(share => [share, found.shares[share].um - reckoned[share]] as const).toSorted(
      (a, b) => b[1] - a[1],
    )
    if (!most) return null
    const [names, links] = LOOSE[most[0]]
    return { names, done: causes => tightened(causes, links) }
  },
  truth: looseTruth,
}

export const PUSH: Sheet<'pushPull'> = {
  read: 'pushPull',
  checks: ['prove.pushPull'],
  about: LOST.about,
  ...roundsOf(pushRounds),
  readings: 6,
  // It sends on to the five places.
  orders: () => null,
  truth: looseTruth,
}

export const REVERSAL: Sheet<'reversal'> = {
  read: 'reversal',
  checks: ['prove.reversal'],
  about: [...LOST.about, 'compensation-wrong'],
  plan: (axis, { figures }) =>
    newReversalTest(
      axis,
      [figures.travelMm / 4, (3 * figures.travelMm) / 4].map(Math.round),
      { label: 'Trial', startedAt: TRIAL_DAY, gaugeStepUm: GAUGE_STEP_UM },
      ids(axis.tests.length),
    ),
  put: (axis, ...filled) => ({ ...axis, tests: [...axis.tests, ...filled] }),
  readings: 20,
  orders: () => null,
  truth: reversalTruth,
}

const TARGETS = 7
const FROM_END_MM = 5
export const FULL: Sheet<'fullTest'> = {
  read: 'fullTest',
  checks: ['prove.fullReversal'],
  about: [...LOST.about, 'compensation-wrong'],
  plan: (axis, { figures }) =>
    newFullTest(
      axis.fullTests.at(-1),
      unevenTargets(FROM_END_MM, figures.travelMm - FROM_END_MM, TARGETS, figures.leadMm),
      { label: 'Trial', startedAt: TRIAL_DAY, gaugeStepUm: GAUGE_STEP_UM },
      ids(axis.fullTests.length),
    ),
  put: (axis, ...filled) => ({ ...axis, fullTests: [...axis.fullTests, ...filled] }),
  readings: 70,
  orders: () => null,
  truth: reversalTruth,
}

/** A cycle of fewer marks of the gauge than this is not told. */
const TELLS_STEPS = 8
export const STEPS: Sheet<'lostSteps'> = {
  read: 'lostSteps',
  checks: ['prove.steps'],
  about: ['lost-steps', 'coupler-slip'],
  ...roundsOf(returnRounds),
  readings: 6,
  orders: t => {
    const found = stepsLost(t, GAUGE_STEP_UM)
    if (!found) return null
    return found.verdict === 'steps'
      ? { names: ['lost-steps'], done: causes => without(causes, 'lost') }
      : { names: ['coupler-slip'], done: causes => without(causes, 'slip') }
  },
  truth: ({ leadMm, fullStepsPerRev, ratio }, { lost, slip }) => {
    const cycleUm = fullStepsPerRev ? (4 * leadMm * 1000) / (fullStepsPerRev * ratio) : 0
    // A cycle that is no more than some marks of the gauge is told from nothing.
    const tells = cycleUm >= TELLS_STEPS * GAUGE_STEP_UM
    return [(tells ? (lost?.cycles ?? 0) * cycleUm : 0) + (slip?.um ?? 0), 5]
  },
}

export const SCALE: Sheet<'scale'> = {
  read: 'scale',
  checks: ['prove.scale'],
  about: ['scale-wrong'],
  ...roundsOf(scaleRounds, { gaugeStepUm: 10 }),
  readings: 5,
  orders: (t, _fails, _hand) => {
    const found = measuredScale(t, 10)
    if (!found) return null
    const times = 1 / (1 + found.scaleErrorUmPerM / 1e6)
    return {
      names: ['scale-wrong'],
      done: causes => ({ ...causes, scaleOff: (1 + (causes.scaleOff ?? 0)) * times - 1 }),
    }
  },
  truth: ({ travelMm }, { scaleOff = 0, leadErrorUmPerM = 0 }, { goals }) => [
    Math.abs(scaleOff * travelMm * 1000 + (leadErrorUmPerM * travelMm) / 1000),
    goals.accuracyTargetUm,
  ],
}

/** A wave of this much of the accuracy that is asked for is too much. */
const OF_ACCURACY = 1 / 2
export const TURN: Sheet<'oneTurn'> = {
  read: 'oneTurn',
  checks: ['prove.oncePerTurn'],
  about: [],
  plan: (axis, trial) => ({
    ...newRound(
      waveRounds,
      axis,
      { ...trial.job.shop, gaugeStepUm: GAUGE_STEP_UM },
      ids(axis.waveRounds.length),
      TRIAL_DAY,
      trial.catalogue,
    ),
  }),
  put: roundsOf(waveRounds).put,
  readings: 10,
  orders: () => null,
  truth: (_, { wave }, { goals }) => [2 * (wave?.um ?? 0), OF_ACCURACY * goals.accuracyTargetUm],
}

/** An axis that loses steps in every move is anywhere. */
const UNKNOWN_WHERE_UM = 1e4
/** Half of the speed is half of the warmth. */
const HALF_SPEED = 0.5
export const ZERO: Sheet<'zeroTime'> = {
  read: 'zeroTime',
  checks: ['prove.zeroTime'],
  about: ['warm-growth', 'lost-steps'],
  ...roundsOf(zeroRounds),
  readings: 32,
  // It says how long to run warm, or sends on to Lost steps.
  orders: () => null,
  truth: (figures, { heat, lost }, { goals }) => {
    const farMm = figures.nutAtZeroMm + figures.travelMm
    const grownUm = HALF_SPEED * (heat?.riseK ?? 0) * growthOf(figures) * farMm * 1000
    const loses = lost && lost.aboveMmPerMin < HALF_SPEED * figures.topSpeedMmPerMin
    return [loses ? UNKNOWN_WHERE_UM : grownUm, goals.accuracyTargetUm]
  },
}

const SQUARE_UM_PER_M = 200
/** A circle that a shop cuts on a plate. */
const LARGEST_CIRCLE_MM = 150
const OF_TRAVEL = 0.6
export const CIRCLE: Sheet<'circle'> = {
  read: 'circle',
  checks: ['prove.circleSquare', 'prove.cutSquare'],
  about: ['axes-not-square'],
  ...roundsOf(circleRounds),
  plan: (axis, trial) => ({
    ...roundsOf(circleRounds).plan(axis, trial),
    acceptedUmPerM: SQUARE_UM_PER_M,
    // Over pins, as the sheet asks where calipers cannot tell.
    diagonalReadToUm: 10,
    sideMm: Math.round(Math.min(LARGEST_CIRCLE_MM, OF_TRAVEL * trial.figures.travelMm)),
  }),
  readings: 8,
  // It sends on to the square, and to the long move.
  orders: () => null,
  truth: (_, { squareUmPerM = 0 }) => [Math.abs(squareUmPerM), SQUARE_UM_PER_M],
}
