// A plate or a plug with holes through it, straight or stepped: what a body is, and whether it can be made.

export interface Point {
  x: number
  y: number
}
export interface RoundHole extends Point {
  diameterMm: number
  /** A wider bore from above, down to a shoulder. */
  bore?: { diameterMm: number; depthMm: number }
}
/** A plate, seen from above, with what goes through it. */
export interface Solid {
  title: string
  /** `upMm`: how far the middle of the box lies above the point that holes are given from. */
  outline:
    | { is: 'box'; widthMm: number; heightMm: number; upMm?: number }
    | { is: 'round'; diameterMm: number }
  holes: readonly RoundHole[]
  thicknessMm: number
}

/** Metal that must stand between two holes, or a hole and the edge. */
const LEAST_WALL_MM = 0.2

const widestMm = ({ diameterMm, bore }: RoundHole): number => bore?.diameterMm ?? diameterMm

/**
 * Why a body cannot be made: a hole that leaves no wall to the edge or to another, a bore without a shoulder.
 *
 * @param length says a length in the units of whoever reads it
 * @returns null where it can be made
 */
export function solidProblem(
  { outline, holes, thicknessMm }: Solid,
  length: (mm: number) => string = mm => `${mm} mm`,
): string | null {
  for (const [index, one] of holes.entries()) {
    const radius = widestMm(one) / 2 + LEAST_WALL_MM
    const isInside =
      outline.is === 'round'
        ? Math.hypot(one.x, one.y) + radius <= outline.diameterMm / 2
        : Math.abs(one.x) + radius <= outline.widthMm / 2 &&
          Math.abs(one.y - (outline.upMm ?? 0)) + radius <= outline.heightMm / 2
    const at = ({ x, y }: Point) => `${length(x)} to the right and ${length(y)} up`
    const where = `The hole of ${length(widestMm(one))}, ${at(one)},`
    if (!isInside) return `${where} reaches over the edge: the outline leaves it no wall.`
    for (const other of holes.slice(index + 1))
      if (Math.hypot(one.x - other.x, one.y - other.y) < radius + widestMm(other) / 2)
        return `${where} runs into the one of ${length(widestMm(other))}, ${at(other)}.`
    const { bore, diameterMm } = one
    if (!bore) continue
    if (bore.diameterMm < diameterMm + 2 * LEAST_WALL_MM)
      return `The bore of ${length(bore.diameterMm)} leaves no shoulder around the hole of ${length(diameterMm)}.`
    if (bore.depthMm > thicknessMm - LEAST_WALL_MM)
      return `The bore is ${length(bore.depthMm)} deep in ${length(thicknessMm)}: no shoulder is left.`
  }
  return null
}
