import type { Axis } from '../../../document/axis'
import type { EvaluationContext } from '../../../evaluation/context'
import type { UnitSystem } from '../../../units/quantity'
import { mayFall } from './lifting'
import { step, type Written } from './step'

const HEAVY =
  'The casting is heavy and its edges are sharp: two people or a hoist, no fingers between it and its way.'

/** The slide back onto ways that are scraped or planed, with its gib. */
function onGib(axis: Axis, units: UnitSystem): Written[] {
  const stays = axis.slide === 'head' || axis.slide === 'quill' || axis.slide === 'knee'
  if (axis.slide === 'quill') return []
  const comesOff: Written[] = [
    step(
      'slide-on',
      'Slide back on its ways',
      'Ways wiped and oiled, everything clean. Level with the way, straight on, without force.',
      {
        hold: true,
        keepsSafe: true,
        tools: ['hoist or a second person', 'way oil'],
        load: 'frees',
        caution: mayFall(axis)
          ? `${HEAVY} What supports it carries it until it is proved that its drive does.`
          : HEAVY,
      },
    ),
    ...(axis.slide === 'carriage'
      ? [
          step(
            'apron-back',
            'Apron back on, without its half nut',
            'Dowels first, then its screws, crosswise.',
            {
              tools: ['hex keys', 'hardwood block'],
              restsOn: ['slide-on'],
              caution: 'Prop it until its screws are in.',
            },
          ),
        ]
      : []),
  ]
  const gibIn: Written[] = [
    step(
      'gib-in',
      axis.slide === 'carriage' ? 'Keep plates in' : 'Gib in',
      'The same way round as it came out. Its screw first to where it stood, as the label of its bag has it.',
      { tools: ['screwdriver'], restsOn: ['slide-on'] },
    ),
  ]
  return [
    // What stayed on its ways with its gib only slackened is not put back.
    ...(stays ? [] : [...comesOff, ...gibIn]),
    step(
      'gib-set',
      axis.slide === 'carriage' ? 'Set the keep plates' : 'Set the gib',
      `${stays ? 'Back in to where it stood, as its label has it. ' : ''}Push and pull at the side of the slide with an indicator on it, at both ends and in the middle. In until the tightest place has ${units === 'inch' ? 'half a thou' : '10 to 20 µm'}; it must still slide by hand.`,
      { tools: ['dial indicator', 'screwdriver'], restsOn: stays ? [] : ['gib-in'] },
    ),
    step(
      'gib-lock',
      axis.slide === 'carriage' ? 'Lock the keep plates' : 'Lock the gib',
      'Lock its screws, then push and pull again: nothing may have changed, going one way or the other.',
      { hold: true, tools: ['spanner', 'dial indicator'], restsOn: ['gib-set'] },
    ),
  ]
}

const PATTERN_WORDS: Record<Axis['buildSchools']['rails'], string> = {
  'middle-outward': 'from the middle outward',
  'ends-inward': 'from both ends inward',
  'one-end': 'from one end to the other',
}

/** Carriages on rails: the first rail against its edge, the second by the carriages. */
function onRails(axis: Axis): Written[] {
  return [
    step(
      'rail-edge',
      'First rail against its edge',
      'Edge and seat stoned and wiped; push the rail against the edge with clamps, screws in loose.',
      { tools: ['oil stone', 'clamps'] },
    ),
    step(
      'rail-screws',
      'Tighten the first rail',
      `Screw by screw ${PATTERN_WORDS[axis.buildSchools.rails]}, half the torque in a first go, all of it in a second.`,
      { tools: ['torque wrench'], restsOn: ['rail-edge'] },
    ),
    step(
      'rail-second',
      'Second rail set by the first',
      'An indicator on a carriage of the first rail, its tip on the side of the second; then the same order of screws.',
      { tools: ['dial indicator', 'torque wrench'], restsOn: ['rail-screws'] },
    ),
    step(
      'carriages-on',
      'Carriages from their dummy rails onto the rails',
      'Dummy rail end to end with the rail, straight across. Then the plate onto them, its props out last.',
      {
        hold: true,
        tools: ['second person'],
        load: 'frees',
        restsOn: ['rail-second'],
        aidsOut: ['dummyRail', 'props'],
        caution: 'Off both rails a carriage drops its balls. A plate without props falls.',
      },
    ),
    step(
      'carriage-free',
      'It runs freely from end to end',
      'By one finger, without a tight place. Tight at one end: that end of the second rail is too near or too far.',
      { hold: true },
    ),
  ]
}

/** The slide back on what guides it; nothing while nobody has said what the axis moves. */
export const onItsWays = ({ axis, units }: Pick<EvaluationContext, 'axis' | 'units'>): Written[] =>
  axis.slide === null ? [] : axis.slide === 'rail-carriage' ? onRails(axis) : onGib(axis, units)
