import { turnFit } from '../../calculation/leastSquares'
import { openStations } from '../shared/rounds/closing'
import { onceRound } from '../shared/rounds/odd'
import { leastWaveUm } from '../shared/rounds/resolution'
import { defineRounds } from '../shared/rounds/rounds'
import { FLANGE_ROUNDS, type FlangeRound } from './model'

export const sweptOf = (round: FlangeRound) =>
  openStations(flangeRounds, round).flatMap(({ angleDeg, readingUm }) =>
    readingUm === null ? [] : [{ angleDeg, readingUm }],
  )

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
  signed: () => true,
  columns: [
    {
      key: 'readingUm',
      step: round => round.gaugeStepUm,
      at: 'angleDeg',
      shape: onceRound('angleDeg'),
      perhaps: 'a burr, a bolt hole or a slip',
    },
  ],
  closes: () => 'angleDeg',
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
  resolution: (_, { gaugeStepUm, stations, radiusMm, boltCircleMm, acceptedUm }) =>
    gaugeStepUm === null
      ? null
      : {
          leastUm: (leastWaveUm(gaugeStepUm, stations.length) / radiusMm) * boltCircleMm,
          countsUm: acceptedUm,
        },
  worstWords: 'out of square over the bolt circle',
})
