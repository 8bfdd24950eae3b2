import { defineSheet } from '../sheet'
import { WAVE_ROUNDS } from './model'

/** What a screw adds and takes away within each of its turns: targets along the travel cannot see it. */
export const oneTurn = defineSheet({
  id: 'oneTurn',
  stage: 'prove',
  order: 95,
  loads: 'stage',
  title: 'One turn',
  fields: { waveRounds: WAVE_ROUNDS },
})
