import fc from 'fast-check'
import { askReading } from './askReading'
import { factorWords, finerThanMarks } from './plausible'

describe('a reading is asked about', () => {
  test('that is finer than its gauge: thousandths that were typed in inches', () => {
    expect(askReading(0.0254, 12.7, 'thou', [])).toEqual({
      why: 'finer',
      meantUm: expect.closeTo(25.4),
      meantIn: 'in',
    })
    // 0.012 on a dial of hundredths of a millimetre, in a table of micrometres, was 12 µm.
    expect(askReading(0.012, 10, 'um', [])).toEqual({
      why: 'finer',
      meantUm: 12,
      meantIn: 'mm',
    })
  })

  test('that is far off those beside it, with the unit that brings it near', () => {
    expect(askReading(6, 1, 'um', [152, 155, 150])).toEqual({
      why: 'apart',
      meantUm: expect.closeTo(152.4),
      meantIn: 'thou',
    })
    expect(askReading(6000, 1, 'um', [6, 7, 5])).toEqual({ why: 'apart', meantUm: null, meantIn: null })
  })

  test.each<[string, Parameters<typeof askReading>]>([
    ['as good as any', [6.2, 1, 'um', [6, 7, 5]]],
    ['of nothing at all', [0, 10, 'mm', []]],
    ['half a mark', [5, 10, 'um', []]],
    ['far off a single other one, which may be the wrong one', [600, 1, 'um', [6]]],
    ['a little off many that are alike', [12, 1, 'um', [6, 6, 6]]],
  ])('and not one %s', (_, of) => {
    expect(askReading(...of)).toBeNull()
  })
})

describe('readings and their gauge', () => {
  test('between all marks they were typed in another unit; whole micrometres were reckoned and rounded', () => {
    // Thou on a dial of two micrometres.
    expect(finerThanMarks([6.3, 5.9, 6.1], 2, [1])).toBe(true)
    // A fifth of a mark is read by eye.
    expect(finerThanMarks([6.4, 5.6, 6], 2, [1])).toBe(false)
    // Half-thou on a dial of them, reckoned into micrometres and rounded.
    expect(finerThanMarks([13, 25, 38, 51], 12.7, [1])).toBe(false)
    expect(finerThanMarks([12.7, 25.4, 38.1], 12.7, [1])).toBe(false)
    // Hundredths of a thou, on a dial of a micrometre.
    expect(finerThanMarks([34.544, 30.226, 12.7], 1, [1, 0.254])).toBe(false)
    expect(finerThanMarks([6.3, 5.9, 6.1], 2, [1, 0.254])).toBe(true)
    // One of many may be a slip of its own.
    expect(finerThanMarks([6.31, 4, 6, 8, 2], 2, [1])).toBe(false)
    expect(finerThanMarks([], 2, [1])).toBe(false)
  })
  test('whatever is read by a dial and by eye lies on its marks, in any unit', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -4000, max: 4000 }), { maxLength: 20 }),
        fc.constantFrom(0.5, 1, 2, 2.54, 10, 12.7, 25.4),
        (fifths, step) => {
          expect(
            finerThanMarks(
              fifths.map(one => (one * step) / 5),
              step,
              [1],
            ),
          ).toBe(false)
        },
      ),
    )
  })
  test('a factor between two figures is named, either way; others are none', () => {
    expect(factorWords(25)).toContain('inches')
    expect(factorWords(1 / 25.4)).toContain('inches')
    expect(factorWords(9.81)).toMatch(/^kilograms for newtons/)
    expect(factorWords(0.225)).toBe('pounds for newtons')
    expect(factorWords(1)).toBeNull()
    expect(factorWords(2.2)).toBeNull()
  })
})
