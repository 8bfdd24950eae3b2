import type { Axis } from '../../document/axis'
import type { Label } from '../../drawing/labels'
import { bagsOf } from './bags'

/**
 * The labels of an axis' bags: job, axis, number, and of each thing what, how many and where from; a line to write on where nobody has counted.
 *
 * @param linkTo the address at which a bag is opened, for its code
 */
export const bagLabels = (jobName: string, axis: Axis, linkTo?: (bag: string) => string): Label[] =>
  bagsOf(axis).map(({ name, things }) => ({
    ...(linkTo && { link: linkTo(name) }),
    head: name,
    title: `${jobName}, axis ${axis.name}`,
    lines: things.map(({ what, count, from }) => `${count ?? '___'} × ${what}${from ? ` (${from})` : ''}`),
  }))
