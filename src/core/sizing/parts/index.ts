import { BEARINGS } from './bearings'
import { BELTS } from './belts'
import { COUPLERS } from './couplers'
import { MOTORS } from './motors'
import { SCREWS } from './screws'
import type { Catalogue } from './types'

const byId = <T extends { id: string }>(parts: T[]) => new Map(parts.map(part => [part.id, part]))

/** The invented parts list that ships with the app. */
export const CATALOGUE: Catalogue = {
  screw: byId(SCREWS),
  bearing: byId(BEARINGS),
  coupler: byId(COUPLERS),
  belt: byId(BELTS),
  motor: byId(MOTORS),
}

export type { Catalogue, PartOf } from './types'
