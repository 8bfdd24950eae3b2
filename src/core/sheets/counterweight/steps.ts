import { attempt } from '../../evaluation/attempt'
import { say } from '../../units/print'
import { type SheetSteps, step } from '../shared/steps/step'
import { runOuts } from './runOut'

/** The weight lies there before the table is run out over an end that needs one. */
export const counterweightSteps: SheetSteps = context => {
  const { units } = context
  const { ticks, counterweight } = context.axis
  const { weightKg, weightArmMm } = counterweight
  return (attempt(() => runOuts(context)).value ?? []).flatMap(({ end, leastKg, mostKg }) => {
    // A table that has been there and back needs nothing laid on any more.
    const isPast = ticks[`run-${end}`] && !ticks[`weigh-${end}`]
    // What is at hand, where it holds; else what would.
    const kg = weightKg >= leastKg && weightKg <= mostKg ? weightKg : Math.ceil(leastKg)
    return leastKg > 0 && !isPast
      ? [
          {
            before: `run-${end}`,
            step: {
              ...step(
                `weigh-${end}`,
                `Counterweight ready for the ${end} end`,
                `${say(kg, 'mass', units, 0)} to lie ${say(weightArmMm ?? 0, 'length', units, 0)} from the middle of the way, on the other side. A stand under the end that runs out, then run it out; lay the weight on, tie it, and only then take the stand away. Before the table runs back: stand first, weight off.`,
                {
                  hold: true,
                  keepsSafe: true,
                  tools: ['stand', 'straps'],
                  caution: 'No hand and no foot under the end that hangs over.',
                  asks: {
                    verdicts: [
                      {
                        checkId: 'room.counterweight',
                        at: {
                          states: ['holds'],
                          missing: 'Say under Make room, Counterweight, what it needs.',
                        },
                      },
                    ],
                  },
                },
              ),
              why: 'Run out that far, the table does not stay on its way by itself.',
            },
          },
        ]
      : []
  })
}
