import type { Edit } from '../../document/edit'
import type { Job } from '../../document/job'
import type { PartKind } from '../../document/kinds'
import type { PartOf } from '../../document/parts/types'
import { MOST_OWN_PARTS } from '.'

const listOf = <K extends PartKind>(job: Job, kind: K) => job.ownParts[kind] as PartOf[K][]

/** Puts a part of one's own in, or in the place of the one with its id. */
export const putOwnPart = <K extends PartKind>(kind: K, part: PartOf[K], isNew: boolean): Edit => ({
  label: isNew ? `${part.name} added to the parts` : `${part.name} changed`,
  run: job => {
    const parts = listOf(job, kind)
    const place = parts.findIndex(({ id }) => id === part.id)
    if (place >= 0) parts[place] = part
    else parts.push(part)
  },
  entry: {
    axisId: null,
    kind: 'part',
    text: isNew ? `Part of our own added: ${part.name}.` : `Part of our own changed: ${part.name}.`,
  },
})

/**
 * Takes a part of one's own out. What it was chosen for is open again.
 */
export const removeOwnPart = <K extends PartKind>(kind: K, part: PartOf[K]): Edit => ({
  label: `${part.name} taken out of the parts`,
  run: job => {
    const parts = listOf(job, kind)
    const place = parts.findIndex(({ id }) => id === part.id)
    if (place >= 0) parts.splice(place, 1)
    for (const axis of job.axes) if (axis.parts[kind] === part.id) axis.parts[kind] = null
  },
  entry: { axisId: null, kind: 'part', text: `Part of our own taken out: ${part.name}.` },
})

/** A list with the parts of a file: new ones are added, and those with an id that is there come in its place. */
export const withTaken = <P extends { id: string }>(before: readonly P[], parts: readonly P[]): P[] => {
  const taken = new Set(parts.map(({ id }) => id))
  return [...before.filter(({ id }) => !taken.has(id)), ...parts]
}

/** Takes the parts of a file: new ones are added, those that stand here under the same id are replaced. */
export const takeParts = <K extends PartKind>(
  kind: K,
  parts: readonly PartOf[K][],
  fileName: string,
): Edit => ({
  label: `${parts.length} parts taken from ${fileName}`,
  run: job => {
    // All at once, so that it is one patch of the history however long the list.
    const joined = withTaken(job.ownParts[kind] as readonly PartOf[K][], parts)
    job.ownParts = { ...job.ownParts, [kind]: joined.slice(0, MOST_OWN_PARTS) }
  },
  entry: {
    axisId: null,
    kind: 'part',
    text: `${parts.length} ${parts.length === 1 ? 'part' : 'parts'} of our own taken from ${fileName}.`,
  },
})
