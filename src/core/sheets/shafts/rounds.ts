import { radians } from '../../calculation/constants'
import { leastSquares, turnFit } from '../../calculation/leastSquares'
import type { EvaluationContext } from '../../evaluation/context'
import { openStations } from '../shared/rounds/closing'
import { onceRound, straight } from '../shared/rounds/odd'
import { bySteps, leastWaveUm } from '../shared/rounds/resolution'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { couplerLine } from './calculation'
import { BELT_ROUNDS, type BeltRound, COUPLER_ROUNDS, type CouplerRound } from './model'

/** The first angle is read again as the last. */
const closes = () => 'angleDeg'
const readOf = (round: CouplerRound, key: 'rimUm' | 'faceUm') =>
  openStations({ closes }, round).flatMap(({ angleDeg, ...station }) => {
    const readUm = station[key]
    // An arm hangs: from top to bottom it reads less by its sag on the rim, whatever the shafts do; across the face it does not.
    const armUm = key === 'rimUm' ? ((round.armSagUm ?? 0) * (1 - Math.cos(radians(angleDeg)))) / 2 : 0
    return readUm === null ? [] : [{ angleDeg, readingUm: readUm + armUm }]
  })
export const rimOf = (round: CouplerRound) => readOf(round, 'rimUm')
export const faceOf = (round: CouplerRound) => readOf(round, 'faceUm')

const FIRST_ANGLES = 6
const FEWEST_ANGLES = 3
export const canTell = (readings: readonly { angleDeg: number }[]) =>
  new Set(readings.map(({ angleDeg }) => angleDeg % 360)).size >= FEWEST_ANGLES

export const couplerRounds = defineRounds<CouplerRound>({
  about: 'Motor to screw',
  of: COUPLER_ROUNDS,
  pick: axis => axis.couplerRounds,
  only: couplerRounds => ({ couplerRounds }),
  signed: () => true,
  columns: [
    {
      key: 'rimUm',
      step: round => round.gaugeStepUm,
      at: 'angleDeg',
      shape: onceRound('angleDeg'),
      perhaps: 'the tip ran over a screw or a slot, or a slip',
    },
    {
      key: 'faceUm',
      step: round => round.gaugeStepUm,
      at: 'angleDeg',
      shape: onceRound('angleDeg'),
      perhaps: 'the tip ran over a screw or a slot, or a slip',
    },
  ],
  closes,
  begin: (_, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    stations: Array.from({ length: FIRST_ANGLES }, (_, index) => ({
      angleDeg: (360 / FIRST_ANGLES) * index,
      rimUm: null,
      faceUm: null,
    })),
  }),
  worst: (_, round) => {
    const rim = rimOf(round)
    const fit =
      canTell(rim) && turnFit(rim.map(({ angleDeg, readingUm }) => ({ angleDeg, value: readingUm })))
    return fit ? { value: fit.amplitude, quantity: 'smallLength' } : null
  },
  resolution: (t, { gaugeStepUm, stations }) =>
    gaugeStepUm === null
      ? null
      : {
          leastUm: leastWaveUm(gaugeStepUm, stations.length),
          countsUm: t.part('coupler').parallelLimitMm * 1000,
        },
  worstWords: 'shafts beside each other by',
})

/** How the last round says the shafts stand; null while it cannot. */
export function couplerRead(t: EvaluationContext) {
  const round = lastRound(couplerRounds, t.axis)
  if (!round) return null
  const [rim, face] = [rimOf(round), faceOf(round)]
  return canTell(rim) && canTell(face)
    ? t.figure('couplerLine', couplerLine, { rim, face, faceRadiusMm: round.faceRadiusMm })
    : null
}

export const gapsOf = (round: BeltRound) =>
  round.stations.flatMap(({ acrossMm, gapUm }) => (gapUm === null ? [] : [{ acrossMm, gapUm }]))

/** How the gaps say the pulleys stand: beside each other in the middle, and at an angle. */
export function pulleyLine(round: BeltRound): { besideUm: number; tiltUmPerMm: number } | null {
  const gaps = gapsOf(round)
  const middleMm = gaps.reduce((sum, { acrossMm }) => sum + acrossMm, 0) / Math.max(1, gaps.length)
  const fitted = leastSquares(
    gaps.map(({ acrossMm }) => [1, acrossMm - middleMm]),
    gaps.map(({ gapUm }) => gapUm),
  )
  if (!fitted) return null
  const [besideUm, tiltUmPerMm] = fitted.coefficients as [number, number]
  return { besideUm, tiltUmPerMm }
}

const FIRST_PULLEY_MM = 30
/** A belt runs off its pulley beyond a third of a degree. */
export const BELT_DEG = 1 / 3

export const beltRounds = defineRounds<BeltRound>({
  about: 'Pulleys in line',
  of: BELT_ROUNDS,
  pick: axis => axis.beltRounds,
  only: beltRounds => ({ beltRounds }),
  columns: [{ key: 'gapUm', step: round => round.gaugeStepUm, at: 'acrossMm', shape: straight('acrossMm') }],
  begin: (_, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    stations: [0, FIRST_PULLEY_MM / 2, FIRST_PULLEY_MM].map(acrossMm => ({ acrossMm, gapUm: null })),
  }),
  worst: (_, round) => {
    const line = pulleyLine(round)
    return line && { value: Math.abs(line.besideUm), quantity: 'smallLength' }
  },
  resolution: bySteps(t => Math.tan(radians(BELT_DEG)) * t.axis.driveSizes.beltCentresMm * 1000),
  worstWords: 'pulleys beside each other by',
})
