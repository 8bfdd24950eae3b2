import fc from 'fast-check'
import { holeDeviations, shaftDeviations } from '../machine/isoFits'
import { type Along, broken, lengthAt, lengthsUnder } from './dimension'
import { line, type Mark, textBox, words } from './drawing'
import { textWidthMm } from './letterWidths'
import { BLOCK_MM, titleBlock } from './titleBlock'

const texts = (marks: readonly Mark[]) => marks.flatMap(mark => (mark.is === 'text' ? [mark] : []))
const lines = (marks: readonly Mark[]) => marks.flatMap(mark => (mark.is === 'line' ? [mark] : []))

test('a dimension line is as long as what it tells, with its arrows at both ends and its figure above it', () => {
  const marks = lengthAt({ fromX: 10, toX: 54, text: '44 mm' }, 0, -8)
  const along = lines(marks).find(({ y1, y2 }) => y1 === -8 && y2 === -8)
  expect(along).toMatchObject({ x1: 10, x2: 54 })
  // Extension lines leave a gap at the edge and go past the line.
  const up = lines(marks).filter(({ x1, x2 }) => x1 === x2)
  expect(up.map(({ x1, y1, y2 }) => [x1, y1, y2])).toEqual([
    [10, -0.8, -9.5],
    [54, -0.8, -9.5],
  ])
  const points = lines(marks).filter(({ x1, x2, y1, y2 }) => x1 !== x2 && y1 !== y2)
  expect(points.map(({ x1 }) => x1)).toEqual([10, 10, 54, 54])
  for (const { x1, x2 } of points) expect(x2 > 10 && x2 < 54 && Math.abs(x2 - x1)).toBeCloseTo(2.4, 6)
  const [figure] = texts(marks)
  expect((figure?.x ?? 0) + textWidthMm('44 mm', 2.5) / 2).toBeCloseTo(32, 9)
})

test('where there is no room between them the arrows come from outside, and the figure stands beside', () => {
  const marks = lengthAt({ fromX: 0, toX: 1.6, text: '1.6 mm' }, 0, -8)
  const points = lines(marks).filter(({ x1, x2, y1, y2 }) => x1 !== x2 && y1 !== y2)
  for (const { x2 } of points) expect(x2 < 0 || x2 > 1.6).toBe(true)
  expect(texts(marks)[0]?.x).toBeGreaterThan(1.6)
})

test('no figure of a row lies on another, however many lengths there are', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0.5, max: 60, noNaN: true }), { minLength: 1, maxLength: 9 }),
      steps => {
        let x = 0
        const all: Along[] = steps.map(mm => {
          const fromX = x
          x += mm
          return { fromX, toX: x, text: `${mm.toFixed(3)} mm` }
        })
        const { marks, bottomY } = lengthsUnder(all, -10, 7)
        const boxes = texts(marks).map(textBox)
        for (const [index, one] of boxes.entries())
          for (const other of boxes.slice(index + 1))
            expect(
              one.left < other.right &&
                other.left < one.right &&
                one.bottom < other.top &&
                other.bottom < one.top,
            ).toBe(false)
        expect(Math.min(...texts(marks).map(({ y }) => y))).toBeGreaterThanOrEqual(bottomY)
      },
    ),
  )
})

test('an upright line is broken for a figure that it would run through, and for no other', () => {
  const figure = words(-5, -10, '1.6 mm', 2.5)
  const through = line('words', 0, 0, 0, -20)
  const beside = line('words', 40, 0, 40, -20)
  const edge = line('edge', 0, 0, 0, -20)
  const pieces = broken([figure, through, beside, edge])
  expect(pieces).toEqual([
    figure,
    line('words', 0, -20, 0, -10.4),
    line('words', 0, -7.1, 0, 0),
    beside,
    edge,
  ])
})

test('nothing of a title block reaches out of its field', () => {
  const fields = [
    { label: 'Machine', text: 'A name of two hundred letters '.repeat(7), share: 2 },
    { label: 'Sheet', text: '1 of 1', share: 1 },
  ]
  const marks = titleBlock(fields, 10, 10, 90)
  const [machine, sheet] = texts(marks).filter(({ heightMm }) => heightMm > 2)
  expect(machine?.text).toMatch(/…$/)
  expect(machine && textBox(machine).right).toBeLessThan(70)
  expect(sheet).toMatchObject({ text: '1 of 1', x: 71 })
  for (const { y } of texts(marks)) expect(y > 10 && y < 10 + BLOCK_MM).toBe(true)
})

test.each([
  [15, 'h5', 0, -8],
  [12, 'g6', -6, -17],
  [10, 'h6', 0, -9],
  [18, 'h7', 0, -18],
  [20, 'h5', 0, -9],
  [30, 'h7', 0, -21],
])('the limits of Ø %d %s are those of ISO 286', (diameterMm, fit, upperUm, lowerUm) => {
  expect(shaftDeviations(diameterMm, fit)).toEqual({ upperUm, lowerUm })
})
test('a thread, and a size beyond the table, have none', () => {
  expect(shaftDeviations(12, '6h')).toBeNull()
  expect(shaftDeviations(200, 'h6')).toBeNull()
  expect(holeDeviations(200, 6)).toBeNull()
})
test.each([
  [32, 6, 16],
  [35, 7, 25],
  [18, 7, 18],
  [52, 6, 19],
] as const)('the limits of a bore of %d mm, H%d', (diameterMm, grade, upperUm) => {
  expect(holeDeviations(diameterMm, grade)).toEqual({ upperUm, lowerUm: 0 })
})
