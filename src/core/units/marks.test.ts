import fc from 'fast-check'
import { marksOf, setMarks } from './marks'
import { parseQuantity } from './parse'
import { printDigits, printField, printFixed, printNumber, say } from './print'
import { QUANTITIES, type QuantityKind } from './quantity'

afterEach(() => setMarks())

const read = (text: string, kind: 'length' | 'speed' | 'force' = 'length') => {
  const parsed = parseQuantity(text, kind, 'mm')
  return parsed.ok ? parsed.value : parsed.message
}

test.each([
  ['en-US', '.', ','],
  ['en-GB', '.', ','],
  ['de-DE', ',', '\u202f'],
  ['fr-FR', ',', '\u202f'],
  ['es-ES', ',', '\u202f'],
  ['de-CH', '.', '’'],
  ['ar-EG', '.', ','],
])('%s sets decimals by %j and thousands by %j', (locale, decimal, group) => {
  const marks = marksOf(locale)
  // The Swiss apostrophe is straight or curved, by the age of the tables.
  expect({ ...marks, group: marks.group.replace("'", '’') }).toEqual({ decimal, group })
})

describe('a figure is read as it is written', () => {
  test.each<[string, number]>([
    ['1 234,5', 1234.5],
    ['1 234.5', 1234.5],
    ['1\u202f234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1.234,5', 1234.5],
    ["1'234.5", 1234.5],
    ['1,234,567', 1_234_567],
    ['1.234.567', 1_234_567],
    ['12,7', 12.7],
    [',5', 0.5],
    ['0,125', 0.125],
    ['3.000', 3],
    ['1e3', 1000],
    ['1.5E-2', 0.015],
    ['1e3 mm', 1000],
    ['2,5e1', 25],
    ['-1 234', -1234],
    ['12 1/2', 12.5],
    ['1 234 in', 1234 * 25.4],
  ])('%j', (text, mm) => {
    expect(read(text)).toBeCloseTo(mm, 9)
  })

  test.each(['1 23', '1,23,456', '1.2.3', '1,2,3', '12 34', '1e', 'e3', '1 234/5 6', "1'23", '1e9999'])(
    '%j is no number',
    text => {
      expect(read(text)).toMatch(/^Got “/)
    },
  )
})

describe('one mark before three digits', () => {
  test('is for thousands where values are never worth three decimals, and asked about where they are', () => {
    expect(read('3,000', 'speed')).toBe(3000)
    expect(read('3,000 N', 'force')).toBe(3000)
    expect(read('3,000')).toContain('A comma before three digits can be read two ways')
    expect(read('0,001')).toBe(0.001)
  })

  test('in a language of decimal commas the comma is for decimals, and a point asked about where it is for none', () => {
    setMarks(marksOf('de-DE'))
    expect(read('3,000')).toBe(3)
    expect(read('3.000')).toBe(3)
    expect(read('3,000', 'speed')).toContain('A comma before three digits can be read two ways')
    expect(read('3.000', 'speed')).toContain('A point before three digits can be read two ways')
    expect(read('3 000', 'speed')).toBe(3000)
  })
})

test.each(['en-US', 'de-DE', 'fr-FR', 'de-CH', 'pl-PL', 'hi-IN'])(
  'in %s everything that is printed can be typed, or is asked about and never misread',
  locale => {
    setMarks(marksOf(locale))
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(QUANTITIES) as QuantityKind[])),
        fc.constantFrom('mm' as const, 'inch' as const),
        fc.oneof(
          fc.double({ min: -20_000, max: 20_000, noNaN: true }),
          fc.integer({ min: -5000, max: 5000 }).map(hundredths => hundredths / 100),
        ),
        (kind, system, value) => {
          for (const text of [printField(value, kind, system), say(value, kind, system)]) {
            const parsed = parseQuantity(text, kind, system)
            if (!parsed.ok) expect(parsed.message).toContain('can be read two ways')
            else expect(say(parsed.value, kind, system)).toBe(say(value, kind, system))
          }
        },
      ),
    )
  },
)

test('figures of charts and workings follow the language', () => {
  setMarks(marksOf('de-DE'))
  expect(printFixed(1234.5, 2)).toBe('1\u202f234,50')
  expect(printDigits(0.123456, 3)).toBe('0,123')
  expect(printNumber(0.000012)).toBe('1,200 × 10^-5')
  expect(say(12_700.5, 'length', 'mm')).toBe('12\u202f700,5 mm')
})
