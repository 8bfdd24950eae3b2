import type { EvaluationContext } from '../../evaluation/context'
import { bySteps } from '../shared/rounds/resolution'
import { defineRounds } from '../shared/rounds/rounds'
import { locknut } from '../shared/steps/preload'
import { preloadDrag } from './calculation'
import { PRELOAD_ROUNDS, type PreloadRound } from './model'

/** A mean diameter of a bearing is about so many of its bore. */
const MEAN_OF_BORE = 1.5
const ANGLES = [25, 30, 40]

export const preloadRounds = defineRounds<PreloadRound>({
  about: 'Bearings and locknut',
  of: PRELOAD_ROUNDS,
  pick: axis => axis.preloadRounds,
  only: preloadRounds => ({ preloadRounds }),
  reads: ['playUm', 'turnedDeg', 'pullAfterN'],
  begin: (_, shop) => ({ gaugeStepUm: shop.gaugeStepUm, stations: [] }),
  worst: (_, { playUm }) => (playUm === null ? null : { value: playUm, quantity: 'smallLength' }),
  // What the preload squeezes is what a play of the same size would take away.
  resolution: bySteps(t => locknut(t).squeezeUm),
  worstWords: "play at the screw's end",
})

/** What the preload should add to the pull, and between what it may lie; null for contact angles that no figure is known for. */
export function addedPull(t: EvaluationContext, round: Pick<PreloadRound, 'leverMm'>) {
  const { contactAngleDeg, boreMm, staticCapacityN } = t.part('bearing')
  const nearest = ANGLES.reduce((best, one) =>
    Math.abs(one - contactAngleDeg) < Math.abs(best - contactAngleDeg) ? one : best,
  )
  if (Math.abs(nearest - contactAngleDeg) > 3) return null
  const { pullN } = t.figure('bearingDrag', preloadDrag, {
    preloadN: locknut(t).preloadN,
    contactAngleDeg: nearest,
    meanDiameterMm: boreMm * MEAN_OF_BORE,
    staticCapacityN,
    bearings: 2,
    leverMm: round.leverMm,
  })
  // A model of friction is good to a factor of two.
  return { pullN, leastN: pullN / 2, mostN: pullN * 2 }
}
