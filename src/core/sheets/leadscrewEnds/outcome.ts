import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import { outcomeOf } from '../outcome'
import { screwSteps, totalLengthMm } from './drawing'
import { leadscrewEnds } from './sheet'

/** The ends of the screw on paper and for the shell. */
export const leadscrewEndsOutcome = outcomeOf(leadscrewEnds, {
  paper(context) {
    const steps = attempt(() => screwSteps(context))
    const length = (mm: number) => say(mm, 'length', context.units)
    const rows = steps.value
      ? [
          ...steps.value.map(({ name, diameterMm, tolerance, lengthMm, note }) => [
            name,
            `${length(diameterMm)} ${tolerance}`,
            `${length(lengthMm)} long`,
            note,
          ]),
          [{ strong: 'Whole length' }, '', { strong: length(totalLengthMm(steps.value)) }, ''],
        ]
      : []
    return [
      { on: 'worksheet', title: 'Ends of the screw, from the coupler on', rows, empty: steps.ask ?? '' },
    ]
  },
  report(context) {
    const steps = attempt(() => screwSteps(context))
    return steps.value
      ? { steps: steps.value, totalLengthMm: totalLengthMm(steps.value) }
      : { missing: steps.ask }
  },
})
