import type { Axis } from '../document/axis'
import { numbered } from '../field/field'
import { blankSheets } from '../sheets/newJob'

/** What an axis is proved by beside its reversals. */
type Proved = Pick<
  Axis,
  'pushRounds' | 'lostRounds' | 'returnRounds' | 'circleRounds' | 'scaleRounds' | 'faultSearches'
>

const nothingProved = (): Proved => {
  const { pushRounds, lostRounds, returnRounds, circleRounds, scaleRounds, faultSearches } = blankSheets()
  return { pushRounds, lostRounds, returnRounds, circleRounds, scaleRounds, faultSearches }
}
export const NOTHING_PROVED = nothingProved()

const begun = (id: string, startedAt: string) => ({ id, startedAt, finishedAt: null, done: null })

/** Skarrow, table: more is lost at the slide than its parts should lose, and it is play; where was not looked for yet. */
export const PROVED_SKARROW_X: Proved = {
  ...NOTHING_PROVED,
  pushRounds: [
    {
      ...begun('push-1', '2026-11-21T17:10:00.000Z'),
      at: 'slide',
      gaugeStepUm: 1,
      stations: numbered('push', [
        { forceN: -360, readingUm: -26 },
        { forceN: -270, readingUm: -23 },
        { forceN: -180, readingUm: -22 },
        { forceN: 180, readingUm: 21 },
        { forceN: 270, readingUm: 24 },
        { forceN: 360, readingUm: 26 },
      ]),
    },
  ],
}
