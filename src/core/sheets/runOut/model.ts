import { choice, length, type RowOf, rows, smallLength } from '../../field/field'
import { GAUGE_STEP } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

/** How far the needle goes over a whole turn of the screw, at places where it matters, and where it does not. */
export const WOBBLES = rows(
  'Place',
  {
    where: choice('Read on', ['drive', 'fixed', 'middle', 'far', 'free'], {
      words: {
        drive: 'journal of the coupler',
        fixed: 'journal in the fixed block',
        middle: 'thread, in the middle',
        far: 'journal in the far block',
        free: 'free end, held by nothing',
      },
    }),
    wholeUm: smallLength('Least to most over a turn', [0, 50_000], { orNone: true }),
    /** From the place to the nut, where the end is bent back by hand or block. */
    toNutMm: length('From there to the nut', [0, 10_000], { orNone: true }),
  },
  { most: 20 },
)

export const RUN_OUT_ROUNDS = rows('Round', { ...ROUND_OF_SCREW, gaugeStepUm: GAUGE_STEP, stations: WOBBLES })
export type RunOutRound = RowOf<typeof RUN_OUT_ROUNDS>
export type Wobble = RowOf<typeof WOBBLES>

declare module '../../document/axis' {
  interface SheetFields {
    runOutRounds: RunOutRound[]
  }
}
