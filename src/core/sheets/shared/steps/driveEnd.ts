import { InputError } from '../../../calculation/inputError'
import type { PartOf } from '../../../document/parts/types'
import type { EvaluationContext } from '../../../evaluation/context'
import { chosenBrake } from '../../../machine/drive/brake'
import { beltLoad, beltRun } from '../../../machine/drive/transmission'
import { printQuantity, say } from '../../../units/print'
import type { UnitSystem } from '../../../units/quantity'
import { type Parts, step, type Written } from './step'

/** Steps of which the last joins the motor to its screw. */
const JOINS: Readonly<Record<'belt' | 'coupler', string>> = { belt: 'motor-face', coupler: 'motor-hub' }

/**
 * The steps from the screw's end to the motor: a coupler, or a belt in its place, and a brake that was chosen. Two motors that share a
 * gantry are tried alone before they are joined to their screws: those steps come with the first moves.
 */
export function driveEnd(
  parts: Parts,
  context: EvaluationContext,
): { fitting: Written[]; joining: Written[] } {
  const all = [
    ...(parts.belt
      ? beltEnd(parts.motor, context)
      : parts.coupler
        ? couplerEnd(parts.coupler, parts.motor, context.units)
        : []),
  ]
  const fitting = [...brakeOn(context), ...all]
  if (context.axis.drive.screws === 1) return { fitting, joining: [] }
  const last = JOINS[parts.belt ? 'belt' : 'coupler']
  return {
    fitting: fitting.filter(({ id }) => id !== last),
    joining: fitting
      .filter(({ id }) => id === last)
      .map(one => ({ ...one, restsOn: [...one.restsOn, 'motor-alone'] })),
  }
}

/** A brake that was chosen, on the motor. */
function brakeOn(t: EvaluationContext): Written[] {
  const brake = chosenBrake(t)
  if (!brake) return []
  return [
    step(
      'brake-on',
      'Brake on the motor',
      `${brake.name}: its hub on the rear shaft, its body on the flange, the gap as its sheet says. Without current it grips: turn the shaft by hand, it must not move.`,
      {
        hold: true,
        keepsSafe: true,
        load: 'fits',
        tools: ['hex keys', 'feeler gauge'],
        asks: { parts: ['brake'] },
        caution: 'Oil or grease on its lining, and it holds nothing.',
      },
    ),
  ]
}

/** What belt to take and how tight; pulleys that do not go between the centres leave it open. */
function beltWords(t: EvaluationContext) {
  const { units } = t
  try {
    const { beltTeeth, centreDistanceMm } = beltRun(t)
    const { strandTensionN, spanFrequencyHz } = beltLoad(t)
    return {
      which: `A belt of ${beltTeeth} teeth at ${say(centreDistanceMm, 'length', units, 1)} between centres.`,
      howTight: `Pull the motor until a plucked strand sounds at ${say(spanFrequencyHz, 'frequency', units)}: that is ${say(
        strandTensionN,
        'force',
        units,
      )} in it.`,
    }
  } catch (error) {
    if (!(error instanceof InputError)) throw error
    return { which: 'The centres are too near for these pulleys: mend that under Size.', howTight: '' }
  }
}

function beltEnd(motor: PartOf['motor'], t: EvaluationContext): Written[] {
  const { units } = t
  const { which, howTight } = beltWords(t)
  return [
    step(
      'hub-screw',
      'Pulley on the screw',
      'Slide it on and do up its clamp screw, as near to the bearing as it goes.',
      {
        load: 'fits',
        tools: ['hex keys'],
        asks: { parts: ['belt'] },
        bolts: { screwHub: 'tight' },
      },
    ),
    step(
      'motor-hub',
      'Pulley on the motor shaft',
      'In line with the other: lay a steel rule across both faces, no light under it.',
      {
        load: 'fits',
        tools: ['hex keys', 'steel rule'],
        asks: { parts: ['motor'] },
        bolts: { motorHub: 'tight' },
      },
    ),
    step(
      'motor-loose',
      'Motor and belt in, face screws in loose',
      `${which} Slack off the slots, lay the belt on, never lever it over a flange. The frame is ${say(
        motor.frameMm,
        'length',
        units,
        1,
      )}.`,
      { load: 'fits', tools: ['hex keys'], asks: { parts: ['motor'] }, bolts: { motorFace: 'loose' } },
    ),
    step(
      'motor-face',
      'Tension the belt and tighten the motor face screws',
      `${howTight} Turn the screw once and pluck again.`.trim(),
      {
        load: 'fits',
        tools: ['hex keys', 'tuning app or microphone'],
        restsOn: ['motor-loose'],
        bolts: { motorFace: 'tight' },
        caution: 'Keep fingers and sleeves out of the pulleys, and cover the belt before power is on.',
      },
    ),
  ]
}

function couplerEnd(coupler: PartOf['coupler'], motor: PartOf['motor'], units: UnitSystem): Written[] {
  const gap = say(coupler.hubGapMm, 'length', units)
  const seat = coupler.hub === 'clamp' ? 'clamp screw' : 'set screw, on a filed flat'
  return [
    step(
      'hub-screw',
      'Coupler on the screw',
      `Slide it on and do up its ${seat}.${
        coupler.hubGapMm > 0 ? ` Keep ${gap} between the hubs, or the jaws push on the bearings.` : ''
      }`,
      {
        load: 'fits',
        tools: ['hex keys', ...(coupler.hubGapMm > 0 ? ['feeler gauge'] : [])],
        asks: { parts: ['coupler'] },
        bolts: { screwHub: 'tight' },
      },
    ),
    step(
      'motor-loose',
      'Motor in, face screws in loose',
      `The shaft slides into the coupler without force. The frame is ${
        printQuantity(motor.frameMm, 'length', units, 1).figure
      } ${printQuantity(motor.frameMm, 'length', units, 1).unit}.`,
      {
        load: 'fits',
        tools: ['hex keys'],
        asks: { parts: ['motor'] },
        bolts: { motorFace: 'loose', motorHub: 'loose' },
      },
    ),
    step(
      'motor-face',
      'Tighten the motor face screws',
      'Turn the screw by hand while you tighten crosswise: the shaft finds its own centre.',
      {
        load: 'fits',
        tools: ['hex keys'],
        restsOn: ['motor-loose'],
        bolts: { motorFace: 'tight' },
        caution: 'Before the shaft screw, always: the other way round the motor bearings carry a side load.',
      },
    ),
    step('motor-hub', 'Tighten the coupler on the motor shaft', `Now its ${seat}.`, {
      load: 'fits',
      tools: ['hex keys'],
      restsOn: ['motor-face'],
      bolts: { motorHub: 'tight' },
    }),
  ]
}
