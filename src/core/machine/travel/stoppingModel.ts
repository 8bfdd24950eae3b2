import { numberOf, record, type ValueOf } from '../../field/field'

const duration = numberOf('duration')
const acceleration = numberOf('acceleration')

/** What decides how far an axis runs on after its switch is struck. */
export const STOPPING = record('Room to stop', {
  /** None until somebody has looked it up or timed it. */
  reactionS: duration('From the switch to the first slowing step', [0, 2], {
    orNone: true,
    symbol: 't',
    help: 'The slowest of switch, filter and controller; 10 to 30 ms is usual. Time it: move slowly onto the switch, and divide how far the axis runs past it by the speed.',
  }),
  /** None slows down as the axis speeds up. */
  decelerationMmPerS2: acceleration('Slowing down at a limit', [1, 50_000], {
    orNone: true,
    symbol: 'a',
    help: 'What the controller is set to at a limit. Left empty, it slows down as it speeds up.',
  }),
})
export type Stopping = ValueOf<typeof STOPPING>

declare module '../../document/axis' {
  interface SheetFields {
    stopping: Stopping
  }
}
