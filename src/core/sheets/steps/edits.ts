import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'

/** Ticks a step of the build, or takes the tick off. */
export const tickStep = (axis: Axis, step: { id: string; title: string }, at: string | null): Edit =>
  onAxis(
    axis,
    `${step.title}: ${at ? 'done' : 'open again'}`,
    draft => {
      if (at) draft.ticks[step.id] = at
      else delete draft.ticks[step.id]
    },
    { entry: { axisId: axis.id, kind: 'step', text: `${at ? 'Done' : 'Open again'}: ${step.title}.` } },
  )
