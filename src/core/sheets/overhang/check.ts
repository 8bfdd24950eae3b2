import { defineChecks } from '../../evaluation/check'
import { counterweight } from '../../machine/travel/counterweight'
import { finerThanGauge } from '../../readings/plausible'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { notMeant } from '../shared/rounds/meant'
import { against, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { shimWords } from '../shared/rounds/shims'
import { droopUm, overhangRounds } from './rounds'

/** A base that moved by less than this share of what is accepted decides nothing. */
const MOVED_SHARE = 1 / 4

export const OVERHANG_CHECKS = defineChecks({
  'align.overhang': {
    title: 'Slide run out over its end',
    subject: 'axis',
    judge: judgeRounds(overhangRounds, (t, round, say) => {
      if (round.overhangMm === null || round.wayHalfLengthMm === null) return null
      const massKg = t.dimension('movingMassKg')
      const { overhangMm, wayHalfLengthMm, weightArmMm, weightOnKg } = round
      const { liftsOff, counterweightKg } = t.figure('counterweight', counterweight, {
        massKg,
        overhangMm,
        wayHalfLengthMm,
        weightArmMm,
      })
      const kg = (value: number) => say(value, 'mass', 0)
      const figures = [counterweightKg, Math.max(weightOnKg, 1e-9)] as const
      if (counterweightKg === 0)
        return against(
          'holds',
          'mass',
          [0, 1],
          'Its weight stays on the middle third of the way: it needs none against it.',
        )
      if (weightOnKg >= counterweightKg)
        return against(
          'holds',
          'mass',
          figures,
          () =>
            `${kg(weightOnKg)} at ${say(weightArmMm, 'length', 0)} hold it down; ${kg(counterweightKg)} are enough. Tie it, and take it off before the slide goes back: run in, it would hang over on the other side.`,
        )
      return against(
        liftsOff ? 'fails' : 'close',
        'mass',
        figures,
        () =>
          `${liftsOff ? 'It tips off its ways' : 'It lifts at one end and reads false'}: lay ${kg(Math.ceil(counterweightKg))} on at ${say(weightArmMm, 'length', 0)}, on the other side of the middle of the way, and tie it. Keep hands and feet from under the overhang until it lies there.`,
      )
    }),
  },
  'align.droop': {
    title: 'Bracket under its motor',
    subject: 'motor',
    judge: judgeRounds(overhangRounds, (t, round, say, small) => {
      if (round.withoutUm === null && round.withUm === null) return null
      const um = droopUm(round)
      if (um === null)
        return noAdvice(
          'Read the outer edge of the bracket from above twice: without the motor, and with it bolted on.',
        )
      const stepUm = stepOf(round, 'overhang')
      const fine = [round.withoutUm, round.withUm].find(one => one !== null && finerThanGauge(one, stepUm))
      if (fine !== undefined && fine !== null)
        return noAdvice(
          `A reading of ${small(fine)} is finer than the gauge can show: was it typed in another unit?`,
        )
      const acceptedUm = t.axis.goals.alignmentTargetUm
      const figures = [Math.abs(um), acceptedUm] as const
      if (Math.abs(um) + stepUm <= acceptedUm)
        return against(
          'holds',
          'smallLength',
          figures,
          () => `The motor draws it down by ${small(um)}: less than the ${small(acceptedUm)} accepted.`,
        )
      if (Math.abs(um) <= acceptedUm)
        return noAdvice(
          `${small(um)} in steps of ${small(stepUm)} against ${small(acceptedUm)} accepted: a finer gauge would tell.`,
        )
      const { withoutUm, againUm } = round
      if (againUm === null)
        return noAdvice(
          'Take the motor off again and read the edge once more: it tells whether the base has moved. Nothing is shimmed before.',
        )
      const movedUm = Math.abs(againUm - (withoutUm as number))
      if (movedUm > Math.max(2 * stepUm, MOVED_SHARE * acceptedUm))
        return noAdvice(
          `Without the motor it reads ${small(movedUm)} otherwise than before: the base moved, or the bracket did not come back. Clamp the base anew, tighten the bracket, and read all three again.`,
        )
      if (um < 0)
        return noAdvice(
          'With the motor on it reads higher. Were the two typed the other way round, or does the tip stand underneath?',
        )
      const absurd = notMeant('shim', um, 'The motor would draw the bracket down by', say)
      if (absurd) return absurd
      return against(
        'fails',
        'smallLength',
        figures,
        () =>
          `The motor draws the bracket down by ${small(um)}. Prop it or stiffen it, and read again. Or raise its outer edge by that with the motor off, ${shimWords(um, t.shop.shimStockMm, say)}: these two readings stay as far apart then, and Motor to screw, read with the motor on, says whether it is in line.`,
      )
    }),
  },
})
