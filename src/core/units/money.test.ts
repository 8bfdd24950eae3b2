import { marksOf, setMarks } from './marks'
import { CURRENCIES, currencyFrom, EURO, moneySign, setCurrency } from './money'
import { parseQuantity } from './parse'
import { money } from './print'
import { quantityFacts } from './quantity'

afterEach(() => {
  setCurrency()
  setMarks()
})

test('a price is said in the money of the shop, at its rate, thousands set apart', () => {
  expect(money(1234.5)).toBe('€1,235')
  expect(money(1234.5, 2)).toBe('€1,234.50')
  setCurrency({ code: 'USD', perEuro: 1.08 })
  expect(money(100)).toBe('$108')
  expect(money(-100)).toBe('−$108')
  setCurrency({ code: 'SEK', perEuro: 11.5 })
  expect(money(100, 2)).toBe('kr\u00a01,150.00')
  setMarks(marksOf('de-DE'))
  expect(money(100, 2)).toBe('kr\u00a01\u202f150,00')
})

test('what is typed in it is kept in euro, and comes back as it was typed', () => {
  setCurrency({ code: 'USD', perEuro: 1.08 })
  const { unit, perUnit } = quantityFacts('money').inch
  expect(unit).toBe('$')
  const read = parseQuantity('340', 'money', 'inch')
  expect(read.ok && read.value).toBeCloseTo(340 / 1.08, 9)
  expect(read.ok && (read.value ?? 0) / perUnit).toBeCloseTo(340, 9)
  const euro = parseQuantity('100 eur', 'money', 'inch')
  expect(euro.ok && euro.value).toBe(100)
})

test('every money has a sign; what was kept damaged, or of an unknown money, is euro', () => {
  for (const code of CURRENCIES) {
    setCurrency({ code, perEuro: 2 })
    expect(moneySign().length).toBeGreaterThan(0)
  }
  expect(currencyFrom({ code: 'USD', perEuro: 1.08 })).toEqual({ code: 'USD', perEuro: 1.08 })
  expect(currencyFrom({ code: 'EUR', perEuro: 3 })).toEqual(EURO)
  for (const kept of [
    null,
    'USD',
    { code: 'XXX', perEuro: 1 },
    { code: 'USD', perEuro: 0 },
    { code: 'USD', perEuro: '1' },
  ])
    expect(currencyFrom(kept)).toEqual(EURO)
})
