import type { Axis } from '../../document/axis'
import { lifting, mayFall } from './lifting'
import { type Parts, type Step, step } from './step'

const BEARINGS_HOW: Record<Parts['bearing']['arrangement'], string> = {
  'deep-groove': 'Either way round. The wave spring goes between the outer ring and the cover.',
  'back-to-back':
    'Back-to-back: the wide lands of the outer rings face each other. Check with calipers at both faces before pressing.',
  'face-to-face':
    'Face-to-face: the narrow lands of the outer rings face each other. Check with calipers at both faces before pressing.',
  'double-row': 'Either way round; press on the inner ring only.',
}

/** The block carries the head, not the screw. */
const NO_WEIGHT = 'The block under the head carries it: no weight on a screw whose own screws are loose.'

/** Isolate, support, clean, press the bearings in, keep the nut on its screw. */
export function ready(axis: Axis, { screw, bearing }: Parts): Step[] {
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
    ...(lifting(axis) === 'ask'
      ? [
          step(
            'incline',
            'Measure how the axis stands',
            'A level on the way, under Survey. Until that is known it is built as one whose load can fall.',
            { hold: true, tools: ['digital level'], asks: { measured: ['inclineDeg'] } },
          ),
        ]
      : []),
    ...(mayFall(axis)
      ? [
          step(
            'support',
            'Support the load on a block',
            'A block or jack under the head, on the table, before any screw comes out. It stays until a later step takes it away.',
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
      asks: { parts: ['bearing'] },
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
              asks: { parts: ['screw'] },
              caution:
                'A ball nut that runs off its screw loses its balls. The ties stay until both ends are in.',
            },
          ),
        ]
      : []),
  ]
}

/** Everything in by hand, so that the parts find their places. */
export function loose(axis: Axis, { screw }: Parts): Step[] {
  const free = axis.ends === 'fixed-free'
  return [
    step(
      'nut-loose',
      'Nut into its bracket, screws in loose',
      'All screws in by hand, a turn short of touching.',
      {
        tools: ['hex keys'],
        bolts: { nut: 'loose' },
        asks: { parts: ['screw'] },
        ...(mayFall(axis) && { caution: NO_WEIGHT }),
      },
    ),
    step('fixed-loose', 'Fixed block on, screws in loose', 'The block can still be pushed about by hand.', {
      tools: ['hex keys'],
      restsOn: ['bearings'],
      bolts: { fixedBlock: 'loose' },
      ...(mayFall(axis) && { caution: NO_WEIGHT }),
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
            { tools: ['side cutters'], restsOn: ['fixed-loose', ...(free ? [] : ['far-loose'])] },
          ),
        ]
      : []),
    step(
      'nut-clamp',
      'Clamp the nut against turning, nip its screws',
      'Square the flange to the way with a flat bar, hold it there and nip the screws crosswise.',
      {
        tools: ['flat bar or parallel', 'small clamp', 'hex keys'],
        restsOn: ['nut-loose'],
        bolts: { nut: 'nipped' },
        caution: 'An unclamped nut turns as its screws go home and fouls the slide.',
      },
    ),
  ]
}
