import { length, numbers, record, type ValueOf } from '../field/field'
import { MM_PER_INCH } from '../units/quantity'
import type { Edit } from './edit'

/** What the builder owns that making room calls for. */
export const SHOP = record('Shop', {
  cutterSizesMm: numbers('Cutters at hand', length('Cutter', [0.5, 500]), 100),
  shimStockMm: numbers('Shim stock at hand', length('Shim', [0.001, 10]), 100),
})
export type Shop = ValueOf<typeof SHOP>

export const SHOP_TO_START: Shop = {
  cutterSizesMm: [16, 20, 25, 32, 40, 50, 60],
  shimStockMm: [0.02, 0.03, 0.05, 0.1, 0.2, 0.5],
}

/** What a shop that works in inches starts with. */
export const SHOP_TO_START_INCH: Shop = {
  cutterSizesMm: [0.625, 0.75, 1, 1.25, 1.5, 2, 2.5].map(inches => inches * MM_PER_INCH),
  shimStockMm: [0.001, 0.002, 0.005, 0.01, 0.02].map(inches => inches * MM_PER_INCH),
}

/** Sets the sizes of a kind of tool or stock that the builder owns, smallest first and each once. */
export const setShop = (kind: keyof Shop, sizesMm: readonly number[]): Edit => ({
  label: SHOP.of[kind].label,
  run: job => {
    job.shop = { ...job.shop, [kind]: [...new Set(sizesMm)].toSorted((a, b) => a - b) }
  },
})
