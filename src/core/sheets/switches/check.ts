import { type Check, defineChecks, type Judgement, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import { atLeast, atMost, measure, NO_FIGURES } from '../../evaluation/measures'
import { NotKnown } from '../../evaluation/notKnown'
import { chain, runsOnMm } from './calculation'
import { LIMITS } from './limits'
import type { Switch } from './model'

const END_WORDS = { fixed: 'motor end', far: 'far end' } as const
export type SwitchEnd = keyof typeof END_WORDS

const isLimit = ({ use }: Switch) => use !== 'home'

/** The switches at one end, the weakest verdict first. */
function judgeEnd(t: EvaluationContext, say: Say, end: SwitchEnd): Judgement | null {
  const { switches } = t.axis
  if (switches.length === 0) return null
  const at = switches.find(one => one.end === end && isLimit(one))
  if (!at)
    return {
      ...NO_FIGURES,
      state: 'fails',
      sentence: () =>
        `No limit switch at the ${END_WORDS[end]}: before it is homed nothing but the hard stop ends a move there.`,
    }
  if (at.contact === 'normally-open')
    return {
      ...NO_FIGURES,
      state: 'fails',
      sentence: () =>
        `The switch at the ${END_WORDS[end]} is normally open: with a broken wire it says nothing, and the axis runs into its stop.`,
    }
  const { beforeStopMm } = at
  if (beforeStopMm === null)
    throw new NotKnown({
      sheet: 'switches',
      stage: 'build',
      what: `how far the switch at the ${END_WORDS[end]} stands before the hard stop`,
    })
  const needsMm = runsOnMm(t, at.filterMs)
  return atLeast(
    t,
    LIMITS['limits.switch'],
    measure(beforeStopMm, 'length'),
    measure(needsMm, 'length'),
    () =>
      `The switch at the ${END_WORDS[end]} switches ${say(beforeStopMm, 'length', 1)} before the hard stop; from ${say(t.axis.goals.topSpeedMmPerMin, 'speed')} the axis runs on ${say(needsMm, 'length', 1)}.`,
  )
}

const endCheck = (end: SwitchEnd): Check => ({
  title: `Limit switch at the ${END_WORDS[end]}`,
  subject: 'travel',
  judge: (t, say) => judgeEnd(t, say, end),
})

export const SWITCH_CHECKS = defineChecks({
  'switches.fixed': endCheck('fixed'),
  'switches.far': endCheck('far'),
  'cable.chain': {
    title: 'Cable chain',
    subject: 'axis',
    judge(t, say) {
      const { bendRadiusMm, roomMm } = t.axis.cable
      if (bendRadiusMm === null) return null
      const { chainLengthMm, heightMm } = chain(t)
      if (roomMm === null || roomMm === 0)
        throw new NotKnown({ sheet: 'switches', stage: 'build', what: 'the height there is for the loop' })
      return atMost(
        t,
        LIMITS['limits.cableHeight'],
        measure(heightMm, 'length'),
        measure(roomMm, 'length'),
        () =>
          `A chain of ${say(chainLengthMm, 'length', 0)} stands ${say(heightMm, 'length', 0)} high in its loop, where there is room for ${say(roomMm, 'length', 0)}.`,
      )
    },
  },
})
