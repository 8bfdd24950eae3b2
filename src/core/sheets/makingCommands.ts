import type { Command } from '../document/edit'
import { onAxis } from '../document/edits'
import type { Axis } from '../document/job'
import type { Quote } from '../orders/supplier'
import type { Making, Order, OrderState, Shop } from './making'

/** Changes something of what is measured and planned to make room. */
export const setMaking = (
  axis: Axis,
  label: string,
  run: (making: Making) => void,
  mergeKey?: string,
): Command => onAxis(axis, label, draft => run(draft.making), { mergeKey })

const SHOP_WORDS: Record<keyof Shop, string> = {
  cutterSizesMm: 'Cutters at hand',
  shimStockMm: 'Shim stock at hand',
}

/** Sets the sizes of a kind of tool or stock that the builder owns, smallest first and each once. */
export const setShop = (kind: keyof Shop, sizesMm: readonly number[]): Command => ({
  label: SHOP_WORDS[kind],
  run: job => {
    job.shop = { ...job.shop, [kind]: [...new Set(sizesMm)].toSorted((a, b) => a - b) }
  },
})

/** Notes how the order of something stands. */
export const setOrderStates = (
  states: readonly { key: string; what: string; state: OrderState }[],
  fileName?: string,
): Command => ({
  label: fileName ? `Orders taken from ${fileName}` : `${states[0]?.what}: ${states[0]?.state}`,
  run: job => {
    const orders = { ...job.orders }
    for (const { key, state } of states) orders[key] = { ...(orders[key] ?? NO_ORDER), state }
    job.orders = orders
  },
  entry: {
    axisId: null,
    kind: 'part',
    text: fileName
      ? `${states.length} orders noted from ${fileName}.`
      : `${states[0]?.what}: ${states[0]?.state}.`,
  },
})

/** Takes prices and lead times that a supplier gives; what it does not have stays as it was. */
export const takeQuotes = (quotes: readonly Quote[]): Command => ({
  label: 'Prices of the supplier',
  run: job => {
    const orders = { ...job.orders }
    for (const { key, priceEur, leadDays } of quotes)
      orders[key] = { ...(orders[key] ?? NO_ORDER), priceEur, leadDays }
    job.orders = orders
  },
})

const NO_ORDER: Order = { state: 'open', priceEur: null, leadDays: null }
