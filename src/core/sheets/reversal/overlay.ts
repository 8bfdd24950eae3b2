import { attempt } from '../../evaluation/attempt'
import { lostMotionBudget } from '../../machine/drive/stiffness'
import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'
import { judgeOf } from './check'

/** A cause below this is left off the drawing; the table under Size has them all. */
const SMALLEST_SHOWN_UM = 0.05

/** What the parts should lose where they lose it, and what was measured where the verdict was taken. */
export const reversalOverlay: DrawOverlay = context => {
  const budget = attempt(() => lostMotionBudget(context)).value
  if (!budget) return {}
  const small = (um: number) => say(um, 'smallLength', context.units)
  const test = context.axis.tests.at(-1)
  const judged = test && judgeOf(context, test)
  return {
    marks: [
      ...budget.causes
        .filter(({ um }) => um >= SMALLEST_SHOWN_UM)
        .map(({ subject, label, um }) => ({ part: subject, text: `${label.toLowerCase()} ${small(um)}` })),
      ...(judged
        ? [
            {
              part: 'way' as const,
              state: context.finding('prove.reversal')?.state,
              text: `measured ${small(judged.verdict.reversalUm)}`,
            },
          ]
        : []),
    ],
  }
}
