import type { Judgement, Say } from '../../../evaluation/check'
import { noAdvice } from './roundFinding'

// An order that no hand can carry out is no order: a unit left from another table, a digit too many or a lost sign made it. It is asked
// about, and nothing is to be moved by it.

/** The most that a thing allows, where nobody has said otherwise; ours, and open to change. */
const MOST = {
  /** What goes under a block, a bracket or a flange and still holds it: beyond that a part is made or machined anew. */
  shim: { value: 2000, quantity: 'smallLength', allows: 'shims are put under anything' },
  /** What the play of clearance holes and slots lets a motor or a pulley be pushed. */
  push: { value: 5000, quantity: 'smallLength', allows: 'slots and clearance holes let it be pushed' },
  /** What one end of a gantry can be ahead of the other before its carriages bind. */
  gantry: {
    value: 5,
    quantity: 'length',
    allows: 'one end of a gantry can be ahead without binding its carriages',
  },
  /** What a tapered gib goes along its way before its screws end. */
  gib: { value: 10, quantity: 'length', allows: 'a gib goes before its screws end' },
  /** What the cover of a bearing block is shimmed by. */
  cover: { value: 1, quantity: 'length', allows: 'a cover is shimmed by' },
} as const

/**
 * The question in place of an order that is larger than the thing allows; null where it can be meant.
 *
 * @param size of what would be ordered, in the unit of its kind
 * @param what it would be, as in "the far block off by"
 * @example notMeant('shim', 116_619, 'The far block would be off by', say)?.state // 'unknown'
 */
export function notMeant(kind: keyof typeof MOST, size: number, what: string, say: Say): Judgement | null {
  const { value, quantity, allows } = MOST[kind]
  if (Math.abs(size) <= value) return null
  return noAdvice(
    `${what} ${say(Math.abs(size), quantity)}, and no more than ${say(value, quantity)} is what ${allows}: can that be meant? Look at the unit, the sign and the digits of what was read, and at what was set before it. Nothing is to be moved by it.`,
  )
}
