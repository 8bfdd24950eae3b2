import type { Axis } from '../../../document/axis'
import { stockLengthWords } from '../../../machine/joints/fastener'
import { judgeJoint } from '../../../machine/joints/joint'
import { keyWords } from '../../../machine/joints/thread'
import { supportsOutOf } from './load'
import type { Mishap, MishapKind } from './model'
import { type Step, step, type Written } from './step'
import type { SubAssembly } from './subAssemblies'

const EYES = 'Eye protection: hardened pieces fly.'

/** The steps that mend each kind, by what they are called within it. */
const MENDED_BY: Record<MishapKind, (where: string, axis: Axis, mishap: Mishap) => Written[]> = {
  'ran-off': () => [
    step(
      'stop',
      'Stop, and catch every ball',
      'Do not turn the screw. A tray under it; count what you find.',
      {
        hold: true,
        tools: ['tray', 'magnet'],
      },
    ),
    step(
      'reload',
      'Balls back in over a sleeve, or back to its maker',
      'A sleeve of the root diameter, grease to hold them, circuit by circuit. One ball short is one too few: order a set of its size, never mix two.',
      { hold: true, tools: ['sleeve', 'grease', 'tweezers'] },
    ),
    step(
      'check',
      'Nut on from the sleeve, tied, and turned through',
      'It runs evenly over the full thread, with no click. Ties on again at both sides.',
      { hold: true, tools: ['cable ties'], aidsIn: ['ties'] },
    ),
  ],
  stripped: where => [
    step(
      'drill',
      `Drill out the stripped thread${where}`,
      'Square to the face, to the drill of the insert.',
      {
        tools: ['drill', 'square'],
        caution: 'Clamp the part. Clean every chip out before anything is fitted.',
      },
    ),
    step(
      'insert',
      `Thread insert in${where}`,
      'Tap, wind the insert in until it stands half a turn deep, break its tang.',
      {
        hold: true,
        tools: ['insert tap', 'insert tool'],
      },
    ),
    step(
      'measure',
      `Measure the depth of its thread${where}`,
      'Enter it under Make room, Screws: length and torque follow from it.',
    ),
  ],
  'broken-tap': where => [
    step(
      'clear',
      `Clear the hole${where}`,
      'Pick out chips and loose pieces, a drop of cutting oil; try a tap extractor, turning back first.',
      {
        tools: ['scriber', 'tap extractor'],
        caution: EYES,
      },
    ),
    step(
      'out',
      `Tap out${where}`,
      'Still fast: break it up with a punch, piece by piece, or have it eroded out. Drilling beside it spoils the hole.',
      { hold: true, tools: ['punch', 'tap extractor'], caution: EYES },
    ),
    step(
      'chase',
      `Chase the thread${where}`,
      'With the new tap, by hand, and blow it out. If the thread has gone: an insert.',
      {
        hold: true,
        tools: ['tap'],
        caution: EYES,
      },
    ),
  ],
  missing: where => [
    step(
      'here',
      `The missing screws are here${where}`,
      'They stand in the order list. Until they are in, this joint is loose.',
      {
        hold: true,
      },
    ),
  ],
}

/** What a mishap needs bought, by the key of its order; none where nothing is. */
export function mishapOrders(axis: Axis): { key: string; what: string; count: number }[] {
  return axis.mishaps.flatMap(({ what, jointId, count }) => {
    const joint = axis.joints.find(({ id }) => id === jointId)
    switch (what) {
      case 'ran-off':
        return [
          { key: `mend:balls ${axis.name}`, what: `Set of balls for the nut of axis ${axis.name}`, count: 1 },
        ]
      case 'stripped':
        return joint
          ? [
              {
                key: `mend:insert ${keyWords(joint.thread)}`,
                what: `Thread inserts ${joint.thread}, with tap and tool`,
                count,
              },
            ]
          : []
      case 'broken-tap':
        return joint
          ? [
              {
                key: `mend:tap ${keyWords(joint.thread)}`,
                what: `Tap ${joint.thread}, for one that broke`,
                count: 1,
              },
              {
                key: `mend:extractor ${keyWords(joint.thread)}`,
                what: `Tap extractor ${joint.thread}`,
                count: 1,
              },
            ]
          : []
      case 'missing': {
        const lengthMm = joint && judgeJoint(joint)?.chosenMm
        return joint
          ? [
              {
                key: `mend:screw ${keyWords(joint.thread)} ${lengthMm ?? ''}`.trim(),
                what: `Cap screws ${joint.thread}${lengthMm ? ` x ${stockLengthWords(joint.thread, lengthMm)}` : ''} ${joint.propertyClass}, for missing ones`,
                count,
              },
            ]
          : []
      }
      default:
        return []
    }
  })
}

/**
 * Where the steps of a mishap go: before the step that was in hand, and never between a proof that the load stays and the taking-out of
 * its support, nor after the last of them, since that is proved again after the mending.
 */
export function mendedAt(steps: readonly Step[], stepId: string): number {
  const at = Math.max(
    0,
    steps.findIndex(({ id }) => id === stepId),
  )
  const outAt = steps.findIndex((step, index) => index >= at && supportsOutOf(step).length > 0)
  const proofAt = steps.findLastIndex(
    ({ provesHold }, index) => provesHold === true && (outAt < 0 || index < outAt),
  )
  return proofAt < 0 ? at : Math.min(at, proofAt)
}

/** Steps with those of each mishap before the step that was in hand; of a step that is no more, before the first. */
export function withMishaps(steps: Step[], axis: Axis): Step[] {
  return axis.mishaps.reduce((all, mishap) => {
    const at = mendedAt(all, mishap.stepId)
    const part: SubAssembly = all[at]?.part ?? 'apart'
    const joint = axis.joints.find(({ id }) => id === mishap.jointId)
    const where = joint ? `: ${joint.label}` : ''
    const own = MENDED_BY[mishap.what](where, axis, mishap).map(
      (one): Step => ({
        ...one,
        // Whatever it was about may have held the load: it is supported while this is mended, and counts as out until it is.
        load: 'fits',
        id: `mishap.${mishap.id.toLowerCase()}.${one.id}`,
        part,
        screw: all[at]?.screw,
        why: 'Something went wrong here: nothing is built on it before it is mended.',
        mishapId: mishap.id,
      }),
    )
    return [...all.slice(0, at), ...own, ...all.slice(at)]
  }, steps)
}
