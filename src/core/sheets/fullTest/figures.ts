import type { EvaluationContext } from '../../evaluation/context'
import { finerThanGauge, standApart } from '../../readings/plausible'
import { FEWEST_OF_A_TEST } from '../shared/proofs/fewReadings'
import { reversal } from '../shared/proofs/reversal'
import { reversalWithAll, withAll } from '../shared/proofs/uncertainty'
import { expanded } from '../shared/rounds/roundFinding'
import { bidirectional, stationOf } from './calculation'
import { counted } from './counted'
import type { Stop } from './course'
import type { FullTest, Target } from './model'
import { senseOf } from './sense'

/** Targets that were read twice or more from both sides, rising, as their readings count. */
export const readTargets = (test: Pick<FullTest, 'targets' | 'shifts'>): Target[] =>
  counted(test)
    .targets.filter(({ positiveUm, negativeUm }) => positiveUm.length >= 2 && negativeUm.length >= 2)
    .toSorted((a, b) => a.targetMm - b.targetMm)

/** Whether it is a look, not a test: too few targets or runs. */
export const isQuick = (targets: readonly Target[]): boolean =>
  targets.length < FEWEST_OF_A_TEST ||
  targets.some(
    ({ positiveUm, negativeUm }) => Math.min(positiveUm.length, negativeUm.length) < FEWEST_OF_A_TEST,
  )

/** A reading that cannot be as it stands, or stands apart from its like: it is marked, never left out. */
export interface OddStop extends Pick<Stop, 'targetMm' | 'way' | 'run' | 'targetId'> {
  readingUm: number
  why: 'finer' | 'apart'
}

const WAYS = ['positiveUm', 'negativeUm'] as const

/**
 * The readings at a target that are odd.
 *
 * @param among how many readings the test has
 * @param counts the target as its readings count
 */
export function oddAt(
  target: Target,
  gaugeStepUm: number | null,
  among: number,
  counts: Target = target,
): OddStop[] {
  const apart = standApart(
    WAYS.map(way => counts[way]),
    gaugeStepUm ?? 0,
    among,
  )
  return WAYS.flatMap((way, group) => {
    const readings = target[way]
    const odd = (run: number, why: OddStop['why']): OddStop => ({
      targetId: target.id,
      targetMm: target.targetMm,
      way,
      run,
      readingUm: readings[run] as number,
      why,
    })
    return [
      ...readings.flatMap((readingUm, run) =>
        gaugeStepUm !== null && finerThanGauge(readingUm, gaugeStepUm) ? [odd(run, 'finer')] : [],
      ),
      ...apart.flatMap(one => (one.group === group ? [odd(one.index, 'apart')] : [])),
    ]
  })
}

/** The readings of a test that are odd. */
export function oddStops(test: Pick<FullTest, 'targets' | 'gaugeStepUm' | 'runs' | 'shifts'>): OddStop[] {
  const among = amongOf(test)
  const counts = counted(test).targets
  return test.targets.flatMap((target, index) => oddAt(target, test.gaugeStepUm, among, counts[index]))
}

/** How many readings a test has when all are taken. */
export const amongOf = ({ targets, runs }: Pick<FullTest, 'targets' | 'runs'>): number =>
  2 * runs * targets.length

/**
 * What a test comes to, with what its accuracy and its largest reversal are uncertain by, at 95 %: by the readings, and all that
 * is known beside them.
 *
 * Either end of the accuracy is a mean and two deviations of n readings: u^2 = s^2 / n + 4 s^2 / (2 (n - 1)) + r^2 / 12.
 *
 * @returns null while fewer than two targets are read twice from both sides
 */
export function fullFigures(t: EvaluationContext, test: FullTest, stepUm: number) {
  const targets = readTargets(test)
  if (targets.length < 2) return null
  const figures = t.figure('bidirectional', bidirectional, { positions: targets })
  const stations = targets.map(target => ({ target, ...stationOf(target) }))
  const worst = stations.reduce((most, one) =>
    Math.abs(one.reversalUm) > Math.abs(most.reversalUm) ? one : most,
  )
  const atWorst = t.figure('worstReversal', reversal, {
    approachPositiveUm: worst.target.positiveUm,
    approachNegativeUm: worst.target.negativeUm,
    resolutionUm: stepUm,
  })
  const sides = stations.flatMap(({ target, up, down }) => [
    { deviation: up.deviation, count: target.positiveUm.length },
    { deviation: down.deviation, count: target.negativeUm.length },
  ])
  const endVariance = Math.max(
    ...sides.map(
      ({ deviation, count }) =>
        deviation ** 2 / count + (4 * deviation ** 2) / (2 * (count - 1)) + stepUm ** 2 / 12,
    ),
  )
  const spare = sides.reduce((sum, { count }) => sum + count - 1, 0)
  const byReversal = reversalWithAll(t, 'worstReversalUncertainty', atWorst, stepUm)
  const accuracyStandardUm = Math.sqrt(2 * endVariance)
  const byAccuracy = withAll(
    t,
    'accuracyUncertainty',
    {
      standardUm: accuracyStandardUm,
      degrees: spare,
      stepUm,
      steps: 2,
      lengthMm: (targets.at(-1)?.targetMm ?? 0) - (targets[0]?.targetMm ?? 0),
      byScale: true,
    },
    expanded(accuracyStandardUm, spare),
  )
  return {
    ...figures,
    targets,
    stations,
    worst,
    reversalExpandedUm: byReversal.expandedUm,
    reversalMost: byReversal.most,
    accuracyExpandedUm: byAccuracy.expandedUm,
    accuracyMost: byAccuracy.most,
    accuracyContributors: byAccuracy.contributors,
    sense: senseOf(test, { meanReversalUm: figures.meanReversalUm, expandedUm: byReversal.expandedUm }),
  }
}
