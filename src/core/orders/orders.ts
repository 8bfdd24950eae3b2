import type { Axis } from '../document/axis'
import type { Job, OrderState } from '../document/job'
import type { Catalogue } from '../document/parts/types'
import { OUTCOMES } from '../sheets/asked.generated'
import type { OrderItem } from '../sheets/shared/orders/orderItem'
import type { UnitSystem } from '../units/quantity'

/** An item with what is known of its order. */
export interface OrderLine extends OrderItem {
  state: OrderState
  priceEur: number | null
  leadDays: number | null
  dueDay: string | null
}

/** One screw in so many is dropped where nobody finds it. */
const SPARE_SHARE = 0.1
export const withSpares = (count: number): number => count + Math.max(1, Math.ceil(count * SPARE_SHARE))

/** What every conversion uses up, once for a machine. */
const CONSUMABLES: [key: string, what: string][] = [
  ['use:threadlocker', 'Threadlocker, medium'],
  ['use:grease', 'Grease for ball screws, one cartridge'],
  ['use:dye', 'Marking dye and scriber'],
  ['use:wipes', 'Lint-free wipes and solvent'],
]

type Add = (item: Omit<OrderItem, 'axes'>, axis: string | null) => void

/** Puts the same things of several axes on one line. */
function gather(): { add: Add; items: () => OrderItem[] } {
  const all = new Map<string, OrderItem>()
  return {
    add(item, axis) {
      const known = all.get(item.key)
      if (!known) all.set(item.key, { ...item, axes: axis ? [axis] : [] })
      else {
        known.count += item.count
        if (item.lengths) known.lengths = [...(known.lengths ?? []), ...item.lengths]
        if (axis && !known.axes.includes(axis)) known.axes.push(axis)
      }
    },
    items: () => [...all.values()],
  }
}

/** How many are bought of a kind, which its key begins with; of all else, as many as are needed. */
const BOUGHT: Record<string, (count: number) => number> = { screw: withSpares, nut: withSpares, tap: () => 1 }

/**
 * Everything that a job needs: what each sheet wants for each axis, and what is used up.
 *
 * @returns items in the order of axes and sheets; the same thing for several axes is one of them
 */
export function neededItems(job: Pick<Job, 'axes' | 'units'>, catalogue: Catalogue): OrderItem[] {
  const { add, items } = gather()
  for (const axis of job.axes) for (const item of itemsOf(axis, catalogue, job.units)) add(item, axis.name)
  for (const [key, what] of CONSUMABLES) add({ key, what, count: 1, neededBy: 'room', sheetEur: null }, null)
  // Spares are counted once, over all the joints that take the same screw.
  return items().map(item => {
    const bought = BOUGHT[item.key.split(':')[0] ?? '']
    return bought ? { ...item, count: bought(item.count) } : item
  })
}

type Items = Omit<OrderItem, 'axes'>[]
const itemsByAxis = new WeakMap<Axis, { catalogue: Catalogue; units: UnitSystem; items: Items }>()

/** What one axis needs: worked out once for each state of it, so that a key stroke in one does not reckon the others. */
function itemsOf(axis: Axis, catalogue: Catalogue, units: UnitSystem): Items {
  const known = itemsByAxis.get(axis)
  if (known?.catalogue === catalogue && known.units === units) return known.items
  const items = OUTCOMES.flatMap(sheet => sheet.orders?.(axis, catalogue, units) ?? [])
  itemsByAxis.set(axis, { catalogue, units, items })
  return items
}

/** The order list of a job: what it needs, with what is known of each order. */
export const orderList = (job: Pick<Job, 'axes' | 'orders' | 'units'>, catalogue: Catalogue): OrderLine[] =>
  neededItems(job, catalogue).map(item => {
    const order = job.orders[item.key]
    return {
      ...item,
      state: order?.state ?? 'open',
      priceEur: order?.priceEur ?? item.sheetEur,
      leadDays: order?.leadDays ?? null,
      dueDay: order?.dueDay ?? null,
    }
  })

/** What all lines cost together, as far as prices are known. */
export const totalEurOf = (lines: readonly OrderLine[]): number =>
  lines.reduce((sum, { priceEur, count }) => sum + (priceEur ?? 0) * count, 0)
