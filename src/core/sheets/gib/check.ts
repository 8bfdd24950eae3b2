import { defineChecks, type Judgement } from '../../evaluation/check'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { against, noAdvice, stepOf, turnWords } from '../shared/rounds/roundFinding'
import { gibSet } from './calculation'
import { gibRounds, playsOf, wedgeOf } from './rounds'

/** Wear beyond so many times the play to be left is said: no gib takes it. */
const MUCH_WEAR = 2
/** So near to the play that is wanted a gib is left alone. */
const NEAR_SHARE = 1 / 3

/** What no play tells, and no screw of the gib mends. */
const WEDGES: Judgement = {
  ...noAdvice(
    'It locks going one way and runs free the other: the gib walks with the slide and wedges. Push it back to where it began, set it, then lock it: both of its screws against its ends. Read again after that.',
  ),
  state: 'fails',
}

export const GIB_CHECKS = defineChecks({
  'align.gib': {
    title: 'Gib',
    subject: 'line',
    judge: judgeRounds(
      gibRounds,
      (t, round, say, small) => {
        const plays = playsOf(round)
        const { targetUm, kind, locks } = round
        const { taperRatio, screwPitchMm, isAssumed } = wedgeOf(round)
        if (plays.length < 2)
          return noAdvice(
            'Push and pull the slide to the side at two or more places, with the gauge at its side.',
          )
        const stepUm = stepOf(round, 'gib')
        const at = (mm: number) => say(mm, 'length', 0)
        if (stepUm > targetUm)
          return noAdvice(
            `A gauge of ${small(stepUm)} a mark cannot tell a play of ${small(targetUm)}. Borrow a finer one, or feel: it is snug where a hand just moves the slide and it does not rock.`,
          )
        const { advanceMm, turnDeg, leftUm, wearUm } = t.figure('gib', gibSet, {
          plays,
          targetUm,
          taperRatio,
          screwPitchMm,
        })
        const tightest = plays.reduce((least, one) => (one.playUm < least.playUm ? one : least))
        const loosest = plays.reduce((most, one) => (one.playUm > most.playUm ? one : most))
        const figures = [tightest.playUm, targetUm] as const
        const worn = `At ${at(loosest.positionMm)} ${small(leftUm)} stay: the ways are worn by ${small(wearUm)} there, which no gib takes. Setting it there would lock it at ${at(tightest.positionMm)}.`
        const isWorn = wearUm > MUCH_WEAR * targetUm
        if (Math.abs(tightest.playUm - targetUm) <= Math.max(stepUm, NEAR_SHARE * targetUm)) {
          if (locks === 'both')
            return noAdvice(
              `The play is right, ${small(tightest.playUm)} at the tightest place, and still it locks: slack the gib wholly and wind again. If it stays, the gib is not what binds: see Drag and tight spots.`,
            )
          return isWorn
            ? against('close', 'smallLength', figures, () => `Set for its tightest place. ${worn}`)
            : against(
                'holds',
                'smallLength',
                figures,
                () =>
                  `${small(tightest.playUm)} at the tightest place, ${at(tightest.positionMm)}, as wanted. Lock it, and read once more.`,
              )
        }
        const inward = advanceMm > 0
        const absurd = notMeant('gib', advanceMm, 'The gib would go by', say)
        if (absurd) return absurd
        const moves =
          kind === 'straight'
            ? `${inward ? 'Turn its screws in' : 'Back its screws off'}, one after another from the middle outward, until the gauge shows ${small(targetUm)} at ${at(tightest.positionMm)}; then the lock nuts, holding each screw.`
            : isAssumed
              ? `${inward ? 'Turn its screw in' : 'Turn its screw out'} by ${say(Math.abs(turnDeg) / 2, 'angle', 0)}, ${turnWords(turnDeg / 2)}: half of what a taper of 1 to ${taperRatio} and a pitch of ${say(screwPitchMm, 'length', 2)} would ask for, as many have; nobody has measured them. Slack the screw at the other end first, lock both after, and read again.`
              : `${inward ? 'Push the gib in' : 'Draw the gib back'} by ${say(Math.abs(advanceMm), 'length', 2)}: ${say(Math.abs(turnDeg), 'angle', 0)} of its screw, ${turnWords(turnDeg)}. Slack the screw at the other end first, and lock both after.`
        const worth = inward
          ? `Left so, a cut that pushes to the side moves the slide by up to ${small(loosest.playUm)} each time it turns.`
          : 'Left so, it drags, winds the drive up at every reversal, and wears.'
        return against(
          'fails',
          'smallLength',
          figures,
          () =>
            `${small(tightest.playUm)} at the tightest place, ${at(tightest.positionMm)}; ${small(targetUm)} wanted. ${moves} ${worth}${isWorn ? ` ${worn}` : ''}`,
        )
      },
      { before: ({ locks }) => (locks === 'one-way' ? WEDGES : null) },
    ),
  },
})
