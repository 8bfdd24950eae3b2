import fc from 'fast-check'
import { parseQuantity } from './parse'
import { printField, printNumber, printQuantity, say, saySold } from './print'
import type { QuantityKind, UnitSystem } from './quantity'

const read = (text: string, kind: QuantityKind = 'length', system: UnitSystem = 'mm') => {
  const parsed = parseQuantity(text, kind, system)
  if (!parsed.ok) throw new Error(parsed.message)
  return parsed.value
}
const refuse = (text: string, kind: QuantityKind = 'length') => {
  const parsed = parseQuantity(text, kind, 'mm')
  return parsed.ok ? `read as ${parsed.value}` : parsed.message
}

describe('reading quantities', () => {
  test.each([
    ['12.7', 12.7],
    ['12,7', 12.7],
    ['.5', 0.5],
    ['-3', -3],
    ['−3', -3],
    ['1/2 in', 12.7],
    ['1/2"', 12.7],
    ['2-3/8"', 60.325],
    ['2 3/8 in', 60.325],
    ['-2-3/8"', -60.325],
    ['0.002"', 0.0508],
    ['2 thou', 0.0508],
    ['2thou', 0.0508],
    ['50 um', 0.05],
    ['50 µm', 0.05],
    ['50μm', 0.05],
    ['3 cm', 30],
    ['1 ft', 304.8],
    ['0,125', 0.125],
    [' 7 MM ', 7],
  ])('%s in a metric length field is %d mm', (text, mm) => {
    expect(read(text)).toBeCloseTo(mm, 10)
  })

  test('a bare number is in the units of the job', () => {
    expect(read('1', 'length', 'inch')).toBe(25.4)
    expect(read('2', 'smallLength', 'inch')).toBeCloseTo(50.8, 10)
    expect(read('100', 'speed', 'inch')).toBe(2540)
    expect(read('45', 'share', 'inch')).toBeCloseTo(0.45, 12)
    expect(read('3 m/min', 'speed')).toBe(3000)
    expect(read('10 lbf', 'force')).toBeCloseTo(44.482216, 6)
  })

  test.each([
    ['', 'Type a number in mm.'],
    ['abc', 'Got “abc”. Takes a number or a fraction'],
    ['1/0', 'A fraction cannot have 0 below the line.'],
    ['5 furlongs', 'The unit “furlongs” is not known here'],
    ['1,234', 'A comma before three digits can be read two ways'],
    ['1/', 'Takes a number'],
    ['1.2.3', 'Takes a number'],
    ['9'.repeat(400), 'too large'],
  ])('%s is refused with a reason', (text, reason) => {
    expect(refuse(text)).toContain(reason)
  })

  test('an em-space, an odd quote or a kilogram do not slip through', () => {
    expect(refuse('5 kg')).toContain('takes mm')
    expect(read('3”')).toBeCloseTo(76.2, 10)
  })
})

describe('printing quantities', () => {
  test('figures are short, units apart, thousands set apart in sentences', () => {
    expect(printQuantity(12.7, 'length', 'inch')).toEqual({ figure: '0.5', unit: 'in' })
    expect(printField(9.525, 'length', 'inch')).toBe('0.375')
    expect(printField(-0.00001, 'length', 'mm')).toBe('0')
    expect(say(12_700, 'length', 'mm')).toBe('12,700 mm')
    expect(say(0.125, 'share', 'mm')).toBe('12.5%')
    expect(say(10, 'share', 'mm')).toBe('1,000%')
    expect(say(90, 'angle', 'inch')).toBe('90°')
    expect(printNumber(11_818.635)).toBe('11,818.6')
    expect(printNumber(2.5e-5)).toBe('2.500 × 10^-5')
  })

  test('what a field shows reads back as what is stored, to what the field is worth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -5000, max: 5000, noNaN: true }),
        fc.constantFrom<UnitSystem>('mm', 'inch'),
        (mm, system) => {
          expect(Math.abs(read(printField(mm, 'length', system), 'length', system) - mm)).toBeLessThan(0.0013)
        },
      ),
    )
  })
})

test('in inches a size that is sold in round millimetres keeps its name, and any other is only converted', () => {
  expect(saySold(15, 'inch')).toBe('15 mm (0.5906 in)')
  expect(saySold(6.5, 'inch')).toBe('6.5 mm (0.2559 in)')
  expect(saySold(12.7, 'inch')).toBe('0.5 in')
  expect(saySold(15, 'mm')).toBe('15 mm')
})
