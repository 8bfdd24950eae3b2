import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { FEWEST_OF_A_TEST } from '../shared/proofs/fewReadings'
import { type ContributorName, narrows } from '../shared/proofs/uncertainty'
import { against, finely, noAdvice, stepOf, told } from '../shared/rounds/roundFinding'
import { progressOf, wayWord } from './course'
import { fullFigures, isQuick, type OddStop, oddStops } from './figures'

/** What is odd about a reading, in words. */
const oddSaid = ({ targetMm, way, run, readingUm, why }: OddStop, say: Say): string => {
  const which = `Run ${run + 1} going ${wayWord(way)} at ${say(targetMm, 'length', 1)}, ${say(readingUm, 'smallLength')}`
  return why === 'finer'
    ? `${which}, is finer than the gauge can show: was it typed in another unit?`
    : `${which}, stands apart from the others there: take it again.`
}

/** What is odd in the last full test, worked out once for both of its checks. */
const oddOfLast = remembered((t: EvaluationContext) => {
  const test = t.axis.fullTests.at(-1)
  return test ? (oddStops(test)[0] ?? null) : null
})

/** The figures of the last full test, once for both; null before there is enough. @throws NotKnown without the step of the gauge */
const figuresOfLast = remembered((t: EvaluationContext) => {
  const test = t.axis.fullTests.at(-1)
  return test ? fullFigures(t, test, stepOf(test, 'fullTest', 'prove')) : null
})

type Figures = NonNullable<ReturnType<typeof fullFigures>>

/** Judges one figure of the last full test against what is accepted. */
const judged =
  (
    of: (figures: Figures) => { um: number; expandedUm: number; most: ContributorName },
    targetUm: (t: EvaluationContext) => number,
    words: (figures: Figures, say: Say) => { what: string; mend: string },
  ) =>
  (t: EvaluationContext, say: Say): Judgement | null => {
    const test = t.axis.fullTests.at(-1)
    if (!test) return null
    const odd = oddOfLast(t)
    if (odd) return noAdvice(oddSaid(odd, say))
    const { taken, all } = progressOf(test)
    const figures = figuresOfLast(t)
    if (!figures)
      return noAdvice(
        `${taken} of ${all} readings are taken: two targets read twice from both sides are the least that says anything.`,
      )
    const limitUm = targetUm(t)
    const { um, expandedUm, most } = of(figures)
    const { what, mend } = words(figures, say)
    const small = (one: number) => say(finely(one), 'smallLength')
    const said = `${what} ${small(um)} ± ${small(expandedUm)}, against ${small(limitUm)} accepted`
    const quick = isQuick(figures.targets)
      ? ` A quick test so far: ${FEWEST_OF_A_TEST} targets and ${FEWEST_OF_A_TEST} runs each way make it a full one.`
      : taken < all
        ? ` ${all - taken} of ${all} readings are still to be taken.`
        : ''
    switch (told(um, expandedUm, limitUm)) {
      case 'within':
        return quick
          ? against('unknown', 'smallLength', [um, limitUm, expandedUm], () => `${said}.${quick}`)
          : against('holds', 'smallLength', [um, limitUm, expandedUm], () => `${said}.`)
      case 'beyond':
        return against('fails', 'smallLength', [um, limitUm, expandedUm], () => `${said}. ${mend}${quick}`)
      case 'cannot-tell':
        return against(
          'unknown',
          'smallLength',
          [um, limitUm, expandedUm],
          () => `${said}: these readings cannot tell. ${narrows(most)}${quick}`,
        )
    }
  }

export const FULL_TEST_CHECKS = defineChecks({
  'prove.accuracy': {
    title: 'Accuracy over the travel',
    subject: 'proof',
    judge: judged(
      ({ accuracyUm, accuracyExpandedUm, accuracyMost }) => ({
        um: accuracyUm,
        expandedUm: accuracyExpandedUm,
        most: accuracyMost,
      }),
      t => t.axis.goals.accuracyTargetUm,
      ({ systematicDeviationUm, repeatabilityUm }, say) => ({
        what: 'Both ways over the travel it stands within',
        mend: `${say(finely(systematicDeviationUm), 'smallLength')} of it is the same every time and can be compensated once nothing is loose; it repeats within ${say(finely(repeatabilityUm), 'smallLength')}.`,
      }),
    ),
  },
  'prove.fullReversal': {
    title: 'Reversal along the travel',
    subject: 'proof',
    judge: judged(
      ({ reversalUm, reversalExpandedUm, reversalMost }) => ({
        um: reversalUm,
        expandedUm: reversalExpandedUm,
        most: reversalMost,
      }),
      t => t.axis.goals.backlashTargetUm,
      ({ worst, stations }, say) => ({
        what: `Most is lost at ${say(worst.target.targetMm, 'length', 0)}:`,
        mend:
          Math.min(...stations.map(({ reversalUm }) => Math.abs(reversalUm))) < Math.abs(worst.reversalUm) / 2
            ? 'It varies along the travel: wear, a tight spot or a gib, before it is the locknut.'
            : 'It is alike all along: bearings, coupler or the nut as a whole. Find the fault.',
      }),
    ),
  },
})
