import type { Row, ValuesOf } from '../../field/field'
import type { PartKind } from '../kinds'
import type { Shop } from '../shop'
import type { PART_FIELDS } from './fields'

/** A part of each kind, as its fields describe it. */
export type PartOf = { [K in PartKind]: Row<ValuesOf<(typeof PART_FIELDS)[K]>> }

/** A part without what is only of use when it is ordered: how heavy it is, when it comes, and how many are there. */
export type BarePart<K extends PartKind> = Omit<PartOf[K], 'massKg' | 'leadDays' | 'stock'>

/** A parts list, by kind and id. */
export type PartsList = { readonly [K in PartKind]: ReadonlyMap<string, PartOf[K]> }
/** What a job can draw on: the parts to choose from, and the tools and stock at hand. */
export type Catalogue = PartsList & { readonly shop: Shop }

/** Parts that a builder has added to the list. */
export type OwnParts = { readonly [K in PartKind]: readonly PartOf[K][] }
