import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { spreadMm } from '../../readings/model'
import { withAll } from '../shared/proofs/uncertainty'
import { straight } from '../shared/rounds/odd'
import { leastOnLineUm } from '../shared/rounds/resolution'
import { expanded } from '../shared/rounds/roundFinding'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { controllerSettings } from '../shared/steps/controller'
import { scaleTest } from './calculation'
import { SCALE_ROUNDS, type ScaleRound } from './model'

const FIRST_PLACES = 5

export const movesOf = (round: ScaleRound) =>
  round.stations.flatMap(({ commandedMm, measuredMm }) =>
    measuredMm === null ? [] : [{ commandedMm, measuredMm }],
  )

export const canTell = (moves: ReturnType<typeof movesOf>): boolean =>
  new Set(moves.map(({ commandedMm }) => commandedMm)).size >= 2

/** How far the moves that were read reach from end to end. */
const reachMm = (moves: readonly { commandedMm: number }[]) => {
  const places = moves.map(({ commandedMm }) => commandedMm)
  return Math.max(...places) - Math.min(...places)
}

export const scaleRounds = defineRounds<ScaleRound>({
  about: 'Scale',
  of: SCALE_ROUNDS,
  pick: axis => axis.scaleRounds,
  only: scaleRounds => ({ scaleRounds }),
  proves: true,
  columns: [
    {
      key: 'measuredMm',
      step: ({ gaugeStepUm }) => (gaugeStepUm === null ? null : gaugeStepUm / 1000),
      at: 'commandedMm',
      shape: straight('commandedMm'),
      perhaps: 'an approach from the other side',
    },
  ],
  begin: axis => {
    const travelMm = axis.dimensions.wayTravelMm.value ?? axis.goals.wantedTravelMm
    return {
      gaugeStepUm: null,
      stations: spreadMm(0, travelMm * 0.9, FIRST_PLACES).map(commandedMm => ({
        commandedMm,
        measuredMm: null,
      })),
    }
  },
  worst: (_, round) => {
    const moves = movesOf(round)
    if (!canTell(moves)) return null
    const off = moves.map(({ commandedMm, measuredMm }) => (measuredMm - commandedMm) * 1000)
    return { value: Math.max(...off) - Math.min(...off), quantity: 'smallLength' }
  },
  resolution: ({ axis }, { gaugeStepUm, stations }) => {
    const places = stations.map(({ commandedMm }) => commandedMm)
    const leastUm =
      gaugeStepUm === null ? null : leastOnLineUm(gaugeStepUm, places, axis.goals.wantedTravelMm)
    return leastUm === null ? null : { leastUm, countsUm: axis.goals.accuracyTargetUm }
  },
  worstWords: 'off the command, from end to end',
})

/** The scale that the last round says, over the travel; null while it cannot. */
export function measuredScale(t: EvaluationContext, stepUm: number) {
  const round = lastRound(scaleRounds, t.axis)
  const moves = round ? movesOf(round) : []
  if (!round || !canTell(moves)) return null
  const setPerMm = round.stepsPerMm ?? attempt(() => controllerSettings(t).stepsPerMm).value ?? null
  const figures = t.figure('scale', scaleTest, { moves, stepsPerMm: setPerMm ?? 1 })
  const places = moves.map(({ commandedMm }) => commandedMm)
  const meanMm = places.reduce((sum, one) => sum + one, 0) / places.length
  const squares = places.reduce((sum, one) => sum + (one - meanMm) ** 2, 0)
  // Either end of each move is read in steps.
  const spreadUm = Math.max(figures.residualUm ?? 0, stepUm / Math.sqrt(12))
  const travelMm = t.axis.goals.wantedTravelMm
  const standardUm = (spreadUm / Math.sqrt(squares)) * travelMm
  const degrees = moves.length > 2 ? moves.length - 2 : null
  const { expandedUm, most } = withAll(
    t,
    'scaleUncertainty',
    { standardUm, degrees, stepUm, steps: 0, lengthMm: travelMm, byScale: true },
    expanded(standardUm, moves.length - 2),
  )
  return {
    round,
    moves,
    ...figures,
    setPerMm,
    reachMm: reachMm(moves),
    overTravelUm: (figures.scaleErrorUmPerM * travelMm) / 1000,
    uncertainUm: expandedUm,
    most,
  }
}
