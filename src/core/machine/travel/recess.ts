import type { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'

export const RECESS_ENDS = ['fixed', 'far'] as const
export type RecessEnd = (typeof RECESS_ENDS)[number]
export const RECESS_OF = { fixed: 'recessFixedMm', far: 'recessFarMm' } as const

/** What a recess goes into, and what it must let in. */
export interface Recess {
  depthMm: number
  /** Of what enters it, with the gap to keep all round. */
  diameterMm: number
  /** Metal before the bearings; null until it is measured. */
  metalMm: number | null
  /** How deep it may go: metal less the wall to keep; whatever is measured, no deeper than the block less that. */
  deepestMm: number
  /** Wall around it in the block. */
  wallAroundMm: number
  wallToKeepMm: number
}

/**
 * The recess at an end of the screw: how deep it may go, and how wide it must be. Past what stands out of the bracket
 * the bracket itself enters.
 *
 * @returns null at a far end that is free: nothing is in the way there
 * @throws NotKnown without screw, bearings or bracket
 */
export function recessAt(t: EvaluationContext, end: RecessEnd): Recess | null {
  const { axis } = t
  if (end === 'far' && axis.ends === 'fixed-free') return null
  const screw = t.part('screw')
  const { blockLengthMm, blockHeightMm } = t.part('bearing')
  const { minimumGapMm, minimumWallMm, bracketWidthMm, bracketHeightMm } = axis.section
  const depthMm = axis.recesses[RECESS_OF[end]]
  const isBody = axis.nutFacing === end
  const standsOutMm = isBody
    ? Math.max(0, screw.nutBodyLengthMm - t.dimension('bracketThicknessMm'))
    : screw.nutFlangeThicknessMm
  const nutMm = isBody ? screw.nutBodyDiameterMm : screw.nutFlangeDiameterMm
  const entersMm =
    depthMm > standsOutMm
      ? Math.max(
          nutMm,
          screw.nutFlangeDiameterMm,
          measuredBracket(bracketWidthMm),
          measuredBracket(bracketHeightMm),
        )
      : nutMm
  const diameterMm = entersMm + 2 * minimumGapMm
  const metalMm = metalBefore(t, end)
  return {
    depthMm,
    diameterMm,
    metalMm,
    deepestMm: Math.max(0, Math.min(metalMm ?? blockLengthMm, blockLengthMm) - minimumWallMm),
    wallAroundMm: (blockHeightMm - diameterMm) / 2,
    wallToKeepMm: minimumWallMm,
  }
}

/** A size of the bracket. @throws NotKnown while nobody has measured it */
function measuredBracket(mm: number | null): number {
  if (mm === null)
    throw new NotKnown({
      sheet: 'nutRoom',
      stage: 'room',
      what: 'width and height of the bracket, across the screw',
    })
  return mm
}

/** Metal of a block before its bearings: as measured, or what the bore of the measured block leaves of its length. */
function metalBefore(t: EvaluationContext, end: RecessEnd): number | null {
  const { recessMetal, block, ends } = t.axis
  const measuredMm = recessMetal[end === 'fixed' ? 'fixedMm' : 'farMm']
  if (measuredMm !== null) return measuredMm
  // Two fixed ends have the same block.
  const boreDepthMm = end === 'fixed' || ends === 'fixed-fixed' ? (block?.boreDepthMm ?? null) : null
  return boreDepthMm === null ? null : Math.max(0, t.part('bearing').blockLengthMm - boreDepthMm)
}
