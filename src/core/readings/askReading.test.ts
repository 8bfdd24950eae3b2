import { askReading } from './askReading'

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
