import { attempt } from '../../evaluation/attempt'
import { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { screwSteps, totalLengthMm } from './drawing'

/** The ends of the screw on paper and for the shell. */
export const leadscrewEndsOutcome = defineOutcome({
  // The screw is bought with its drive; how long it is comes from here.
  orders(axis, catalogue, units) {
    const screw = catalogue.screw.get(axis.parts.screw ?? '')
    const steps = attempt(() => screwSteps(new EvaluationContext(axis, catalogue, units)))
    if (!screw || !steps.value) return []
    const lengthMm = totalLengthMm(steps.value)
    return [
      {
        key: `part:${screw.id}`,
        what: screw.name,
        count: 0,
        neededBy: 'build',
        sheetEur: null,
        lengths: [{ axis: axis.name, count: axis.drive.screws, lengthMm }],
      },
    ]
  },
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
