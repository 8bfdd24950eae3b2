import type { Catalogue } from '../sizing/parts'
import type { ScrewEnds } from '../sizing/screw'
import type { UnitSystem } from '../units/quantity'
import {
  DIMENSIONS,
  type DimensionKey,
  DRIVE_SIZES,
  type DriveSizeKey,
  GOALS,
  type GoalKey,
  type Provenance,
  ROOM,
  type RoomKey,
} from './dimensions'
import type { Command } from './edit'
import {
  type Axis,
  type Drive,
  type DutyRow,
  type Job,
  LONGEST_LINE,
  type LogEntry,
  type PartKind,
  type Variant,
} from './types'

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
  run: (axis: Axis) => void,
  more: Omit<Command, 'label' | 'run'> = {},
): Command => ({ label: `${label}, axis ${axis.name}`, run: job => run(axisOf(job, axis.id)), ...more })

export const renameJob = (name: string): Command => ({
  label: 'Name of the job',
  run: job => {
    job.name = name
  },
})

export const archiveJob = (archived: boolean): Command => ({
  label: archived ? 'Job put away' : 'Job taken out again',
  run: job => {
    job.archived = archived
  },
})

export const setUnits = (units: UnitSystem): Command => ({
  label: `Units: ${units}`,
  run: job => {
    job.units = units
  },
})

export const addAxis = (axis: Axis): Command => ({
  label: `New axis ${axis.name}`,
  run: job => {
    job.axes.push(axis)
  },
  entry: { axisId: axis.id, kind: 'job', text: `Axis ${axis.name} added: ${axis.title}.` },
})

export const removeAxis = (axis: Axis): Command => ({
  label: `Axis ${axis.name} removed`,
  run: job => {
    job.axes = job.axes.filter(({ id }) => id !== axis.id)
  },
  entry: { axisId: null, kind: 'job', text: `Axis ${axis.name} removed: ${axis.title}.` },
})

export const renameAxis = (axis: Axis, name: string, title: string): Command =>
  onAxis(axis, 'Name of the axis', draft => Object.assign(draft, { name, title }))

/** A typed value counts as measured, unless the builder says otherwise. */
export const setDimension = (
  axis: Axis,
  key: DimensionKey,
  value: number | null,
  provenance: Provenance,
  mergeKey?: string,
): Command =>
  onAxis(
    axis,
    DIMENSIONS[key].label,
    draft => {
      draft.dimensions[key] = { value, provenance }
    },
    { mergeKey },
  )

export const setGoal = (axis: Axis, key: GoalKey, value: number, mergeKey?: string): Command =>
  onAxis(
    axis,
    GOALS[key].label,
    draft => {
      draft.goals[key] = value
    },
    { mergeKey },
  )

/** Takes the force and the feed of a cut that was reckoned from tool and material. */
export const setCut = (axis: Axis, cuttingForceN: number, cuttingFeedMmPerMin: number): Command =>
  onAxis(axis, 'Force of the cut', draft => {
    const within = (key: 'cuttingForceN' | 'cuttingFeedMmPerMin', value: number) => {
      draft.goals[key] = Math.min(Math.max(value, GOALS[key].min), GOALS[key].max)
    }
    within('cuttingForceN', Math.round(cuttingForceN * 10) / 10)
    within('cuttingFeedMmPerMin', Math.round(cuttingFeedMmPerMin * 10) / 10)
  })

export const setRoom = (axis: Axis, key: RoomKey, value: number, mergeKey?: string): Command =>
  onAxis(
    axis,
    ROOM[key].label,
    draft => {
      draft.room[key] = value
    },
    { mergeKey },
  )

export const setNutFacing = (axis: Axis, nutFacing: Axis['nutFacing']): Command =>
  onAxis(axis, `Nut body towards the ${nutFacing} end`, draft => {
    draft.nutFacing = nutFacing
  })

export const setPreload = (axis: Axis, preloadN: number | null, mergeKey?: string): Command =>
  onAxis(
    axis,
    'Preload of the nut',
    draft => {
      draft.preloadN = preloadN
    },
    { mergeKey },
  )

export const setEnds = (axis: Axis, ends: ScrewEnds): Command =>
  onAxis(
    axis,
    `Ends of the screw ${ends}`,
    draft => {
      draft.ends = ends
    },
    { entry: { axisId: axis.id, kind: 'part', text: `Ends of the screw: ${ends}.` } },
  )

/** Changes the kind of drive; what is chosen for the other kind stays, in case the builder comes back to it. */
export const setDrive = (axis: Axis, change: Partial<Drive>, label: string): Command =>
  onAxis(
    axis,
    label,
    draft => {
      Object.assign(draft.drive, change)
    },
    { entry: { axisId: axis.id, kind: 'part', text: `${label}.` } },
  )

export const setDriveSize = (axis: Axis, key: DriveSizeKey, value: number, mergeKey?: string): Command =>
  onAxis(
    axis,
    DRIVE_SIZES[key].label,
    draft => {
      draft.driveSizes[key] = value
    },
    { mergeKey },
  )

/** Sets what a typical hour is made of; null reckons it from the goals again. */
export const setDuty = (axis: Axis, duty: DutyRow[] | null, mergeKey?: string): Command =>
  onAxis(
    axis,
    duty ? 'Duty' : 'Duty reckoned from the goals',
    draft => {
      draft.duty = duty
    },
    { mergeKey },
  )

/** Takes a whole drive at once, such as one that a search has found; its preload is as delivered. */
export function takeDrive(axis: Axis, drive: Pick<Axis, 'parts' | 'ends' | 'drive'>, text: string): Command {
  return onAxis(
    axis,
    'Drive taken',
    draft => {
      draft.parts = { ...drive.parts }
      draft.ends = drive.ends
      draft.drive = { ...drive.drive }
      draft.preloadN = null
    },
    { entry: { axisId: axis.id, kind: 'part', text } },
  )
}

/** Keeps the drive as it stands, to compare it with others. */
export const keepVariant = (axis: Axis, id: string, name: string): Command =>
  onAxis(axis, `${name} kept to compare`, draft => {
    const { parts, ends, drive, preloadN } = axis
    draft.variants.push({ id, name, parts, ends, drive, preloadN })
  })

export const dropVariant = (axis: Axis, variant: Variant): Command =>
  onAxis(axis, `${variant.name} no longer compared`, draft => {
    draft.variants = draft.variants.filter(({ id }) => id !== variant.id)
  })

/** Takes a drive that was kept, with the reason why; the one in use goes in its place. */
export const takeVariant = (axis: Axis, variant: Variant, nameNow: string, reason: string): Command =>
  onAxis(
    axis,
    `${variant.name} taken`,
    draft => {
      const { parts, ends, drive, preloadN } = axis
      Object.assign(draft, {
        parts: variant.parts,
        ends: variant.ends,
        drive: variant.drive,
        preloadN: variant.preloadN,
      })
      draft.variants = draft.variants.map(one =>
        one.id === variant.id ? { id: one.id, name: nameNow, parts, ends, drive, preloadN } : one,
      )
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'part',
        text: `Taken: ${variant.name}, rather than ${nameNow}. ${reason.trim() ? `Because: ${reason.trim()}` : 'No reason given.'}`.slice(
          0,
          LONGEST_LINE,
        ),
      },
    },
  )

/** Chooses a part, or none. A preload set by hand belongs to the old nut and goes with it. */
export function choosePart(axis: Axis, catalogue: Catalogue, kind: PartKind, partId: string | null): Command {
  const name = partId === null ? null : (catalogue[kind].get(partId)?.name ?? partId)
  return onAxis(
    axis,
    name ? `${name} chosen` : `No ${kind} chosen`,
    draft => {
      draft.parts[kind] = partId
      if (kind === 'screw') draft.preloadN = null
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'part',
        text: name ? `Chosen: ${name}.` : `The ${kind} is open again.`,
      },
    },
  )
}

/** Ticks a step of the build, or takes the tick off. */
export const tickStep = (axis: Axis, step: { id: string; title: string }, at: string | null): Command =>
  onAxis(
    axis,
    `${step.title}: ${at ? 'done' : 'open again'}`,
    draft => {
      if (at) draft.ticks[step.id] = at
      else delete draft.ticks[step.id]
    },
    { entry: { axisId: axis.id, kind: 'step', text: `${at ? 'Done' : 'Open again'}: ${step.title}.` } },
  )

export const addNote = (axisId: string | null, text: string, kind: 'note' | 'fix'): Command => ({
  label: kind === 'fix' ? 'Temporary fix noted' : 'Note',
  run: () => {},
  entry: { axisId, kind, text },
})

/** Ends a temporary fix: the line of its beginning stays, and one of its end comes after it. */
export const mendFix = (fix: LogEntry): Command => ({
  label: 'Temporary fix mended',
  run: () => {},
  entry: {
    axisId: fix.axisId,
    kind: 'mended',
    text: `Mended for good: ${fix.text}`.slice(0, LONGEST_LINE),
    closes: fix.id,
  },
})

export const deleteEntry = (entryId: string): Command => ({
  label: 'Log entry deleted',
  run: () => {},
  hides: [entryId],
})
