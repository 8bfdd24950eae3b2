import { defineChecks } from '../../evaluation/check'
import { against } from '../shared/rounds/roundFinding'
import { heaviest, runOuts } from './runOut'

const STAND =
  'A stand goes under the end that runs out until the weight lies there and is tied; off with it before the table runs back, or in the middle it hangs over on the other side.'

export const COUNTERWEIGHT_CHECKS = defineChecks({
  'room.counterweight': {
    title: 'Table run out over its end',
    subject: 'axis',
    judge(t, say) {
      const outs = runOuts(t)
      if (outs.length === 0) return null
      const { weightArmMm, weightKg } = t.axis.counterweight
      const kg = (value: number) => say(value, 'mass', 0)
      const worst = heaviest(outs)
      if (!worst)
        return {
          ...against(
            'holds',
            'mass',
            [0, weightKg],
            'Run out that far its weight stays on the middle third of the way: it needs none against it.',
          ),
          use: 0,
        }
      const figures = [worst.leastKg, weightKg] as const
      const at = `${say(weightArmMm ?? 0, 'length', 0)} on the other side of the middle of the way`
      const out = `Run out to the ${worst.end} end`
      if (weightKg < worst.leastKg)
        return against(
          worst.liftsOff ? 'fails' : 'close',
          'mass',
          figures,
          () =>
            `${out} it ${worst.liftsOff ? 'tips off its way' : 'lifts at one end and stands false'}: ${kg(Math.ceil(worst.leastKg))} must lie ${at}${weightKg > 0 ? `, and ${kg(weightKg)} are to` : ''}. ${STAND}`,
        )
      const over = outs.find(({ leastKg, mostKg }) => leastKg > 0 && weightKg > mostKg)
      if (over)
        return against(
          weightKg > over.tipsKg ? 'fails' : 'close',
          'mass',
          figures,
          () =>
            `${kg(weightKg)} are too much: run out to the ${over.end} end it ${weightKg > over.tipsKg ? 'tips' : 'lifts'} the other way from ${kg(Math.floor(over.mostKg))} on. ${kg(Math.ceil(worst.leastKg))} are enough.`,
        )
      return against(
        'holds',
        'mass',
        figures,
        () => `${kg(weightKg)} ${at} hold it down; ${kg(Math.ceil(worst.leastKg))} are enough. ${STAND}`,
      )
    },
  },
})
