import { attempt } from '../../evaluation/attempt'
import { defineChecks } from '../../evaluation/check'
import { lifeWords } from '../../evaluation/measures'
import { finerThanGauge } from '../../readings/plausible'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { against, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { locknut } from '../shared/steps/preload'
import { LEAST_TURN, MOST_TURN, setBy } from './range'
import { addedPull, preloadRounds } from './rounds'

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
      if (playUm !== null) {
        const stepUm = stepOf(round, 'preload')
        if (finerThanGauge(playUm, stepUm))
          return noAdvice(
            `A play of ${small(playUm)} is finer than the gauge can show: was it typed in another unit?`,
          )
        if (playUm > stepUm)
          return against('fails', 'smallLength', [playUm, stepUm], () =>
            set === 'matched'
              ? `${small(playUm)} of play: the set is not clamped. Look for a chip between the rings, then the locknut to ${say(nut.matchedNm, 'torque')}.`
              : `${small(playUm)} of play: tighten the locknut until it has just gone, then ${deg(nut.turnDeg)} more.`,
          )
      }
      const coarse =
        playUm !== null && round.gaugeStepUm !== null && round.gaugeStepUm > nut.squeezeUm
          ? ` But the whole preload squeezes the pair by ${small(nut.squeezeUm)}, and a gauge of ${small(round.gaugeStepUm)} a mark sees nothing of a play of that size: borrow a finer one${set === 'loose' ? ', or go by the turn' : ', or feel for a knock with the locknut clamped'}.`
          : ''
      if (coarse && turnedDeg === null) return noAdvice(`No play that shows.${coarse}`)
      if (set === 'matched')
        return against(
          'holds',
          'smallLength',
          [playUm ?? 0, round.gaugeStepUm ?? 1],
          'No play: clamped hard, a matched set has the preload that it was ground to.',
        )
      const added = addedPull(t, round)
      const addedN = pullBeforeN !== null && pullAfterN !== null ? pullAfterN - pullBeforeN : null
      const canFeel = added !== null && scaleStepN !== null && added.pullN > 2 * scaleStepN
      const byPull =
        addedN === null || !added
          ? ''
          : canFeel
            ? ` It drags ${say(addedN, 'pull')} more than before, where ${say(added.leastN, 'pull')} to ${say(added.mostN, 'pull')} are to be expected.`
            : ` The ${say(added.pullN, 'pull')} that it adds to the drag are less than this scale can tell: go by the turn.`
      if (turnedDeg === null) {
        if (canFeel && addedN !== null && added)
          return addedN > added.mostN
            ? against(
                'fails',
                'pull',
                [addedN, added.mostN],
                () => `Too tight.${byPull} Slacken and begin anew: too much shortens the life and heats.`,
              )
            : addedN < added.leastN
              ? against(
                  'close',
                  'pull',
                  [addedN, added.mostN],
                  () => `Rather loose.${byPull} It opens under a smaller load than reckoned.`,
                )
              : against(
                  'holds',
                  'pull',
                  [addedN, added.mostN],
                  () => `No play, and as tight as it should be.${byPull}`,
                )
        return noAdvice(
          `No play, but how tight? Go back to where the play begins, and turn ${deg(nut.turnDeg)} from there: ${say(nut.handleTravelMm, 'length', 0)} at the end of a spanner of ${say(nut.handleMm, 'length', 0)}.${byPull}`,
        )
      }
      const share = turnedDeg / nut.turnDeg
      const figures = [turnedDeg, nut.turnDeg] as const
      const is = setBy(t, turnedDeg)
      const life = attempt(() => lifeWords(is.lifeHours, say)).value
      const said = `Turned ${deg(turnedDeg)} from no play, where ${deg(nut.turnDeg)} give the ${say(nut.preloadN, 'force')}: about ${say(is.preloadN, 'force', 0)}; the pair opens at ${say(is.opensN, 'force', 0)}${life ? ` and is good for ${life}` : ''}.`
      const dragSaysTight = canFeel && addedN !== null && added !== null && addedN > added.mostN
      if (share > MOST_TURN || dragSaysTight)
        return against(
          'fails',
          'angle',
          figures,
          () =>
            `${said}${byPull} Too tight shortens the life and heats: slacken it, and begin anew from no play.`,
        )
      if (share < LEAST_TURN)
        return against(
          'close',
          'angle',
          figures,
          () =>
            `${said}${byPull} Rather too little than too much, but it opens early: ${deg(nut.turnDeg - turnedDeg)} more.`,
        )
      return against(
        'holds',
        'angle',
        figures,
        () => `${said}${byPull} Set the set screw, and read the play once more.`,
      )
    }),
  },
})
