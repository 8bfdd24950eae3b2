import { attempt } from '../../evaluation/attempt'
import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { forces } from '../../machine/drive/load'
import { driveStiffness, lostMotionBudget } from '../../machine/drive/stiffness'
import { FEWEST_OF_A_TEST } from '../shared/proofs/fewReadings'
import { reversal } from '../shared/proofs/reversal'
import { narrows, reversalWithAll } from '../shared/proofs/uncertainty'
import { judgeTest, type OddReading, oddReadings, readingsPerSide } from './judgeReversal'
import type { ReversalTest } from './model'

/** A reversal below this share of what friction alone winds up was read in another unit, or not at the table. */
const LEAST_SHARE = 0.25

/** What friction and the lag of the motor take of any reversal, whatever the play; null while the drive is not known. */
const leastUm = (t: EvaluationContext): number | null =>
  attempt(() => {
    const { causes } = lostMotionBudget(t)
    const of = (subject: string) => causes.find(cause => cause.subject === subject)?.um ?? 0
    return (2 * forces(t).frictionN) / driveStiffness(t).stiffnessNPerUm + of('motor')
  }).value ?? null

/** A test as a whole, with all that is known beside its readings. */
export const judgeOf = (t: EvaluationContext, test: ReversalTest) =>
  judgeTest(
    test,
    t.axis.goals.backlashTargetUm,
    (station, figures) =>
      reversalWithAll(t, `uncertainty.${station.id}`, figures, test.gaugeStepUm ?? 0).expandedUm,
  )

/** What is odd about a reading, in words. */
export function oddWords({ station, side, index, readingUm, why }: OddReading, say: Say): string {
  const which = `Reading ${index + 1} coming ${side === 'approachPositiveUm' ? 'up' : 'down'} to ${say(station.positionMm, 'length', 1)}, ${say(readingUm, 'smallLength')}`
  return why === 'finer'
    ? `${which}, is finer than the gauge can show: was it typed in another unit?`
    : `${which}, stands apart from the others there: read it again, or correct it if it was mistyped.`
}

export const REVERSAL_CHECKS = defineChecks({
  'prove.reversal': {
    title: 'Lost motion, measured',
    subject: 'proof',
    judge(t, say): Judgement | null {
      const test = t.axis.tests.at(-1)
      if (!test) return null
      const target = t.axis.goals.backlashTargetUm
      const limit = { value: target, quantity: 'smallLength' as const }
      const small = (um: number) => say(um, 'smallLength')
      const judged = judgeOf(t, test)
      if (!judged)
        return {
          state: 'unknown',
          figure: null,
          limit,
          use: null,
          sentence: () => `Read at least one station ${FEWEST_OF_A_TEST} times from either side.`,
        }
      const { gaugeStepUm } = test
      if (gaugeStepUm === null)
        throw new NotKnown({ sheet: 'reversal', stage: 'prove', what: 'the step of the gauge' })
      const { station, verdict } = judged
      const read = t.figure('reversal', reversal, {
        approachPositiveUm: station.approachPositiveUm,
        approachNegativeUm: station.approachNegativeUm,
        resolutionUm: gaugeStepUm,
      })
      const { most } = reversalWithAll(t, 'reversalUncertainty', read, gaugeStepUm)
      const where = `at ${say(station.positionMm, 'length', 1)}`
      const measured = `${small(verdict.reversalUm)} ± ${small(verdict.expandedUm)} ${where}`
      const accepted = `${small(target)} accepted`
      const found = {
        figure: {
          value: verdict.reversalUm,
          expanded: verdict.expandedUm,
          quantity: 'smallLength' as const,
        },
        limit,
        use: (verdict.reversalUm + verdict.expandedUm) / target,
      }
      const [odd] = test.stations.flatMap(one => oddReadings(one, gaugeStepUm))
      if (odd)
        return {
          ...found,
          state: 'unknown',
          sentence: () => `${oddWords(odd, say)} Until then nothing is said.`,
        }
      const least = leastUm(t)
      if (least !== null && verdict.reversalUm + judged.figures.expandedUm < LEAST_SHARE * least)
        return {
          ...found,
          state: 'unknown',
          sentence: () =>
            `A reversal of ${measured} is less than friction alone must wind up, ${small(least)}: was it typed in another unit, or read on the screw?`,
        }
      const few = readingsPerSide(station)
      const more = `${verdict.moreReadings} more ${verdict.moreReadings === 1 ? 'reading' : 'readings'} from each side`
      const sentences = {
        holds: `A reversal loses ${measured}, against ${accepted}.`,
        fails: `A reversal loses ${measured}, more than the ${accepted}.`,
        close: `A reversal loses ${measured}: too near to the ${accepted} to tell by more readings. ${narrows(most)}`,
        unknown:
          few < FEWEST_OF_A_TEST
            ? `A reversal loses about ${measured}. Take ${more}: fewer than ${FEWEST_OF_A_TEST} are a look, not a test.`
            : `A reversal loses ${measured}. Take ${more} to tell it from the ${accepted}.${most === 'readings' || most === 'step' ? '' : ` ${narrows(most)}`}`,
      }
      return { ...found, state: verdict.state, sentence: sentences[verdict.state] }
    },
  },
})
