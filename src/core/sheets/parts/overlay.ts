import type { DrivePart } from '../../drawing/driveLine'
import type { Subject } from '../../evaluation/finding'
import type { DrawOverlay } from '../sheet'

/** Subjects that stand on the drive line themselves. */
const PART_OF: Partial<Record<Subject, DrivePart>> = {
  screw: 'screw',
  nut: 'nut',
  bearing: 'bearing',
  coupler: 'coupler',
  belt: 'belt',
  motor: 'motor',
}

/** One finding a part, the worst. */
export const partsOverlay: DrawOverlay = ({ findings }) => {
  const seen = new Set<DrivePart>()
  const marks = findings.flatMap(({ subject, stage, title, state }) => {
    const part = PART_OF[subject]
    if (!part || stage !== 'size' || seen.has(part)) return []
    seen.add(part)
    return [{ part, state, text: title }]
  })
  return { marks }
}
