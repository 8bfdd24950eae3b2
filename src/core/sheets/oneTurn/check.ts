import { defineChecks } from '../../evaluation/check'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { FEWEST_PLACES, waveOf, waveRounds } from './rounds'

/** A turn may take so much of the accuracy that is asked for. */
export const SHARE_OF_ACCURACY = 1 / 2
/** Readings that lie off the wave by more than this share of it make none. */
const POOR_SHARE = 1 / 2

export const ONE_TURN_CHECKS = defineChecks({
  'prove.oncePerTurn': {
    title: 'Error over one turn',
    subject: 'screw',
    judge: judgeRounds(waveRounds, (t, round, say, small) => {
      stepOf(round, 'oneTurn', 'prove')
      const found = waveOf(t, round)
      const { leadMm } = t.part('screw')
      if (!found)
        return noAdvice(
          `Read eight places, ${say(leadMm / 8, 'length', 3)} apart, over a whole turn of ${say(leadMm, 'length', 2)}, each come to from the same side: ${FEWEST_PLACES} are the least that tell a wave.`,
        )
      const wholeUm = 2 * found.amplitudeUm
      const uncertainUm = 2 * found.expandedUm
      const limitUm = SHARE_OF_ACCURACY * t.axis.goals.accuracyTargetUm
      if (wholeUm > limitUm && found.spreadUm > POOR_SHARE * found.amplitudeUm)
        return noAdvice(
          `The readings lie ${small(found.spreadUm)} off any wave of one turn: come to each place from the same side, by more than the play, and read again.`,
        )
      const said = `Within each turn it goes ${small(wholeUm)} ± ${small(uncertainUm)} to and fro, furthest ahead ${say(found.highestAtMm, 'length', 2)} into a lead`
      return judgeFigure([wholeUm, uncertainUm, limitUm], [wholeUm, limitUm, uncertainUm], {
        within: () => `${said}: within the ${small(limitUm)} that a turn may take.`,
        beyond: () =>
          `${said}, more than the ${small(limitUm)} that a turn may take. A table of corrections does not take it out. Look at the face that the fixed bearings stand against, the run-out of the end, and a coupler that pulls along; what stays is the screw’s own.`,
        cannotTell: () =>
          `${said}, against ${small(limitUm)} that a turn may take: these readings cannot tell. Read finer, or over two turns.`,
      })
    }),
  },
})
