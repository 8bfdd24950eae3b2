import type { EvaluationContext } from '../../evaluation/context'
import { mayFall } from './lifting'
import { type Asked, type Step, step } from './step'

/** An axis whose load can fall is held before its support goes. */
const STAYS: Asked = {
  checkId: 'axis.unpoweredDrop',
  at: { states: ['holds'], missing: 'Measure under Survey how the axis stands.' },
}
/** A test that was read through, whatever it says. */
const MEASURED: Asked = {
  checkId: 'prove.reversal',
  at: { states: ['holds', 'close', 'fails'], missing: 'Measure it under Prove first.' },
}

/** Power, proof, threadlocker, grease. */
export function finish({ axis }: EvaluationContext): Step[] {
  const far = axis.ends !== 'fixed-free'
  return [
    ...(mayFall(axis)
      ? [
          step(
            'held',
            'The head stays up without power',
            'Brake on, current off, the head low over its block: take the weight off the hoist little by little. It must not creep.',
            {
              hold: true,
              tools: ['hoist'],
              asks: { verdicts: [STAYS] },
              caution: 'Stand beside it, never under it, and keep the hoist hooked on until it has stood.',
            },
          ),
          step(
            'support-off',
            'Take the support away',
            'Only now, with the head held by its brake or its counterbalance. Put it back for every work under the head.',
            { hold: true, restsOn: ['torque-blocks'] },
          ),
        ]
      : []),
    step(
      'power-on',
      'First moves under power, slowly',
      'A tenth of the top speed, the hand on the stop, from the middle of the travel outward.',
      {
        hold: true,
        caution: 'Guards on, hands clear, nobody else at the machine. A released axis can run to its end.',
      },
    ),
    step(
      'proved',
      'Measure the lost motion',
      'Go to Prove. Two or more stations, five readings from either side.',
      {
        hold: true,
        tools: ['dial indicator'],
        asks: { verdicts: [MEASURED] },
      },
    ),
    step(
      'locked',
      'Final assembly: threadlocker, one screw at a time',
      'Take out one screw, one drop, torque it, mark it; then the next. The rest hold the alignment.',
      {
        tools: ['threadlocker', 'torque wrench', 'paint pen'],
        caution: 'Isolate the machine again first. Threadlocker earlier than this is undone with heat.',
        bolts: {
          nut: 'torqued',
          fixedBlock: 'torqued',
          ...(far && { farBlock: 'torqued' }),
          screwHub: 'torqued',
          motorFace: 'torqued',
          motorHub: 'torqued',
        },
      },
    ),
    step(
      'greased',
      'Grease the nut and the bearings, fit the covers',
      'Until clean grease shows at the wipers; run the full travel ten times and wipe off what comes out.',
      {
        tools: ['grease gun'],
      },
    ),
  ]
}
