import { type Currency, currencyFrom } from '@/core/units/money'

const KEY = 'dusk-currency'

/** The money that was chosen for this shop in this browser; euro where none was. */
export function keptCurrency(): Currency {
  try {
    return currencyFrom(JSON.parse(localStorage.getItem(KEY) ?? 'null'))
  } catch {
    return currencyFrom(null)
  }
}

/**
 * Keeps the money of the shop, and loads the page anew: every screen, worker and paper speaks it from its start on.
 *
 * @throws Error where the browser keeps nothing
 */
export function keepCurrency(next: Currency): void {
  localStorage.setItem(KEY, JSON.stringify(next))
  window.location.reload()
}
