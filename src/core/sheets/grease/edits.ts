import type { Axis } from '../../document/axis'
import type { Edit } from '../../document/edit'
import { onAxis } from '../../document/edits'
import { newId } from '../../document/id'
import { GREASINGS } from './model'
import { usualPoints } from './points'

/** Notes that the axis was greased, in the log too. */
export const addGreasing = (axis: Axis, at: string, who: string): Edit =>
  onAxis(
    axis,
    'Greased',
    draft => {
      draft.greasings = [...draft.greasings.slice(1 - GREASINGS.most), { id: newId(), at, who }]
    },
    {
      entry: {
        axisId: axis.id,
        kind: 'note',
        text: `Greased${who ? ` by ${who}` : ''}: ${axis.lubePoints.map(({ what }) => what.toLowerCase()).join(', ') || 'no points entered'}.`,
      },
    },
  )

/** Puts the points in that an axis of its kind usually has. */
export const addUsualPoints = (axis: Axis): Edit =>
  onAxis(axis, 'Usual grease points', draft => {
    const known = new Set(draft.lubePoints.map(({ what }) => what))
    for (const point of usualPoints(axis))
      if (!known.has(point.what)) draft.lubePoints.push({ ...point, id: newId() })
  })
