import { useLiveQuery } from 'dexie-react-hooks'
import { PART_KINDS, type PartKind } from '@/core/document/kinds'
import type { OwnParts, PartOf } from '@/core/document/parts/types'
import { NO_OWN_PARTS } from '@/core/machine/parts'
import { joinShopParts, readShopParts, type ShopTexts } from '@/core/machine/parts/shopParts'
import { type DuskDatabase, getDatabase } from './database'

const PREFIX = 'shop-parts:'
const keyOf = (kind: PartKind) => `${PREFIX}${kind}`

/** The shop's own list, as it is kept in this browser for every job: a text for each kind that has parts. */
export async function shopTexts(db: DuskDatabase): Promise<ShopTexts> {
  const rows = await db.settings.where('key').startsWith(PREFIX).toArray()
  return Object.fromEntries(rows.map(({ key, value }) => [key.slice(PREFIX.length), value]))
}

/**
 * Puts the parts of a file into the shop's list: also what another tab put in meanwhile stays.
 *
 * @throws RangeError when it would be longer than such a list may be
 */
export const putShopParts = <K extends PartKind>(
  db: DuskDatabase,
  kind: K,
  parts: readonly PartOf[K][],
): Promise<void> =>
  db.transaction('rw', db.settings, async () => {
    const before = (await db.settings.get(keyOf(kind)))?.value as string | undefined
    const joined = joinShopParts(before ? (JSON.parse(before) as PartOf[K][]) : [], parts)
    await db.settings.put({ key: keyOf(kind), value: JSON.stringify(joined) })
  })

/** Takes all parts of a kind out of the shop's list; jobs keep those that they have taken. */
export const dropShopParts = (db: DuskDatabase, kind: PartKind): Promise<void> =>
  db.settings.delete(keyOf(kind))

/** The shop's list as text, which goes over to a worker in no time. */
export const useShopTexts = (): ShopTexts | undefined => useLiveQuery(() => shopTexts(getDatabase()), [])

/** What was read last: whoever shows the same list has the same parts. */
let last: { texts: ShopTexts; parts: OwnParts } = { texts: {}, parts: NO_OWN_PARTS }

/** The parts of the shop's list; none until they are read. */
export function useShopParts(): OwnParts {
  const texts = useShopTexts()
  if (texts && PART_KINDS.some(kind => texts[kind] !== last.texts[kind]))
    last = { texts, parts: readShopParts(texts) }
  return last.parts
}
