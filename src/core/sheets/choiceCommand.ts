import type { Command } from '../document/edit'
import { onAxis } from '../document/edits'
import type { Axis } from '../document/job'
import { choosePart, setEnds } from '../machine/driveEdits'
import type { Catalogue } from '../machine/parts'
import { type Choice, withChoice } from './choice'

/** The command that makes a choice, such as a way out offered by a verdict. */
export function applyChoice(axis: Axis, catalogue: Catalogue, choice: Choice, label: string): Command {
  if (choice.kind === 'part') return choosePart(axis, catalogue, choice.part, choice.partId)
  if (choice.kind === 'ends') return setEnds(axis, choice.ends)
  return onAxis(axis, label, draft => {
    const { goals, room, preloadN, driveSizes, dimensions, making } = withChoice(draft, choice)
    Object.assign(draft.goals, goals)
    Object.assign(draft.room, room)
    Object.assign(draft.driveSizes, driveSizes)
    Object.assign(draft.dimensions, dimensions)
    draft.preloadN = preloadN
    Object.assign(draft.making.section, making.section)
    if (draft.making.block) Object.assign(draft.making.block, making.block)
    for (const [index, joint] of draft.making.joints.entries())
      joint.suppliedMm = making.joints[index]?.suppliedMm ?? null
  })
}
