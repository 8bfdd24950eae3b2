import { type EvaluationContext, remembered } from '../../../evaluation/context'
import { forces } from '../../../machine/drive/load'
import { nutRange } from '../../../machine/travel/placement'
import { lifeShare, sideForce } from './worth'

/**
 * How stiff a bearing block stands on a light machine, in N/um: screws, shims and casting together. It enters by its cube
 * root, and only where the nut is near the block.
 */
export const SUPPORT_STIFFNESS_N_PER_UM = 50
/** The balls of a screw stand at about this angle in their track. */
const BALL_ANGLE_DEG = 45

/** How near the nut comes to each block. @throws NotKnown while that cannot be said */
export const nearestMm = remembered((t: EvaluationContext) => {
  const { firstMm, lastMm } = nutRange(t)
  const spanMm = t.dimension('supportSpanMm')
  return { fixed: Math.max(0, firstMm), far: Math.max(0, spanMm - lastMm) }
})

/** The largest force along the screw while it cuts. */
const axialForceN = (t: EvaluationContext) => {
  const { cutUpN, cutDownN } = forces(t)
  return Math.max(1, Math.abs(cutUpN), Math.abs(cutDownN))
}

/**
 * What a block off the line, or a journal that runs out, does to the nut: the side force when it is nearest, and what
 * that leaves of its life.
 *
 * @param name what the figures are known by
 * @throws NotKnown without a screw
 */
export function sideLoad(t: EvaluationContext, name: string, offsetUm: number, distanceMm: number) {
  const { sideForceN } = t.figure(`${name}.sideForce`, sideForce, {
    offsetUm: Math.abs(offsetUm),
    distanceMm,
    rootDiameterMm: t.part('screw').rootDiameterMm,
    supportStiffnessNPerUm: SUPPORT_STIFFNESS_N_PER_UM,
  })
  const share = t.figure(`${name}.lifeShare`, lifeShare, {
    axialForceN: axialForceN(t),
    sideForceN,
    contactAngleDeg: BALL_ANGLE_DEG,
  }).lifeShare
  return { sideForceN, lifeShare: share }
}
