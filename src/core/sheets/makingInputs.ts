import { HAIR_MM } from '../calculation/constants'
import type { Axis } from '../document/job'
import { fastenerChooseLength, fastenerEngagement, fastenerTorque } from '../machine/joints/fastener'
import { threadDrills } from '../machine/joints/thread'
import type { bearingStack } from './bearingBlock/calculation'
import type { Contributor } from './chain/calculation'
import type { holeEnlarge } from './holes/calculation'
import type { BearingBlock, BoltedJoint, Chain, ChainLink, Hole } from './making'

// Inputs of the calculations from what was measured, and what follows from their results.

/** Friction of a screw that is lightly oiled, and how much of its strength is used. */
export const OILED_FRICTION = 0.12
export const UTILISATION = 0.7

export const holeInputs = (
  { label: _, depthMm: __, ...hole }: Hole,
  cutterSizesMm: readonly number[],
): Parameters<typeof holeEnlarge>[0] => ({ ...hole, cutterSizesMm: [...cutterSizesMm] })

export const blockInputs = ({
  bearings,
  caliperMm: _,
  ...block
}: BearingBlock): Parameters<typeof bearingStack>[0] => ({
  ...block,
  bearingWidthsMm: bearings.map(({ widthMm }) => widthMm),
})

/**
 * Shims of the stock that add up to what is missing, the thickest first; null where the stock does not reach within
 * what the cover may stand proud.
 *
 * @param leastMm what is missing
 * @param mostMm what would be too much
 * @example shimsFor(0.13, 0.2, [0.02, 0.05, 0.1]) // [0.1, 0.05]
 */
export function shimsFor(leastMm: number, mostMm: number, stockMm: readonly number[]): number[] | null {
  const sizes = stockMm.toSorted((a, b) => b - a)
  const shims: number[] = []
  let leftMm = leastMm
  for (const sizeMm of sizes)
    while (sizeMm <= leftMm + HAIR_MM && shims.length < 12) {
      shims.push(sizeMm)
      leftMm -= sizeMm
    }
  const smallest = sizes.at(-1)
  if (leftMm > HAIR_MM && smallest !== undefined) {
    shims.push(smallest)
    leftMm -= smallest
  }
  const sumMm = shims.reduce((sum, one) => sum + one, 0)
  return leftMm > HAIR_MM || sumMm > mostMm + HAIR_MM ? null : shims
}

/** Which way round a bearing stands, by the lands of its outer ring. */
export type Orientation = 'wide-marked' | 'wide-other' | 'cannot-tell' | 'not-read'

/**
 * Which face of a bearing has the wide land of the outer ring: the one that takes the thrust.
 *
 * @returns cannot-tell where the two readings differ by no more than the calipers can tell
 */
export function orientation(
  { landMarkedMm, landOtherMm }: BearingBlock['bearings'][number],
  caliperMm: number,
): Orientation {
  if (landMarkedMm === null || landOtherMm === null) return 'not-read'
  if (Math.abs(landMarkedMm - landOtherMm) <= 2 * caliperMm + HAIR_MM) return 'cannot-tell'
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
  { bearings, caliperMm }: Pick<BearingBlock, 'bearings' | 'caliperMm'>,
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

export const jointInputs = ({ thread, material, gripMm, washerMm, threadDepthMm, blind }: BoltedJoint) => ({
  thread,
  material,
  gripMm,
  washerMm,
  threadDepthMm,
  blind,
})
export const torqueInputs = ({ thread, propertyClass, material }: BoltedJoint, engagementMm: number) => ({
  thread,
  propertyClass,
  material,
  frictionCoefficient: OILED_FRICTION,
  utilisation: UTILISATION,
  engagementMm,
})

function judge(joint: BoltedJoint) {
  const { thread, suppliedMm } = joint
  const common = jointInputs(joint)
  const { screwLengthMm } = fastenerChooseLength(common)
  const supplied = suppliedMm === null ? null : fastenerEngagement({ ...common, screwLengthMm: suppliedMm })
  const chosenMm = supplied?.verdict === 'ok' ? suppliedMm : screwLengthMm
  const chosen = chosenMm === null ? null : fastenerEngagement({ ...common, screwLengthMm: chosenMm })
  const tight =
    chosen && chosen.engagementMm > 0 ? fastenerTorque(torqueInputs(joint, chosen.engagementMm)) : null
  return { joint, supplied, chosenMm, chosen, tight, drills: threadDrills({ thread }) }
}
export type JudgedJoint = ReturnType<typeof judge>

const judged = new WeakMap<BoltedJoint, JudgedJoint>()
/**
 * What is known of a bolted joint: the screw to take, what it bears, how tight. Worked out once for each joint of a
 * document, as joints stay as they are while other things are typed.
 */
export function judgeJoint(joint: BoltedJoint): JudgedJoint {
  const known = judged.get(joint) ?? judge(joint)
  judged.set(joint, known)
  return known
}

/** A link with the value of the dimension that it stands for, where that is known. */
export const linkValueMm = (axis: Axis, { dimension, nominalMm }: ChainLink): number =>
  (dimension ? axis.dimensions[dimension].value : null) ?? nominalMm

/** The links of a chain as the calculation takes them. */
export const contributors = (axis: Axis, { links }: Chain): Contributor[] =>
  links.map(link => ({
    nominalMm: linkValueMm(axis, link),
    plusMm: link.plusMm,
    minusMm: link.minusMm,
    direction: link.direction,
    distribution: link.distribution,
  }))
