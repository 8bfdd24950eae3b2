import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis, onRow } from '../../document/edits'
import type { ReversalStation, ReversalTest } from './model'

export const startTest = (axis: Axis, test: ReversalTest): Edit =>
  onAxis(axis, `Reversal test “${test.label}”`, draft => {
    draft.tests.push(test)
  })

const testOf = (axis: Axis, testId: string) => axis.tests.find(({ id }) => id === testId)
const stationOf = (axis: Axis, testId: string, stationId: string) =>
  testOf(axis, testId)?.stations.find(({ id }) => id === stationId)

export const addTestStation = (axis: Axis, testId: string, station: ReversalStation): Edit =>
  onAxis(axis, 'Station added', draft => {
    testOf(draft, testId)?.stations.push(station)
  })

export type Approach = 'approachPositiveUm' | 'approachNegativeUm'

/** Sets, adds (at the end) or takes out (null) one reading. */
export const setTestReading = (
  axis: Axis,
  testId: string,
  at: { stationId: string; approach: Approach; index: number },
  readingUm: number | null,
  mergeKey?: string,
): Edit =>
  onAxis(
    axis,
    'Reading of the test',
    draft => {
      const readings = stationOf(draft, testId, at.stationId)?.[at.approach]
      if (readings) readings.splice(at.index, 1, ...(readingUm === null ? [] : [readingUm]))
    },
    { mergeKey },
  )

/** Puts pasted columns of readings in from a reading on, over those that stand there. */
export const pasteTestReadings = (
  axis: Axis,
  testId: string,
  stationId: string,
  from: number,
  columns: Partial<Record<Approach, readonly number[]>>,
): Edit =>
  onAxis(axis, 'Readings pasted', draft => {
    const station = stationOf(draft, testId, stationId)
    for (const [approach, readingsUm] of Object.entries(columns) as [Approach, readonly number[]][])
      station?.[approach].splice(from, readingsUm.length, ...readingsUm)
  })

export const setTestGauge = (
  axis: Axis,
  testId: string,
  gaugeStepUm: number | null,
  mergeKey?: string,
): Edit => onRow(axis, 'Step of the gauge', draft => testOf(draft, testId), { gaugeStepUm }, { mergeKey })

export const finishTest = (axis: Axis, testId: string, at: string, summary: string): Edit =>
  onRow(
    axis,
    'Reversal test closed',
    draft => testOf(draft, testId),
    { finishedAt: at },
    { entry: { axisId: axis.id, kind: 'test', text: summary } },
  )

export const removeTest = (axis: Axis, testId: string): Edit =>
  onAxis(axis, 'Reversal test deleted', draft => {
    draft.tests = draft.tests.filter(({ id }) => id !== testId)
  })

export const setTestPlace = (
  axis: Axis,
  testId: string,
  stationId: string,
  positionMm: number,
  mergeKey?: string,
): Edit =>
  onAxis(
    axis,
    'Place of a station',
    draft => {
      const station = stationOf(draft, testId, stationId)
      if (station) station.positionMm = positionMm
    },
    { mergeKey },
  )
