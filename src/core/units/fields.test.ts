import fc from 'fast-check'
import { parseQuantity } from './parse'
import { printField, printQuantity, say } from './print'
import { QUANTITIES, type QuantityKind, quantityFacts, type UnitSystem } from './quantity'

const KINDS = Object.keys(QUANTITIES) as QuantityKind[]
const SYSTEMS: UnitSystem[] = ['mm', 'inch']

describe.each(KINDS)('a field for %s', kind => {
  const facts = quantityFacts(kind)

  test('reads back what it shows, in either system, to what its last digit is worth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -9000, max: 9000, noNaN: true }),
        fc.constantFrom(...SYSTEMS),
        (value, units) => {
          const { perUnit, decimals } = facts[units]
          const parsed = parseQuantity(printField(value, kind, units), kind, units)
          expect(parsed.ok).toBe(true)
          // No hand sets ten micrometres finer than to whole ones.
          const isWhole = kind === 'smallLength' && units === 'mm' && Math.abs(value) > 9.9
          const worth = isWhole ? 1 : perUnit * 10 ** -decimals
          if (parsed.ok) expect(Math.abs(parsed.value - value)).toBeLessThanOrEqual(0.51 * worth)
        },
      ),
    )
  })

  test('shows the same after going through the other system and back, as often as you like', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 9000, noNaN: true }), value => {
        // The stored value is not touched by showing it: what it shows depends on it alone.
        const shown = SYSTEMS.map(units => printField(value, kind, units))
        expect(SYSTEMS.map(units => printField(value, kind, units))).toEqual(shown)
      }),
    )
  })

  test('takes every unit that it lists, and the printed one of either system', () => {
    for (const [unit, perUnit] of Object.entries(facts.accepts)) {
      const parsed = parseQuantity(`2.5 ${unit}`, kind, 'mm')
      expect(parsed).toEqual({ ok: true, value: expect.closeTo(2.5 * perUnit, 9) })
    }
    for (const units of SYSTEMS) {
      const { unit, perUnit } = facts[units]
      if (unit === '') continue
      const parsed = parseQuantity(`2 ${unit}`, kind, units === 'mm' ? 'inch' : 'mm')
      expect({ unit, parsed }).toEqual({ unit, parsed: { ok: true, value: expect.closeTo(2 * perUnit, 9) } })
    }
  })

  test('never throws, whatever is typed, and never takes what is not a number', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), fc.constantFrom(...SYSTEMS), (text, units) => {
        const parsed = parseQuantity(text, kind, units)
        if (parsed.ok) {
          expect(Number.isFinite(parsed.value)).toBe(true)
          expect(text).toMatch(/\d/)
        } else expect(parsed.message.length).toBeGreaterThan(5)
      }),
    )
  })

  test('says the unit after the figure, and nothing but the figure where there is none', () => {
    for (const units of SYSTEMS) {
      const { figure, unit } = printQuantity(1234.5678, kind, units)
      expect(figure).toMatch(/^\d+(\.\d+)?$/)
      expect(say(1234.5678, kind, units).replace(/[, ]/g, '')).toBe((figure + unit).replace(/ /g, ''))
    }
  })
})

describe('fractions as they stand on a rule', () => {
  test.each([
    ['1/64 in', 0.396875],
    ['63/64"', 25.003125],
    ['5 1/2 in', 139.7],
    ['5-1/2 in', 139.7],
    ['12 3/16"', 309.5625],
    ['-1/8"', -3.175],
    ["1/4 ''", 6.35],
    ['0/4 in', 0],
  ])('%s is %d mm', (text, mm) => {
    expect(parseQuantity(text, 'length', 'mm')).toEqual({ ok: true, value: expect.closeTo(mm, 9) })
  })

  test('every 64th from 0 to 2 inches, in every way of writing it', () => {
    for (let sixtyFourths = 1; sixtyFourths < 128; sixtyFourths++) {
      const whole = Math.floor(sixtyFourths / 64)
      const rest = sixtyFourths % 64
      const ways = [
        `${sixtyFourths}/64 in`,
        `${sixtyFourths / 64} in`,
        `${(sixtyFourths / 64) * 1000} thou`,
        ...(rest ? [`${whole} ${rest}/64"`, `${whole}-${rest}/64 inch`] : [`${whole}"`]),
      ]
      for (const way of ways)
        expect({ way, parsed: parseQuantity(way, 'length', 'mm') }).toEqual({
          way,
          parsed: { ok: true, value: expect.closeTo((sixtyFourths * 25.4) / 64, 9) },
        })
    }
  })
})
