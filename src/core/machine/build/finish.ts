import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { say } from '../../units/print'
import { controllerSettings } from './controller'
import { mayFall } from './lifting'
import { type Asked, type Parts, step, type Written } from './step'

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

/** Both ends have a switch that stops the axis in time. */
const SWITCHED: Asked[] = ['switches.fixed', 'switches.far'].map(checkId => ({
  checkId,
  at: {
    states: ['holds', 'close', 'unknown'],
    missing: 'Enter the switches under Build, Switches and cables.',
  },
}))

/** Switches, and the cable to the motor. */
export function wiring({ axis }: EvaluationContext): Written[] {
  return [
    step(
      'switches-on',
      'Switches on, at their places',
      'Their places stand under Build, Switches and cables: behind the soft limit, with room to stop before the hard stop. Normally closed, so that a broken wire stops the machine.',
      { tools: ['hex keys', 'calipers'] },
    ),
    step(
      'cable-run',
      'Cable run to the motor, with a loop',
      'On the side away from the chips. A loop on a motor that moves; the chain as long as the sheet says, no bend tighter than its radius.',
      {
        tools: ['cable ties', 'tape measure'],
        caution: 'Nothing is connected to the mains yet; mains wiring is for licensed people.',
      },
    ),
    step(
      'strain-relief',
      'Strain relief on the mount',
      'One face screw of the motor can carry a tie. Pull at the cable: nothing moves at the plug.',
      { tools: ['cable ties'], restsOn: ['cable-run'] },
    ),
    step(
      'switch-tested',
      'Every switch tested by hand',
      'Controller on, drives off. Press each switch: its own input must change, and stay changed for as long as it is pressed. Then pull its plug: that must stop the machine too.',
      {
        hold: true,
        keepsSafe: true,
        restsOn: ['switches-on'],
        // What is entered of them must hold; nobody has to enter it.
        ...(axis.switches.length > 0 && { asks: { verdicts: SWITCHED } }),
        caution: 'Only the low voltage of the controller is on; drives stay off and unplugged.',
      },
    ),
  ]
}

/** What the controller is set to, in numbers. */
function settingWords(context: EvaluationContext): string {
  const settings = attempt(() => controllerSettings(context))
  if (!settings.value) return `${settings.ask} Then the settings stand under Build, First moves.`
  const { stepsPerMm, maxSpeedMmPerMin, accelerationMmPerS2 } = settings.value
  const { units } = context
  return `${Math.round(stepsPerMm * 1000) / 1000} steps a millimetre, at most ${say(maxSpeedMmPerMin, 'speed', units)}, ${say(accelerationMmPerS2, 'acceleration', units)}, switches normally closed, soft limits as under Build, First moves. For a first try half that speed and a quarter of that acceleration.`
}

/** From the controller's settings to the first moves under power. */
export function firstMoves(context: EvaluationContext): Written[] {
  const { axis } = context
  return [
    step('controller', 'Set up the controller', settingWords(context), { hold: true }),
    ...(mayFall(axis)
      ? [
          step(
            'held',
            'The head stays up without power',
            'Brake on, current off, the head low over its block: take the weight off the hoist little by little. It must not creep.',
            {
              hold: true,
              keepsSafe: true,
              tools: ['hoist'],
              asks: { verdicts: [STAYS] },
              caution: 'Stand beside it, never under it, and keep the hoist hooked on until it has stood.',
            },
          ),
          step(
            'support-off',
            'Take the support away',
            'Only now, with the head held by its brake or its counterbalance. Put it back for every work under the head.',
            { hold: true, keepsSafe: true, restsOn: ['torque-blocks'], aidsOut: ['block', 'hoist'] },
          ),
        ]
      : []),
    step(
      'aids-out',
      'Everything that was put in to help is out again',
      'Ties, clamps, shims, props, tape. Run the axis once through by hand and look.',
      { hold: true, keepsSafe: true, asks: { aidsOut: true } },
    ),
    step(
      'power-on',
      'First moves under power, slowly',
      'A tenth of the top speed, the hand on the stop, from the middle of the travel outward.',
      {
        hold: true,
        keepsSafe: true,
        caution: 'Guards on, hands clear, nobody else at the machine. A released axis can run to its end.',
      },
    ),
    step(
      'direction',
      'Direction, home and limits',
      'Plus goes where the machine says plus; turn it in the controller if not. Home it slowly. Then run onto each limit, slowly, from a long way off: it must stop before the hard stop.',
      {
        hold: true,
        caution: 'A wrong direction runs away from the switch that should stop it: hand on the stop.',
      },
    ),
    step(
      'measured-move',
      'A long move measured',
      'Command most of the travel and measure it, under Build, First moves. The steps a millimetre are set by it.',
      { tools: ['calipers or rule', 'dial indicator'], restsOn: ['direction'] },
    ),
  ]
}

/** The lost motion measured. */
export const proof = (): Written[] => [
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
]

/** Threadlocker or marks, grease, covers, and what is looked at again after ten hours. */
export function finish({ axis }: EvaluationContext, { belt }: Parts): Written[] {
  const far = axis.ends !== 'fixed-free'
  const atOnce = axis.buildSchools.threadlocker === 'at-once'
  return [
    step(
      'locked',
      atOnce
        ? 'Final assembly: torque each screw again and mark it'
        : 'Final assembly: threadlocker, one screw at a time',
      atOnce
        ? 'Each to its torque; a stroke of paint across head and casting shows later whether it has turned.'
        : 'Take out one screw, one drop, torque it, mark it; then the next. The rest hold the alignment.',
      {
        tools: [...(atOnce ? [] : ['threadlocker']), 'torque wrench', 'paint pen'],
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
    ...(axis.drive.handwheelKept
      ? [
          step(
            'wheel-back',
            'Handwheel back on',
            'Key in its slot, dial free of the casting, its screw secured.',
            {
              tools: ['spanner'],
              caution:
                'A handwheel turns with the motor: a folding grip, or a clutch, and nobody’s sleeve near it.',
            },
          ),
        ]
      : []),
    step(
      'greased',
      'Grease the nut and the bearings, fit the covers',
      'Until clean grease shows at the wipers; run the full travel ten times and wipe off what comes out. Note it under Build, Grease.',
      {
        tools: ['grease gun'],
      },
    ),
    ...(belt
      ? [
          step(
            'belt-again',
            'Tension the belt again after ten hours',
            'A new belt gives: pluck it again and bring it back to its note.',
            { tools: ['hex keys', 'tuning app or microphone'] },
          ),
        ]
      : []),
  ]
}
