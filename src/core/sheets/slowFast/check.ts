import { type Check, defineChecks, type Say } from '../../evaluation/check'
import { sentenceCase } from '../../units/sentenceCase'
import { lastChange } from '../shared/proofs/age'
import { latestPair, type Manner } from '../shared/proofs/manner'
import { PART_SHARE } from '../shared/proofs/partShare'
import { judgeFigure } from '../shared/rounds/judgeRounds'
import { noAdvice } from '../shared/rounds/roundFinding'

interface Words {
  /** What both tests are, in the order of the pair. */
  alike: string
  more: string
  less: string
  /** How a test is said to have been made. */
  named: (test: { feedMmPerMin: number | null; warmth: string | null }, say: Say) => string
}

/** Compares the latest two tests that differ in one thing: play that changes with it is no play that a controller can take out. */
const compared =
  (manner: Manner, { alike, more, less, named }: Words): Check['judge'] =>
  (t, say) => {
    const pair = latestPair(t.axis.tests, manner, lastChange(t.axis)?.at ?? null)
    if (!pair) return null
    const { before, after, worst } = pair
    if (before.gaugeStepUm === null || after.gaugeStepUm === null)
      return noAdvice('Enter the step of the gauge of both tests: until then nobody knows what counts.')
    const { beforeUm, afterUm, differenceUm, expandedUm, positionMm } = worst
    const small = (um: number) => say(um, 'smallLength')
    const countsUm = PART_SHARE * t.axis.goals.backlashTargetUm
    const where = positionMm === null ? 'at the worst place of each' : `at ${say(positionMm, 'length', 1)}`
    const lost = `${where} it loses ${small(beforeUm)} ${named(before, say)} and ${small(afterUm)} ${named(after, say)}`
    const said = `${sentenceCase(lost)}: ${small(Math.abs(differenceUm))} ± ${small(expandedUm)} apart, where ${small(countsUm)} count`
    const figures = [Math.abs(differenceUm), countsUm, expandedUm] as const
    return judgeFigure([differenceUm, expandedUm, countsUm], figures, {
      within: () => `${said}. ${alike}`,
      beyond: () => `${said}. ${differenceUm > 0 ? more : less}`,
      cannotTell: () => `${said}: these readings cannot tell. Take more of both, at the same place.`,
    })
  }

export const SLOW_FAST_CHECKS = defineChecks({
  'prove.slowFast': {
    title: 'Slow against fast',
    subject: 'proof',
    judge: compared('feed', {
      alike: 'It is play, not lag.',
      more: 'More is lost fast: something lags or winds up before it stops. Look at the load on the motor, a soft coupler or belt, and stiff grease; a dwell before the reading shows whether it creeps on.',
      less: 'More is lost slow: it sticks, and winds up before it slips. Oil the ways and set the gib before anything else.',
      named: ({ feedMmPerMin }, say) => `at ${say(feedMmPerMin as number, 'speed')}`,
    }),
  },
  'prove.coldWarm': {
    title: 'Cold against warm',
    subject: 'proof',
    judge: compared('warmth', {
      alike: 'Warmth does not change it.',
      more: 'More is lost warm: a preload goes as it warms. Look at the locknut and the pair of bearings first, then at the nut.',
      less: 'More is lost cold: something is slack until it has grown. Look at the gib and the stretch of the screw; judge it at the warmth that it works in.',
      named: ({ warmth }) => String(warmth),
    }),
  },
})
