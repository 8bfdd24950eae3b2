import type { holeEnlarge } from './calculation'
import type { Hole } from './model'

/** Inputs of the calculation from what was measured of a hole. */
export const holeInputs = (
  { id: _, label: __, depthMm: ___, ...hole }: Hole,
  cutterSizesMm: readonly number[],
): Parameters<typeof holeEnlarge>[0] => ({ ...hole, cutterSizesMm: [...cutterSizesMm] })
