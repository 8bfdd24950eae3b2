import type { Catalogue, OwnParts } from '../../document/parts/types'
import { SHOP_TO_START, type Shop } from '../../document/shop'

import { BEARINGS } from './bearings'
import { BELTS } from './belts'
import { BRAKES } from './brakes'
import { COUPLERS } from './couplers'
import { MOTORS } from './motors'
import { SCREWS } from './screws'
import { shipped } from './shipped'

/** Parts by id; of two with the same id the one of the earlier list counts. */
function byId<T extends { id: string }>(...lists: (readonly T[])[]): ReadonlyMap<string, T> {
  const parts = new Map<string, T>()
  for (const part of lists.flat()) if (!parts.has(part.id)) parts.set(part.id, part)
  return parts
}

const SHIPPED = {
  screw: shipped('screw', SCREWS),
  bearing: shipped('bearing', BEARINGS),
  coupler: shipped('coupler', COUPLERS),
  belt: shipped('belt', BELTS),
  motor: shipped('motor', MOTORS),
  brake: shipped('brake', BRAKES),
}

/** The invented parts list that ships with the app. */
export const CATALOGUE: Catalogue = {
  screw: byId(SHIPPED.screw),
  bearing: byId(SHIPPED.bearing),
  coupler: byId(SHIPPED.coupler),
  belt: byId(SHIPPED.belt),
  motor: byId(SHIPPED.motor),
  brake: byId(SHIPPED.brake),
  shop: SHOP_TO_START,
}

/** Most parts of a kind that a job takes besides those that ship. */
export const MOST_OWN_PARTS = 1000
/** Most parts of a kind that the shop's own list takes, which stands beside every job. */
export const MOST_SHOP_PARTS = 20_000
export const NO_OWN_PARTS: OwnParts = { screw: [], bearing: [], coupler: [], belt: [], motor: [], brake: [] }

/** By a job's own parts and the shop's. */
const catalogues = new WeakMap<OwnParts, WeakMap<OwnParts, Catalogue>>()

/**
 * What a job can draw on: its own parts first, then those that ship with the app, and its tools.
 *
 * @param shopParts the shop's own list, where it is asked for: parts that may be chosen, and come into the job when they are
 * @returns the same list for the same parts and tools
 */
export function catalogueOf({
  ownParts,
  shop,
  shopParts = NO_OWN_PARTS,
}: {
  ownParts: OwnParts
  shop: Shop
  shopParts?: OwnParts
}): Catalogue {
  const byShop = catalogues.get(ownParts) ?? new WeakMap<OwnParts, Catalogue>()
  const known = byShop.get(shopParts)
  if (known?.shop === shop) return known
  const { screw, bearing, coupler, belt, motor, brake } = ownParts
  const catalogue: Catalogue = {
    screw: byId(screw, SHIPPED.screw, shopParts.screw),
    bearing: byId(bearing, SHIPPED.bearing, shopParts.bearing),
    coupler: byId(coupler, SHIPPED.coupler, shopParts.coupler),
    belt: byId(belt, SHIPPED.belt, shopParts.belt),
    motor: byId(motor, SHIPPED.motor, shopParts.motor),
    brake: byId(brake, SHIPPED.brake, shopParts.brake),
    shop,
  }
  catalogues.set(ownParts, byShop.set(shopParts, catalogue))
  return catalogue
}
