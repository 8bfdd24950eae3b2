import type { EvaluationContext } from '../evaluation/context'
import { compensationOf } from '../sheets/compensation/calculation'
import { fullFigures, isQuick } from '../sheets/fullTest/figures'
import { say } from '../units/print'

/** What a controller is to be set to, or why it should not be. */
export type Compensable =
  | { ok: false; why: string }
  | { ok: true; untested: string; figures: ReturnType<typeof compensationOf> }

/** What is off by more than this is a wrong unit, a wrong lead or something loose, and nothing that a table takes out. */
const MOST_COMPENSATED_UM = 1000

/** What play may change with, by the check that tells it. */
const CHANGING = [
  ['prove.slowFast', 'the feed'],
  ['prove.coldWarm', 'the warmth of the machine'],
] as const

/**
 * Whether the play of an axis is one that a controller can take out: the same at every place, force, feed and warmth. What changes is to
 * be mended, for a table that is right today is wrong tomorrow.
 *
 * @returns the backlash and the corrections of the last full test, or the reason to mend first
 */
export function compensable(t: EvaluationContext): Compensable {
  const refused = (why: string): Compensable => ({ ok: false, why })
  const { axis, units } = t
  const small = (um: number) => say(um, 'smallLength', units, units === 'mm' ? 1 : undefined)
  const test = axis.fullTests.at(-1)
  if (!test) return refused('Run a full test first: corrections come from its targets.')
  const figures = test.gaugeStepUm === null ? null : fullFigures(t, test, test.gaugeStepUm)
  if (!figures || isQuick(figures.targets))
    return refused(
      'The full test is not read yet: five targets and five runs each way are the least to correct by.',
    )
  const odd = t.finding('prove.fullReversal')
  if (odd?.state === 'unknown' && odd.figure === null && !odd.sentence.includes('still to be taken'))
    return refused(odd.sentence)
  const reversals = figures.stations.map(({ reversalUm }) => Math.abs(reversalUm))
  const rangeUm = Math.max(...reversals) - Math.min(...reversals)
  // The range of some figures that are all alike is about this much of what each is uncertain by.
  const uncertainUm = Math.SQRT2 * figures.reversalExpandedUm
  if (rangeUm > Math.max(uncertainUm, axis.goals.backlashTargetUm / 4))
    return refused(
      `The reversal varies along the travel, from ${small(Math.min(...reversals))} to ${small(Math.max(...reversals))}: one figure takes it out at one place and puts it in at another. Look at the gib, the wear of the screw and the line of the blocks first.`,
    )
  const pushed = t.finding('prove.pushPull')
  if (!pushed && odd?.state === 'fails')
    return refused(
      `${odd.sentence.split('.')[0]}. Push and pull first: only play that stays the same under force can be taken out by a controller; what is loose is mended.`,
    )
  if (pushed?.state === 'fails')
    return refused(
      `Something is loose: ${pushed.sentence.split(/[.:]/)[0]?.toLowerCase()}. A cut pushes the slide through play that a controller thinks it has taken out. Mend it first: find the fault.`,
    )
  for (const [checkId, changes] of CHANGING) {
    const found = t.finding(checkId)
    if (found?.state === 'fails')
      return refused(
        `The play changes with ${changes}. ${found.sentence} One figure for the controller is right at one of the two and wrong at the other.`,
      )
  }
  if (t.finding('prove.steps')?.state === 'fails')
    return refused(
      'It does not come back to zero after fast moves: what it lost there no table knows. Mend that first.',
    )
  const most = Math.max(figures.reversalUm, figures.meanDeviationRangeUm)
  if (most > MOST_COMPENSATED_UM)
    return refused(
      `It would take out ${small(most)}, and no sound drive needs more than ${small(MOST_COMPENSATED_UM)}: were the readings typed in another unit, or is something loose, or another lead set? Nothing is to be entered by it.`,
    )
  const untested = [
    ...(pushed ? [] : ['whether the play changes with force (push and pull)']),
    ...(t.finding('prove.slowFast') ? [] : ['whether it changes with the feed (slow, fast)']),
    ...(axis.returnRounds.length ? [] : ['whether it comes back after fast moves (lost steps)']),
  ]
  return {
    ok: true,
    untested: untested.join(', '),
    figures: t.figure('compensation', compensationOf, {
      positions: figures.targets,
      spacingMm: axis.compensation.spacingMm,
    }),
  }
}
