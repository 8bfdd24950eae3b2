import { defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { against, noAdvice, stepOf, told } from '../../machine/align/judging'
import { oddAdvice } from '../../machine/align/odd'
import { lastRound } from '../../machine/align/rounds'
import { circleRounds, measuredCircle } from './rounds'

const MM_PER_M = 1000

/** What is off over a metre, at the circle that was measured. */
const atCircle = (umPerM: number, meanDiameterMm: number) => (Math.abs(umPerM) * meanDiameterMm) / MM_PER_M

/** What both checks ask of a round before they judge. */
function measured(t: EvaluationContext, say: Say) {
  const round = lastRound(circleRounds, t.axis)
  if (!round) return null
  const odd = oddAdvice(circleRounds, round, say)
  if (odd) return { odd }
  const found = measuredCircle(t, stepOf(round, 'circle', 'prove'))
  return found
    ? { found }
    : {
        odd: noAdvice(
          'Measure the circle across in three directions or more; six tell how well it is known.',
        ),
      }
}

export const CIRCLE_CHECKS = defineChecks({
  'prove.circleSquare': {
    title: 'Axes square, by a circle',
    subject: 'proof',
    judge(t, say) {
      const judged = measured(t, say)
      if (!judged?.found) return judged?.odd ?? null
      const { squarenessUmPerM, uncertainUmPerM, meanDiameterMm, round } = judged.found
      const other = round.otherAxis ?? 'the other axis'
      const small = (umPerM: number) => say(atCircle(umPerM, meanDiameterMm), 'smallLength', 1)
      const said = `${small(squarenessUmPerM)} ± ${small(uncertainUmPerM)} out of square over the ${say(meanDiameterMm, 'length', 0)} of the circle, against ${small(round.acceptedUmPerM)} accepted there`
      const figures = [
        atCircle(squarenessUmPerM, meanDiameterMm),
        atCircle(round.acceptedUmPerM, meanDiameterMm),
      ] as const
      switch (told(squarenessUmPerM, uncertainUmPerM, round.acceptedUmPerM)) {
        case 'within':
          return against('holds', 'smallLength', figures, `${said}.`)
        case 'beyond':
          return against(
            'fails',
            'smallLength',
            figures,
            `${said}: it is longest across ${squarenessUmPerM > 0 ? '45°' : '135°'}, so the plus ends of ${t.axis.name} and ${other} lean ${squarenessUmPerM > 0 ? 'towards' : 'away from'} each other. Square them by the guide under Align, then cut again.`,
          )
        case 'cannot-tell':
          return noAdvice(
            `${said}: these readings cannot tell. Cut a larger circle, or measure it finer and in more directions.`,
          )
      }
    },
  },
  'prove.circleScale': {
    title: 'Scales alike, by a circle',
    subject: 'proof',
    judge(t, say) {
      const judged = measured(t, say)
      if (!judged?.found) return judged?.odd ?? null
      const { scaleDifferenceUmPerM, uncertainUmPerM, meanDiameterMm, round } = judged.found
      const other = round.otherAxis ?? 'the other axis'
      const small = (umPerM: number) => say(atCircle(umPerM, meanDiameterMm), 'smallLength', 1)
      const limitUmPerM = (t.axis.goals.accuracyTargetUm / t.axis.goals.wantedTravelMm) * MM_PER_M
      const said = `${t.axis.name} goes ${small(scaleDifferenceUmPerM)} ± ${small(uncertainUmPerM)} ${scaleDifferenceUmPerM < 0 ? 'less' : 'more'} than ${other} over the circle, against ${small(limitUmPerM)} accepted there`
      const figures = [
        atCircle(scaleDifferenceUmPerM, meanDiameterMm),
        atCircle(limitUmPerM, meanDiameterMm),
      ] as const
      switch (told(scaleDifferenceUmPerM, uncertainUmPerM, limitUmPerM)) {
        case 'within':
          return against('holds', 'smallLength', figures, `${said}.`)
        case 'beyond':
          return against(
            'fails',
            'smallLength',
            figures,
            `${said}: one of the two has its steps a millimetre wrong. A long move of each tells which.`,
          )
        case 'cannot-tell':
          return noAdvice(`${said}: these readings cannot tell. A larger circle, or a finer gauge, would.`)
      }
    },
  },
})
