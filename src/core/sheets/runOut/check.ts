import type { ScrewEnds } from '../../document/kinds'
import { attempt } from '../../evaluation/attempt'
import { defineChecks, type Say } from '../../evaluation/check'
import type { EvaluationContext } from '../../evaluation/context'
import type { State } from '../../evaluation/finding'
import { nutLifeHours } from '../../machine/drive/strength'
import { sentenceCase } from '../../units/sentenceCase'
import { judgeRounds } from '../shared/rounds/judgeRounds'
import { against, expanded, noAdvice, stepOf } from '../shared/rounds/roundFinding'
import { nearestMm, sideLoad } from '../shared/rounds/sideLoad'
import { lifeLeftWords } from '../shared/rounds/worth'
import { WOBBLES, type Wobble } from './model'
import { runOutRounds, wobblesOf } from './rounds'

/** What a wobble may take of the nut's life without mattering. */
const LIFE_KEPT = 0.9
const LIFE_LOST = 0.6

/**
 * In its middle a screw between its blocks pushes the nut as one would that is held at this share of its span beside it:
 * 3 E I / d^3 against 48, 768 / 7 and 192 E I / L^3, by how its ends are held, and 3 E I / (L / 2)^3 with a free one.
 */
const MIDDLE_SHARE: Readonly<Record<ScrewEnds, number>> = {
  'supported-supported': (3 / 48) ** (1 / 3),
  'fixed-supported': (21 / 768) ** (1 / 3),
  'fixed-fixed': (3 / 192) ** (1 / 3),
  'fixed-free': 1 / 2,
}

/** What one wobble does, and whether that matters. */
export interface WobbleVerdict {
  wobble: Wobble & { wholeUm: number }
  state: State
  sentence: string
}

/** Judges each place that was read. @throws NotKnown without a screw */
export function judgeWobbles(
  t: EvaluationContext,
  wobbles: readonly (Wobble & { wholeUm: number })[],
  say: Say,
): WobbleVerdict[] {
  const small = (um: number) => say(um, 'smallLength')
  const targetUm = t.axis.goals.alignmentTargetUm
  const words = WOBBLES.of.where.words ?? {}
  return wobbles.map((wobble, index) => {
    const offUm = wobble.wholeUm / 2
    const where = words[wobble.where] ?? wobble.where
    const is = (state: State, sentence: string): WobbleVerdict => ({
      wobble,
      state,
      sentence: `${sentenceCase(where)}, ${small(wobble.wholeUm)}: ${sentence}`,
    })
    if (wobble.where === 'free')
      return is(
        t.axis.ends === 'fixed-free' ? 'holds' : 'close',
        t.axis.ends === 'fixed-free'
          ? 'it matters little. Nothing holds that end, so nothing is pushed aside; it only shakes, near the speed at which the screw whips.'
          : 'as long as nothing holds it, it pushes nothing. Read it again with its block on: that is what counts.',
      )
    if (wobble.where === 'drive') {
      const allowed = t.catalogue.coupler.get(t.axis.parts.coupler ?? '')?.parallelLimitMm
      if (allowed === undefined) return is('holds', 'a belt does not mind; a coupler would.')
      const share = offUm / 1000 / allowed
      return share <= 1 / 4
        ? is('holds', `it matters little: ${say(share, 'share')} of what the coupler bears beside.`)
        : is(
            share <= 1 ? 'close' : 'fails',
            `it matters: it alone takes ${say(share, 'share')} of what the coupler bears beside, once each turn. Turn the coupler half round on the shaft and read again: if the high spot goes with it, it is the coupler.`,
          )
    }
    if (wobble.where === 'fixed')
      return offUm <= targetUm
        ? is('holds', 'it matters little: less than the line of the screw is set to.')
        : is(
            'fails',
            `it matters: the bearings carry the whole screw round by ${small(offUm)}. Look for a chip or a burr under the inner ring or the locknut's face, and that the locknut is square: slack it, turn it on the shaft by a quarter, set it and read again.`,
          )
    const inMiddle = wobble.where === 'middle' && wobble.toNutMm === null
    const distanceMm =
      wobble.toNutMm ??
      (wobble.where === 'far' ? nearestMm(t).far : MIDDLE_SHARE[t.axis.ends] * t.dimension('supportSpanMm'))
    const { sideForceN, lifeShare } = sideLoad(t, `runOut.${index}`, offUm, distanceMm)
    const costs = `${inMiddle ? 'with the nut there, the screw between its blocks' : `held ${say(distanceMm, 'length', 0)} from the nut it`} pushes it aside with ${say(sideForceN, 'force', 0)} each turn; ${lifeLeftWords(lifeShare, say)} of the nut's life is left`
    // What a lightly loaded nut loses of a life that is far longer than is wanted is no loss.
    const wholeHours = attempt(() => nutLifeHours(t)).value ?? null
    const lasts = wholeHours !== null && lifeShare * wholeHours >= t.axis.goals.wantedLifeHours
    if (lifeShare >= LIFE_KEPT || lasts)
      return is(
        'holds',
        `it does not matter: ${costs}${lasts && lifeShare < LIFE_KEPT ? ', and that is longer than is wanted' : ''}.`,
      )
    return is(
      lifeShare >= LIFE_LOST ? 'close' : 'fails',
      `it matters: ${costs}. Roll the screw on the bed: a thread that is straight and a journal that is not can be turned again; a bent thread is straightened between blocks, or changed.`,
    )
  })
}

const ORDER: readonly State[] = ['fails', 'close', 'holds']

export const RUN_OUT_CHECKS = defineChecks({
  'align.runOut': {
    title: 'Run-out of the screw',
    subject: 'screw',
    judge: judgeRounds(runOutRounds, (t, round, say) => {
      // Read when a block stood there, the end of a screw whose far end is free now.
      const wobbles = wobblesOf(round).map(one =>
        t.axis.ends === 'fixed-free' && one.where === 'far' ? { ...one, where: 'free' as const } : one,
      )
      if (wobbles.length === 0)
        return noAdvice(
          'Turn the screw slowly once round with the tip on the journal: read how far the needle goes from least to most.',
        )
      const stepUm = stepOf(round, 'runOut')
      const judged = judgeWobbles(t, wobbles, say).toSorted(
        (a, b) => ORDER.indexOf(a.state) - ORDER.indexOf(b.state) || b.wobble.wholeUm - a.wobble.wholeUm,
      )
      const [worst] = judged
      if (!worst) return null
      const { wobble } = worst
      // Two readings are taken from each other, each to a step.
      const unsureUm = expanded(stepUm / Math.sqrt(6), 0)
      const stateAt = (wholeUm: number) => judgeWobbles(t, [{ ...wobble, wholeUm }], say)[0]?.state
      if (worst.state !== 'holds' && stateAt(Math.max(0, wobble.wholeUm - unsureUm)) === 'holds')
        return noAdvice(
          `${worst.sentence} But with marks of ${say(stepUm, 'smallLength')} it is known to ± ${say(unsureUm, 'smallLength')}: this gauge cannot tell whether it matters. Borrow a finer one.`,
        )
      return against(
        worst.state,
        'smallLength',
        [worst.wobble.wholeUm, 2 * t.axis.goals.alignmentTargetUm],
        worst.sentence,
      )
    }),
  },
})
