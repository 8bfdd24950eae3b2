import { attempt } from '../../evaluation/attempt'
import { lostMotionBudget } from '../../machine/drive/stiffness'
import { goal } from '../../machine/remedies'
import { dayWords } from '../../units/dateWords'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { reversalDifference, reversal as reversalFigure } from './calculation'
import { REVERSAL_CHECKS } from './check'
import { judgeTest, stationReversal } from './judgeTest'
import { TESTS } from './model'

/** A cause below this is left off the drawing; the table under Size has them all. */
const SMALLEST_SHOWN_UM = 0.05

/** What a reversal loses, measured at places of the travel. */
export const reversal = defineSheet({
  id: 'reversal',
  stage: 'prove',
  title: 'Reversal test',
  fields: { tests: TESTS },
  calculations: [reversalFigure, reversalDifference],
  checks: REVERSAL_CHECKS,
  remedies: { 'prove.reversal': [goal('backlashTargetUm')] },
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
  paper({ axis, units }) {
    const small = (um: number) => say(um, 'smallLength', units)
    const rows = axis.tests.map(test => [
      test.label,
      dayWords(test.startedAt),
      test.stations
        .map(station => {
          const figures = stationReversal(station, test.gaugeStepUm)
          const at = say(station.positionMm, 'length', units, 1)
          return figures
            ? `${at}: ${small(Math.abs(figures.reversalUm))} ± ${small(figures.expandedUm)} (${station.approachPositiveUm.length} + ${station.approachNegativeUm.length} readings)`
            : `${at}: not read`
        })
        .join('; '),
    ])
    return [{ on: 'record', title: 'Reversal tests', rows, empty: 'None yet.' }]
  },
})
