import type { UnitSystem } from '../units/quantity'
import type { Axis } from './axis'
import { DIMENSIONS, type DimensionKey, GOALS, type GoalKey, RECESSES, type RecessKey } from './dimensions'
import type { Edit } from './edit'
import type { Job } from './job'
import type { AxisEnd, Provenance } from './kinds'

/** The axis of a draft that a command works on. */
export function axisOf(job: Job, axisId: string): Axis {
  const axis = job.axes.find(({ id }) => id === axisId)
  if (!axis) throw new Error(`This job has no axis ${axisId}: it was removed.`)
  return axis
}

/** A command that edits one axis; its label starts with what it is about. */
export const onAxis = (
  axis: Axis,
  label: string,
  run: (axis: Axis, at: string) => void,
  more: Omit<Edit, 'label' | 'run'> = {},
): Edit => ({
  label: `${label}, axis ${axis.name}`,
  run: (job, at) => run(axisOf(job, axis.id), at),
  ...more,
})

/**
 * Sets fields of one row of an axis.
 *
 * @param find the row in the draft; one that is gone is left alone
 */
export const onRow = <R extends object>(
  axis: Axis,
  label: string,
  find: (axis: Axis) => R | undefined,
  change: Partial<R>,
  more?: Omit<Edit, 'label' | 'run'>,
): Edit =>
  onAxis(
    axis,
    label,
    draft => {
      const row = find(draft)
      if (row) Object.assign(row, change)
    },
    more,
  )

export const setHigherEnd = (axis: Axis, higherEnd: AxisEnd | null): Edit =>
  onAxis(axis, 'Which end is higher', draft => {
    draft.higherEnd = higherEnd
  })

export const renameJob = (name: string): Edit => ({
  label: 'Name of the job',
  run: job => {
    job.name = name
  },
})

export const archiveJob = (archived: boolean): Edit => ({
  label: archived ? 'Job put away' : 'Job taken out again',
  run: job => {
    job.archived = archived
  },
})

export const setUnits = (units: UnitSystem): Edit => ({
  label: `Units: ${units}`,
  run: job => {
    job.units = units
  },
})

export const addAxis = (axis: Axis): Edit => ({
  label: `New axis ${axis.name}`,
  run: job => {
    job.axes.push(axis)
  },
  entry: { axisId: axis.id, kind: 'job', text: `Axis ${axis.name} added: ${axis.title}.` },
})

export const removeAxis = (axis: Axis): Edit => ({
  label: `Axis ${axis.name} removed`,
  run: job => {
    job.axes = job.axes.filter(({ id }) => id !== axis.id)
    job.fixes = Object.fromEntries(Object.entries(job.fixes).filter(([, fix]) => fix.axisId !== axis.id))
    job.upkeep.tasks = job.upkeep.tasks.filter(({ axisId }) => axisId !== axis.id)
  },
  entry: { axisId: null, kind: 'job', text: `Axis ${axis.name} removed: ${axis.title}.` },
})

export const renameAxis = (axis: Axis, name: string, title: string): Edit =>
  onAxis(axis, 'Name of the axis', draft => Object.assign(draft, { name, title }))

/** A typed value counts as measured, unless the builder says otherwise. */
export const setDimension = (
  axis: Axis,
  key: DimensionKey,
  value: number | null,
  provenance: Provenance,
  mergeKey?: string,
): Edit =>
  onAxis(
    axis,
    DIMENSIONS[key].label,
    draft => {
      draft.dimensions[key] = { value, provenance }
    },
    { mergeKey },
  )

export const setGoal = (axis: Axis, key: GoalKey, value: number, mergeKey?: string): Edit =>
  onAxis(
    axis,
    GOALS[key].label,
    draft => {
      draft.goals[key] = value
      draft.goalsFrom[key] = 'wanted'
    },
    { mergeKey },
  )

/** Takes the force and the feed of a cut that was reckoned from tool and material. */
export const setCut = (axis: Axis, cuttingForceN: number, cuttingFeedMmPerMin: number): Edit =>
  onAxis(axis, 'Force of the cut', draft => {
    const within = (key: 'cuttingForceN' | 'cuttingFeedMmPerMin', value: number) => {
      draft.goals[key] = Math.min(Math.max(value, GOALS[key].min), GOALS[key].max)
      draft.goalsFrom[key] = 'wanted'
    }
    within('cuttingForceN', Math.round(cuttingForceN * 10) / 10)
    within('cuttingFeedMmPerMin', Math.round(cuttingFeedMmPerMin * 10) / 10)
  })

export const setRecess = (axis: Axis, key: RecessKey, value: number, mergeKey?: string): Edit =>
  onAxis(
    axis,
    RECESSES[key].label,
    draft => {
      draft.recesses[key] = value
    },
    { mergeKey },
  )

export const setNutFacing = (axis: Axis, nutFacing: Axis['nutFacing']): Edit =>
  onAxis(axis, `Nut body towards the ${nutFacing} end`, draft => {
    draft.nutFacing = nutFacing
  })
