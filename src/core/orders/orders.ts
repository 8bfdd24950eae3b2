import type { Job, PartKind } from '../document/job'
import { neededParts } from '../machine/neededParts'
import type { Catalogue, PartOf } from '../machine/parts'
import { bearingStack } from '../sheets/bearingBlock/calculation'
import { holeEnlarge } from '../sheets/holes/calculation'
import type { BearingBlock, OrderState } from '../sheets/making'
import { blockInputs, holeInputs, type JudgedJoint, judgeJoint, shimsFor } from '../sheets/makingInputs'

/** Something that a conversion needs and that may have to be bought. */
export interface OrderItem {
  /** The same for the same thing in every job, such as `screw:M8 x 40 8.8`. */
  key: string
  what: string
  count: number
  /** Names of the axes that it is for; none where it is for all. */
  axes: string[]
  neededBy: 'room' | 'build'
  /** Price of one as its sheet says, where there is one. */
  sheetEur: number | null
}

/** An item with what is known of its order. */
export interface OrderLine extends OrderItem {
  state: OrderState
  priceEur: number | null
  leadDays: number | null
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
        if (axis && !known.axes.includes(axis)) known.axes.push(axis)
      }
    },
    items: () => [...all.values()],
  }
}

/** How many are bought of a kind, which its key begins with; of all else, as many as are needed. */
const BOUGHT: Record<string, (count: number) => number> = { screw: withSpares, nut: withSpares, tap: () => 1 }

/** Whether the screws of a joint must be bought: those that came with the part and hold need not be. */
export const lacksScrews = ({ chosenMm, supplied }: JudgedJoint): boolean =>
  chosenMm !== null && supplied?.verdict !== 'ok'

/** Thickness that a block is short of and that the stock at hand does not make; null where nothing lacks. */
function shimLacking(block: BearingBlock | null, stockMm: readonly number[]): number | null {
  if (!block) return null
  const { shimMm, proudMm, verdict } = bearingStack(blockInputs(block))
  if (verdict !== 'shim' || shimsFor(shimMm, block.maximumProudMm - proudMm, stockMm)) return null
  return Math.round(shimMm * 1000) / 1000
}

/**
 * Everything that a job needs: the parts that are chosen, screws and slot nuts with spares, taps for the threads,
 * bar for the bungs, cutters that no hole can do without, and what is used up.
 */
export function neededItems(job: Pick<Job, 'axes'>, catalogue: Catalogue): OrderItem[] {
  const { add, items } = gather()
  for (const axis of job.axes) {
    for (const kind of neededParts(axis)) {
      const part = (catalogue[kind as PartKind] as ReadonlyMap<string, PartOf[PartKind]>).get(
        axis.parts[kind] ?? '',
      )
      if (!part) continue
      add(
        {
          key: `part:${part.id}`,
          what: part.name,
          count: axis.drive.screws,
          neededBy: 'build',
          sheetEur: part.priceEur,
        },
        axis.name,
      )
    }
    for (const joint of axis.making.joints) {
      const judged = judgeJoint(joint)
      const { chosenMm, drills } = judged
      if (joint.slotNuts)
        add(
          {
            key: `nut:${joint.thread}`,
            what: `Slot nuts ${joint.thread}, with spares`,
            count: joint.count,
            neededBy: 'build',
            sheetEur: null,
          },
          axis.name,
        )
      else
        add(
          {
            key: `tap:${joint.thread}`,
            what: `Tap ${joint.thread} and tap drill ${drills.tapDrillMm.toFixed(1)} mm`,
            count: 1,
            neededBy: 'room',
            sheetEur: null,
          },
          axis.name,
        )
      if (!lacksScrews(judged)) continue
      const name = `${joint.thread} x ${chosenMm} ${joint.propertyClass}`
      add(
        {
          key: `screw:${name}`,
          what: `Cap screws ${name}, with spares`,
          count: joint.count,
          neededBy: 'build',
          sheetEur: null,
        },
        axis.name,
      )
    }
    const shimMm = shimLacking(axis.making.block, catalogue.shop.shimStockMm)
    if (shimMm !== null)
      add(
        {
          key: `shim:${shimMm}`,
          what: `Shim stock that makes ${shimMm} mm`,
          count: 1,
          neededBy: 'room',
          sheetEur: null,
        },
        axis.name,
      )
    for (const hole of axis.making.holes) {
      if (hole.existingDiameterMm > 0)
        add(
          {
            key: `bar:${hole.existingDiameterMm}`,
            what: `Round bar for guide bungs, ${hole.existingDiameterMm} mm or a little more`,
            count: 1,
            neededBy: 'room',
            sheetEur: null,
          },
          axis.name,
        )
      const { neededDiameterMm, verdict } = holeEnlarge(holeInputs(hole, catalogue.shop.cutterSizesMm))
      if (verdict === 'no-cutter')
        add(
          {
            key: `cutter:${neededDiameterMm}`,
            what: `Hole cutter, ${neededDiameterMm} mm or a little more`,
            count: 1,
            neededBy: 'room',
            sheetEur: null,
          },
          axis.name,
        )
    }
  }
  for (const [key, what] of CONSUMABLES) add({ key, what, count: 1, neededBy: 'room', sheetEur: null }, null)
  // Spares are counted once, over all the joints that take the same screw.
  return items().map(item => {
    const bought = BOUGHT[item.key.split(':')[0] ?? '']
    return bought ? { ...item, count: bought(item.count) } : item
  })
}

/** The order list of a job: what it needs, with what is known of each order. */
export const orderList = (job: Pick<Job, 'axes' | 'orders'>, catalogue: Catalogue): OrderLine[] =>
  neededItems(job, catalogue).map(item => {
    const order = job.orders[item.key]
    return {
      ...item,
      state: order?.state ?? 'open',
      priceEur: order?.priceEur ?? item.sheetEur,
      leadDays: order?.leadDays ?? null,
    }
  })
