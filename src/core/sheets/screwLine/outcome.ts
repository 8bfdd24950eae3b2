import { goal } from '../../machine/commonRemedies'
import { momentWords } from '../../units/dateWords'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { lifeShare, sideForce } from '../shared/rounds/worth'
import { screwBent, screwLine as screwLineFigure } from './calculation'
import { lineSetting, worstCorrectionUm } from './judgePlane'

/** What mends the line of the screw, and its rounds on paper. */
export const screwLineOutcome = defineOutcome({
  calculations: [screwLineFigure, screwBent, sideForce, lifeShare],
  remedies: { 'align.height': [goal('alignmentTargetUm')], 'align.side': [goal('alignmentTargetUm')] },
  paper(context) {
    const { axis, units } = context
    const small = (um: number | null) => (um === null ? '–' : say(um, 'smallLength', units))
    const rows = axis.rounds.map((round, index) => {
      const spanMm = axis.dimensions.supportSpanMm.value
      const worst = spanMm === null ? null : worstCorrectionUm(round, lineSetting(context, spanMm))
      const read = round.stations.map(
        ({ positionMm, heightUm, sideUm }) =>
          `${say(positionMm, 'length', units, 1)}: ${small(heightUm)} / ${small(sideUm)}`,
      )
      return [
        axis.drive.screws === 2 ? `Round ${index + 1}, ${round.screw} screw` : `Round ${index + 1}`,
        momentWords(round.startedAt),
        `${read.join('; ')}${worst === null ? '' : `. Largest correction ${small(worst)}`}${round.done ? `, after ${round.done}` : ''}`,
      ]
    })
    return (['record', 'align'] as const).map(on => ({
      on,
      title: 'Alignment rounds',
      rows,
      empty: 'None yet.',
    }))
  },
})
