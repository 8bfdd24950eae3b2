import { radians } from '../../calculation/constants'
import type { EvaluationContext } from '../../evaluation/context'
import { gantrySquare } from '../shared/rounds/gantrySquare'
import { expanded } from '../shared/rounds/roundFinding'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { circleTest } from './calculation'
import { CIRCLE_ROUNDS, type CircleRound } from './model'

/** Every thirty degrees: three directions to spare. */
const FIRST_DIRECTIONS = 6

export const acrossOf = (round: CircleRound) =>
  round.stations.flatMap(({ angleDeg, diameterMm }) =>
    diameterMm === null ? [] : [{ angleDeg, diameterMm }],
  )

/** Directions that are the same way across count once. */
export const canTell = (across: ReturnType<typeof acrossOf>): boolean =>
  new Set(across.map(({ angleDeg }) => angleDeg % 180)).size >= 3

export const circleRounds = defineRounds<CircleRound>({
  about: 'Circle',
  of: CIRCLE_ROUNDS,
  pick: axis => axis.circleRounds,
  only: circleRounds => ({ circleRounds }),
  proves: true,
  columns: [
    {
      key: 'diameterMm',
      step: ({ gaugeStepUm }) => (gaugeStepUm === null ? null : gaugeStepUm / 1000),
      at: 'angleDeg',
      shape: ({ angleDeg }) => {
        const twice = radians(2 * (angleDeg as number))
        return [1, Math.cos(twice), Math.sin(twice)]
      },
      perhaps: 'a burr, or not the widest place',
    },
  ],
  // Calipers are what it is measured with: the step of the indicator is not theirs.
  begin: () => ({
    gaugeStepUm: null,
    stations: Array.from({ length: FIRST_DIRECTIONS }, (_, index) => ({
      angleDeg: (180 / FIRST_DIRECTIONS) * index,
      diameterMm: null,
    })),
  }),
  reads: ['diagonalAMm', 'diagonalBMm'],
  worst: (_, round) => {
    const across = acrossOf(round).map(({ diameterMm }) => diameterMm)
    return across.length > 1
      ? { value: (Math.max(...across) - Math.min(...across)) * 1000, quantity: 'smallLength' }
      : null
  },
  worstWords: 'out of round',
})

/**
 * How far out of square the diagonals of the cut square say the axes are, over a metre; null while they are not read.
 *
 * @throws InputError when the diagonals are none of such a square
 */
export function measuredSquare(t: Pick<EvaluationContext, 'figure'>, round: CircleRound) {
  const { diagonalAMm, diagonalBMm, sideMm, diagonalReadToUm } = round
  if (diagonalAMm === null || diagonalBMm === null) return null
  const { outOfSquareUmPerM, shiftUncertaintyMm } = t.figure('cutSquare', gantrySquare, {
    diagonalAMm,
    diagonalBMm,
    sideAMm: sideMm,
    sideBMm: sideMm,
    railDistanceMm: sideMm,
    readingUncertaintyMm: diagonalReadToUm / 1000,
  })
  return { umPerM: outOfSquareUmPerM, uncertainUmPerM: (shiftUncertaintyMm / sideMm) * 1e6 }
}

/** What the circle of the last round says, with what it is uncertain by; null while it cannot. */
export function measuredCircle(t: EvaluationContext, stepUm: number) {
  const round = lastRound(circleRounds, t.axis)
  const across = round ? acrossOf(round) : []
  if (!round || !canTell(across)) return null
  const figures = t.figure('circle', circleTest, { diameters: across })
  const spreadUm = Math.max(figures.residualUm ?? 0, stepUm / Math.sqrt(12))
  const waveUm = spreadUm * Math.sqrt(2 / across.length)
  const uncertainUmPerM = expanded((2 * waveUm * 1000) / figures.meanDiameterMm, across.length - 3)
  return { round, across, ...figures, uncertainUmPerM }
}
