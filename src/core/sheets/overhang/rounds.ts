import { bySteps } from '../shared/rounds/resolution'
import { defineRounds } from '../shared/rounds/rounds'
import { OVERHANG_ROUNDS, type OverhangRound } from './model'

/** How far the motor draws its bracket down; null while it is not read. A larger reading is higher. */
export const droopUm = ({ withoutUm, withUm }: OverhangRound): number | null =>
  withoutUm === null || withUm === null ? null : withoutUm - withUm

export const overhangRounds = defineRounds<OverhangRound>({
  about: 'Overhang and droop',
  of: OVERHANG_ROUNDS,
  pick: axis => axis.overhangRounds,
  only: overhangRounds => ({ overhangRounds }),
  reads: ['withoutUm', 'withUm', 'againUm'],
  begin: (_, shop) => ({ gaugeStepUm: shop.gaugeStepUm, stations: [] }),
  worst: (_, round) => {
    const value = droopUm(round)
    return value === null ? null : { value: Math.abs(value), quantity: 'smallLength' }
  },
  resolution: bySteps(t => t.axis.goals.alignmentTargetUm),
  worstWords: 'droop of the bracket',
})
