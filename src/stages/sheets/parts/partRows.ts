import type { PartKind } from '@/core/document/kinds'
import type { Catalogue, PartOf } from '@/core/document/parts/types'

import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'

/** One part as a row of the choosing table. */
export interface PartRow {
  id: string
  name: string
  maker: string
  priceEur: number
  /** Whether the builder has added it, or it stands in the shop's list; null where it ships with the app. */
  of: 'own' | 'shop' | null
  /** The two figures that tell parts of this kind apart. */
  first: { text: string; value: number }
  second: { text: string; value: number }
}

type Figure = { text: string; value: number }
const COLUMNS: {
  [K in PartKind]: {
    heads: [string, string]
    figures: (part: PartOf[K], units: UnitSystem) => [Figure, Figure]
  }
} = {
  screw: {
    heads: ['Lead', 'Nut length'],
    figures: (part, units) => [length(part.leadMm, units), length(part.nutBodyLengthMm, units)],
  },
  bearing: {
    heads: ['Bore', 'Preload'],
    figures: (part, units) => [
      length(part.boreMm, units),
      { text: say(part.preloadN, 'force', units), value: part.preloadN },
    ],
  },
  coupler: {
    heads: ['Rated', 'Bores'],
    figures: (part, units) => [
      { text: say(part.ratedTorqueNm, 'torque', units), value: part.ratedTorqueNm },
      {
        text: `${say(part.smallestBoreMm, 'length', units)} – ${say(part.largestBoreMm, 'length', units)}`,
        value: part.largestBoreMm,
      },
    ],
  },
  belt: {
    heads: ['Teeth', 'Rated pull'],
    figures: (part, units) => [
      { text: `${part.teethMotor} : ${part.teethScrew}`, value: part.teethScrew / part.teethMotor },
      { text: say(part.ratedPullN, 'force', units), value: part.ratedPullN },
    ],
  },
  motor: {
    heads: ['Torque', 'Shaft'],
    figures: (part, units) => [
      { text: say(part.holdingTorqueNm, 'torque', units), value: part.holdingTorqueNm },
      length(part.shaftMm, units),
    ],
  },
  brake: {
    heads: ['Holds', 'Bores'],
    figures: (part, units) => [
      { text: say(part.holdingTorqueNm, 'torque', units), value: part.holdingTorqueNm },
      {
        text: `${say(part.smallestBoreMm, 'length', units)} – ${say(part.largestBoreMm, 'length', units)}`,
        value: part.largestBoreMm,
      },
    ],
  },
}
const length = (mm: number, units: UnitSystem): Figure => ({ text: say(mm, 'length', units), value: mm })

/** Heads of the two columns in which parts of a kind differ most. */
export const columnHeads = (kind: PartKind) => COLUMNS[kind].heads

/** Every part of a kind with its figures, and whose it is. */
export function partRows<K extends PartKind>(
  catalogue: Catalogue,
  kind: K,
  units: UnitSystem,
  { own, shops }: { own: readonly { id: string }[]; shops: readonly { id: string }[] },
): PartRow[] {
  const ownIds = new Set(own.map(({ id }) => id))
  const shopIds = new Set(shops.map(({ id }) => id))
  const figures = COLUMNS[kind].figures as (part: PartOf[K], units: UnitSystem) => [Figure, Figure]
  return [...(catalogue[kind] as ReadonlyMap<string, PartOf[K]>).values()].map(part => {
    const [first, second] = figures(part, units)
    const { id, name, maker, priceEur } = part
    const of = ownIds.has(id) ? 'own' : shopIds.has(id) ? 'shop' : null
    return { id, name, maker, priceEur, of, first, second }
  })
}

/** Rows whose name or maker has every word that was typed. */
export function rowsNamed(rows: PartRow[], typed: string): PartRow[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean)
  return rows.filter(({ name, maker }) => {
    const text = `${name} ${maker}`.toLowerCase()
    return words.every(word => text.includes(word))
  })
}
