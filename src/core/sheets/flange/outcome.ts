import { defineOutcome } from '../outcome'
import { accept } from '../shared/rounds/acceptMore'
import { roundsOnPaper } from '../shared/rounds/roundsOnPaper'
import { faceTilt } from './calculation'
import { flangeRounds, tiltOverBolts } from './rounds'

/** The tilt of a face, and its rounds on paper. */
export const flangeOutcome = defineOutcome({
  calculations: [faceTilt],
  remedies: {
    'align.flange': [
      accept(flangeRounds, 'acceptedUm', tiltOverBolts, 'the nut stands askew on its screw, and wears'),
    ],
  },
  paper: context => roundsOnPaper(flangeRounds, context),
})
