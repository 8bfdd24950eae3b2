import type { EvaluationContext } from '../../evaluation/context'
import { straight } from '../shared/rounds/odd'
import { defineRounds, lastRound } from '../shared/rounds/rounds'
import { waysFriction } from './calculation'
import { WAYS_ROUNDS, type WaysRound } from './model'

export const pullsOf = (round: WaysRound) =>
  round.stations.flatMap(({ addedMassKg, pullN }) => (pullN === null ? [] : [{ addedMassKg, pullN }]))

/** Weights that a shop has: nothing, a vice, a vice and a rotary table. */
const WEIGHTS_KG = [0, 10, 20, 30]

export const waysRounds = defineRounds<WaysRound>({
  about: 'Friction of the ways',
  of: WAYS_ROUNDS,
  pick: axis => axis.waysRounds,
  only: waysRounds => ({ waysRounds }),
  columns: [
    {
      key: 'pullN',
      step: round => round.scaleStepN,
      at: 'addedMassKg',
      shape: straight('addedMassKg'),
      perhaps: 'a jerk, or a slip',
    },
  ],
  begin: axis => {
    const { value } = axis.dimensions.movingMassKg
    return {
      ...(value !== null && { massKg: value }),
      stations: WEIGHTS_KG.map(addedMassKg => ({ addedMassKg, pullN: null })),
    }
  },
  worst: (_, round) => {
    const pulls = pullsOf(round)
    const bare = pulls.filter(({ addedMassKg }) => addedMassKg === 0).map(({ pullN }) => pullN)
    return bare.length ? { value: Math.max(...bare), quantity: 'pull' } : null
  },
  worstWords: 'pull without weight',
})

/** The friction that a round says; null while it cannot. */
export function frictionOf(t: EvaluationContext, round: WaysRound, name: string) {
  const pulls = pullsOf(round)
  if (new Set(pulls.map(({ addedMassKg }) => addedMassKg)).size < 2) return null
  return t.figure(name, waysFriction, { massKg: round.massKg, pulls })
}

/** The friction that the last round says; null while it cannot. */
export function frictionRead(t: EvaluationContext) {
  const round = lastRound(waysRounds, t.axis)
  return round ? frictionOf(t, round, 'waysFriction') : null
}
