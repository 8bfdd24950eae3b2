import type { Axis } from '../document/axis'
import { hasBelt, turnsNut } from '../document/axis'
import type { ScrewEnds } from '../document/kinds'
import { bestHolding, type Wanted } from './best'
import type { DrivePoint, Field } from './field'
import { priceWithoutLinkEur } from './judge'
import type { LinkLevel } from './levels'
import { type DriveSlot, SLOTS } from './slots'

/** What stands in each place of a drive. */
interface Slots {
  screw: string
  ends: ScrewEnds
  bearing: string
  link: string
  motor: string
}

/** A drive with what it changes of today's, and what that costs to buy. */
export interface DriveChange {
  point: DrivePoint
  changed: readonly DriveSlot[]
  spentEur: number
}

const linkId = ({ coupler, belt }: LinkLevel) => coupler?.id ?? belt?.id ?? ''

/** What stands in each place of today's drive; null while one is open, and where the nut turns, which no search tries. */
export function keptSlots({ parts, ends, drive }: Axis): Slots | null {
  if (turnsNut(drive)) return null
  const { screw, bearing, motor } = parts
  const link = hasBelt(drive) ? parts.belt : parts.coupler
  return screw && bearing && motor && link ? { screw, ends, bearing, link, motor } : null
}

/** What of a field is left when today's stays in every place but some. */
function narrowed(field: Field, slots: Slots, open: readonly DriveSlot[]): Field {
  const is = (slot: DriveSlot, id: string) => open.includes(slot) || slots[slot] === id
  return {
    ...field,
    screws: field.screws.filter(({ part, ends }) => is('screw', part.id) && is('ends', ends)),
    bearings: field.bearings.filter(({ part }) => is('bearing', part.id)),
    links: field.links.filter(link => is('link', linkId(link))),
    motors: field.motors.filter(({ part }) => is('motor', part.id)),
  }
}

/** All ways to take so many of the places. */
function choose(count: number, from: readonly DriveSlot[] = SLOTS): DriveSlot[][] {
  if (count === 0) return [[]]
  return from.flatMap((slot, index) => choose(count - 1, from.slice(index + 1)).map(rest => [slot, ...rest]))
}

/** What is bought anew for a drive: the bearings of another far end too, though the set at the fixed one stays. */
function spentEur(field: Field, point: DrivePoint, slots: Slots, changed: readonly DriveSlot[]): number {
  const of = <T extends { part: { id: string }; priceEur: number }>(levels: readonly T[], id: string) =>
    levels.find(({ part }) => part.id === id)?.priceEur ?? 0
  const link = field.links.find(one => linkId(one) === (point.coupler ?? point.belt))?.priceEur ?? 0
  const screw = field.screws.find(({ part, ends }) => part.id === point.screw && ends === point.ends)
  const bearing = field.bearings.find(({ part }) => part.id === point.bearing)
  const held = screw && bearing ? priceWithoutLinkEur(screw, bearing) - screw.priceEur : 0
  const before = field.screws.find(({ part, ends }) => part.id === point.screw && ends === slots.ends)
  const heldBefore = before && bearing ? priceWithoutLinkEur(before, bearing) - before.priceEur : held
  return (
    (changed.includes('screw') ? of(field.screws, point.screw) : 0) +
    (changed.includes('bearing') ? held : changed.includes('ends') ? Math.max(0, held - heldBefore) : 0) +
    (changed.includes('link') ? link : 0) +
    (changed.includes('motor') ? of(field.motors, point.motor) : 0)
  )
}

/**
 * The best drives that change a number of places of today's, one for each set of places, cheapest to change to first.
 *
 * @returns null while no whole drive is chosen today
 */
export function changesFrom(field: Field, axis: Axis, count: number, wanted: Wanted): DriveChange[] | null {
  const slots = keptSlots(axis)
  if (!slots) return null
  return choose(count)
    .flatMap((changed): DriveChange[] => {
      const point = bestHolding(narrowed(field, slots, changed), wanted)
      return point ? [{ point, changed, spentEur: spentEur(field, point, slots, changed) }] : []
    })
    .toSorted((a, b) => a.spentEur - b.spentEur)
}
