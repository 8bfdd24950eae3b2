import fc from 'fast-check'
import { DRIVE_PARTS, type DrivePart } from '@/core/drawing/driveLine'
import type { Mark } from '@/core/drawing/overlay'
import { laySpans, placeMarks } from './marks'

const anchors = new Map<DrivePart, number>(DRIVE_PARTS.map((part, index) => [part, 60 + index * 110]))
const anchor = (part: DrivePart) => anchors.get(part) ?? 0

const someMarks = fc.uniqueArray(
  fc.record({
    part: fc.constantFrom(...DRIVE_PARTS),
    text: fc.string({ minLength: 3, maxLength: 24 }),
    state: fc.option(fc.constantFrom('holds' as const, 'close' as const, 'fails' as const), {
      nil: undefined,
    }),
  }),
  { selector: mark => mark.part, maxLength: 7 },
)

test('marks never lie on each other, and never reach over the edge', () => {
  fc.assert(
    fc.property(
      someMarks,
      fc.integer({ min: 320, max: 1400 }),
      fc.integer({ min: 1, max: 2 }),
      (marks, width, rows) => {
        const placed = placeMarks(marks, anchor, width, rows)
        for (const mark of placed) {
          expect(mark.x).toBeGreaterThanOrEqual(0)
          expect(mark.x + mark.width).toBeLessThanOrEqual(width)
          expect(mark.row).toBeLessThan(rows)
        }
        for (let row = 0; row < rows; row++) {
          const along = placed.filter(mark => mark.row === row).toSorted((a, b) => a.x - b.x)
          for (const [index, mark] of along.entries()) {
            const before = along[index - 1]
            if (before) expect(mark.x).toBeGreaterThan(before.x + before.width)
          }
        }
      },
    ),
  )
})

test('with room enough each stands centred over its part, in its order along the screw', () => {
  const marks: Mark[] = [
    { part: 'nut', text: 'preload' },
    { part: 'motor', text: 'torque', state: 'fails' },
  ]
  const placed = placeMarks(marks, anchor, 1200, 1)
  expect(placed.map(({ part }) => part)).toEqual(['motor', 'nut'])
  for (const mark of placed) {
    expect(mark.anchorX).toBe(anchor(mark.part))
    expect(Math.abs(mark.x + mark.width / 2 - mark.anchorX)).toBeLessThan(1)
  }
})

test('a mark that would hang over the edge is pushed in', () => {
  const [mark] = placeMarks([{ part: 'motor', text: 'a long finding of the motor' }], () => 10, 500, 1)
  expect(mark?.x).toBe(4)
})

test('spans never lie on each other, keep their order, and share a row where they fit', () => {
  const some = fc.array(
    fc.record({
      fromMm: fc.integer({ min: 0, max: 400 }),
      lengthMm: fc.integer({ min: 1, max: 200 }),
      label: fc.string({ minLength: 3, maxLength: 20 }),
    }),
    { maxLength: 6 },
  )
  fc.assert(
    fc.property(some, fc.integer({ min: 500, max: 1200 }), (drawn, widthPx) => {
      const spans = drawn.map(({ fromMm, lengthMm, label }) => ({
        fromMm,
        toMm: fromMm + lengthMm,
        label,
        tone: 'ink' as const,
      }))
      const laid = laySpans(spans, mm => (mm * widthPx) / 600, widthPx)
      expect(laid.map(({ label }) => label)).toEqual(spans.map(({ label }) => label))
      for (const [index, one] of laid.entries())
        for (const other of laid.slice(index + 1).filter(({ row }) => row === one.row)) {
          const ends = (span: typeof one) => [
            Math.min(span.fromPx, span.labelPx - span.halfPx),
            Math.max(span.toPx, span.labelPx + span.halfPx),
          ]
          const [[a = 0, b = 0], [c = 0, d = 0]] = [ends(one), ends(other)]
          expect(b <= c || d <= a).toBe(true)
        }
    }),
  )
  const apart = laySpans(
    [
      { fromMm: 0, toMm: 5, label: 'kept clear', tone: 'close' },
      { fromMm: 500, toMm: 505, label: 'kept clear', tone: 'close' },
      { fromMm: 0, toMm: 505, label: 'between the blocks', tone: 'ink' },
    ],
    mm => mm,
    700,
  )
  expect(apart.map(({ row }) => row)).toEqual([0, 0, 1])
})
