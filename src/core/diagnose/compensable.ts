import { attempt } from '../evaluation/attempt'
import type { EvaluationContext } from '../evaluation/context'
import { compensationOf } from '../sheets/compensation/calculation'
import { fullFigures, isQuick } from '../sheets/fullTest/figures'
import { waveUm } from '../sheets/oneTurn/calculation'
import { lastWave } from '../sheets/oneTurn/rounds'
import { say } from '../units/print'

/** What a controller is to be set to, or why it should not be. */
export type Compensable =
  | { ok: false; why: string }
  | {
      ok: true
      untested: string
      figures: ReturnType<typeof compensationOf>
      /** What the controller is to take out at a reversal: in its sense, never less than nothing. */
      backlashUm: number
      /** How far the means would stand apart with both in, at most, with what a turn of the screw adds. */
      leftUm: number
      /** How the signs were told, and what a turn adds, in words. */
      said: string
    }

/** What a sentence says before its first colon or stop; a decimal point is none. */
const inShort = (sentence: string): string => sentence.split(/[.:](?:\s|$)/)[0] ?? sentence

/** What is off by more than this is a wrong unit, a wrong lead or something loose, and nothing that a table takes out. */
const MOST_COMPENSATED_UM = 1000

/** A wave spans twice its amplitude; where a table may have taken it in at its targets, twice that. */
const WHOLE = 2
const WHOLE_WITHOUT_SIGN = 4

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
  const small = (um: number) => say(um, 'smallLength', units)
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
      `${inShort(odd.sentence)}. Push and pull first: only play that stays the same under force can be taken out by a controller; what is loose is mended.`,
    )
  if (pushed?.state === 'fails')
    return refused(
      `Something is loose: ${inShort(pushed.sentence).toLowerCase()}. A cut pushes the slide through play that a controller thinks it has taken out. Mend it first: find the fault.`,
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
  const { sense } = figures
  if (sense.is === 'unknown' || sense.is === 'seems')
    return refused(
      'Note first, under the full test, which way its gauge reads more: push the slide up by hand and see whether the needle goes up. The sign of every correction hangs on it; with the wrong one each error is doubled.',
    )
  if (sense.is === 'against')
    return refused(
      `It reads as if the slide went too far each way, and a slide always comes short: the gauge reads the other way than noted, or the controller takes out more than is lost already. Set its backlash to nothing, push the slide up by hand to see which way the needle goes, and take the test again.`,
    )
  if (test.shifts.length > 0)
    return refused(
      'A jump was taken out of the full test. Its reversal stands; for corrections take the test again without one.',
    )
  const wave = attempt(() => lastWave(t)).value ?? null
  const waveMore = axis.waveRounds.at(-1)?.gaugeMore ?? null
  if (!wave || t.finding('prove.oncePerTurn')?.figure == null)
    return refused(
      'Read One turn first, eight places: targets along the travel stand at any angle of the screw, and a table made from them can put what a turn adds in twice where it should take it out.',
    )
  const lostUm = sense.more === 'up' ? -figures.meanReversalUm : figures.meanReversalUm
  const up = sense.more === 'up' ? 1 : -1
  const turn = (targetMm: number) =>
    waveMore === null ? 0 : (waveMore === 'up' ? 1 : -1) * waveUm(wave, wave.leadMm, targetMm)
  // In the controller's sense: more is further up; without what the turn adds at the angle of each target.
  const sensed = (targetMm: number, all: readonly number[]) => all.map(um => up * um - turn(targetMm))
  const corrected = t.figure('compensation', compensationOf, {
    positions: figures.targets.map(({ targetMm, positiveUm, negativeUm }) => ({
      targetMm,
      positiveUm: sensed(targetMm, positiveUm),
      negativeUm: sensed(targetMm, negativeUm),
    })),
    spacingMm: axis.compensation.spacingMm,
  })
  const turnsUm = (waveMore === null ? WHOLE_WITHOUT_SIGN : WHOLE) * wave.amplitudeUm
  const nowUm = figures.meanDeviationRangeUm
  const leftUm = corrected.residualUm + turnsUm
  if (leftUm >= nowUm + Math.max(0, lostUm))
    return refused(
      `The means stand within ${small(nowUm + Math.max(0, lostUm))} as it is, and with a table they could stand ${small(leftUm)} apart: what a turn of the screw adds, ${small(2 * wave.amplitudeUm)}, is most of it, and no table takes that out. Look at what One turn says.`,
    )
  const untested = [
    ...(pushed ? [] : ['whether the play changes with force (push and pull)']),
    ...(t.finding('prove.slowFast') ? [] : ['whether it changes with the feed (slow, fast)']),
    ...(axis.returnRounds.length ? [] : ['whether it comes back after fast moves (lost steps)']),
  ]
  return {
    ok: true,
    untested: untested.join(', '),
    figures: corrected,
    backlashUm: Math.max(0, lostUm),
    leftUm,
    said: `The gauge reads more as the slide goes ${sense.more}${sense.more === 'down' ? ', so every sign was turned over' : ''}. ${waveMore === null ? `Within a turn the screw goes ${small(2 * wave.amplitudeUm)} to and fro, and nobody noted which way that gauge read more: it may stand at any target as part of its error, and up to ${small(turnsUm)} of what is left are that.` : `Within a turn the screw goes ${small(2 * wave.amplitudeUm)} to and fro: that was left out of the table, and stays.`}`,
  }
}
