import type { Axis } from '../../../document/axis'
import type { EvaluationContext } from '../../../evaluation/context'
import { say } from '../../../units/print'
import { loadWord, mayFall } from './lifting'
import { locknut } from './preload'
import { type Asked, type Parts, step, type Written } from './step'

const BEARINGS_HOW: Record<Parts['bearing']['arrangement'], string> = {
  'deep-groove': 'Either way round. The wave spring goes between the outer ring and the cover.',
  'back-to-back':
    'Back-to-back: the wide lands of the outer rings face each other. Check with calipers at both faces before pressing.',
  'face-to-face':
    'Face-to-face: the narrow lands of the outer rings face each other. Check with calipers at both faces before pressing.',
  'double-row': 'Either way round; press on the inner ring only.',
}

/** The block carries the load, not the screw. */
const noWeight = (axis: Axis) =>
  `What supports the ${loadWord(axis)} carries it: no weight on a screw whose own screws are loose.`
/** Put together on the bench: it holds the load once it is on the machine. */
const BENCH = { load: 'fits', onBench: true } as const

/** The bearings of the fixed block: in, clamped, preloaded, and free to turn. */
export function bearingBlock(context: EvaluationContext, { bearing }: Parts): Written[] {
  const stack = context.axis.block && context.isHeldTo('room.block') ? context.finding('room.block') : null
  return [
    step('bearings', 'Bearings into the fixed block', BEARINGS_HOW[bearing.arrangement], {
      ...BENCH,
      tools: ['calipers', 'press or vice with soft jaws'],
      asks: { parts: ['bearing'] },
    }),
    step(
      'stack',
      'Spacer and cover on',
      stack?.sentence ??
        'The cover stands off the block by a hair before its screws are in, so that it clamps the outer rings. Measure by how much under Make room, Bearing block.',
      {
        ...BENCH,
        tools: ['feeler gauge', 'hex keys'],
        restsOn: ['bearings'],
        ...(context.axis.block && {
          asks: {
            verdicts: [
              {
                checkId: 'room.block',
                at: { states: ['holds', 'close'], missing: 'Measure the block under Make room.' },
              },
            ],
          },
        }),
      },
    ),
    step(
      'screw-in',
      'Screw into the block: wrap it first',
      'Two turns of tape over the thread, or soft jaws, wherever it is gripped. Push on the inner ring only; the locknut by hand.',
      {
        ...BENCH,
        tools: ['tape', 'soft jaws'],
        restsOn: ['stack'],
        aidsIn: ['tape'],
        caution: 'A thread that was held in bare jaws eats its nut.',
      },
    ),
    step('preload', 'Set the locknut', preloadWords(context), {
      ...BENCH,
      tools: ['hook spanner', 'soft jaws'],
      restsOn: ['screw-in'],
      caution: 'Rather a little too loose than too tight: too much preload heats and wears the bearings.',
    }),
    step(
      'free-turn',
      'Lock it, and see that it turns freely',
      'Set screw of the locknut in, over a slip of brass. Turn the screw by two fingers: even all round, no play when it is pushed and pulled. Take the tape off.',
      { ...BENCH, hold: true, tools: ['hex keys'], restsOn: ['preload'], aidsOut: ['tape'] },
    ),
  ]
}

/** How the locknut is set, in numbers where the bearings are a pair that it preloads. */
function preloadWords(t: EvaluationContext): string {
  const { arrangement } = t.part('bearing')
  const { units } = t
  if (arrangement === 'deep-groove')
    return 'The wave spring sets it: turn the locknut until the spring is pressed to half its height, no further.'
  const { preloadN, turnDeg, handleTravelMm, handleMm, looseNm, matchedNm, thread } = locknut(t)
  const torque = (nm: number) => say(nm, 'torque', units, 1)
  if (arrangement === 'double-row')
    return `${thread}, to ${torque(matchedNm)}: the bearing brings its own play, the locknut only seats it.`
  return `${thread}. A matched set: to ${torque(matchedNm)}, it is ground to have ${say(preloadN, 'force', units)} then. A loose pair: until the play has just gone, then ${say(turnDeg, 'angle', units, 0)} more, which is ${say(handleTravelMm, 'length', units, 0)} at the end of a ${say(handleMm, 'length', units, 0)} spanner and about ${torque(looseNm)}.`
}

/** A ball nut is kept on its screw. */
export const screwAndNut = ({ screw }: Parts): Written[] =>
  screw.kind === 'ball'
    ? [
        step(
          'stop-tie',
          'Tie a stop on the screw at both sides of the nut',
          'A cable tie or tape, thick enough that the nut cannot pass it.',
          {
            hold: true,
            tools: ['cable ties'],
            asks: { parts: ['screw'] },
            aidsIn: ['ties'],
            caution:
              'A ball nut that runs off its screw loses its balls. The ties stay until both ends are in.',
          },
        ),
      ]
    : []

/** A grease point that nothing reaches later is mended before it is shut in. */
const GREASED: Asked[] = [
  {
    checkId: 'grease.access',
    at: { states: ['holds', 'close', 'unknown'], missing: 'Enter the points under Build, Grease.' },
  },
]

/** Everything in by hand, so that the parts find their places. */
export function loose(axis: Axis, { screw }: Parts): Written[] {
  const free = axis.ends === 'fixed-free'
  return [
    step(
      'nut-loose',
      'Nut into its bracket, screws in loose',
      'All screws in by hand, a turn short of touching.',
      {
        tools: ['hex keys'],
        load: 'fits',
        bolts: { nut: 'loose' },
        asks: { parts: ['screw'], ...(axis.lubePoints.length > 0 && { verdicts: GREASED }) },
        ...(mayFall(axis) && { caution: noWeight(axis) }),
      },
    ),
    step('fixed-loose', 'Fixed block on, screws in loose', 'The block can still be pushed about by hand.', {
      tools: ['hex keys'],
      load: 'fits',
      restsOn: ['bearings'],
      bolts: { fixedBlock: 'loose' },
      ...(mayFall(axis) && { caution: noWeight(axis) }),
    }),
    ...(free
      ? []
      : [
          step('far-loose', 'Far block on, screws in loose', 'The block can still be pushed about by hand.', {
            tools: ['hex keys'],
            load: 'fits',
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
            {
              tools: ['side cutters'],
              restsOn: ['fixed-loose', ...(free ? [] : ['far-loose'])],
              ...(!free && { aidsOut: ['ties'] as const }),
            },
          ),
        ]
      : []),
    step(
      'nut-clamp',
      'Clamp the nut against turning, nip its screws',
      `Shims under the screw, so that it does not hang.${screw.kind === 'ball' ? ' Screws in the notches of its flange keep it off the bracket evenly until it is square.' : ''} Square the flange to the way with a flat bar, hold it there with a clamp and nip the screws crosswise.`,
      {
        aidsIn: screw.kind === 'ball' ? ['clamp', 'shims', 'spacers'] : ['clamp', 'shims'],
        tools: ['flat bar or parallel', 'small clamp', 'hex keys'],
        load: 'fits',
        restsOn: ['nut-loose'],
        bolts: { nut: 'nipped' },
        caution: 'An unclamped nut turns as its screws go home and fouls the slide.',
      },
    ),
  ]
}
