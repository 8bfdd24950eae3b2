import earcut from 'earcut'
import { type Point, type Solid, solidProblem } from './solid'

// A body to print or to mill: STL in millimetres at true size. Every edge is shared by exactly two triangles, for walls and faces
// are made from the same points.

/** A circle is drawn by straight lines that leave it by no more than this. */
const OFF_MM = 0.005
const FEWEST_SIDES = 24

/** A body that cannot be made: the message says why. */
export class SolidError extends Error {
  override name = 'SolidError'
}

function circle({ x, y }: Point, radiusMm: number): Point[] {
  const sides = Math.max(FEWEST_SIDES, Math.ceil(Math.PI / Math.acos(1 - OFF_MM / radiusMm)))
  return Array.from({ length: sides }, (_, index) => ({
    x: x + radiusMm * Math.cos((2 * Math.PI * index) / sides),
    y: y + radiusMm * Math.sin((2 * Math.PI * index) / sides),
  }))
}

function outlineOf({ outline }: Solid): Point[] {
  if (outline.is === 'round') return circle({ x: 0, y: 0 }, outline.diameterMm / 2)
  const { widthMm, heightMm, upMm = 0 } = outline
  const [x, top, bottom] = [widthMm / 2, upMm + heightMm / 2, upMm - heightMm / 2]
  return [
    { x: -x, y: bottom },
    { x, y: bottom },
    { x, y: top },
    { x: -x, y: top },
  ]
}

type Corner = readonly [x: number, y: number, z: number]
type Triangle = readonly [Corner, Corner, Corner]

interface Ring {
  points: readonly Point[]
  /** Where its wall begins and ends. */
  fromMm: number
  toMm: number
}

/** A flat face at a height between a ring and those within it, seen from above. */
function face(rings: readonly (readonly Point[])[], z: number): Triangle[] {
  const points = rings.flat()
  const starts = rings.slice(1).map((_, index) => rings.slice(0, index + 1).flat().length)
  const corners = earcut(
    points.flatMap(({ x, y }) => [x, y]),
    starts,
  )
  const at = (index: number): Corner => {
    const { x, y } = points[index] as Point
    return [x, y, z]
  }
  const triangles: Triangle[] = []
  for (let index = 0; index < corners.length; index += 3) {
    const [a = 0, b = 0, c = 0] = corners.slice(index, index + 3)
    const [[ax, ay], [bx, by], [cx, cy]] = [at(a), at(b), at(c)]
    const isLeft = (bx - ax) * (cy - ay) - (by - ay) * (cx - ax) > 0
    triangles.push(isLeft ? [at(a), at(b), at(c)] : [at(a), at(c), at(b)])
  }
  return triangles
}
const fromBelow = ([a, b, c]: Triangle): Triangle => [a, c, b]

/** The wall along a ring: seen from without around a body, from within a hole. */
function wall({ points, fromMm, toMm }: Ring, seen: 'without' | 'within'): Triangle[] {
  return points.flatMap((one, index): Triangle[] => {
    const next = points[(index + 1) % points.length] as Point
    const [from, to] = seen === 'without' ? [one, next] : [next, one]
    const [a, b, c, d]: [Corner, Corner, Corner, Corner] = [
      [from.x, from.y, fromMm],
      [to.x, to.y, fromMm],
      [to.x, to.y, toMm],
      [from.x, from.y, toMm],
    ]
    return [
      [a, b, c],
      [a, c, d],
    ]
  })
}

/** The triangles of a body, each counterclockwise from outside. @throws SolidError where its holes leave no wall */
export function trianglesOf(solid: Solid): Triangle[] {
  const problem = solidProblem(solid)
  if (problem) throw new SolidError(problem)
  const { thicknessMm: top, holes } = solid
  const outline = outlineOf(solid)
  const through = holes.map(hole => circle(hole, hole.diameterMm / 2))
  const bores = holes.map(hole => hole.bore && circle(hole, hole.bore.diameterMm / 2))
  return [
    ...face([outline, ...through.map((ring, index) => bores[index] ?? ring)], top),
    ...face([outline, ...through], 0).map(fromBelow),
    ...wall({ points: outline, fromMm: 0, toMm: top }, 'without'),
    ...holes.flatMap(({ bore }, index) => {
      const [inner = [], wide] = [through[index], bores[index]]
      if (!bore || !wide) return wall({ points: inner, fromMm: 0, toMm: top }, 'within')
      const shoulder = top - bore.depthMm
      return [
        ...wall({ points: inner, fromMm: 0, toMm: shoulder }, 'within'),
        ...face([wide, inner], shoulder),
        ...wall({ points: wide, fromMm: shoulder, toMm: top }, 'within'),
      ]
    }),
  ]
}

const HEADER_BYTES = 80
const TRIANGLE_BYTES = 50

function normalOf([a, b, c]: Triangle): Corner {
  const [ux, uy, uz] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]]
  const [vx, vy, vz] = [c[0] - a[0], c[1] - a[1], c[2] - a[2]]
  const [x, y, z] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx]
  const long = Math.hypot(x, y, z) || 1
  return [x / long, y / long, z / long]
}

/** Writes a body as a binary STL file, in millimetres. @throws SolidError where its holes leave no wall */
export function writeStl(solid: Solid): Uint8Array {
  const triangles = trianglesOf(solid)
  const bytes = new Uint8Array(HEADER_BYTES + 4 + TRIANGLE_BYTES * triangles.length)
  bytes.set(
    new TextEncoder().encode(`mm; ${solid.title.replace(/[^\x20-\x7e]/g, '?')}`).slice(0, HEADER_BYTES),
  )
  const view = new DataView(bytes.buffer)
  view.setUint32(HEADER_BYTES, triangles.length, true)
  for (const [index, triangle] of triangles.entries()) {
    let at = HEADER_BYTES + 4 + index * TRIANGLE_BYTES
    for (const corner of [normalOf(triangle), ...triangle])
      for (const value of corner) {
        view.setFloat32(at, value, true)
        at += 4
      }
  }
  return bytes
}
