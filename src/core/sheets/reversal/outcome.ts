import { goal } from '../../machine/commonRemedies'
import { dayWords } from '../../units/dateWords'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { stationReversal } from '../shared/proofs/compare'
import { conditionsWords } from '../shared/proofs/conditions'
import { reversalDifference, reversal as reversalFigure } from '../shared/proofs/reversal'

/** What mends a reversal that is too large, and the tests on paper. */
export const reversalOutcome = defineOutcome({
  calculations: [reversalFigure, reversalDifference],
  remedies: { 'prove.reversal': [goal('backlashTargetUm')] },
  paper({ axis, units }) {
    const small = (um: number) => say(um, 'smallLength', units)
    const rows = axis.tests.map(test => [
      test.label,
      [dayWords(test.startedAt), conditionsWords(test, units)].filter(Boolean).join('; '),
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
