import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import type { AlignRound, AlignStation } from './model'

export const startRound = (axis: Axis, round: AlignRound): Edit =>
  onAxis(axis, `Alignment round ${axis.rounds.length + 1}`, draft => {
    draft.rounds.push(round)
  })

const roundOf = (axis: Axis, roundId: string) => axis.rounds.find(({ id }) => id === roundId)

export const setClampedAt = (axis: Axis, roundId: string, clampedAtMm: number, mergeKey?: string): Edit =>
  onAxis(
    axis,
    'Place of the clamped nut',
    draft => {
      const round = roundOf(draft, roundId)
      if (round) round.clampedAtMm = clampedAtMm
    },
    { mergeKey },
  )

export const setRoundGauge = (
  axis: Axis,
  roundId: string,
  gaugeStepUm: number | null,
  mergeKey?: string,
): Edit =>
  onAxis(
    axis,
    'Step of the gauge',
    draft => {
      const round = roundOf(draft, roundId)
      if (round) round.gaugeStepUm = gaugeStepUm
    },
    { mergeKey },
  )

export const addAlignStation = (axis: Axis, roundId: string, station: AlignStation): Edit =>
  onAxis(axis, 'Station added', draft => {
    roundOf(draft, roundId)?.stations.push(station)
  })

export const setAlignReading = (
  axis: Axis,
  roundId: string,
  stationId: string,
  reading: Partial<Omit<AlignStation, 'id'>>,
  mergeKey?: string,
): Edit =>
  onAxis(
    axis,
    'Reading of the line',
    draft => {
      const station = roundOf(draft, roundId)?.stations.find(({ id }) => id === stationId)
      if (station) Object.assign(station, reading)
    },
    { mergeKey },
  )

export const finishRound = (axis: Axis, roundId: string, at: string, summary: string): Edit =>
  onAxis(
    axis,
    'Alignment round closed',
    draft => {
      const round = roundOf(draft, roundId)
      if (round) round.finishedAt = at
    },
    { entry: { axisId: axis.id, kind: 'round', text: summary } },
  )

export const removeRound = (axis: Axis, roundId: string): Edit =>
  onAxis(axis, 'Alignment round deleted', draft => {
    draft.rounds = draft.rounds.filter(({ id }) => id !== roundId)
  })
