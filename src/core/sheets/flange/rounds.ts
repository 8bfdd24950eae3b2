import { turnFit } from '../../calculation/leastSquares'
import { defineRounds } from '../../machine/align/rounds'
import { FLANGE_ROUNDS, type FlangeRound } from './model'

export const sweptOf = (round: FlangeRound) =>
  round.stations.flatMap(({ angleDeg, readingUm }) => (readingUm === null ? [] : [{ angleDeg, readingUm }]))

/** How far a face tilts over its bolt circle; null below three angles. */
export const tiltOverBolts = (round: FlangeRound): number | null => {
  const fit = turnFit(sweptOf(round).map(({ angleDeg, readingUm }) => ({ angleDeg, value: readingUm })))
  return fit && (fit.amplitude / round.radiusMm) * round.boltCircleMm
}

/** Six tell a plane from a warped face; four hardly do. */
const FIRST_ANGLES = 6

export const flangeRounds = defineRounds<FlangeRound>({
  about: 'Nut flange and faces',
  of: FLANGE_ROUNDS,
  pick: axis => axis.flangeRounds,
  only: flangeRounds => ({ flangeRounds }),
  begin: (_, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    stations: Array.from({ length: FIRST_ANGLES }, (_, index) => ({
      angleDeg: (360 / FIRST_ANGLES) * index,
      readingUm: null,
    })),
  }),
  worst: (_, round) => {
    const value = tiltOverBolts(round)
    return value === null ? null : { value, quantity: 'smallLength' }
  },
  worstWords: 'out of square over the bolt circle',
})
