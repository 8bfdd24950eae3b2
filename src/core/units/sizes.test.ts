import fc from 'fast-check'
import { printField } from './print'
import { readSizes } from './sizes'

test('sizes are read with semicolons between them, each with its unit or without', () => {
  expect(readSizes('16; 1/2 in; 3"', 'mm', 1, 500)).toEqual({ sizesMm: [16, 12.7, 3 * 25.4] })
  expect(readSizes('1; 0.5', 'inch', 1, 500)).toEqual({ sizesMm: [25.4, 12.7] })
  expect(readSizes('16, 20', 'mm', 1, 500)).toEqual({ sizesMm: [16, 20] })
  expect(readSizes('5,5; 6', 'mm', 1, 500)).toEqual({ sizesMm: [5.5, 6] })
  expect(readSizes(' ; ', 'mm', 1, 500)).toEqual({ sizesMm: [] })
})

test('one that cannot be read, or is out of range, is named', () => {
  expect(readSizes('16; big', 'mm', 1, 500)).toMatchObject({ message: expect.stringContaining('Got “big”') })
  expect(readSizes('16; 900', 'mm', 1, 500)).toEqual({ message: 'Got 900 mm. Takes 1 mm to 500 mm.' })
  expect(readSizes('30', 'inch', 1, 500)).toEqual({ message: 'Got 30 in. Takes 0.0394 in to 19.685 in.' })
})

test('what the field shows is read back to what it is worth', () => {
  const sizes = fc.array(fc.integer({ min: 1000, max: 400_000 }), { maxLength: 8 })
  fc.assert(
    fc.property(sizes, fc.constantFrom('mm' as const, 'inch' as const), (thousandths, units) => {
      const mm = thousandths.map(one => one / 1000)
      const shown = mm.map(one => printField(one, 'length', units)).join('; ')
      const read = readSizes(shown, units, 0.5, 500)
      if (!('sizesMm' in read)) throw new Error(read.message)
      for (const [index, one] of read.sizesMm.entries())
        expect(Math.abs(one - (mm[index] ?? 0))).toBeLessThan(0.002)
    }),
  )
})
