/** The money that prices are said and typed in, and how much of it a euro is: prices are kept in euro. */
export interface Currency {
  /** As ISO 4217 has it, such as `USD`. */
  code: string
  perEuro: number
}

export const EURO: Currency = { code: 'EUR', perEuro: 1 }
export const CURRENCIES = [
  'EUR',
  'USD',
  'GBP',
  'CHF',
  'SEK',
  'NOK',
  'DKK',
  'PLN',
  'CZK',
  'CAD',
  'AUD',
  'NZD',
  'JPY',
  'INR',
  'BRL',
  'ZAR',
] as const

/** The sign that a money is known by. */
const signOf = (code: string): string =>
  new Intl.NumberFormat('en', { style: 'currency', currency: code, currencyDisplay: 'narrowSymbol' })
    .formatToParts(1)
    .find(({ type }) => type === 'currency')?.value ?? code

let currency = EURO
let sign = signOf(EURO.code)

/** Sets the money for all that is printed and typed from here on: once, where a page or a worker starts. */
export const setCurrency = (next: Currency = EURO): void => {
  currency = next
  sign = signOf(next.code)
}
/** The money in use. */
export const currencyNow = (): Currency => currency

/** How many of it a euro may be: from a gold coin to the smallest note there is. */
export const PER_EURO = { min: 0.01, max: 1_000_000 } as const

/** Money as it was kept; euro where that is none. @example currencyFrom({ code: 'USD', perEuro: 1.08 }) */
export function currencyFrom(kept: unknown): Currency {
  if (typeof kept !== 'object' || kept === null) return EURO
  const { code, perEuro } = kept as Partial<Currency>
  const isSound =
    (CURRENCIES as readonly unknown[]).includes(code) &&
    typeof perEuro === 'number' &&
    perEuro >= PER_EURO.min &&
    perEuro <= PER_EURO.max
  return isSound ? { code: code as string, perEuro: code === 'EUR' ? 1 : perEuro } : EURO
}

/** The sign of the money in use. @example moneySign() // '€' */
export const moneySign = (): string => sign
