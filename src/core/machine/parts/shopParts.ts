import type { Edit } from '../../document/edit'
import { PART_KINDS, type PartKind } from '../../document/kinds'
import type { OwnParts, PartOf } from '../../document/parts/types'
import { CATALOGUE, MOST_SHOP_PARTS, NO_OWN_PARTS } from '.'
import { withTaken } from './partEdits'

/** The shop's own list as it is kept and sent: the parts of each kind as one text, which a worker is handed in no time. */
export type ShopTexts = { readonly [K in PartKind]?: string }

/** The parts of a shop's list. */
export const readShopParts = (texts: ShopTexts): OwnParts =>
  Object.fromEntries(
    PART_KINDS.map(kind => [kind, texts[kind] ? JSON.parse(texts[kind] as string) : NO_OWN_PARTS[kind]]),
  ) as unknown as OwnParts

/**
 * A kind of the shop's list with the parts of a file: new ones are added, those with an id that is there are replaced.
 *
 * @throws RangeError when it would be longer than such a list may be
 */
export function joinShopParts<K extends PartKind>(
  before: readonly PartOf[K][],
  parts: readonly PartOf[K][],
): PartOf[K][] {
  const joined = withTaken(before, parts)
  if (joined.length > MOST_SHOP_PARTS)
    throw new RangeError(
      `The shop's list takes ${MOST_SHOP_PARTS} parts of a kind, and would have ${joined.length}.`,
    )
  return joined
}

/** An edit that chooses parts; those that come from the shop's list are put into the job with it, so that a job has all that it rests on. */
export const withShopParts = (edit: Edit, shopParts: OwnParts): Edit => ({
  ...edit,
  run: (job, ...stamp) => {
    edit.run(job, ...stamp)
    for (const kind of PART_KINDS)
      for (const { parts } of job.axes) {
        const id = parts[kind]
        const own = job.ownParts[kind] as PartOf[PartKind][]
        if (id === null || CATALOGUE[kind].has(id) || own.some(part => part.id === id)) continue
        const part = (shopParts[kind] as readonly PartOf[PartKind][]).find(one => one.id === id)
        if (part) own.push(part)
      }
  },
})
