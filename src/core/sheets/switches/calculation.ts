import { calculation } from '../../calculation/calculation'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { filled } from '../../evaluation/filled'
import { length } from '../../field/field'
import { stoppingMm } from '../../machine/travel/stopping'
import { CABLE } from './model'

/**
 * How long a cable chain must be, and how high its loop stands.
 *
 * @example cableLoop({ travelMm: 993, bendRadiusMm: 38, fixedEndAtMm: 93, marginMm: 60 }) // { chainLengthMm: 828.88, heightMm: 76 }
 */
export const cableLoop = calculation({
  id: 'cable.loop',
  title: 'Length of a cable chain',
  formula: 'L = s/2 + pi r + |a| + 2 m; H = 2 r',
  source: 'Geometry: one end goes with the slide, the loop goes half as far',
  validity: 'A chain that lies on its tray; a long one that sags is carried between',
  inputs: {
    travelMm: length('travel', { over: 0 }, { symbol: 's' }),
    bendRadiusMm: length('bend radius', { over: 0 }, { symbol: 'r' }),
    fixedEndAtMm: length('fixed end off the middle of the travel', {}, { symbol: 'a' }),
    marginMm: length('margin at each end', { min: 0 }, { symbol: 'm' }),
  },
  outputs: {
    chainLengthMm: length('length of the chain', {}, { symbol: 'L' }),
    heightMm: length('height of the loop', {}, { symbol: 'H' }),
  },
  compute: ({ travelMm, bendRadiusMm, fixedEndAtMm, marginMm }) => ({
    chainLengthMm: travelMm / 2 + Math.PI * bendRadiusMm + Math.abs(fixedEndAtMm) + 2 * marginMm,
    heightMm: 2 * bendRadiusMm,
  }),
})

/** The chain of an axis. @throws NotKnown naming what is not entered yet */
export const chain = remembered((t: EvaluationContext) => {
  const { bendRadiusMm, fixedEndAtMm } = filled(t.axis.cable, ['bendRadiusMm', 'fixedEndAtMm'], CABLE.of, {
    sheet: 'switches',
    stage: 'build',
    name: 'cable',
  })
  return t.figure('cableLoop', cableLoop, {
    travelMm: t.dimension('wayTravelMm'),
    bendRadiusMm,
    fixedEndAtMm,
    marginMm: t.axis.cable.marginMm,
  })
})

/** How far the axis runs on once a switch is struck, its own filter counted in. @throws NotKnown without the reaction */
export const runsOnMm = (t: EvaluationContext, filterMs: number | null): number =>
  stoppingMm(t) + ((filterMs ?? 0) / 1000) * (t.axis.goals.topSpeedMmPerMin / 60)
