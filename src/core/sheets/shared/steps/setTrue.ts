import type { Axis } from '../../../document/axis'
import { attempt } from '../../../evaluation/attempt'
import type { EvaluationContext } from '../../../evaluation/context'
import { pullN, stretchGapMm } from '../../../machine/drive/strength'
import { say } from '../../../units/print'
import { byHand, loadWord, mayFall } from './lifting'
import { type Asked, step, type Written } from './step'

const TRUE_FACE =
  'Against an unmachined face the block tilts and the screw bends: stop and machine or shim the face.'

/** Both planes of the screw's line, as the last round has them. */
const IN_LINE: Asked[] = (['align.height', 'align.side'] as const).map(checkId => ({
  checkId,
  at: { states: ['holds'], missing: 'Take a round of readings under Align first.' },
}))

const far = (axis: Axis) => axis.ends !== 'fixed-free'

/** Each end tightened with the nut run up to it, the fixed one first. */
function endByEnd(axis: Axis): Written[] {
  return [
    ...(mayFall(axis)
      ? [
          step(
            'hang',
            axis.slide === 'knee'
              ? 'Jack the knee up a little, so that the screw carries nothing'
              : `Hang the ${loadWord(axis)}, so that the screw carries nothing`,
            `${axis.slide === 'knee' ? 'By a jack, beside the block that stays under it.' : 'From a hoist, over the block that stays under it.'} The bearing blocks are still loose: with weight on the screw the nut would set them wrong, and they could slip.`,
            {
              hold: true,
              keepsSafe: true,
              aidsIn: ['hoist'],
              tools: [axis.slide === 'knee' ? 'jack' : 'hoist'],
              caution: `Lifting gear that is rated for the ${loadWord(axis)}, and someone trained at it. Nobody under it.`,
            },
          ),
        ]
      : []),
    ...byHand(
      axis,
      'run the nut to the fixed end',
      step(
        'run-fixed',
        'Run the nut to the fixed end by hand',
        `Turn the screw by hand until the nut stands a few millimetres off the block.${
          axis.slide === 'table'
            ? ' Run out that far the table overhangs: a counterweight on its other end, or it lifts off its way.'
            : ''
        }`,
        {
          restsOn: ['nut-clamp'],
          ...(axis.slide === 'table' && {
            aidsIn: ['counterweight'] as const,
            caution:
              'A table that overhangs by more than half tips off its way: weight on first, then run it out.',
          }),
        },
      ),
    ),
    step(
      'tight-fixed',
      'Tighten the fixed block',
      axis.buildSchools.setBy === 'float'
        ? 'Crosswise, in two goes, with the nut still there: the nut sets the height and side of this end.'
        : 'Nip it, read height and side under Align, push the block where the readings say, then crosswise in two goes.',
      {
        tools: ['hex keys'],
        load: 'fits',
        restsOn: ['fixed-loose', 'run-fixed'],
        bolts: { fixedBlock: 'tight' },
        caution: TRUE_FACE,
      },
    ),
    ...(far(axis) ? farEnd(axis) : []),
  ]
}

/** The far block: with the nut run up to it, or where it lies once the fixed end is set. */
function farEnd(axis: Axis): Written[] {
  const inTurn = axis.buildSchools.ends === 'both'
  return [
    ...(inTurn
      ? [
          ...byHand(
            axis,
            'run the nut to the far end',
            step(
              'run-far',
              'Run the nut to the far end by hand',
              'Feel for tight places on the way and note where they are.',
              { restsOn: ['tight-fixed'] },
            ),
          ),
        ]
      : []),
    step(
      'tight-far',
      'Tighten the far block',
      inTurn
        ? 'Crosswise, in two goes, with the nut still there.'
        : 'Where it lies by itself, the nut at the fixed end: crosswise, in two goes. Shim under it what it would be pulled down by.',
      {
        tools: ['hex keys', ...(inTurn ? [] : ['feeler gauge'])],
        load: 'fits',
        restsOn: ['far-loose', inTurn ? 'run-far' : 'tight-fixed'],
        bolts: { farBlock: 'tight' },
        caution: TRUE_FACE,
      },
    ),
  ]
}

/** A screw held at both ends, stretched by what it will grow, once both blocks are torqued. */
function stretch(context: EvaluationContext): Written[] {
  if (context.axis.ends !== 'fixed-fixed') return []
  const { units } = context
  const { value } = attempt(() => ({ pull: pullN(context), gapMm: stretchGapMm(context) }))
  const gap = value ? say(value.gapMm, 'length', units, units === 'inch' ? 4 : 3) : 'what it will grow by'
  const pull = value
    ? ` (${say(value.pull, 'force', units)} of pull, which both sets of bearings then carry)`
    : ''
  return [
    step(
      'stretch',
      'Stretch the screw by the gap at its far end',
      `Both blocks are torqued. Between the shoulder of the far end and its inner ring a gap of ${gap} was left, by a ring ground to it, as the drawing of the screw shows: measure it by feeler gauge. Draw the far locknut up until the gap has just closed: then the screw is stretched by that${pull}, read by an indicator on its end. With no gap a locknut only clamps the ring on its shoulder and stretches nothing: then shift the far block outward by that, by its screws, and torque it again.`,
      {
        hold: true,
        load: 'fits',
        restsOn: ['torque-blocks'],
        tools: ['dial indicator', 'feeler gauge', 'hook spanner'],
        caution: 'No more than that: the pull stands on the bearings day and night.',
      },
    ),
  ]
}

/** End by end and tight, with a full travel by hand: what the casting side ends with. */
export function tighten({ axis }: EvaluationContext): Written[] {
  const hasFar = far(axis)
  return [
    ...endByEnd(axis),
    step(
      'nut-tight',
      'Tighten the nut',
      'Crosswise, with the nut in the middle of the travel. Then everything off that helped: clamp, shims, spacers, weights.',
      {
        tools: ['hex keys'],
        load: 'fits',
        restsOn: ['nut-clamp', 'tight-fixed', ...(hasFar ? ['tight-far'] : [])],
        bolts: { nut: 'tight' },
        aidsOut: ['clamp', 'shims', 'spacers', 'counterweight'],
      },
    ),
    ...byHand(
      axis,
      'run the full travel',
      step(
        'run-through',
        'Run the full travel by hand: no tight place',
        `Same drag from end to end. ${
          hasFar
            ? 'A tight place near one block means that block; one'
            : 'A tight place near the fixed block means that block; one'
        } that comes every turn means a bent screw.`,
        { hold: true, restsOn: ['nut-tight'] },
      ),
    ),
    ...(hasFar
      ? []
      : [
          step(
            'free-stop',
            'Fit a stop at the free end, take the tie off',
            'A ring or a screw in its end, larger than the thread: nothing else keeps the nut on.',
            { hold: true, tools: ['hex keys'], aidsOut: ['ties'] },
          ),
        ]),
  ]
}

/** Blocks that are to have dowels are reamed for them where they stand now. */
const dowelled = ({ joints }: Axis): Written[] =>
  joints.some(({ located, holds }) => located && (holds === 'fixedBlock' || holds === 'farBlock'))
    ? [
        step(
          'dowels',
          'Dowels through the blocks',
          'Drill and ream through block and casting where they stand, two to a block, as far apart as can be; drive them in. They take the thrust, so that nothing creeps.',
          {
            tools: ['drill', 'reamer', 'soft hammer'],
            restsOn: ['torque-blocks'],
            caution: 'No chips into the bearings: cover them. Eye protection.',
          },
        ),
      ]
    : []

/** In line, stretched where it is held at both ends, and torqued. */
export function setTrue(context: EvaluationContext): Written[] {
  const { axis } = context
  const hasFar = far(axis)
  const locker = axis.buildSchools.threadlocker === 'at-once'
  return [
    step(
      'aligned',
      'Take an alignment round',
      `Go to Align. ${hasFar ? 'Both blocks' : 'The fixed block'} within what you accept, in height and to the side, before anything is torqued.`,
      { hold: true, load: 'frees', tools: ['dial indicator', 'shim stock'], asks: { verdicts: IN_LINE } },
    ),
    step(
      'torque-blocks',
      'Torque the blocks and the nut',
      locker
        ? 'Crosswise. One drop of threadlocker on each, one screw out at a time: the rest hold the alignment.'
        : 'Crosswise, to the torque of each joint.',
      {
        tools: ['torque wrench', ...(locker ? ['threadlocker'] : [])],
        load: 'fits',
        restsOn: ['nut-tight', 'tight-fixed', ...(hasFar ? ['tight-far'] : [])],
        asks: { verdicts: IN_LINE },
        bolts: { fixedBlock: 'torqued', nut: 'torqued', ...(hasFar && { farBlock: 'torqued' }) },
      },
    ),
    ...dowelled(axis),
    ...stretch(context),
  ]
}
