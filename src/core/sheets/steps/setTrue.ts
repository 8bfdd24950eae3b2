import type { Axis } from '../../document/axis'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { pullN, warmth } from '../../machine/drive/strength'
import { say } from '../../units/print'
import { lockBefore, mayFall } from './lifting'
import { type Asked, type Step, step } from './step'

const TRUE_FACE =
  'Against an unmachined face the block tilts and the screw bends: stop and machine or shim the face.'

/** Both planes of the screw's line, as the last round has them. */
const IN_LINE: Asked[] = ['align.height', 'align.side'].map(checkId => ({
  checkId,
  at: { states: ['holds'], missing: 'Take a round of readings under Align first.' },
}))

const far = (axis: Axis) => axis.ends !== 'fixed-free'

/** Each end tightened with the nut run up to it, the fixed one first. */
function endByEnd(axis: Axis): Step[] {
  return [
    ...(mayFall(axis)
      ? [
          step(
            'hang',
            'Hang the head, so that the screw carries nothing',
            'From a hoist, or balanced, over the block that stays under it. The blocks are still loose: with weight on the screw the nut would set them wrong, and they could slip.',
            {
              hold: true,
              tools: ['hoist or counterbalance'],
              caution: 'Lifting gear that is rated for the head, and someone trained at it. Nobody under it.',
            },
          ),
        ]
      : []),
    ...lockBefore(axis, 'run-fixed', 'run the nut to the fixed end'),
    step(
      'run-fixed',
      'Run the nut to the fixed end by hand',
      'Turn the screw by hand until the nut stands a few millimetres off the block.',
      { restsOn: ['nut-clamp'] },
    ),
    step(
      'tight-fixed',
      'Tighten the fixed block',
      'Crosswise, in two goes, with the nut still there: the nut sets the height and side of this end.',
      {
        tools: ['hex keys'],
        restsOn: ['fixed-loose', 'run-fixed'],
        bolts: { fixedBlock: 'tight' },
        caution: TRUE_FACE,
      },
    ),
    ...(far(axis)
      ? [
          ...lockBefore(axis, 'run-far', 'run the nut to the far end'),
          step(
            'run-far',
            'Run the nut to the far end by hand',
            'Feel for tight places on the way and note where they are.',
            { restsOn: ['tight-fixed'] },
          ),
          step('tight-far', 'Tighten the far block', 'Crosswise, in two goes, with the nut still there.', {
            tools: ['hex keys'],
            restsOn: ['far-loose', 'run-far'],
            bolts: { farBlock: 'tight' },
            caution: TRUE_FACE,
          }),
        ]
      : []),
  ]
}

/** A screw held at both ends, stretched by what it will grow. */
function stretch(context: EvaluationContext): Step[] {
  if (context.axis.ends !== 'fixed-fixed') return []
  const { value } = attempt(() => ({ pull: pullN(context), growthUm: warmth(context).growthUm }))
  const by = value
    ? `until an indicator on the end of the screw has moved ${say(value.growthUm, 'smallLength', context.units)}: that is ${say(value.pull, 'force', context.units)} of pull, which both sets of bearings then carry`
    : 'by what it will grow'
  return [
    step('stretch', 'Stretch the screw', `Turn the locknut of the far end ${by}.`, {
      hold: true,
      tools: ['dial indicator', 'hook spanner'],
      caution: 'No more than that: the pull stands on the bearings day and night.',
    }),
  ]
}

/** End by end and tight, in line, stretched where it is held at both ends, and torqued. */
export function tighten(context: EvaluationContext): Step[] {
  const { axis } = context
  const hasFar = far(axis)
  return [
    ...endByEnd(axis),
    step('nut-tight', 'Tighten the nut', 'Crosswise, with the nut in the middle of the travel.', {
      tools: ['hex keys'],
      restsOn: ['nut-clamp', 'tight-fixed', ...(hasFar ? ['tight-far'] : [])],
      bolts: { nut: 'tight' },
    }),
    ...lockBefore(axis, 'run-through', 'run the full travel'),
    step(
      'run-through',
      'Run the full travel by hand: no tight place',
      'Same drag from end to end. A tight place near one block means that block; one that comes every turn means a bent screw.',
      { hold: true },
    ),
    step(
      'aligned',
      'Take an alignment round',
      'Go to Align. Both blocks within what you accept, in height and to the side, before anything is torqued.',
      { hold: true, tools: ['dial indicator', 'shim stock'], asks: { verdicts: IN_LINE } },
    ),
    ...stretch(context),
    step(
      'torque-blocks',
      'Torque the blocks and the nut',
      "Crosswise, to the torque of the makers' sheets.",
      {
        tools: ['torque wrench'],
        restsOn: ['nut-tight', 'tight-fixed', ...(hasFar ? ['tight-far'] : [])],
        asks: { verdicts: IN_LINE },
        bolts: { fixedBlock: 'torqued', nut: 'torqued', ...(hasFar && { farBlock: 'torqued' }) },
      },
    ),
  ]
}
