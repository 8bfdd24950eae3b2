import type { Axis } from '../../document/axis'

import type { EvaluationContext } from '../../evaluation/context'
import { driveEnd } from './driveEnd'
import {
  type BoltState,
  chosenParts,
  DRIVE_JOINTS,
  type DriveJoint,
  type Parts,
  type Step,
  step,
} from './step'

const BEARINGS_HOW: Record<Parts['bearing']['arrangement'], string> = {
  'deep-groove': 'Either way round. The wave spring goes between the outer ring and the cover.',
  'back-to-back':
    'Back-to-back: the wide lands of the outer rings face each other. Check with calipers at both faces before pressing.',
  'face-to-face':
    'Face-to-face: the narrow lands of the outer rings face each other. Check with calipers at both faces before pressing.',
  'double-row': 'Either way round; press on the inner ring only.',
}

/**
 * The ordered steps that build an axis from its parts.
 *
 * Everything goes in loose; the nut is clamped against turning; each end is tightened with the nut run up to
 * it, the fixed end first; the motor's face screws go before its shaft screw; a ball nut keeps a stop tie
 * until both ends are in; threadlocker comes last.
 *
 * @returns the steps in order, or null while a part is not chosen
 * @example procedure(context)?.[0].id // 'isolate'
 */
export function procedure(context: EvaluationContext): Step[] | null {
  const { axis, catalogue } = context
  const parts = chosenParts(axis, catalogue)
  if (!parts) return null
  return [
    ...ready(axis, parts),
    ...loose(axis, parts),
    ...tighten(axis),
    ...driveEnd(parts, context),
    ...finish(axis),
  ]
}

function ready(axis: Axis, { screw, bearing }: Parts): Step[] {
  const lifts = (axis.dimensions.inclineDeg.value ?? 0) > 0
  return [
    step(
      'isolate',
      'Switch off and isolate the machine',
      'Unplug it or lock the isolator, and keep the key with you.',
      {
        hold: true,
        caution: 'Mains wiring and guarding are for licensed people and follow local codes.',
      },
    ),
    ...(lifts
      ? [
          step(
            'support',
            'Support the load on a block',
            'A block or jack under the head, on the table, before any screw comes out.',
            {
              hold: true,
              tools: ['hardwood block or jack'],
              caution:
                'A released vertical axis drops. Keep hands out from under it; lift heavy castings with a hoist and trained help.',
            },
          ),
        ]
      : []),
    step(
      'clean',
      'Clean every face and hole',
      'Brush and wipe; run a tap through each thread and blow it out. A chip under a block is a bent screw.',
      {
        tools: ['brush', 'lint-free cloth', 'tap'],
        caution: 'Wear eye protection when blowing out holes. Do not breathe cast-iron dust.',
      },
    ),
    step('bearings', 'Bearings into the fixed block', BEARINGS_HOW[bearing.arrangement], {
      tools: ['calipers', 'press or vice with soft jaws'],
    }),
    ...(screw.kind === 'ball'
      ? [
          step(
            'stop-tie',
            'Tie a stop on the screw at both sides of the nut',
            'A cable tie or tape, thick enough that the nut cannot pass it.',
            {
              hold: true,
              tools: ['cable ties'],
              caution:
                'A ball nut that runs off its screw loses its balls. The ties stay until both ends are in.',
            },
          ),
        ]
      : []),
  ]
}

function loose(axis: Axis, { screw }: Parts): Step[] {
  const free = axis.ends === 'fixed-free'
  return [
    step(
      'nut-loose',
      'Nut into its bracket, screws in loose',
      'All screws in by hand, a turn short of touching.',
      {
        tools: ['hex keys'],
        bolts: { nut: 'loose' },
      },
    ),
    step('fixed-loose', 'Fixed block on, screws in loose', 'The block can still be pushed about by hand.', {
      tools: ['hex keys'],
      bolts: { fixedBlock: 'loose' },
    }),
    ...(free
      ? []
      : [
          step('far-loose', 'Far block on, screws in loose', 'The block can still be pushed about by hand.', {
            tools: ['hex keys'],
            bolts: { farBlock: 'loose' },
          }),
        ]),
    ...(screw.kind === 'ball'
      ? [
          step(
            'tie-off',
            free ? 'Leave the tie at the free end, take the other off' : 'Take the stop ties off',
            free
              ? 'The far end has no block: the tie there is what keeps the nut on until a stop is fitted.'
              : 'Both ends are in: the blocks now keep the nut on.',
            { tools: ['side cutters'] },
          ),
        ]
      : []),
    step(
      'nut-clamp',
      'Clamp the nut against turning, nip its screws',
      'Square the flange to the way with a flat bar, hold it there and nip the screws crosswise.',
      {
        tools: ['flat bar or parallel', 'small clamp', 'hex keys'],
        bolts: { nut: 'nipped' },
        caution: 'An unclamped nut turns as its screws go home and fouls the table.',
      },
    ),
  ]
}

function tighten(axis: Axis): Step[] {
  const far = axis.ends !== 'fixed-free'
  return [
    step(
      'run-fixed',
      'Run the nut to the fixed end by hand',
      'Turn the screw by hand until the nut stands a few millimetres off the block.',
    ),
    step(
      'tight-fixed',
      'Tighten the fixed block',
      'Crosswise, in two goes, with the nut still there: the nut sets the height and side of this end.',
      {
        tools: ['hex keys'],
        bolts: { fixedBlock: 'tight' },
        caution:
          'Against an unmachined face the block tilts and the screw bends: stop and machine or shim the face.',
      },
    ),
    ...(far
      ? [
          step(
            'run-far',
            'Run the nut to the far end by hand',
            'Feel for tight places on the way and note where they are.',
          ),
          step('tight-far', 'Tighten the far block', 'Crosswise, in two goes, with the nut still there.', {
            tools: ['hex keys'],
            bolts: { farBlock: 'tight' },
            caution:
              'Against an unmachined face the block tilts and the screw bends: stop and machine or shim the face.',
          }),
        ]
      : []),
    step('nut-tight', 'Tighten the nut', 'Crosswise, with the nut in the middle of the travel.', {
      tools: ['hex keys'],
      bolts: { nut: 'tight' },
    }),
    step(
      'run-through',
      'Run the full travel by hand: no tight place',
      'Same drag from end to end. A tight place near one block means that block; one that comes every turn means a bent screw.',
      {
        hold: true,
      },
    ),
    step(
      'aligned',
      'Take an alignment round',
      'Go to Align. Both blocks within what you accept, in height and to the side, before anything is torqued.',
      {
        hold: true,
        tools: ['dial indicator', 'shim stock'],
      },
    ),
    step(
      'torque-blocks',
      'Torque the blocks and the nut',
      "Crosswise, to the torque of the makers' sheets.",
      {
        tools: ['torque wrench'],
        bolts: { fixedBlock: 'torqued', nut: 'torqued', ...(far && { farBlock: 'torqued' }) },
      },
    ),
  ]
}

function finish(axis: Axis): Step[] {
  const far = axis.ends !== 'fixed-free'
  return [
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

/** The state of each joint's screws after the steps that are ticked. */
export function boltStates(steps: Step[], ticks: Record<string, string>): Record<DriveJoint, BoltState> {
  const states = Object.fromEntries(Object.keys(DRIVE_JOINTS).map(joint => [joint, 'out'])) as Record<
    DriveJoint,
    BoltState
  >
  for (const one of steps) if (ticks[one.id]) Object.assign(states, one.bolts)
  return states
}

/**
 * The hold point that blocks a step, if any: the first one before it that is not ticked.
 *
 * @example a step after the unticked "stop-tie" is blocked by it
 */
export function blockedBy(steps: Step[], ticks: Record<string, string>, stepId: string): Step | null {
  const index = steps.findIndex(({ id }) => id === stepId)
  return steps.slice(0, Math.max(0, index)).find(({ id, hold }) => hold && !ticks[id]) ?? null
}

/** The ticked step after a hold point that keeps its tick from being taken off. */
export function leansOn(steps: Step[], ticks: Record<string, string>, stepId: string): Step | null {
  const index = steps.findIndex(({ id }) => id === stepId)
  return steps[index]?.hold ? (steps.slice(index + 1).find(({ id }) => ticks[id]) ?? null) : null
}
