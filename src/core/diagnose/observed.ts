import type { Axis } from '../document/axis'
import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import type { Finding } from '../evaluation/finding'
import type { SheetId } from '../evaluation/ids'
import { isBelted } from '../machine/drive/transmission'
import { dragMap, wholeRound } from '../sheets/drag/rounds'
import type { CheckName } from '../sheets/findFault/words'
import { gibRounds, playsOf } from '../sheets/gib/rounds'
import { returnRounds, stepsLost } from '../sheets/lostSteps/rounds'
import { waveRounds } from '../sheets/oneTurn/rounds'
import { pushedPlay, pushRounds } from '../sheets/pushPull/rounds'
import { measuredScale, scaleRounds } from '../sheets/scale/rounds'
import { PART_SHARE } from '../sheets/shared/proofs/partShare'
import { expanded } from '../sheets/shared/rounds/roundFinding'
import { lastRound } from '../sheets/shared/rounds/rounds'
import { squareRounds } from '../sheets/square/rounds'
import { lostRounds, lostShares, reckonedShares, type Share } from '../sheets/whereLost/rounds'
import { lastDrift, zeroRounds } from '../sheets/zeroTime/rounds'

// What readings that are there already say to the checks by which a fault is found. What they cannot tell is left out.

/** An outcome that comes of readings, with where they stand. */
export interface Observed {
  check: CheckName
  outcome: string
  /** The sheet that it was read on. */
  from: SheetId | 'drive'
}

/** The gib holds, or the nut is light, where so much of the drag falls off or is left. */
const FALLS_SHARE = 0.2
const LIGHT_SHARE = 0.5
/** A spread about the scale beyond this share of what it is off by is no scale. */
const SCATTERED_SHARE = 1 / 3
/** A play so many times what is wanted is a slack gib. */
const SLACK = 1.5
const PROVED = 2

/** Whether something surely moves, surely does not, or cannot be told. */
function moved(um: number, uncertainUm: number, targetUm: number): 'moves' | 'still' | null {
  const countsUm = PART_SHARE * targetUm
  if (um - uncertainUm > countsUm) return 'moves'
  return um + uncertainUm <= countsUm ? 'still' : null
}

const byState = (finding: Finding | null, holds: string, fails: string): string | null =>
  finding?.state === 'holds' ? holds : finding?.state === 'fails' ? fails : null

type Found = [check: CheckName, outcome: string | null][]

function fromReversal(t: EvaluationContext): Found {
  return [['reversal', byState(t.finding('prove.reversal'), 'small', 'large')]]
}

const CHECK_OF_SHARE: Partial<Record<Share, [CheckName, moves: string, still: string]>> = {
  bearing: ['screw-end', 'moves', 'still'],
  nut: ['nut-screw', 'moves', 'still'],
  bracket: ['nut-flange', 'moves', 'still'],
  coupler: ['hub-rock', 'motor-first', 'together'],
}

function fromShares(t: EvaluationContext): Found {
  const round = lastRound(lostRounds, t.axis)
  const found = round?.gaugeStepUm == null ? null : lostShares(t, round.gaugeStepUm)
  if (!found || t.finding('prove.whereLost')?.figure === null) return []
  const reckoned = attempt(() => reckonedShares(t, found.round.forceN)).value
  return (Object.entries(CHECK_OF_SHARE) as [Share, [CheckName, string, string]][]).map(
    ([share, [check, moves, still]]) => {
      const { um, standardUm } = found.shares[share]
      const is = moved(um - (reckoned?.[share] ?? 0), PROVED * standardUm, t.axis.goals.backlashTargetUm)
      return [check, is && (is === 'moves' ? moves : still)]
    },
  )
}

function fromPushes(t: EvaluationContext): Found {
  const round = lastRound(pushRounds, t.axis)
  const check = round?.at === 'screw-end' ? 'screw-end' : round?.at === 'block' ? 'block' : null
  const found = check && round?.gaugeStepUm != null ? pushedPlay(t, round.gaugeStepUm) : null
  if (!check || !found || t.finding('prove.pushPull')?.figure === null) return []
  return [[check, moved(found.playUm, found.expandedUm, t.axis.goals.backlashTargetUm)]]
}

function fromDrag(t: EvaluationContext): Found {
  const found = dragMap(t)
  if (!found) return []
  const { map, read } = found
  const counts = (...causes: string[]) => map.felt.some(one => one.counts && causes.includes(one.cause))
  const along = counts('fixed')
    ? 'fixed-end'
    : counts('far')
      ? 'far-end'
      : counts('nut')
        ? 'both-ends'
        : counts('ways', 'spot')
          ? 'along'
          : counts('preload')
            ? 'even-heavy'
            : 'even-light'
  const whole = map.levelNm
  const dropped = map.held.find(({ half }) => half === 'gib-slack')?.droppedNm
  const left = read.halves?.['nut-off']
  return [
    ['drag-along', along],
    ['drag-ways', counts('gib') ? 'tighter-one-way' : 'alike'],
    ['drag-turn', read.turn ? (counts('screw', 'coupler') ? 'once-a-turn' : 'even') : null],
    ['gib-slack', dropped === undefined ? null : dropped > FALLS_SHARE * whole ? 'falls' : 'as-before'],
    ['nut-off', left === undefined ? null : left <= LIGHT_SHARE * whole ? 'light' : 'stays-heavy'],
  ]
}

function fromReturns(t: EvaluationContext): Found {
  const round = lastRound(returnRounds, t.axis)
  const found = round?.gaugeStepUm == null ? null : stepsLost(t, round.gaugeStepUm)
  const off = found?.verdict === 'steps' ? 'whole-cycles' : 'off'
  return [['fast-return', byState(t.finding('prove.steps'), 'exact', off)]]
}

function fromScale(t: EvaluationContext): Found {
  const round = lastRound(scaleRounds, t.axis)
  const found = round?.gaugeStepUm == null ? null : measuredScale(t, round.gaugeStepUm)
  const offUm = Math.abs((found?.scaleErrorUmPerM ?? 0) * (found?.reachMm ?? 0)) / 1000
  const scattered = (found?.residualUm ?? 0) > SCATTERED_SHARE * offUm
  return [
    ['long-move', byState(t.finding('prove.scale'), 'right', scattered ? 'scattered' : 'in-proportion')],
  ]
}

function fromSquare(t: EvaluationContext): Found {
  const cut =
    byState(t.finding('prove.circleSquare'), 'square', 'out') ??
    byState(t.finding('prove.cutSquare'), 'square', 'out')
  return [['square', cut ?? byState(t.finding('align.square'), 'square', 'out')]]
}

/** A full test says of the reversal what a reversal test does. */
function fromFullTest(t: EvaluationContext): Found {
  return [['reversal', byState(t.finding('prove.fullReversal'), 'small', 'large')]]
}

function fromZeroTime(t: EvaluationContext): Found {
  const found = attempt(() => lastDrift(t)).value
  const state = t.finding('prove.zeroTime')?.state
  if (!found || state === undefined) return []
  // What jumps by whole cycles is no drift; what creeps alike at both places is the gauge's.
  if (found.is !== 'grows')
    return [['warm-return', found.is === 'steady' && state === 'holds' ? 'same' : null]]
  return [['warm-return', byState(t.finding('prove.zeroTime'), 'same', 'drifted')]]
}

/** Within a turn the screw goes to and fro: bent, or its end is. */
function fromTurn(t: EvaluationContext): Found {
  return [['drag-turn', t.finding('prove.oncePerTurn')?.state === 'fails' ? 'once-a-turn' : null]]
}

function fromGib(t: EvaluationContext): Found {
  const round = lastRound(gibRounds, t.axis)
  const plays = round ? playsOf(round).map(({ playUm }) => playUm) : []
  if (!round || plays.length === 0 || t.finding('align.gib')?.state === 'unknown') return []
  // Where it is tightest tells how it is set; what is more at other places is wear, which no gib takes.
  const stepUm = expanded((round.gaugeStepUm ?? 0) / Math.sqrt(12), 0)
  if (Math.min(...plays) - stepUm > SLACK * round.targetUm) return [['side-rock', 'rocks']]
  return [['side-rock', Math.max(...plays) + stepUm <= SLACK * round.targetUm ? 'solid' : null]]
}

function fromDrive(t: EvaluationContext): Found {
  return [['belt-note', isBelted(t) || t.axis.parts.coupler === null ? null : 'right-or-no-belt']]
}

interface Source {
  from: SheetId | 'drive'
  /** When its last readings were begun; null where it has none. */
  at: (axis: Axis) => string | null
  read: (t: EvaluationContext) => Found
}

const SOURCES: readonly Source[] = [
  { from: 'reversal', at: axis => axis.tests.at(-1)?.startedAt ?? null, read: fromReversal },
  { from: 'whereLost', at: axis => lastRound(lostRounds, axis)?.startedAt ?? null, read: fromShares },
  { from: 'pushPull', at: axis => lastRound(pushRounds, axis)?.startedAt ?? null, read: fromPushes },
  { from: 'drag', at: axis => wholeRound(axis)?.startedAt ?? null, read: fromDrag },
  { from: 'fullTest', at: axis => axis.fullTests.at(-1)?.startedAt ?? null, read: fromFullTest },
  { from: 'zeroTime', at: axis => lastRound(zeroRounds, axis)?.startedAt ?? null, read: fromZeroTime },
  { from: 'oneTurn', at: axis => lastRound(waveRounds, axis)?.startedAt ?? null, read: fromTurn },
  { from: 'gib', at: axis => lastRound(gibRounds, axis)?.startedAt ?? null, read: fromGib },
  { from: 'lostSteps', at: axis => lastRound(returnRounds, axis)?.startedAt ?? null, read: fromReturns },
  { from: 'scale', at: axis => lastRound(scaleRounds, axis)?.startedAt ?? null, read: fromScale },
  {
    from: 'square',
    at: axis =>
      [lastRound(squareRounds, axis)?.startedAt, axis.circleRounds.at(-1)?.startedAt]
        .filter(one => one !== undefined)
        .toSorted()
        .at(-1) ?? null,
    read: fromSquare,
  },
]

/**
 * What the readings of an axis say to the checks of the table of faults.
 *
 * @param since readings that were begun before this moment say nothing of the axis as it is: something was mended since
 * @returns one outcome a check at most; of two that answer the same check, the one listed first
 */
export function observedIn(t: EvaluationContext, since: string | null): Observed[] {
  const found: Observed[] = []
  const add = (from: Observed['from'], of: Found) => {
    for (const [check, outcome] of of)
      if (outcome !== null && !found.some(one => one.check === check)) found.push({ check, outcome, from })
  }
  for (const { from, at, read } of SOURCES) {
    const readAt = at(t.axis)
    if (readAt !== null && (since === null || readAt > since)) add(from, attempt(() => read(t)).value ?? [])
  }
  add('drive', fromDrive(t))
  return found
}
