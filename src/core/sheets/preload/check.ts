import { attempt } from '../../evaluation/attempt'
import { defineChecks } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { lifeWords } from '../../evaluation/measures'
import { driveStiffness } from '../../machine/drive/stiffness'
import { finerThanGauge } from '../../readings/plausible'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { against, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { locknut } from '../shared/steps/preload'
import { LEAST_TURN, MOST_TURN, setBy } from './range'
import { addedPull, preloadRounds } from './rounds'

/** A hand that pushes and pulls a screw along hard. */
const HARD_PUSH_N = 150

/** About ten times. */
const [TEN_LEAST, TEN_MOST] = [7, 14]
const isTen = (times: number) => times > TEN_LEAST && times < TEN_MOST

/** Each of two pulls is read to a step of the scale and somewhat more, and seals pull anew by a share of what they did. */
const COARSE_STEPS = 3
const AGAIN_SHARE = 0.1

/** A screw's end goes with its block, where that is loose. */
const ON_THE_BLOCK =
  'Put the tip on the block itself and push again: if it goes too, tighten its screws to the casting first.'

/** What the bearings give when the screw is pushed and pulled along by hand: no play, and still the needle goes. */
const giveByHandUm = (t: EvaluationContext): number =>
  attempt(() => (2 * HARD_PUSH_N) / driveStiffness(t).parts.bearing).value ?? 0

export const PRELOAD_CHECKS = defineChecks({
  'align.preload': {
    title: 'Preload as set',
    subject: 'bearing',
    judge: judgeRounds(preloadRounds, (t, round, say, small) => {
      const { set, playUm, turnedDeg, pullBeforeN, pullAfterN, scaleStepN } = round
      if (set === null)
        return noAdvice(
          'Say first which bearings they are: a matched set is clamped hard and takes its own preload; two of a kind get it from the turn of the locknut, and are ruined by clamping hard.',
        )
      const nut = locknut(t)
      const deg = (value: number) => say(value, 'angle', 0)
      if (playUm === null && turnedDeg === null)
        return noAdvice(
          set === 'matched'
            ? `Clamp the locknut to ${say(nut.matchedNm, 'torque')}, then read the play at the screw's end: it must be nil.`
            : `Turn the locknut until the play has just gone, then ${deg(nut.turnDeg)} more: ${say(nut.handleTravelMm, 'length', 0)} at the end of a spanner of ${say(nut.handleMm, 'length', 0)}. Read the play after.`,
        )
      let gives = ''
      if (playUm !== null) {
        const giveUm = giveByHandUm(t)
        const stepUm = stepOf(round, 'preload')
        if (finerThanGauge(playUm, stepUm))
          return noAdvice(
            `A play of ${small(playUm)} is finer than the gauge can show: was it typed in another unit?`,
          )
        const isGive = playUm > stepUm && playUm <= stepUm + giveUm
        gives = isGive
          ? ` Of the ${small(playUm)} that the needle goes, these bearings give up to ${small(giveUm)} under a hard push: what a light push shows as well would be play.`
          : ''
        if (isGive && set === 'matched')
          return noAdvice(
            `The needle goes ${small(playUm)}: under a hard push these bearings give up to ${small(giveUm)} without any play. Push and pull lightly, and read again: what shows then is play.`,
          )
        if (playUm > stepUm && !isGive) {
          const isTurned = set === 'loose' && turnedDeg !== null && turnedDeg >= LEAST_TURN * nut.turnDeg
          return against('fails', 'smallLength', [playUm, stepUm], () =>
            isTurned
              ? `${small(playUm)} of play, though the locknut was turned ${deg(turnedDeg)} past where it ended: it is not the bearings, and nothing is to be turned further. ${ON_THE_BLOCK} If it stands still, look for a chip or a spacer that is not seated.`
              : `${small(playUm)} of play. ${ON_THE_BLOCK} If it stands still: ${
                  set === 'matched'
                    ? `the set is not clamped. Look for a chip between the rings, then the locknut to ${say(nut.matchedNm, 'torque')}.`
                    : `tighten the locknut until it has just gone, then ${deg(nut.turnDeg)} more.`
                }`,
          )
        }
      }
      const coarse =
        playUm !== null && round.gaugeStepUm !== null && round.gaugeStepUm > nut.squeezeUm
          ? ` But the whole preload squeezes the pair by ${small(nut.squeezeUm)}, and a gauge of ${small(round.gaugeStepUm)} a mark sees nothing of a play of that size: borrow a finer one${set === 'loose' ? ', or go by the turn' : ', or feel for a knock with the locknut clamped'}.`
          : ''
      const added = addedPull(t, round)
      const addedN = pullBeforeN !== null && pullAfterN !== null ? pullAfterN - pullBeforeN : null
      // A scale that cannot tell what is right still tells what is far too much.
      const surelyTight =
        added !== null &&
        addedN !== null &&
        addedN - COARSE_STEPS * (scaleStepN ?? 0) - AGAIN_SHARE * (pullBeforeN ?? 0) > added.mostN
      const tightSaid =
        surelyTight &&
        ` It drags ${say(addedN, 'pull')} more than before, where no more than ${say(added.mostN, 'pull')} are to be expected`
      const before = t.axis.preloadRounds.at(-2)
      const wasTight =
        before?.pullAfterN != null &&
        before.pullBeforeN != null &&
        before.pullAfterN > TEN_LEAST * before.pullBeforeN
      // Ten times as much is as soon a slip of a digit; read so twice, it is so.
      if (
        surelyTight &&
        pullAfterN !== null &&
        pullBeforeN !== null &&
        !wasTight &&
        isTen(pullAfterN / pullBeforeN)
      )
        return noAdvice(
          `It pulls ${say(pullAfterN, 'pull')}, ten times the ${say(pullBeforeN, 'pull')} before: was a digit or a point slipped? Pull once more. If it stays, it is far too tight: begin another round with it, and nothing runs till then.`,
        )
      if (coarse && turnedDeg === null && !surelyTight) return noAdvice(`No play that shows.${coarse}`)
      if (set === 'matched' && tightSaid)
        return against(
          'fails',
          'pull',
          [addedN as number, added?.mostN ?? 0],
          `No play, and far too tight.${tightSaid}: a chip between the rings, spacers that are not alike, or two that do not belong together. Take them apart and look, before it runs.`,
        )
      if (set === 'matched')
        return against(
          'holds',
          'smallLength',
          [playUm ?? 0, round.gaugeStepUm ?? 1],
          'No play: clamped hard, a matched set has the preload that it was ground to.',
        )
      const canFeel = added !== null && scaleStepN !== null && added.pullN > 2 * scaleStepN
      const byPull =
        addedN === null || !added
          ? ''
          : canFeel
            ? ` It drags ${say(addedN, 'pull')} more than before, where ${say(added.leastN, 'pull')} to ${say(added.mostN, 'pull')} are to be expected.`
            : tightSaid
              ? `${tightSaid}.`
              : ` The ${say(added.pullN, 'pull')} that it adds to the drag are less than this scale can tell: go by the turn.`
      const more = `${byPull}${gives}`
      if (turnedDeg === null) {
        if ((canFeel || surelyTight) && addedN !== null && added)
          return addedN > added.mostN
            ? against(
                'fails',
                'pull',
                [addedN, added.mostN],
                () => `Too tight.${more} Slacken and begin anew: too much shortens the life and heats.`,
              )
            : addedN < added.leastN
              ? against(
                  'close',
                  'pull',
                  [addedN, added.mostN],
                  () => `Rather loose.${more} It opens under a smaller load than reckoned.`,
                )
              : against(
                  'holds',
                  'pull',
                  [addedN, added.mostN],
                  () => `No play, and as tight as it should be.${more}`,
                )
        return noAdvice(
          `No play, but how tight? Go back to where the play begins, and turn ${deg(nut.turnDeg)} from there: ${say(nut.handleTravelMm, 'length', 0)} at the end of a spanner of ${say(nut.handleMm, 'length', 0)}.${more}`,
        )
      }
      const share = turnedDeg / nut.turnDeg
      const figures = [turnedDeg, nut.turnDeg] as const
      const is = setBy(t, turnedDeg)
      const life = attempt(() => lifeWords(is.lifeHours, say)).value
      const said = `Turned ${deg(turnedDeg)} from no play, where ${deg(nut.turnDeg)} give the ${say(nut.preloadN, 'force')}: about ${say(is.preloadN, 'force', 0)}; the pair opens at ${say(is.opensN, 'force', 0)}${life ? ` and is good for ${life}` : ''}.`
      const dragSaysTight =
        surelyTight || (canFeel && addedN !== null && added !== null && addedN > added.mostN)
      if (share > MOST_TURN || dragSaysTight)
        return against(
          'fails',
          'angle',
          figures,
          () =>
            `${said}${more} Too tight shortens the life and heats: slacken it, and begin anew from no play.`,
        )
      if (share < LEAST_TURN)
        return against(
          'close',
          'angle',
          figures,
          () =>
            `${said}${more} Rather too little than too much, but it opens early: ${deg(nut.turnDeg - turnedDeg)} more.`,
        )
      return against(
        'holds',
        'angle',
        figures,
        () => `${said}${more} Set the set screw, and read the play once more.`,
      )
    }),
  },
})
