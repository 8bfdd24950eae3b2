import { STEEL_EXPANSION_PER_K } from '../../calculation/constants'
import { defineChecks } from '../../evaluation/check'
import { MM_PER_INCH } from '../../units/quantity'
import { narrows } from '../shared/proofs/uncertainty'
import { judgeFigure, judgeRounds } from '../shared/rounds/judgeRounds'
import { against, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { MOST_CORRECTION_SHARE } from '../shared/steps/controller'
import { measuredScale, scaleRounds } from './rounds'

/** Further off than this it is no scale: another lead, microstep or unit was set. */
const ANOTHER_SETTING_UM_PER_M = 50_000

export const SCALE_CHECKS = defineChecks({
  'prove.scale': {
    title: 'Scale over the travel',
    subject: 'proof',
    judge: judgeRounds(scaleRounds, (t, round, say, small) => {
      const found = measuredScale(t, stepOf(round, 'scale', 'prove'))
      if (!found)
        return noAdvice(
          'Measure where the slide goes at two commanded places or more, from one side each time.',
        )
      const { overTravelUm, uncertainUm, scaleErrorUmPerM, moves, setPerMm, stepsPerMm, most } = found
      const targetUm = t.axis.goals.accuracyTargetUm
      const travel = say(t.axis.goals.wantedTravelMm, 'length', 0)
      const put =
        setPerMm === null
          ? ''
          : t.units === 'inch'
            ? ` Set ${say(stepsPerMm * MM_PER_INCH, 'ratio', 3)} steps an inch in place of ${say(setPerMm * MM_PER_INCH, 'ratio', 3)}.`
            : ` Set ${say(stepsPerMm, 'ratio', 3)} steps a millimetre in place of ${say(setPerMm, 'ratio', 3)}.`
      if (Math.abs(scaleErrorUmPerM) > MOST_CORRECTION_SHARE * 1e6)
        return noAdvice(
          `It would go ${say(1 + scaleErrorUmPerM / 1e6, 'ratio', 4)} of what is commanded, and no lead is off by more than ${say(MOST_CORRECTION_SHARE, 'share', 0)}: was it measured in another unit, or are lead, microsteps, counts or the unit of the controller set for another drive? Look at those; no steps are to be set by it.`,
        )
      if (Math.abs(scaleErrorUmPerM) > ANOTHER_SETTING_UM_PER_M)
        return against(
          'fails',
          'smallLength',
          [Math.abs(overTravelUm), targetUm, uncertainUm],
          () =>
            `It goes ${say(1 + scaleErrorUmPerM / 1e6, 'ratio', 4)} of what is commanded: lead, microsteps or the unit of the controller are set for another drive.${put}`,
        )
      const few = moves.length < 3 ? ' Two places always make a straight line: a third would check it.' : ''
      const said = `It goes ${small(Math.abs(overTravelUm))} ± ${small(uncertainUm)} too ${overTravelUm < 0 ? 'short' : 'far'} over its ${travel}, against ${small(targetUm)} accepted`
      const figures = [Math.abs(overTravelUm), targetUm, uncertainUm] as const
      return judgeFigure([overTravelUm, uncertainUm, targetUm], figures, {
        within: () => `${said}.${few}`,
        beyond: () =>
          `${said}.${put} Measure at the warmth it works in: a degree between scale and screw is ${small(STEEL_EXPANSION_PER_K * t.axis.goals.wantedTravelMm * 1000)} of it.${few}`,
        cannotTell: () =>
          `${said}: these readings cannot tell. Measure at more places, over more of the travel, or finer.${most === 'readings' || most === 'step' ? '' : ` ${narrows(most)}`}`,
      })
    }),
  },
})
