import { spreadMm } from '../../readings/model'
import { bySteps } from '../shared/rounds/resolution'
import { defineRounds } from '../shared/rounds/rounds'
import { GIB_ROUNDS, type GibRound } from './model'

/** Places that were read. */
export const playsOf = (round: GibRound) =>
  round.stations.flatMap(({ positionMm, playUm }) => (playUm === null ? [] : [{ positionMm, playUm }]))

/** What most gibs of small machines have, where nobody has measured it. */
const USUAL_TAPER = 60
const USUAL_PITCH_MM = 1

/** The wedge of a gib and its screw; usual ones, where they are not measured. */
export const wedgeOf = ({ taperRatio, screwPitchMm }: Pick<GibRound, 'taperRatio' | 'screwPitchMm'>) => ({
  taperRatio: taperRatio ?? USUAL_TAPER,
  screwPitchMm: screwPitchMm ?? USUAL_PITCH_MM,
  isAssumed: taperRatio === null || screwPitchMm === null,
})

const FIRST_PLACES = 5

export const gibRounds = defineRounds<GibRound>({
  about: 'Gib',
  of: GIB_ROUNDS,
  pick: axis => axis.gibRounds,
  only: gibRounds => ({ gibRounds }),
  columns: [{ key: 'playUm', step: round => round.gaugeStepUm, at: 'positionMm', beside: [] }],
  reads: ['locks'],
  begin: (axis, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    stations: spreadMm(0, axis.dimensions.wayTravelMm.value ?? 400, FIRST_PLACES).map(positionMm => ({
      positionMm,
      playUm: null,
    })),
  }),
  worst: (_, round) => {
    const plays = playsOf(round).map(({ playUm }) => playUm)
    return plays.length === 0
      ? null
      : { value: Math.abs(Math.min(...plays) - round.targetUm), quantity: 'smallLength' }
  },
  resolution: bySteps((_, { targetUm }) => targetUm),
  worstWords: 'off the play wanted',
})
