import type { Axis } from '../../../document/axis'
import { isRead } from '../../../document/kinds'
import { movingPart } from '../../../machine/movingPart'
import { type Step, step, type Written } from './step'

/** Whether an axis lifts its load: "ask" while nobody has measured how it stands. */
export function lifting({ dimensions }: Pick<Axis, 'dimensions'>): 'level' | 'lifts' | 'ask' {
  const { value, provenance } = dimensions.inclineDeg
  if (value === null || !isRead(provenance)) return 'ask'
  return value > 0 ? 'lifts' : 'level'
}

/** Until it is known to be level, an axis is built as one that lifts. */
export const mayFall = (axis: Pick<Axis, 'dimensions'>): boolean => lifting(axis) !== 'level'

/** Slides that go up and down, whatever anybody measured. */
const UPRIGHT: readonly Axis['slide'][] = ['head', 'quill', 'knee']

/** Whether an axis is built as one that lifts only because nobody has measured how it stands: it may well be level. */
export const maybeLevel = (axis: Pick<Axis, 'dimensions' | 'slide'>): boolean =>
  lifting(axis) === 'ask' && !axis.dimensions.inclineDeg.value && !UPRIGHT.includes(axis.slide)

type Named = Pick<Axis, 'title' | 'slide'>

const SLIDE_WORDS: Readonly<Record<Exclude<Axis['slide'], null>, string>> = {
  table: 'table',
  saddle: 'saddle',
  head: 'head',
  quill: 'quill',
  knee: 'knee',
  carriage: 'carriage',
  'cross-slide': 'cross slide',
  'rail-carriage': 'carriage',
}

/**
 * What an axis carries, in a word: as its builder calls it, else by what it moves.
 *
 * @example loadWord({ title: 'Z', slide: 'knee' }) // 'knee'
 */
export function loadWord(axis: Named): string {
  const named = movingPart(axis)
  return named === 'slide' && axis.slide ? SLIDE_WORDS[axis.slide] : named
}

/** From here on an axis stands up: what it carries is propped from below. */
const UPRIGHT_DEG = 60

/** What carries the load, and where it stands. */
export function blockWords(axis: Named & Pick<Axis, 'dimensions'>): string {
  const what = loadWord(axis)
  if ((axis.dimensions.inclineDeg.value ?? 90) < UPRIGHT_DEG)
    return `A stop clamped across the way below the ${what}, so that it cannot run down, or the ${what} hung up the slope`
  if (what === 'knee') return 'A block or jack under the knee, on the base of the machine'
  if (/head|quill|spindle/.test(what)) return `A block or jack under the ${what}, on the table`
  return `A block or jack under the ${what}, on something that does not move`
}

/**
 * A step that turns a screw by hand, with the lock before it where a load hangs on that screw: it is locked again each time that the
 * step is done.
 */
export function byHand(axis: Axis, what: string, turning: Written): Written[] {
  if (!mayFall(axis)) return [turning]
  const lock = lockBefore(axis, turning.id, what)
  return [lock, { ...turning, load: turning.load ?? 'frees', lockedBy: [lock.id] }]
}

const lockBefore = (axis: Axis, stepId: string, what: string): Written => {
  const load = loadWord(axis)
  return step(
    `lock-${stepId}`,
    `The ${load} locked or hung, crank on the screw, before you ${what}`,
    `Lock the ${load} on its way, or hang it from the hoist. Put a crank or a drill on the screw, take the weight with it, then free the lock. Lock again before the crank comes off.`,
    {
      hold: true,
      keepsSafe: true,
      tools: ['crank or drill', 'hoist or way lock'],
      caution: `Let go, the ${load} drops and spins the crank. Never reach under it; lifting gear only with trained help.`,
    },
  )
}

/** What supports the load once more, before something that holds it is loosened again. */
export const supportAgain = (axis: Axis, id: string, before: string): Written[] =>
  mayFall(axis)
    ? [
        step(
          `${id}-support`,
          `Support the ${loadWord(axis)} again before ${before}`,
          `${blockWords(axis)}; rock it: nothing may move. One screw loosened can part the brake from the screw.`,
          {
            hold: true,
            keepsSafe: true,
            tools: ['hardwood block or jack'],
            aidsIn: ['block'],
            caution: `Nothing else holds the ${loadWord(axis)} while its drive is loose. Keep hands out from under it.`,
          },
        ),
      ]
    : []

/** The proof that the load stays by itself again, and its support out, once what was loosened is in again. */
export const supportOutAgain = (axis: Axis, id: string, asks: Step['asks']): Written[] => {
  if (!mayFall(axis)) return []
  const load = loadWord(axis)
  return [
    step(
      `${id}-held`,
      `The ${load} stays up without power, tried again`,
      `Power off, the ${load} low over its block: take its weight off little by little. It must not creep in a minute.`,
      {
        hold: true,
        keepsSafe: true,
        provesHold: true,
        load: 'frees',
        asks,
        caution: 'Stand beside it, never under it.',
      },
    ),
    step(`${id}-off`, 'Take the support away again', 'Only now, with everything done up that holds it.', {
      hold: true,
      keepsSafe: true,
      restsOn: [`${id}-held`],
      aidsOut: ['block', 'hoist'],
    }),
  ]
}
