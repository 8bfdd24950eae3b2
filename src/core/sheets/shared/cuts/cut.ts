/** One cut of the list, in the order in which they are made. */
export interface Cut {
  id: string
  what: string
  tool: string
  guide: string
  /** Along the screw, and across it; a round one has a diameter. */
  lengthMm?: number
  widthMm?: number
  diameterMm?: number
  depthMm: number | null
  wallLeftMm: number | null
  /** Rough cuts only make room; true ones carry a part. */
  finish: 'rough' | 'true'
  /** Whether it can be made; where not, another way must be taken. */
  fit: boolean
  cautions: string[]
}

/**
 * How large a cut is and what it leaves, in words.
 *
 * @param length writes a length in the units of the job
 * @example cutSizeWords({ ...cut, lengthMm: 120, widthMm: 45, depthMm: 3, wallLeftMm: 12 }, mm => `${mm} mm`)
 *   // ['120 mm long', '45 mm wide', '3 mm deep', 'wall left 12 mm']
 */
export const cutSizeWords = (
  { lengthMm, widthMm, diameterMm, depthMm, wallLeftMm }: Cut,
  length: (mm: number) => string,
): string[] => [
  ...(diameterMm === undefined ? [] : [`${length(diameterMm)} across`]),
  ...(lengthMm === undefined ? [] : [`${length(lengthMm)} long`]),
  ...(widthMm === undefined ? [] : [`${length(widthMm)} wide`]),
  ...(depthMm === null ? [] : [`${length(depthMm)} deep`]),
  ...(wallLeftMm === null ? [] : [`wall left ${length(wallLeftMm)}`]),
]

export const CAUTION = {
  dust: 'Cast-iron dust: mask on, vacuum beside the cut, nothing blown about.',
  eyes: 'Eye protection; gloves off while anything turns.',
  collet: 'A cutter held in a collet creeps out: mark it, and look after every pass.',
  grab: 'A hole saw grabs as it breaks through: clamp the casting, lowest speed, a stop behind it.',
  heavy: 'The casting is heavy: support it so that it cannot tip as it gets lighter on one side.',
  chips: 'Clean out every chip before anything is fitted: one under a block is a bent screw.',
}
