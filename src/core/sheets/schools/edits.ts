import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import { LONGEST_LINE } from '../../document/job'
import type { Variant } from './model'

/** Keeps the drive as it stands, to compare it with others. */
export const keepVariant = (axis: Axis, id: string, name: string): Edit =>
  onAxis(axis, `${name} kept to compare`, draft => {
    const { parts, ends, drive, preloadN } = axis
    draft.variants.push({ id, name, parts, ends, drive, preloadN })
  })

export const dropVariant = (axis: Axis, variant: Variant): Edit =>
  onAxis(axis, `${variant.name} no longer compared`, draft => {
    draft.variants = draft.variants.filter(({ id }) => id !== variant.id)
  })

/** Takes a drive that was kept, with the reason why; the one in use goes in its place. */
export const takeVariant = (axis: Axis, variant: Variant, nameNow: string, reason: string): Edit =>
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
