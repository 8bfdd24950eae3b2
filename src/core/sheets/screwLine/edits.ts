import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis, onRow } from '../../document/edits'
import type { AlignRound, AlignStation } from './model'

export const startRound = (axis: Axis, round: AlignRound): Edit =>
  onAxis(axis, `Alignment round ${axis.rounds.length + 1}`, draft => {
    draft.rounds.push(round)
  })

const roundOf = (axis: Axis, roundId: string) => axis.rounds.find(({ id }) => id === roundId)

export const setClampedAt = (axis: Axis, roundId: string, clampedAtMm: number, mergeKey?: string): Edit =>
  onRow(axis, 'Place of the clamped nut', draft => roundOf(draft, roundId), { clampedAtMm }, { mergeKey })

export const setRoundGauge = (
  axis: Axis,
  roundId: string,
  gaugeStepUm: number | null,
  mergeKey?: string,
): Edit => onRow(axis, 'Step of the gauge', draft => roundOf(draft, roundId), { gaugeStepUm }, { mergeKey })

export const setRoundDone = (axis: Axis, roundId: string, done: string): Edit =>
  onRow(axis, 'What was done before the round', draft => roundOf(draft, roundId), { done })

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
  onRow(
    axis,
    'Reading of the line',
    draft => roundOf(draft, roundId)?.stations.find(({ id }) => id === stationId),
    reading,
    { mergeKey },
  )

/** Puts pasted readings in at the places of a round, from one on; places that there are not are left out. */
export const pasteAlignReadings = (
  axis: Axis,
  roundId: string,
  from: number,
  rows: readonly Partial<Omit<AlignStation, 'id'>>[],
): Edit =>
  onAxis(axis, 'Readings pasted', draft => {
    for (const [index, reading] of rows.entries())
      Object.assign(roundOf(draft, roundId)?.stations[from + index] ?? {}, reading)
  })

export const finishRound = (axis: Axis, roundId: string, at: string, summary: string): Edit =>
  onRow(
    axis,
    'Alignment round closed',
    draft => roundOf(draft, roundId),
    { finishedAt: at },
    { entry: { axisId: axis.id, kind: 'round', text: summary } },
  )

export const removeRound = (axis: Axis, roundId: string): Edit =>
  onAxis(axis, 'Alignment round deleted', draft => {
    draft.rounds = draft.rounds.filter(({ id }) => id !== roundId)
  })
