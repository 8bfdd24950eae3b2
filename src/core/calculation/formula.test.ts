import fc from 'fast-check'
import { type Node, type Piece, readFormula } from './formula'
import { symbolTex, toTex } from './formulaTex'
import { reckon } from './reckon'

const nodesOf = (formula: string, symbols: string[] = []) =>
  readFormula(formula, symbols)
    .flat()
    .flatMap(piece => ('node' in piece ? [piece.node] : []))
const only = (formula: string, symbols?: string[]): Node => {
  const [node, ...more] = nodesOf(formula, symbols)
  if (!node || more.length > 0) throw new Error(`${formula} is not one piece of mathematics`)
  return node
}
const words = (pieces: Piece[]) => pieces.map(piece => ('text' in piece ? piece.text : '#')).join(' ')

test.each([
  ['v / Ph', '\\frac{v}{P_{h}}'],
  [
    '60 lambda^2 / (2 pi L^2) sqrt(E I / (rho A))',
    '\\frac{60\\,{\\lambda}^{2}}{2\\,\\pi\\,{L}^{2}}\\,\\sqrt{\\frac{E\\,I}{\\rho\\,A}}',
  ],
  ['n = v / Ph', 'n = \\frac{v}{P_{h}}'],
  ['f +/- W', 'f \\pm W'],
  ['max(0, a - b)', '\\max\\left(0,\\;a - b\\right)'],
  ['s >= sqrt(2)', 's \\ge \\sqrt{2}'],
  [
    'mean(x+) - mean(x-)',
    '\\operatorname{mean}\\left(x_{+}\\right) - \\operatorname{mean}\\left(x_{-}\\right)',
  ],
  ["F eta'", "F\\,\\eta'"],
  ['hm^-mc', '{h_{m}}^{-m_{c}}'],
  ['|F|^3', '{\\left|F\\right|}^{3}'],
])('%s is set as mathematics', (formula, tex) => {
  expect(toTex(only(formula))).toBe(tex)
})

test.each([
  ['Ph', 'P_{h}'],
  ['Fau', 'F_{au}'],
  ['kc1.1', 'k_{\\text{c1.1}}'],
  ['eta_b', '\\eta_{b}'],
  ['dL', '\\Delta L'],
  ['motor share', '\\text{motor share}'],
])('the symbol %s has its rest below it', (name, tex) => {
  expect(symbolTex(name)).toBe(tex)
})

test('a product and a quotient are worked from left to right, and a power before them', () => {
  const values: Record<string, number> = { a: 3, b: 5, c: 7 }
  const of = (formula: string) => reckon(only(formula), name => values[name] ?? null)
  expect(of('a b / c')).toBeCloseTo(15 / 7)
  expect(of('a / b c')).toBeCloseTo((3 / 5) * 7)
  expect(of('a / (b c)')).toBeCloseTo(3 / 35)
  expect(of('2 a^2')).toBe(18)
  expect(of('-a + b')).toBe(2)
  expect(of('a - b - c')).toBe(-9)
  expect(of('|a - b|')).toBe(2)
  expect(of('a x')).toBeNull()
})

test('what is no mathematics stays words, around the mathematics in it', () => {
  expect(readFormula('Fa = Fpr, Fb = Fa - F until F = 2^1.5 Fpr, then F and 0', []).map(words)).toEqual([
    '# , # until # , then # and #',
  ])
  expect(readFormula('linear between the points; 0 past the last', []).map(words)).toEqual([
    'linear between the points',
    '# past the last',
  ])
  expect(readFormula('total = nut + bearing', []).map(words)).toEqual(['#'])
})

test('numbers are put in for symbols, with a point between numbers that are multiplied', () => {
  const put: Record<string, string> = { F: '600', Ph: '5', eta: '0.9', x: '-2' }
  const numbers = (formula: string) => toTex(only(formula), name => put[name] ?? null)
  expect(numbers('T = F Ph / (2000 pi eta)')).toBe('T = \\frac{600\\cdot 5}{2000\\,\\pi\\,0.9}')
  expect(numbers('x^2')).toBe('\\left(-2\\right)^{2}')
  expect(numbers('q F')).toBe('q\\,600')
})

test('anything is read without an error, and nothing of it is lost but spaces', () => {
  const part = fc.constantFrom(
    'a',
    'Ph',
    '2',
    '+',
    '-',
    '/',
    '^',
    '(',
    ')',
    'until',
    'the ball',
    ',',
    ': ',
    '; ',
    '|',
  )
  fc.assert(
    fc.property(fc.array(part, { maxLength: 14 }), parts => {
      expect(readFormula(parts.join(' '), []).length).toBeGreaterThan(0)
    }),
    { numRuns: 300 },
  )
})
