import { goal } from '../../machine/commonRemedies'
import { readingsDrift, readingsOutlier, readingsStep } from '../../readings/order'
import { dayWords } from '../../units/dateWords'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { conditionsWords } from '../shared/proofs/conditions'
import { bidirectional } from './calculation'
import { fullFigures, isQuick } from './figures'

/** What a full test comes to, and the tests on paper. */
export const fullTestOutcome = defineOutcome({
  calculations: [bidirectional, readingsStep, readingsDrift, readingsOutlier],
  remedies: {
    'prove.accuracy': [goal('accuracyTargetUm')],
    'prove.fullReversal': [goal('backlashTargetUm')],
  },
  paper(context) {
    const { axis, units } = context
    const small = (um: number) => say(um, 'smallLength', units)
    const rows = axis.fullTests.map(test => {
      const figures = fullFigures(context, test, test.gaugeStepUm ?? 0)
      return [
        test.label,
        [dayWords(test.startedAt), conditionsWords(test, units)].filter(Boolean).join('; '),
        figures
          ? `${isQuick(figures.targets) ? 'Quick test' : 'ISO 230-2'}, ${figures.targets.length} targets: accuracy ${small(figures.accuracyUm)} ± ${small(figures.accuracyExpandedUm)}; repeatability ${small(figures.repeatabilityUm)}; reversal ${small(figures.reversalUm)} ± ${small(figures.reversalExpandedUm)}`
          : 'Not read yet.',
      ]
    })
    return rows.length ? [{ on: 'record' as const, title: 'Full tests', rows, empty: 'None.' }] : []
  },
})
