import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { gantrySquare } from '../shared/rounds/gantrySquare'
import { defineRounds } from '../shared/rounds/rounds'
import { squareReversal } from './calculation'
import { SQUARE_ROUNDS, type SquareRound } from './model'

/** How far out of square a round says it is, over a metre, and what that is uncertain by; null while it is not read. */
export interface OutOfSquare {
  umPerM: number
  uncertainUmPerM: number
  /** How far one side is ahead of the other. */
  shiftMm: number
}

/** What a square and an indicator are read to: a mark at either end, twice. */
const READINGS_OF_A_SQUARE = 4

/** @throws InputError when the diagonals are none of such a rectangle */
export function squareOf(
  t: Pick<EvaluationContext, 'axis' | 'figure'>,
  round: SquareRound,
  name = 'square',
): OutOfSquare | null {
  const railDistanceMm = t.axis.driveSizes.screwSpacingMm
  if (round.how === 'diagonals') {
    const { diagonalAMm, diagonalBMm, sideAMm, sideBMm, readingUncertaintyMm } = round
    if (diagonalAMm === null || diagonalBMm === null) return null
    const inputs = { diagonalAMm, diagonalBMm, sideAMm, sideBMm, railDistanceMm, readingUncertaintyMm }
    const { outOfSquareUmPerM, shiftMm, shiftUncertaintyMm } = t.figure(name, gantrySquare, inputs)
    return {
      umPerM: outOfSquareUmPerM,
      uncertainUmPerM: (shiftUncertaintyMm / railDistanceMm) * 1e6,
      shiftMm,
    }
  }
  const { firstUm, turnedUm, edgeMm, gaugeStepUm } = round
  if (firstUm === null || turnedUm === null) return null
  const { axisUmPerM } = t.figure(name, squareReversal, { firstUm, turnedUm, lengthMm: edgeMm })
  const uncertainUm = (Math.sqrt(READINGS_OF_A_SQUARE) * (gaugeStepUm ?? 0)) / Math.sqrt(12)
  return {
    umPerM: axisUmPerM,
    uncertainUmPerM: (uncertainUm / edgeMm) * 1000,
    shiftMm: (axisUmPerM / 1e6) * railDistanceMm,
  }
}

export const squareRounds = defineRounds<SquareRound>({
  about: 'Square',
  of: SQUARE_ROUNDS,
  pick: axis => axis.squareRounds,
  only: squareRounds => ({ squareRounds }),
  signed: ({ how }) => how === 'square',
  reads: ['diagonalAMm', 'diagonalBMm', 'firstUm', 'turnedUm'],
  begin: (axis, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    how: axis.drive.screws === 2 ? 'diagonals' : 'square',
    stations: [],
  }),
  worst: (context, round) => {
    const found = attempt(() => squareOf(context, round, `square.${round.id}`)).value
    return found ? { value: Math.abs(found.shiftMm), quantity: 'length' } : null
  },
  worstWords: 'one side ahead by',
})

/** How far out of square a round is over a metre, whatever the machine; null while it is not read. */
export const umPerMOf = (round: SquareRound): number | null =>
  attempt(() => {
    const {
      how,
      diagonalAMm,
      diagonalBMm,
      sideAMm,
      sideBMm,
      readingUncertaintyMm,
      firstUm,
      turnedUm,
      edgeMm,
    } = round
    if (how === 'square')
      return firstUm === null || turnedUm === null
        ? null
        : squareReversal({ firstUm, turnedUm, lengthMm: edgeMm }).axisUmPerM
    return diagonalAMm === null || diagonalBMm === null
      ? null
      : gantrySquare({
          diagonalAMm,
          diagonalBMm,
          sideAMm,
          sideBMm,
          railDistanceMm: 1000,
          readingUncertaintyMm,
        }).outOfSquareUmPerM
  }).value ?? null
