import { attempt } from '../../evaluation/attempt'
import { lostMotionBudget } from '../../machine/drive/stiffness'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { REVERSAL_CHECKS } from './check'
import { judgeTest } from './judgeTest'
import { TESTS } from './model'

/** A cause below this is left off the drawing; the table under Size has them all. */
const SMALLEST_SHOWN_UM = 0.05

/** What a reversal loses, measured at places of the travel. */
export const reversal = defineSheet({
  id: 'reversal',
  stage: 'prove',
  title: 'Reversal test',
  fields: { tests: TESTS },
  checks: REVERSAL_CHECKS,
  /** What the parts should lose where they lose it, and what was measured where the verdict was taken. */
  overlay(context) {
    const budget = attempt(() => lostMotionBudget(context)).value
    if (!budget) return {}
    const small = (um: number) => say(um, 'smallLength', context.units)
    const test = context.axis.tests.at(-1)
    const judged = test && judgeTest(test, context.axis.goals.backlashTargetUm)
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
  },
})
