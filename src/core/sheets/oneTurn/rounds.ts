import { coverageFactor } from '../../calculation/studentLaw'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { openStations } from '../shared/rounds/closing'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { oncePerTurn } from './calculation'
import { closes, WAVE_ROUNDS, type WaveRound } from './model'

/** Eight places in a turn, and the first of the next. */
const PLACES = 9
/** Taken while no screw is chosen. */
const A_LEAD_MM = 5
const CONFIDENCE = 0.95
/** Places of fewer angles than this make any wave. */
export const FEWEST_PLACES = 6

const readOf = (round: WaveRound) =>
  openStations({ closes }, round).flatMap(({ positionMm, deviationUm }) =>
    deviationUm === null ? [] : [{ positionMm, deviationUm }],
  )

export const waveRounds = defineRounds<WaveRound>({
  about: 'One turn of the screw',
  of: WAVE_ROUNDS,
  pick: axis => axis.waveRounds,
  only: waveRounds => ({ waveRounds }),
  proves: true,
  columns: [{ key: 'deviationUm', step: round => round.gaugeStepUm, at: 'positionMm' }],
  closes,
  begin: (axis, shop, catalogue) => {
    const leadMm = catalogue?.screw.get(axis.parts.screw ?? '')?.leadMm ?? A_LEAD_MM
    const middleMm = Math.round((axis.dimensions.wayTravelMm.value ?? axis.goals.wantedTravelMm) / 2)
    return {
      gaugeStepUm: shop.gaugeStepUm,
      stations: Array.from({ length: PLACES }, (_, index) => ({
        positionMm: middleMm + (index * leadMm) / (PLACES - 1),
        deviationUm: null,
      })),
    }
  },
  worst: (t, round) => {
    const found = attempt(() => waveOf(t, round)).value
    return found ? { value: 2 * found.amplitudeUm, quantity: 'smallLength' } : null
  },
  resolution: ({ axis }, { gaugeStepUm }) =>
    gaugeStepUm === null ? null : { leastUm: 2 * gaugeStepUm, countsUm: axis.goals.accuracyTargetUm / 2 },
  worstWords: 'to and fro in a turn',
})

/** What a round says of a turn; null while too few places are read, or they lie within less than most of a turn. */
export function waveOf(t: EvaluationContext, round: WaveRound) {
  const readings = readOf(round)
  const places = readings.map(({ positionMm }) => positionMm)
  const { leadMm } = t.part('screw')
  const reachMm = Math.max(...places) - Math.min(...places)
  if (new Set(places).size < FEWEST_PLACES || reachMm < (leadMm * (FEWEST_PLACES - 1)) / FEWEST_PLACES)
    return null
  const figures = t.figure('oncePerTurn', oncePerTurn, { leadMm, readings })
  const spare = readings.length - 4
  const stepUm = (round.gaugeStepUm ?? 0) / Math.sqrt(12)
  const spreadUm = Math.hypot(figures.residualUm ?? 0, stepUm)
  const expandedUm =
    coverageFactor(CONFIDENCE, spare > 0 ? spare : null) * spreadUm * Math.sqrt(2 / readings.length)
  return { ...figures, leadMm, spreadUm, expandedUm }
}

/** What the last round says of a turn; null while there is none that can tell. @throws NotKnown without a screw */
export function lastWave(t: EvaluationContext) {
  const round = lastRound(waveRounds, t.axis)
  return round ? waveOf(t, round) : null
}
