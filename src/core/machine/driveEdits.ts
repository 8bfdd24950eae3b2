import { DRIVE_SIZES, type DriveSizeKey } from '../document/dimensions'
import type { Command } from '../document/edit'
import { onAxis } from '../document/edits'
import {
  type Axis,
  type Drive,
  type DutyRow,
  LONGEST_LINE,
  type PartKind,
  type Variant,
} from '../document/job'
import type { Catalogue } from './parts'
import type { ScrewEnds } from './sizing/screw'

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
