import { type Axis, DRIVE, type Drive, type DutyRow, hasBelt } from '../document/axis'
import { DRIVE_SIZES, type DriveSizeKey } from '../document/dimensions'
import type { Edit } from '../document/edit'
import { onAxis } from '../document/edits'
import type { PartKind, ScrewEnds } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'
import { touch } from '../document/touched'

export const setPreload = (axis: Axis, preloadN: number | null, mergeKey?: string): Edit =>
  onAxis(
    axis,
    'Preload of the nut',
    draft => {
      draft.preloadN = preloadN
    },
    { mergeKey },
  )

/** Sets the current of the driver; null leaves it as the sheet of the motor has it. */
export const setCurrent = (axis: Axis, currentA: number | null, mergeKey?: string): Edit =>
  onAxis(
    axis,
    DRIVE.of.currentA.label,
    draft => {
      draft.drive.currentA = currentA
    },
    { mergeKey },
  )

export const setEnds = (axis: Axis, ends: ScrewEnds): Edit =>
  onAxis(
    axis,
    `Ends of the screw ${ends}`,
    (draft, at) => {
      draft.ends = ends
      touch(draft, at, `ends of the screw: ${ends}`)
    },
    { entry: { axisId: axis.id, kind: 'part', text: `Ends of the screw: ${ends}.` } },
  )

/** Changes the kind of drive; what is chosen for the other kind stays, in case the builder comes back to it. */
export const setDrive = (axis: Axis, change: Partial<Drive>, label: string): Edit =>
  onAxis(
    axis,
    label,
    (draft, at) => {
      Object.assign(draft.drive, change)
      touch(draft, at, label)
    },
    { entry: { axisId: axis.id, kind: 'part', text: `${label}.` } },
  )

export const setDriveSize = (axis: Axis, key: DriveSizeKey, value: number, mergeKey?: string): Edit =>
  onAxis(
    axis,
    DRIVE_SIZES[key].label,
    draft => {
      draft.driveSizes[key] = value
    },
    { mergeKey },
  )

/** Sets what a typical hour is made of; null reckons it from the goals again. */
export const setDuty = (axis: Axis, duty: DutyRow[] | null, mergeKey?: string): Edit =>
  onAxis(
    axis,
    duty ? 'Duty' : 'Duty reckoned from the goals',
    draft => {
      draft.duty = duty
    },
    { mergeKey },
  )

/** Takes a whole drive at once, such as one that a search has found; its preload is as delivered. */
export function takeDrive(axis: Axis, drive: Pick<Axis, 'parts' | 'ends' | 'drive'>, text: string): Edit {
  return onAxis(
    axis,
    'Drive taken',
    (draft, at) => {
      draft.parts = { ...drive.parts }
      draft.ends = drive.ends
      draft.drive = { ...drive.drive }
      draft.preloadN = null
      touch(draft, at, text)
    },
    { entry: { axisId: axis.id, kind: 'part', text } },
  )
}

/** Puts a part in. A preload set by hand belongs to the old nut and goes with it, as the current of a driver does with its motor. */
export function putPart(draft: Axis, kind: PartKind, partId: string | null): void {
  draft.parts[kind] = partId
  if (kind === 'screw') draft.preloadN = null
  if (kind === 'motor') draft.drive.currentA = null
}

/** Puts a part in and drives the axis by it: a coupler or a belt is what then joins motor and screw. */
export function putInDrive(draft: Axis, kind: PartKind, partId: string): void {
  if (kind === 'belt' && !hasBelt(draft.drive)) draft.drive.transmission = 'belt'
  if (kind === 'coupler') draft.drive.transmission = 'direct'
  putPart(draft, kind, partId)
}

/** Chooses a part, or none. */
export function choosePart(axis: Axis, catalogue: Catalogue, kind: PartKind, partId: string | null): Edit {
  const name = partId === null ? null : (catalogue[kind].get(partId)?.name ?? partId)
  return onAxis(
    axis,
    name ? `${name} chosen` : `No ${kind} chosen`,
    (draft, at) => {
      putPart(draft, kind, partId)
      touch(draft, at, name ? `chosen: ${name}` : `the ${kind} open again`)
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
