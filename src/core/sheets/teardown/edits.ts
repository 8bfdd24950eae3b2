import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import type { Slide } from '../shared/steps/model'

type Counts = Axis['bagged'][string]

/** Says what the axis moves. */
export const setSlide = (axis: Axis, slide: Slide | null): Edit =>
  onAxis(axis, 'What it moves', draft => {
    draft.slide = slide
  })

/** Notes how many of a thing went into its bag, or were found in it again. */
export const setBagged = (
  axis: Axis,
  thing: { id: string; what: string },
  change: Partial<Counts>,
  mergeKey?: string,
): Edit =>
  onAxis(
    axis,
    `${thing.what}, in its bag`,
    draft => {
      const next = { ...(draft.bagged[thing.id] ?? { count: null, foundCount: null }), ...change }
      if (next.count === null && next.foundCount === null) delete draft.bagged[thing.id]
      else draft.bagged[thing.id] = next
    },
    { mergeKey },
  )
