import { attempt } from '../../evaluation/attempt'
import { defineChecks, type Judgement, type Say } from '../../evaluation/check'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { inOrder, takenKey } from '../../readings/taken'
import { asOld } from '../shared/proofs/age'
import { FEWEST_OF_A_TEST } from '../shared/proofs/fewReadings'
import { cyclesLost } from '../shared/proofs/lostSteps'
import { leastMovedUm, movedIn } from '../shared/proofs/moved'
import { type ContributorName, narrows } from '../shared/proofs/uncertainty'
import { against, noAdvice, stepOf, told } from '../shared/rounds/roundFinding'
import { counted } from './counted'
import { courseOf, progressOf, type Stop, wayWord } from './course'
import { fullFigures, isQuick, type OddStop, oddStops } from './figures'
import type { FullTest } from './model'
import type { Sense } from './sense'

/** What is odd about a reading, in words. */
const oddSaid = ({ targetMm, way, run, readingUm, why }: OddStop, say: Say): string => {
  const which = `Run ${run + 1} going ${wayWord(way)} at ${say(targetMm, 'length', 1)}, ${say(readingUm, 'smallLength')}`
  return why === 'finer'
    ? `${which}, is finer than the gauge can show: was it typed in another unit?`
    : `${which}, stands apart from the others there: take it again.`
}

/** What is odd in the last full test, worked out once for both of its checks and for its course. */
const oddOfLast = remembered((t: EvaluationContext): readonly OddStop[] => {
  const test = t.axis.fullTests.at(-1)
  return test ? oddStops(test) : []
})

/** The figures of the last full test, once for both; null before there is enough. @throws NotKnown without the step of the gauge */
const figuresOfLast = remembered((t: EvaluationContext) => {
  const test = t.axis.fullTests.at(-1)
  return test ? fullFigures(t, test, stepOf(test, 'fullTest', 'prove')) : null
})

/** A jump so near to either end of a test is one odd reading, or two. */
const FEWEST_BESIDE = 3

/** What the order of the readings says beside their places: a jump that stayed, or a drift; the one that explains more. */
export interface Moved {
  is: 'jump' | 'drift'
  byUm: number
  standardUm: number
  /** The first reading after a jump. */
  from: Stop | null
  /** How many readings come after it, itself among them. */
  after: number
}

/** The readings of a test as they count, in the order in which they were taken: as the axis moves, where that is not known. */
function inCourse(test: FullTest) {
  const read = new Map(counted(test).targets.map(target => [target.id, target]))
  const all: { stop: Stop; valueUm: number }[] = []
  for (const stop of courseOf(test)) {
    const valueUm = read.get(stop.targetId)?.[stop.way][stop.run]
    if (valueUm !== undefined) all.push({ stop, valueUm })
  }
  return inOrder(all, ({ stop }) => takenKey(stop.targetId, stop.way, stop.run), test.taken)
}

/** The quantity that a reading is of, in words; made once for each target, for a test has many readings of it. */
function groups({ targets }: FullTest): (stop: Stop) => string {
  const of = new Map(
    targets.map(({ id }) => [id, { positiveUm: `${id} positiveUm`, negativeUm: `${id} negativeUm` }]),
  )
  return ({ targetId, way }) => of.get(targetId)?.[way] ?? targetId
}

/** What the course of the last full test says; null where it is even. One reading that is far off makes neither a jump nor a drift. */
export const movedInCourse = remembered((t: EvaluationContext): Moved | null => {
  const test = t.axis.fullTests.at(-1)
  if (!test) return null
  const odd = oddOfLast(t)
  const all = inCourse(test)
  const isOdd = ({ targetId, way, run }: Stop) =>
    odd.some(one => one.targetId === targetId && one.way === way && one.run === run)
  // Beyond a tenth they are no slips any more, but what the course is about.
  const taken =
    odd.length === 0 || odd.length * MOST_ODD > all.length ? all : all.filter(({ stop }) => !isOdd(stop))
  const groupOf = groups(test)
  const inputs = {
    groups: taken.map(({ stop }) => groupOf(stop)),
    valuesUm: taken.map(({ valueUm }) => valueUm),
  }
  const moved = movedIn(t, { step: 'readings.step', drift: 'readings.drift' }, inputs, {
    fewestBeside: FEWEST_BESIDE,
  })
  if (!moved) return null
  const { is, byUm, standardUm } = moved
  return is === 'jump'
    ? {
        is,
        byUm,
        standardUm,
        from: taken[moved.afterReading]?.stop ?? null,
        after: taken.length - moved.afterReading,
      }
    : { is, byUm, standardUm, from: null, after: 0 }
})
/** So many in one may be slips. */
const MOST_ODD = 10

/** Whether what moved in the course is large enough to matter. */
const matters = ({ byUm }: Moved, test: FullTest, limitUm: number): boolean =>
  Math.abs(byUm) > leastMovedUm(limitUm, test.gaugeStepUm)

/** The jump in the last full test that can be taken out; null where there is none that matters. */
export const jumpToTakeOut = (t: EvaluationContext): Moved | null => {
  const test = t.axis.fullTests.at(-1)
  const moved = test ? movedInCourse(t) : null
  const { backlashTargetUm, accuracyTargetUm } = t.axis.goals
  const limitUm = Math.min(backlashTargetUm, accuracyTargetUm)
  return test && moved?.is === 'jump' && matters(moved, test, limitUm) ? moved : null
}

const minutesOf = (test: FullTest): number => {
  const times = Object.values(test.taken)
  return times.length < 2 ? 0 : (Math.max(...times) - Math.min(...times)) / 60
}

const movedSaid = (t: EvaluationContext, test: FullTest, moved: Moved, say: Say): string => {
  const { is, byUm, standardUm, from, after } = moved
  const by = `${say(Math.abs(byUm), 'smallLength')} ${byUm > 0 ? 'more' : 'less'}`
  if (is === 'jump' && from) {
    const cycles = attempt(() => cyclesLost(t, byUm, standardUm)).value
    const why = cycles
      ? `that is ${cycles}`
      : 'the gauge was touched, or a hub slipped; it is no whole cycle of the motor'
    return `From run ${from.run + 1} going ${wayWord(from.way)} at ${say(from.targetMm, 'length', 1)} on, everything reads ${by}: ${why}. Read that one again; if it stays, none of the ${after} readings after it need be typed again: take the jump out of them below the readings.`
  }
  const minutes = minutesOf(test)
  const rate = minutes >= 1 ? `, ${say(Math.abs(byUm) / minutes, 'smallLength')} a minute` : ''
  return `From the first reading to the last everything comes to read ${by}${rate}: the screw grows as it warms, or the base of the gauge creeps. Zero against time tells which, and how long to run it first. Let the base rest, run it warm, and take the test again.`
}

/** What the sign of what is lost says of the gauge; nothing where it is as it was noted. */
function senseSaid(sense: Sense): string {
  switch (sense.is) {
    case 'against':
      return ` It reads as if the slide went too far each way, and a slide comes short: the gauge reads more as the slide goes ${sense.more === 'up' ? 'down' : 'up'}, or the controller takes out more than is lost. Set its backlash to nothing, push the slide up by hand and see which way the needle goes.`
    case 'seems':
      return sense.more === 'up'
        ? ''
        : ' Coming up it reads more than coming down, and a slide comes short: so the gauge reads more as the slide goes down, or the controller takes out more than is lost. Note which it is before anything is compensated.'
    default:
      return ''
  }
}

type Figures = NonNullable<ReturnType<typeof fullFigures>>

/** Judges the last full test, where there is one; what was taken before the last change says nothing any more. */
const ofLast =
  (judge: (t: EvaluationContext, test: FullTest, say: Say) => Judgement) =>
  (t: EvaluationContext, say: Say): Judgement | null => {
    const test = t.axis.fullTests.at(-1)
    return test ? asOld(t, test.startedAt, judge(t, test, say)) : null
  }

/** Judges one figure of a full test against what is accepted. */
const judged =
  (
    of: (figures: Figures) => { um: number; expandedUm: number; most: ContributorName },
    targetUm: (t: EvaluationContext) => number,
    words: (figures: Figures, say: Say) => { what: string; mend: string; also?: string },
    /** What a test does not tell any more once a jump was taken out of it. */
    lostBy?: string,
  ) =>
  (t: EvaluationContext, test: FullTest, say: Say): Judgement => {
    const [odd] = oddOfLast(t)
    if (odd?.why === 'finer') return noAdvice(oddSaid(odd, say))
    const limitUm = targetUm(t)
    // A jump comes first: each reading after it may look odd by itself.
    const moved = movedInCourse(t)
    if (moved && matters(moved, test, limitUm)) return noAdvice(movedSaid(t, test, moved, say))
    if (odd) return noAdvice(oddSaid(odd, say))
    const { taken, all } = progressOf(test)
    const figures = figuresOfLast(t)
    if (!figures)
      return noAdvice(
        `${taken} of ${all} readings are taken: two targets read twice from both sides are the least that says anything.`,
      )
    const { um, expandedUm, most } = of(figures)
    const { what, mend, also = '' } = words(figures, say)
    const small = (one: number) => say(one, 'smallLength')
    const shifted =
      test.shifts.length === 0
        ? ''
        : ` A jump of ${test.shifts.map(({ byUm }) => small(Math.abs(byUm))).join(', and one of ')} was taken out of what was read after it.`
    const said = `${what} ${small(um)} ± ${small(expandedUm)}, against ${small(limitUm)} accepted`
    const quick = isQuick(figures.targets)
      ? ` A quick test so far: ${FEWEST_OF_A_TEST} targets and ${FEWEST_OF_A_TEST} runs each way make it a full one.`
      : taken < all
        ? ` ${all - taken} of ${all} readings are still to be taken.`
        : ''
    const spent = shifted && lostBy ? ` ${lostBy}` : ''
    switch (told(um, expandedUm, limitUm)) {
      case 'within':
        return quick || spent
          ? against(
              'unknown',
              'smallLength',
              [um, limitUm, expandedUm],
              () => `${said}.${shifted}${spent}${quick}${also}`,
            )
          : against('holds', 'smallLength', [um, limitUm, expandedUm], () => `${said}.${shifted}${also}`)
      case 'beyond':
        return against(
          'fails',
          'smallLength',
          [um, limitUm, expandedUm],
          () => `${said}. ${mend}${shifted}${quick}${also}`,
        )
      case 'cannot-tell':
        return against(
          'unknown',
          'smallLength',
          [um, limitUm, expandedUm],
          () => `${said}: these readings cannot tell. ${narrows(most)}${shifted}${quick}${also}`,
        )
    }
  }

export const FULL_TEST_CHECKS = defineChecks({
  'prove.accuracy': {
    title: 'Accuracy over the travel',
    subject: 'proof',
    judge: ofLast(
      judged(
        ({ accuracyUm, accuracyExpandedUm, accuracyMost }) => ({
          um: accuracyUm,
          expandedUm: accuracyExpandedUm,
          most: accuracyMost,
        }),
        t => t.axis.goals.accuracyTargetUm,
        ({ systematicDeviationUm, repeatabilityUm }, say) => ({
          what: 'Both ways over the travel it stands within',
          mend: `${say(systematicDeviationUm, 'smallLength')} of it is the same every time and can be compensated once nothing is loose; it repeats within ${say(repeatabilityUm, 'smallLength')}.`,
        }),
        'If it was the slide that jumped, it is off by that as well: read Lost steps, and take the test again for its accuracy.',
      ),
    ),
  },
  'prove.fullReversal': {
    title: 'Reversal along the travel',
    subject: 'proof',
    judge: ofLast(
      judged(
        ({ reversalUm, reversalExpandedUm, reversalMost }) => ({
          um: reversalUm,
          expandedUm: reversalExpandedUm,
          most: reversalMost,
        }),
        t => t.axis.goals.backlashTargetUm,
        ({ worst, stations, sense }, say) => ({
          also: senseSaid(sense),
          what: `Most is lost at ${say(worst.target.targetMm, 'length', 0)}:`,
          mend:
            Math.min(...stations.map(({ reversalUm }) => Math.abs(reversalUm))) <
            Math.abs(worst.reversalUm) / 2
              ? 'It varies along the travel: wear, a tight spot or a gib, before it is the locknut.'
              : 'It is alike all along: bearings, coupler or the nut as a whole. Find the fault.',
        }),
      ),
    ),
  },
})
