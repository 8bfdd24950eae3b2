import { offered, type RemedyFinder } from '../../evaluation/remedy'

/** A fitting for every point that is not reached. */
export const fitted = (): RemedyFinder =>
  offered(({ axis }) => {
    const shut = axis.lubePoints.filter(({ access }) => access === 'none')
    return shut.length > 0
      ? {
          change: draft => {
            for (const point of draft.lubePoints) if (point.access === 'none') point.access = 'fitting'
          },
          label: `A fitting with a pipe to ${shut.map(({ what }) => what.toLowerCase()).join(', ')}`,
          cost: 'a hole to drill before assembly, and a pipe that clears what moves',
        }
      : null
  })
