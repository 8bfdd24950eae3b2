import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis, onRow } from '../../document/edits'
import { blankRow } from '../../field/field'
import { noteTaken, takenKey } from '../../readings/taken'
import { NOTHING_NOTED } from '../shared/proofs/conditions'
import { REVERSAL_STATIONS, type ReversalStation, type ReversalTest } from './model'

type TestConditions = Omit<
  ReversalTest,
  'id' | 'startedAt' | 'finishedAt' | 'label' | 'gaugeStepUm' | 'taken' | 'stations'
>

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
    (draft, now) => {
      const test = testOf(draft, testId)
      const readings = stationOf(draft, testId, at.stationId)?.[at.approach]
      if (!test || !readings) return
      readings.splice(at.index, 1, ...(readingUm === null ? [] : [readingUm]))
      const key = (index: number) => takenKey(at.stationId, at.approach, index)
      if (readingUm !== null) noteTaken(test, key(at.index), readingUm, now)
      // Those after one that is taken out stand at other places now: of them no time is known.
      else
        for (let index = at.index; index <= readings.length; index++) noteTaken(test, key(index), null, now)
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

/** Sets how a test was taken: the feed, the warmth, the gauge, and who read it. */
export const setTestConditions = (
  axis: Axis,
  testId: string,
  change: Partial<TestConditions>,
  mergeKey?: string,
): Edit => onRow(axis, 'How a test was taken', draft => testOf(draft, testId), change, { mergeKey })

/** A test set up as the one before: its places, its gauge, who reads. Feed, warmth and temperature are those of the day: they are asked. */
export function newReversalTest(
  axis: Axis,
  places: readonly number[],
  given: Pick<ReversalTest, 'label' | 'startedAt'> & Partial<ReversalTest>,
  newId: () => string,
): ReversalTest {
  const before = axis.tests.at(-1)
  return {
    ...NOTHING_NOTED,
    finishedAt: null,
    gaugeStepUm: before?.gaugeStepUm ?? null,
    gauge: before?.gauge ?? null,
    who: before?.who ?? null,
    ...given,
    id: newId(),
    stations: (before?.stations.map(({ positionMm }) => positionMm) ?? places).map(positionMm =>
      blankRow(REVERSAL_STATIONS, newId(), { positionMm }),
    ),
  }
}

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
