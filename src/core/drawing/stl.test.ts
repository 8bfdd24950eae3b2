import fc from 'fast-check'
import type { Solid } from './solid'
import { SolidError, trianglesOf, writeStl } from './stl'

const plate: Solid = {
  title: 'Bracket',
  outline: { is: 'box', widthMm: 60, heightMm: 62 },
  holes: [
    { x: 0, y: 0, diameterMm: 36 },
    { x: 20.352, y: 11.75, diameterMm: 5.5 },
    { x: -20.352, y: -11.75, diameterMm: 5.5 },
  ],
  thicknessMm: 18,
}
const plug: Solid = {
  title: 'Bung',
  outline: { is: 'round', diameterMm: 25.4 },
  holes: [{ x: 1.6, y: 0, diameterMm: 6 }],
  thicknessMm: 28,
}

/** Every edge belongs to two triangles, which run along it in opposite ways: nothing leaks. */
function isTight(solid: Solid): boolean {
  const edges = new Map<string, number>()
  const name = (corner: readonly number[]) => corner.map(value => value.toFixed(9)).join(' ')
  for (const triangle of trianglesOf(solid))
    for (let index = 0; index < 3; index++) {
      const [from, to] = [name(triangle[index] ?? []), name(triangle[(index + 1) % 3] ?? [])]
      edges.set(`${from}|${to}`, (edges.get(`${from}|${to}`) ?? 0) + 1)
    }
  return [...edges].every(
    ([edge, count]) => count === 1 && edges.get(edge.split('|').reverse().join('|')) === 1,
  )
}
/** By the tetrahedra that the triangles make with the origin. */
const volumeOf = (solid: Solid) =>
  trianglesOf(solid).reduce(
    (sum, [a, b, c]) =>
      sum +
      (a[0] * (b[1] * c[2] - b[2] * c[1]) -
        a[1] * (b[0] * c[2] - b[2] * c[0]) +
        a[2] * (b[0] * c[1] - b[1] * c[0])) /
        6,
    0,
  )
const area = (diameterMm: number) => (Math.PI * diameterMm ** 2) / 4

test('a plate and a plug are tight, and as heavy as they should be', () => {
  expect([plate, plug].map(isTight)).toEqual([true, true])
  expect(volumeOf(plate) / (18 * (60 * 62 - area(36) - 2 * area(5.5)))).toBeCloseTo(1, 3)
  expect(volumeOf(plug) / (28 * (area(25.4) - area(6)))).toBeCloseTo(1, 3)
})

const block: Solid = {
  title: 'Bearing block',
  outline: { is: 'box', widthMm: 70, heightMm: 60, upMm: 4 },
  holes: [
    { x: 0, y: 0, diameterMm: 24, bore: { diameterMm: 32, depthMm: 28.25 } },
    { x: 28, y: -18, diameterMm: 6.6 },
  ],
  thicknessMm: 40,
}

test('a block with a bore to a shoulder is tight, stands on its foot, and weighs what is left', () => {
  expect(isTight(block)).toBe(true)
  const leftMm3 = 40 * (70 * 60 - area(6.6)) - 28.25 * area(32) - (40 - 28.25) * area(24)
  expect(volumeOf(block) / leftMm3).toBeCloseTo(1, 3)
  const lowest = Math.min(...trianglesOf(block).flatMap(corners => corners.map(([, y]) => y)))
  expect(lowest).toBe(-26)
  const refused = (diameterMm: number, depthMm: number) => () =>
    trianglesOf({ ...block, holes: [{ x: 0, y: 0, diameterMm: 24, bore: { diameterMm, depthMm } }] })
  expect(refused(24.2, 20)).toThrow('leaves no shoulder around the hole of 24 mm')
  expect(refused(32, 40)).toThrow('The bore is 40 mm deep in 40 mm: no shoulder is left.')
  // 26 mm stand under the axis, 34 above it.
  expect(refused(53, 20)).toThrow('reaches over the edge')
})

test('any plate whose holes leave each other a wall is tight; one whose holes do not is refused', () => {
  const hole = fc.record({
    x: fc.double({ min: -40, max: 40, noNaN: true }),
    y: fc.double({ min: -40, max: 40, noNaN: true }),
    diameterMm: fc.double({ min: 1, max: 30, noNaN: true }),
    bore: fc.option(
      fc.record({
        diameterMm: fc.double({ min: 2, max: 40, noNaN: true }),
        depthMm: fc.double({ min: 0.1, max: 20, noNaN: true }),
      }),
      { nil: undefined },
    ),
  })
  let made = 0
  fc.assert(
    fc.property(fc.array(hole, { maxLength: 6 }), holes => {
      const solid: Solid = { ...plate, outline: { is: 'box', widthMm: 90, heightMm: 90 }, holes }
      try {
        expect(isTight(solid)).toBe(true)
        expect(volumeOf(solid)).toBeGreaterThan(0)
        made += 1
      } catch (error) {
        expect(error).toBeInstanceOf(SolidError)
      }
    }),
    { numRuns: 150 },
  )
  expect(made).toBeGreaterThan(10)
  const over = { ...plate, holes: [{ x: 29, y: 0, diameterMm: 5 }] }
  expect(() => writeStl(over)).toThrow(
    'The hole of 5 mm, 29 mm to the right and 0 mm up, reaches over the edge',
  )
})

test('the file has as many triangles as it says, and true millimetres', () => {
  const bytes = writeStl(plate)
  const view = new DataView(bytes.buffer)
  expect(view.getUint32(80, true)).toBe(trianglesOf(plate).length)
  expect(bytes.length).toBe(84 + 50 * trianglesOf(plate).length)
  const xs = trianglesOf(plate).flatMap(triangle => triangle.map(([x]) => x))
  expect([Math.min(...xs), Math.max(...xs)]).toEqual([-30, 30])
})
