import { attempt } from '../../evaluation/attempt'
import { defineChecks } from '../../evaluation/check'
import { forces } from '../../machine/drive/load'
import { driveStiffness } from '../../machine/drive/stiffness'
import { pushedOneWay } from '../shared/proofs/lostMinus'
import { PART_SHARE } from '../shared/proofs/partShare'
import { notPushedThrough } from '../shared/proofs/pushes'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { PUSH_ROUNDS } from './model'
import { pushedPlay, pushRounds } from './rounds'

/** A drive that gives so much more than its parts should has something loose in it. */
const MUCH_SOFTER = 2

const PLACE_WORDS = PUSH_ROUNDS.of.at.words ?? {}

/** A play that comes out less than nothing by this many steps more than it is uncertain by has the wrong sign. */
const WRONG_SIGN_STEPS = 2
/** Friction is known to this factor. */
const FRICTION_TIMES = 2

export const PUSH_PULL_CHECKS = defineChecks({
  'prove.pushPull': {
    title: 'Play under push and pull',
    subject: 'proof',
    judge: judgeRounds(pushRounds, (t, round, say, small) => {
      const stepUm = stepOf(round, 'pushPull', 'prove')
      const found = pushedPlay(t, stepUm)
      if (!found)
        return noAdvice(
          'Push and pull with two sizes of force at least, each both ways: four readings or more.',
        )
      const { playUm, expandedUm, stiffnessNPerUm, pushes } = found
      const stuck = notPushedThrough(t, Math.min(...pushes.map(({ forceN }) => Math.abs(forceN))), say)
      if (stuck) return noAdvice(stuck)
      if (pushedOneWay(pushes, stepUm))
        return noAdvice(
          'Pushed and pulled it reads the same side of zero, and as much: a slide goes the other way when it is pulled. Was a minus lost? Else set the gauge to zero in the middle of its play, and read again.',
        )
      // What the ways take of each push does not reach the drive: drawn out to no force, it looks like less than no play.
      const takenUm =
        stiffnessNPerUm !== null && stiffnessNPerUm > 0
          ? (2 * FRICTION_TIMES * forces(t).frictionN) / stiffnessNPerUm
          : 0
      if (playUm < -(expandedUm + WRONG_SIGN_STEPS * stepUm + takenUm))
        return noAdvice(
          'It reads less the harder it is pushed: the gauge reads the other way round, or pushes and pulls were typed with each other’s sign.',
        )
      // What moves further back along the drive is but one part of what is lost.
      const targetUm = (round.at === 'slide' ? 1 : PART_SHARE) * t.axis.goals.backlashTargetUm
      const measured = `Play of ${small(Math.max(playUm, 0))} ± ${small(expandedUm)} at ${PLACE_WORDS[round.at]}`
      const reckoned = attempt(() => driveStiffness(t).stiffnessNPerUm).value
      const soft =
        round.at === 'slide' && stiffnessNPerUm !== null && stiffnessNPerUm > 0 && reckoned !== undefined
          ? ` Beside it the drive gives ${small(100 / stiffnessNPerUm)} under ${say(100, 'pull', 0)}; Size reckons ${small(100 / reckoned)}${
              reckoned > MUCH_SOFTER * stiffnessNPerUm ? ': something gives that should not.' : '.'
            }`
          : ''
      const figures = [Math.max(playUm, 0), targetUm, expandedUm] as const
      return judgeFigure([playUm, expandedUm, targetUm], figures, {
        within: () => `${measured}, against ${small(targetUm)} accepted.${soft}`,
        beyond: () =>
          `${measured}, more than the ${small(targetUm)} accepted: it does not grow with the force, so something is loose, not soft. ${round.at === 'slide' ? 'Read the five places to see where it is lost.' : 'It moves there: do up what holds it.'}${soft}`,
        cannotTell: () =>
          `${measured}, against ${small(targetUm)} accepted: these readings cannot tell. Push each way once more with every force${stepUm > targetUm / 4 ? ', with a finer gauge' : ''}.`,
      })
    }),
  },
})
