import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import { LONGEST_LINE } from '../../document/job'
import { blankRow } from '../../field/field'
import { noteTaken, takenKey } from '../../readings/taken'
import { nextStop, type Stop } from './course'
import { FULL_TESTS, type FullTest, TARGETS, type Target } from './model'

/** By what the time of a reading is kept. */
const keyOf = ({ targetId, way, run }: Pick<Stop, 'targetId' | 'way' | 'run'>) => takenKey(targetId, way, run)
const testIn = (axis: Axis, testId: string) => axis.fullTests.find(({ id }) => id === testId)

/** A test by targets, set up as the one before, or with targets spread over the travel. */
export function newFullTest(
  before: FullTest | undefined,
  places: readonly number[],
  given: Pick<FullTest, 'label' | 'startedAt' | 'gaugeStepUm'>,
  newId: () => string,
): FullTest {
  const targets = (before?.targets.map(({ targetMm }) => targetMm) ?? places).map(targetMm =>
    blankRow(TARGETS, newId(), { targetMm }),
  )
  return {
    ...blankRow(FULL_TESTS, newId(), before as Partial<FullTest>),
    ...given,
    id: newId(),
    finishedAt: null,
    shifts: [],
    taken: {},
    targets,
  }
}

export const startFullTest = (axis: Axis, test: FullTest): Edit =>
  onAxis(axis, `Full test “${test.label}”`, draft => {
    draft.fullTests.push(test)
  })

/** Sets fields of the plan. */
export const changeFullTest = (
  axis: Axis,
  testId: string,
  change: Partial<FullTest>,
  mergeKey?: string,
): Edit =>
  onAxis(axis, 'Plan of the full test', draft => Object.assign(testIn(draft, testId) ?? {}, change), {
    mergeKey,
  })

/** Puts other targets in; readings at places that stay are kept. */
export const setTargets = (
  axis: Axis,
  testId: string,
  places: readonly number[],
  newId: () => string,
): Edit =>
  onAxis(axis, 'Targets of the full test', draft => {
    const test = testIn(draft, testId)
    if (!test) return
    const kept = new Map(test.targets.map(target => [target.targetMm, target]))
    test.targets = places.map(
      (targetMm): Target => kept.get(targetMm) ?? blankRow(TARGETS, newId(), { targetMm }),
    )
  })

/** Puts readings in from the place on that is to be read next, in the order in which the axis moves. */
export const takeReadings = (axis: Axis, testId: string, readingsUm: readonly number[]): Edit =>
  onAxis(
    axis,
    readingsUm.length === 1 ? 'Reading of the full test' : `${readingsUm.length} readings of the full test`,
    (draft, at) => {
      const test = testIn(draft, testId)
      for (const readingUm of readingsUm) {
        const stop = test && nextStop(test)
        if (!stop) return
        test.targets.find(({ id }) => id === stop.targetId)?.[stop.way].push(readingUm)
        noteTaken(test, keyOf(stop), readingUm, at)
      }
    },
    readingsUm.length === 1 ? { reading: true } : {},
  )

/** Puts the readings of a file in, with the targets and runs that they make. */
export const putReadings = (
  axis: Axis,
  testId: string,
  { runs, targets }: Pick<FullTest, 'runs' | 'targets'>,
  count: number,
  from: string,
): Edit =>
  onAxis(
    axis,
    `${count} readings from a file`,
    draft => Object.assign(testIn(draft, testId) ?? {}, { runs, targets }),
    {
      entry: {
        axisId: axis.id,
        kind: 'test',
        text: `${count} readings of a full test taken from the file ${from.slice(0, 80)}.`,
      },
    },
  )

/** Puts a reading in place of one that was taken; the old one stays in the log. */
export const retakeReading = (
  axis: Axis,
  testId: string,
  { targetId, way, run }: Stop,
  readingUm: number,
  said: string,
): Edit =>
  onAxis(
    axis,
    'Reading taken again',
    (draft, at) => {
      const test = testIn(draft, testId)
      const readings = test?.targets.find(({ id }) => id === targetId)?.[way]
      if (!test || !readings || run >= readings.length) return
      readings[run] = readingUm
      const key = keyOf({ targetId, way, run })
      noteTaken(test, key, null, at)
      noteTaken(test, key, readingUm, at)
    },
    { entry: { axisId: axis.id, kind: 'test', text: said.slice(0, LONGEST_LINE) } },
  )

export const finishFullTest = (axis: Axis, testId: string, at: string, said: string): Edit =>
  onAxis(axis, 'Full test closed', draft => Object.assign(testIn(draft, testId) ?? {}, { finishedAt: at }), {
    entry: { axisId: axis.id, kind: 'test', text: said.slice(0, LONGEST_LINE) },
  })

export const removeFullTest = (axis: Axis, testId: string): Edit =>
  onAxis(axis, 'Full test deleted', draft => {
    draft.fullTests = draft.fullTests.filter(({ id }) => id !== testId)
  })

/** Takes a jump out of what was read from a place on: the readings stay as they were typed, and count for so much less. */
export const takeOutJump = (
  axis: Axis,
  testId: string,
  shift: FullTest['shifts'][number],
  said: string,
): Edit =>
  onAxis(
    axis,
    'Jump taken out of the full test',
    draft => {
      testIn(draft, testId)?.shifts.push(shift)
    },
    { entry: { axisId: axis.id, kind: 'test', text: said.slice(0, LONGEST_LINE) } },
  )

/** Counts readings again as they were read. */
export const putJumpBack = (axis: Axis, testId: string, shiftId: string, said: string): Edit =>
  onAxis(
    axis,
    'Jump counted again in the full test',
    draft => {
      const test = testIn(draft, testId)
      if (test) test.shifts = test.shifts.filter(({ id }) => id !== shiftId)
    },
    { entry: { axisId: axis.id, kind: 'test', text: said.slice(0, LONGEST_LINE) } },
  )
