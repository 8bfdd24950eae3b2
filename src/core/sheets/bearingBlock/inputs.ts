import { TOLERANCE_MM } from '../../calculation/constants'
import { filled } from '../../evaluation/filled'
import type { bearingStack } from './calculation'
import { BEARINGS, type BearingBlock, BLOCK, type BlockBearing } from './model'

const NEEDS = ['boreDepthMm', 'coverSpigotMm', 'innerSpacerMm'] as const
const PLACE = { sheet: 'bearingBlock', stage: 'room' } as const

/** Inputs of the calculation from what was measured of a block. @throws NotKnown naming what is not entered yet */
export function blockInputs(block: BearingBlock): Parameters<typeof bearingStack>[0] {
  const { boreDepthMm, coverSpigotMm } = filled(block, NEEDS, BLOCK.of, { ...PLACE, name: 'bearing block' })
  const { outerSpacerMm, targetProudMm, maximumProudMm, coverShimMm, bearings } = block
  return {
    boreDepthMm,
    outerSpacerMm,
    // A shim under the spigot makes it reach in further.
    coverSpigotMm: coverSpigotMm + coverShimMm,
    targetProudMm,
    maximumProudMm,
    bearingWidthsMm: bearings.map(
      (bearing, index) =>
        filled(bearing, ['widthMm'], BEARINGS.of, { ...PLACE, name: `bearing ${index + 1}` }).widthMm,
    ),
  }
}

/**
 * How much longer the spacer between the outer rings is than the one between the inner rings: the locknut crushes the
 * pair by that, or leaves it loose. 0 where the calipers cannot tell.
 */
export function spacersDifferMm({ outerSpacerMm, innerSpacerMm, caliperMm }: BearingBlock): number {
  const differMm = outerSpacerMm - (innerSpacerMm ?? outerSpacerMm)
  return Math.abs(differMm) <= caliperMm + TOLERANCE_MM ? 0 : differMm
}

/** Which way round a bearing stands, by the lands of its outer ring. */
export type Orientation = 'wide-marked' | 'wide-other' | 'cannot-tell' | 'not-read'

/**
 * Which face of a bearing has the wide land of the outer ring: the one that takes the thrust.
 *
 * @returns cannot-tell where the two readings differ by no more than the calipers can tell
 */
export function orientation(
  { landMarkedMm, landOtherMm }: Pick<BlockBearing, 'landMarkedMm' | 'landOtherMm'>,
  caliperMm: number,
): Orientation {
  if (landMarkedMm === null || landOtherMm === null) return 'not-read'
  if (Math.abs(landMarkedMm - landOtherMm) <= 2 * caliperMm + TOLERANCE_MM) return 'cannot-tell'
  return landMarkedMm > landOtherMm ? 'wide-marked' : 'wide-other'
}

/** How the two bearings of a block stand to each other. */
export type Arrangement = 'back-to-back' | 'face-to-face'

/** Which way round a bearing goes in: its wide land, and the face that has it. */
export interface WayRound {
  wideTowards: 'shoulder' | 'cover'
  face: 'marked' | 'other'
}

/**
 * Which way round each bearing of a pair goes into its block, the one at the cover first: back-to-back the wide lands
 * of the outer rings meet, face-to-face they stand outward.
 *
 * @returns null for a bearing whose readings do not tell, and for each where the block holds no pair
 * @example wayRound({ ...BLOCK_TO_START, bearings: [{ widthMm: 10, landMarkedMm: 2.3, landOtherMm: 1.5 },
 *   { widthMm: 10, landMarkedMm: null, landOtherMm: null }] }, 'back-to-back')
 *   // [{ wideTowards: 'shoulder', face: 'marked' }, null]
 */
export const wayRound = (
  { bearings, caliperMm }: { bearings: readonly Omit<BlockBearing, 'id'>[]; caliperMm: number },
  arrangement: Arrangement,
): (WayRound | null)[] =>
  bearings.map((bearing, index) => {
    const read = orientation(bearing, caliperMm)
    if (bearings.length !== 2 || (read !== 'wide-marked' && read !== 'wide-other')) return null
    const inward = index === 0 ? 'shoulder' : 'cover'
    const outward = index === 0 ? 'cover' : 'shoulder'
    return {
      wideTowards: arrangement === 'back-to-back' ? inward : outward,
      face: read === 'wide-marked' ? 'marked' : 'other',
    }
  })
