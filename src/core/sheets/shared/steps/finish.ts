import { attempt } from '../../../evaluation/attempt'
import type { EvaluationContext } from '../../../evaluation/context'
import { chosenBrake } from '../../../machine/drive/brake'
import { currentAsSetA } from '../../../machine/drive/motorTorque'
import { say } from '../../../units/print'
import { MM_PER_INCH } from '../../../units/quantity'
import { controllerSettings, FIRST_TRY, roundSteps } from './controller'
import { counterbalanceIn } from './counterbalance'
import { byHand, loadWord, mayFall, supportAgain, supportOutAgain } from './lifting'
import { type Asked, type Parts, step, type Written } from './step'
import { forScrew } from './twoScrews'

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
const SWITCHED: Asked[] = (['switches.fixed', 'switches.far'] as const).map(checkId => ({
  checkId,
  at: {
    states: ['holds', 'close', 'unknown'],
    missing: 'Enter the switches under Build, Switches and cables.',
  },
}))

/** Switches, and the cable to the motor. */
export function wiring(context: EvaluationContext): Written[] {
  const { axis } = context
  const brake = chosenBrake(context)
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
    ...(brake
      ? [
          step(
            'brake-wired',
            'Brake wired to its supply',
            'By a relay that the drive’s enable or the emergency stop opens: without either of them there is no current and the brake grips. A diode or varistor across its coil.',
            {
              hold: true,
              keepsSafe: true,
              load: 'fits' as const,
              onBench: true as const,
              tools: ['screwdriver', 'ferrules'],
              caution:
                'Its supply is fed from the mains: that, and the circuit of the emergency stop, are for licensed people and follow local codes.',
            },
          ),
        ]
      : []),
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
  const settings = attempt(() => controllerSettings(context), context.units)
  if (!settings.value) return `${settings.ask} Then the settings stand under Build, First moves.`
  const { maxSpeedMmPerMin, accelerationMmPerS2 } = settings.value
  const { units } = context
  const share = say(maxSpeedMmPerMin * FIRST_TRY.speed, 'speed', units)
  return `Switches normally closed, soft limits as under Build, First moves. For the first try ${share}, a tenth of the top speed, and ${say(accelerationMmPerS2 * FIRST_TRY.acceleration, 'acceleration', units)}; later ${say(maxSpeedMmPerMin, 'speed', units)} and ${say(accelerationMmPerS2, 'acceleration', units)}.`
}

/** Steps a millimetre, or an inch, in words; what they still need while they are not known. */
export function stepWords(context: EvaluationContext): string {
  const settings = attempt(() => controllerSettings(context), context.units)
  if (!settings.value) return settings.ask
  const { stepsPerMm, isMeasured } = settings.value
  const set =
    context.units === 'inch'
      ? `${roundSteps(stepsPerMm * MM_PER_INCH)} steps an inch`
      : `${roundSteps(stepsPerMm)} steps a millimetre`
  return `${set}${isMeasured ? ', as the measured move has it' : ''}`
}

/** The tries with the emergency stop, and the brake, before anything moves. */
function beforeAnyMove(context: EvaluationContext): Written[] {
  const { axis } = context
  const brake = chosenBrake(context)
  const load = loadWord(axis)
  const falls = mayFall(axis)
  return [
    step(
      'estop-off',
      'Emergency stop tried with the drives off',
      'Controller on, drives unplugged. Press it: the controller must say so, and must not come back by itself when the button is let go.',
      {
        hold: true,
        keepsSafe: true,
        restsOn: ['switch-tested'],
        caution:
          'How an emergency stop is wired follows local codes and is for licensed people: it cuts the power of the drives itself, not by a program.',
      },
    ),
    ...(brake
      ? [
          step(
            'brake-tested',
            `Brake tried, with the ${load} ${falls ? 'on its support' : 'at rest'}`,
            `Give the brake alone its current: it clicks, and the screw turns by hand. Take the current away: it grips, and the screw does not turn.${falls ? ` The ${load} must rest on its block all the while.` : ''}`,
            {
              hold: true,
              keepsSafe: true,
              load: 'fits',
              restsOn: ['brake-on', 'brake-wired'],
              caution: falls ? `Released, nothing but its support holds the ${load}.` : 'Drives off.',
            },
          ),
        ]
      : []),
    step(
      'estop-on',
      'Emergency stop tried with the drives on, nothing moving',
      `Drives on, standing. Press it: the drives lose their power${brake ? ', and the brake is heard to grip' : ''}. They must not come back by themselves.`,
      {
        hold: true,
        keepsSafe: true,
        load: 'frees',
        restsOn: ['estop-off', ...(brake ? ['brake-tested'] : [])],
        caution: falls
          ? `Without power the drive lets go: the ${load} stays on its support.`
          : 'Hands off the screw: a drive that comes on may jump.',
      },
    ),
  ]
}

/** Each motor by itself; the two of a gantry before they are joined to their screws, since one that runs mirrored racks it. */
function motorsAlone({ axis }: EvaluationContext, joining: readonly Written[]): Written[] {
  const falls = mayFall(axis)
  if (axis.drive.screws === 2) {
    const alone = step(
      'motor-alone',
      'This motor alone, not joined to its screw',
      'The other drive unplugged. A short move at a tenth of the speed: it is this motor that turns, and plus turns it the way that drives the gantry to plus. Turn it round in the controller if not; then the other one, and mind which stands mirrored.',
      {
        hold: true,
        keepsSafe: true,
        load: 'frees',
        restsOn: ['estop-on'],
        caution:
          'Joined to their screws, two motors that turn against each other rack the gantry at full torque.',
      },
    )
    return [1 as const, 2 as const].flatMap(screw => forScrew([alone, ...joining], screw))
  }
  return [
    step(
      'motor-alone',
      'The motor alone: the right one, the right way',
      `A move of a few millimetres at a tenth of the speed${falls ? `, up off its support, with what would catch it just below` : ', from the middle of the travel'}: it is this axis that moves, and plus goes where the machine says plus. Turn it round in the controller if not.`,
      {
        hold: true,
        keepsSafe: true,
        load: 'frees',
        restsOn: ['estop-on'],
        caution:
          'A wrong direction runs away from the switch that should stop it: hand on the emergency stop.',
      },
    ),
  ]
}

/** From the controller's settings to the first moves under power, in the order in which a mistake costs least. */
export function firstMoves(context: EvaluationContext, joining: readonly Written[] = []): Written[] {
  const { axis } = context
  const motor = context.catalogue.motor.get(axis.parts.motor ?? '')
  const load = loadWord(axis)
  return [
    ...byHand(
      axis,
      'run it through by hand',
      step(
        'aids-out',
        'Everything that was put in to help is out again',
        `Ties, clamps, shims, props, tape.${mayFall(axis) ? ` What supports the ${load} stays.` : ''} Run the axis once through by hand and look.`,
        { hold: true, keepsSafe: true, asks: { aidsOut: true } },
      ),
    ),
    step('controller', 'Set up the controller', settingWords(context), { hold: true }),
    ...counterbalanceIn(context),
    ...beforeAnyMove(context),
    ...motorsAlone(context, joining),
    step(
      'current-set',
      'Current set on the driver',
      motor
        ? `${currentAsSetA(axis.drive, motor)} A, ${motor.continuousTorqueNm === null ? `of ${motor.ratedCurrentA} A that the motor bears` : 'as the sheet of the servo has it'}. Every figure under Size goes by that.`
        : 'As chosen under Size.',
      { restsOn: ['motor-alone'] },
    ),
    step(
      'steps-set',
      'Steps set, and a short move looked at',
      `${stepWords(context)}. Command a short move at a tenth of the speed and lay a rule beside it: a factor of two or ten is seen at once.`,
      { hold: true, tools: ['rule'], restsOn: ['motor-alone'] },
    ),
    ...(mayFall(axis)
      ? [
          step(
            'held',
            `The ${load} stays up without power`,
            `First on its support: power off, take its weight off that little by little. Then raise it under power by a few centimetres, with what would catch it a hand’s breadth below, and switch off: it must not creep in a minute. Both with its heaviest work and with nothing on it.`,
            {
              hold: true,
              keepsSafe: true,
              provesHold: true,
              load: 'frees',
              tools: ['hoist or jack'],
              asks: { verdicts: [STAYS] },
              caution:
                'Stand beside it, never under it, and keep what would catch it there until it has stood.',
            },
          ),
          step(
            'support-off',
            'Take the support away',
            `Only now, with the ${load} held by its own drive. Put it back for every work under it, and before anything of the drive is loosened.`,
            { hold: true, keepsSafe: true, restsOn: ['held'], aidsOut: ['block', 'hoist'] },
          ),
        ]
      : []),
    step(
      'power-on',
      'First moves under power, slowly',
      'At a tenth of the top speed, the hand on the emergency stop, from the middle of the travel outward.',
      {
        hold: true,
        keepsSafe: true,
        restsOn: ['steps-set', 'current-set'],
        caution: 'Guards on, hands clear, nobody else at the machine. A released axis can run to its end.',
      },
    ),
    step(
      'direction',
      'Home and limits, at a tenth of the speed',
      'Home it: it must stop and back off. Then run onto each limit from a long way off: it must stop before the hard stop. Then soft limits on: it stops before the switch.',
      {
        hold: true,
        caution: 'A home that runs the wrong way runs into the end: hand on the emergency stop.',
      },
    ),
    step(
      'measured-move',
      'A long move measured',
      `Command most of the travel at a tenth of the speed and measure it, under Build, First moves: the steps ${context.units === 'inch' ? 'an inch' : 'a millimetre'} are corrected by it. Then raise speed and acceleration in steps to what was wanted.`,
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
    ...(atOnce ? [] : supportAgain(axis, 'final', 'a screw of its drive comes out')),
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
        ...(!atOnce && { load: 'frees' }),
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
    ...(atOnce ? [] : supportOutAgain(axis, 'final', { verdicts: [STAYS] })),
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
          ...supportAgain(axis, 'belt', 'its belt is slackened'),
          step(
            'belt-again',
            'Tension the belt again after ten hours',
            'A new belt gives: pluck it again and bring it back to its note.',
            { load: 'frees', tools: ['hex keys', 'tuning app or microphone'] },
          ),
          ...supportOutAgain(axis, 'belt', { verdicts: [STAYS] }),
        ]
      : []),
  ]
}
