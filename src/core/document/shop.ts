import {
  choiceOrNone,
  length,
  numberOf,
  numbers,
  plain,
  record,
  rows,
  smallLength,
  type ValueOf,
} from '../field/field'
import { MM_PER_INCH } from '../units/quantity'
import { READING_UNITS } from '../units/readingUnit'
import type { Edit } from './edit'

/** What a drill's clutch pulls on a lever at some of its settings: from then on a setting is a torque. */
export const CLUTCH_PULLS = rows(
  'Pull at a setting',
  {
    setting: plain('Setting', [0, 60], { blank: 1 }),
    pullN: numberOf('pull')('Pull where it slips', [0, 5000], { orNone: true }),
  },
  { most: 40 },
)

/** What the builder owns: what making room calls for, and the gauge. */
export const SHOP = record('Shop', {
  cutterSizesMm: numbers('Cutters at hand', length('Cutter', [0.5, 500]), 100),
  shimStockMm: numbers('Shim stock at hand', length('Shim', [0.001, 10]), 100),
  /** What one mark of the gauge is worth; new rounds and tests start with it. */
  gaugeStepUm: smallLength('Step of the gauge', [0.01, 1000], { orNone: true }),
  /** What a reading is in that is typed without its unit; none goes by the units of the job. */
  readingUnit: choiceOrNone('Readings are typed in', READING_UNITS, { um: 'µm' }),
  /** The clutch of the drill, once for each drill. */
  clutchLeverMm: length('Lever on the chuck', [5, 2000], { blank: 150 }),
  clutchPulls: CLUTCH_PULLS,
})
export type Shop = ValueOf<typeof SHOP>

export const SHOP_TO_START: Shop = {
  gaugeStepUm: null,
  readingUnit: null,
  clutchLeverMm: 150,
  clutchPulls: [],
  cutterSizesMm: [16, 20, 25, 32, 40, 50, 60],
  shimStockMm: [0.02, 0.03, 0.05, 0.1, 0.2, 0.5],
}

/** What a shop that works in inches starts with. */
export const SHOP_TO_START_INCH: Shop = {
  gaugeStepUm: null,
  readingUnit: null,
  clutchLeverMm: 150,
  clutchPulls: [],
  cutterSizesMm: [0.625, 0.75, 1, 1.25, 1.5, 2, 2.5].map(inches => inches * MM_PER_INCH),
  shimStockMm: [0.001, 0.002, 0.005, 0.01, 0.02].map(inches => inches * MM_PER_INCH),
}

/**
 * Whether what stands for a kind of tool or stock is still the usual set that a shop starts with: nobody has said what is
 * really at hand.
 *
 * @example isUsual(SHOP_TO_START, 'cutterSizesMm') // true
 */
export const isUsual = (shop: Shop, kind: 'cutterSizesMm' | 'shimStockMm'): boolean =>
  [SHOP_TO_START, SHOP_TO_START_INCH].some(
    usual =>
      usual[kind].length === shop[kind].length &&
      usual[kind].every((sizeMm, index) => Math.abs(sizeMm - (shop[kind][index] ?? 0)) < 1e-9),
  )

/** Sets the sizes of a kind of tool or stock that the builder owns, smallest first and each once. */
export const setShop = (kind: 'cutterSizesMm' | 'shimStockMm', sizesMm: readonly number[]): Edit => ({
  label: SHOP.of[kind].label,
  run: job => {
    job.shop = { ...job.shop, [kind]: [...new Set(sizesMm)].toSorted((a, b) => a - b) }
  },
})

/** The unit in which readings are typed that have none. */
export const setReadingUnit = (readingUnit: Shop['readingUnit']): Edit => ({
  label: 'Readings are typed in',
  run: job => {
    job.shop = { ...job.shop, readingUnit }
  },
})

/** An edit that names the step of a gauge, which is then the builder's gauge: what is read next starts with it. */
export const withGauge = (edit: Edit, gaugeStepUm: number | null): Edit => ({
  ...edit,
  run: (job, ...stamp) => {
    edit.run(job, ...stamp)
    job.shop = { ...job.shop, gaugeStepUm }
  },
})
