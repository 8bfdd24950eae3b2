import type { Edit } from '../document/edit'
import type { Order, OrderState } from '../document/job'
import type { Quote } from './supplier'

/** Notes how the order of something stands. */
export const setOrderStates = (
  states: readonly { key: string; what: string; state: OrderState }[],
  fileName?: string,
): Edit => ({
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

/** Notes on which day something comes that is ordered. */
export const setDueDay = (key: string, what: string, dueDay: string | null): Edit => ({
  label: `${what}: comes on`,
  run: job => {
    job.orders = { ...job.orders, [key]: { ...(job.orders[key] ?? NO_ORDER), dueDay } }
  },
})

/** Takes prices and lead times that a supplier gives; what it does not have stays as it was. */
export const takeQuotes = (quotes: readonly Quote[]): Edit => ({
  label: 'Prices of the supplier',
  run: job => {
    const orders = { ...job.orders }
    for (const { key, priceEur, leadDays } of quotes)
      orders[key] = { ...(orders[key] ?? NO_ORDER), priceEur, leadDays }
    job.orders = orders
  },
})

const NO_ORDER: Order = { state: 'open', priceEur: null, leadDays: null, dueDay: null }
