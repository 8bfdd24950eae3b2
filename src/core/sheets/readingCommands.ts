import type { Command } from '../document/edit'
import { onAxis } from '../document/edits'
import type { AlignRound, AlignStation, Axis, ReversalStation, ReversalTest } from '../document/job'

/** Places spread evenly over the travel, rounded to whole millimetres. */
export const spreadMm = (fromMm: number, toMm: number, count: number): number[] =>
  Array.from({ length: count }, (_, index) =>
    Math.round(fromMm + ((toMm - fromMm) * index) / Math.max(1, count - 1)),
  )

export const startRound = (axis: Axis, round: AlignRound): Command =>
  onAxis(axis, `Alignment round ${axis.rounds.length + 1}`, draft => {
    draft.rounds.push(round)
  })

const roundOf = (axis: Axis, roundId: string) => axis.rounds.find(({ id }) => id === roundId)

export const setClampedAt = (axis: Axis, roundId: string, clampedAtMm: number, mergeKey?: string): Command =>
  onAxis(
    axis,
    'Place of the clamped nut',
    draft => {
      const round = roundOf(draft, roundId)
      if (round) round.clampedAtMm = clampedAtMm
    },
    { mergeKey },
  )

export const addAlignStation = (axis: Axis, roundId: string, station: AlignStation): Command =>
  onAxis(axis, 'Station added', draft => {
    roundOf(draft, roundId)?.stations.push(station)
  })

export const setAlignReading = (
  axis: Axis,
  roundId: string,
  index: number,
  reading: Partial<AlignStation>,
  mergeKey?: string,
): Command =>
  onAxis(
    axis,
    `Reading at station ${index + 1}`,
    draft => {
      const station = roundOf(draft, roundId)?.stations[index]
      if (station) Object.assign(station, reading)
    },
    { mergeKey },
  )

export const finishRound = (axis: Axis, roundId: string, at: string, summary: string): Command =>
  onAxis(
    axis,
    'Alignment round closed',
    draft => {
      const round = roundOf(draft, roundId)
      if (round) round.finishedAt = at
    },
    { entry: { axisId: axis.id, kind: 'round', text: summary } },
  )

export const removeRound = (axis: Axis, roundId: string): Command =>
  onAxis(axis, 'Alignment round deleted', draft => {
    draft.rounds = draft.rounds.filter(({ id }) => id !== roundId)
  })

export const startTest = (axis: Axis, test: ReversalTest): Command =>
  onAxis(axis, `Reversal test “${test.label}”`, draft => {
    draft.tests.push(test)
  })

const testOf = (axis: Axis, testId: string) => axis.tests.find(({ id }) => id === testId)

export const addTestStation = (axis: Axis, testId: string, station: ReversalStation): Command =>
  onAxis(axis, 'Station added', draft => {
    testOf(draft, testId)?.stations.push(station)
  })

export type Approach = 'approachPositiveUm' | 'approachNegativeUm'

/** Sets, adds (at the end) or takes out (null) one reading. */
export const setTestReading = (
  axis: Axis,
  testId: string,
  at: { station: number; approach: Approach; index: number },
  readingUm: number | null,
  mergeKey?: string,
): Command =>
  onAxis(
    axis,
    `Reading at station ${at.station + 1}`,
    draft => {
      const readings = testOf(draft, testId)?.stations[at.station]?.[at.approach]
      if (readings) readings.splice(at.index, 1, ...(readingUm === null ? [] : [readingUm]))
    },
    { mergeKey },
  )

export const finishTest = (axis: Axis, testId: string, at: string, summary: string): Command =>
  onAxis(
    axis,
    'Reversal test closed',
    draft => {
      const test = testOf(draft, testId)
      if (test) test.finishedAt = at
    },
    { entry: { axisId: axis.id, kind: 'test', text: summary } },
  )

export const removeTest = (axis: Axis, testId: string): Command =>
  onAxis(axis, 'Reversal test deleted', draft => {
    draft.tests = draft.tests.filter(({ id }) => id !== testId)
  })

export const setTestPlace = (
  axis: Axis,
  testId: string,
  index: number,
  positionMm: number,
  mergeKey?: string,
): Command =>
  onAxis(
    axis,
    `Place of station ${index + 1}`,
    draft => {
      const station = testOf(draft, testId)?.stations[index]
      if (station) station.positionMm = positionMm
    },
    { mergeKey },
  )
