import type { Axis } from '../document/axis'
import type { DimensionKey } from '../document/dimensions'
import type { Provenance } from '../document/kinds'
import { allGoalsFrom } from '../document/work'
import { type AxisTemplate, newAxis } from '../sheets/newJob'

interface Setting extends AxisTemplate {
  id: string
  /** Where the values come from that are more than assumed. */
  known: Partial<Record<Provenance, DimensionKey[]>>
  parts: Partial<Axis['parts']>
  more?: Partial<Axis>
}

/** An axis of a demo machine: a new one with what is known of it filled in. */
export function demoAxis({ id, known, parts, more, ...template }: Setting): Axis {
  const axis = newAxis(template)
  for (const [provenance, keys] of Object.entries(known))
    for (const key of keys)
      axis.dimensions[key] = { ...axis.dimensions[key], provenance: provenance as Provenance }
  // What the shed wants of its machines it has thought about.
  const goalsFrom = allGoalsFrom('wanted')
  return { ...axis, id, goalsFrom, parts: { ...axis.parts, ...parts }, ...more }
}
