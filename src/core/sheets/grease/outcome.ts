import { attempt } from '../../evaluation/attempt'
import { dayWords } from '../../units/dateWords'
import { defineOutcome } from '../outcome'
import { intervalOf, lubeInterval, nextGreasing } from './due'
import { LUBE_POINTS } from './model'
import { fitted } from './remedies'

/** What mends a point that is not reached, and the points on paper. */
export const greaseOutcome = defineOutcome({
  calculations: [lubeInterval],
  remedies: { 'grease.access': [fitted()] },
  paper(context) {
    const { lubePoints } = context.axis
    const due = nextGreasing(context)
    return [
      {
        on: 'build',
        title: due ? `Grease, next on ${dayWords(due.day)}` : 'Grease',
        empty: 'No point entered.',
        rows: lubePoints.map(({ what, access, lubricant, amount }) => [
          '☐',
          { strong: what },
          [lubricant, amount, access && LUBE_POINTS.of.access.words?.[access]].filter(Boolean).join(', '),
        ]),
      },
    ]
  },
  report: context => attempt(() => intervalOf(context)).value ?? null,
})
