import { attempt } from '../../evaluation/attempt'
import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { forces, weightAlongN } from '../../machine/drive/load'
import { driveStiffness, lostMotionBudget } from '../../machine/drive/stiffness'
import { inOrder, takenKey } from '../../readings/taken'
import { asOld } from '../shared/proofs/age'
import { FEWEST_OF_A_TEST } from '../shared/proofs/fewReadings'
import { isOneSided } from '../shared/proofs/lostMinus'
import { leastMovedUm, movedIn } from '../shared/proofs/moved'
import { reversal } from '../shared/proofs/reversal'
import { narrows, reversalWithAll } from '../shared/proofs/uncertainty'
import { judgeTest, type OddReading, oddReadings, readingsIn, readingsPerSide } from './judgeReversal'
import type { ReversalStation, ReversalTest } from './model'

/** A reversal below this share of what friction alone winds up was read in another unit, or not at the table. */
const LEAST_SHARE = 0.25

/** What friction and the lag of the motor take of any reversal, whatever the play; null while the drive is not known. */
const leastUm = (t: EvaluationContext): number | null =>
  attempt(() => {
    const { causes } = lostMotionBudget(t)
    const of = (subject: string) => causes.find(cause => cause.subject === subject)?.um ?? 0
    const { frictionN } = forces(t)
    // What hangs on the screw keeps the motor lagging one way.
    const lagUm = Math.abs(weightAlongN(t)) > frictionN ? 0 : of('motor')
    return (2 * frictionN) / driveStiffness(t).stiffnessNPerUm + lagUm
  }).value ?? null

const meanOf = (all: readonly number[]): number =>
  all.reduce((sum, one) => sum + one, 0) / Math.max(1, all.length)

/** What the columns of a station would come to if one of them had lost its minus; nothing where they cannot have. */
function mayHideUm({ approachPositiveUm, approachNegativeUm }: ReversalStation, stepUm: number): number {
  const [up, down] = [meanOf(approachPositiveUm), meanOf(approachNegativeUm)]
  return isOneSided(up, down, stepUm, 0) ? Math.abs(up) + Math.abs(down) : 0
}

interface MovedAt {
  is: 'jump' | 'drift'
  byUm: number
  positionMm: number
  /** The reading after a jump, from 1, and its side. */
  at: { side: 'up' | 'down'; reading: number } | null
}

/** What the order of readings says at a station: a jump that stayed, or a drift; the first station where one matters. */
function firstMoved(t: EvaluationContext, test: ReversalTest, targetUm: number): MovedAt | null {
  const leastUm = leastMovedUm(targetUm, test.gaugeStepUm)
  for (const [which, { id, positionMm, approachPositiveUm, approachNegativeUm }] of test.stations.entries()) {
    const runs = Math.max(approachPositiveUm.length, approachNegativeUm.length)
    // Come up to and come down to in turn, unless it is known otherwise.
    const read = Array.from({ length: runs }, (_, index) => [
      { side: 'up' as const, key: 'approachPositiveUm', index, um: approachPositiveUm[index] },
      { side: 'down' as const, key: 'approachNegativeUm', index, um: approachNegativeUm[index] },
    ])
      .flat()
      .flatMap(one => (one.um === undefined ? [] : [{ ...one, um: one.um }]))
    const taken = inOrder(read, ({ key, index }) => takenKey(id, key, index), test.taken)
    const inputs = { groups: taken.map(({ side }) => side), valuesUm: taken.map(({ um }) => um) }
    const moved = movedIn(t, { step: `step.${which}`, drift: `drift.${which}` }, inputs, { leastUm })
    if (moved?.is === 'drift') return { is: 'drift', byUm: moved.byUm, positionMm, at: null }
    const first = moved && taken[moved.afterReading]
    if (first)
      return { is: 'jump', byUm: moved.byUm, positionMm, at: { side: first.side, reading: first.index + 1 } }
  }
  return null
}

function movedSaid({ is, byUm, positionMm, at }: MovedAt, say: Say): string {
  const by = `${say(Math.abs(byUm), 'smallLength')} ${byUm > 0 ? 'more' : 'less'}`
  const where = `At ${say(positionMm, 'length', 1)}`
  return is === 'jump' && at
    ? `${where}, from reading ${at.reading} coming ${at.side} on, everything reads ${by}: the gauge or its base was touched, or something slipped. Read this place again, hands off the gauge; if it comes again, read Lost steps.`
    : `${where} everything comes to read ${by} from the first reading to the last: the base creeps, or the machine warms. Let it rest, and read this place again; Zero against time tells which.`
}

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
      return test ? asOld(t, test.startedAt, judgeReversalTest(t, test, say)) : null
    },
  },
})

/** What a test says, whenever it was taken. */
function judgeReversalTest(t: EvaluationContext, test: ReversalTest, say: Say): Judgement | null {
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
  const among = readingsIn(test)
  const [odd] = test.stations.flatMap(one => oddReadings(one, gaugeStepUm, among))
  if (odd)
    return {
      ...found,
      state: 'unknown',
      sentence: () => `${oddWords(odd, say)} Until then nothing is said.`,
    }
  const moved = firstMoved(t, test, target)
  if (moved) return { ...found, state: 'unknown', sentence: () => movedSaid(moved, say) }
  const hiddenUm = mayHideUm(station, gaugeStepUm)
  if (verdict.state === 'holds' && hiddenUm > target)
    return {
      ...found,
      state: 'unknown',
      sentence: () =>
        `Coming up and coming down it reads the same side of zero, and as much, ${where}: with a minus that was lost it would be ${small(hiddenUm)}, not ${small(verdict.reversalUm)}. Put the minus in where it belongs; or set the gauge to zero at the first reading, and read again.`,
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
}
