import type { Axis } from '../document/axis'
import { numbered } from '../field/field'

const begun = (id: string, startedAt: string) => ({
  id,
  startedAt,
  finishedAt: null,
  done: null,
  taken: {},
  closedWith: null,
})

/** Skarrow, table: more is lost at the slide than its parts should lose, and it is play; where was not looked for yet. */
export const PROVED_SKARROW_X = {
  // By the sheet of the indicator, a thermometer on the bed and one on the screw, and the scale laid along the bed.
  uncertainty: { gaugeErrorUm: 2, temperatureK: 1, outOfLineDeg: 0.2, settingUpUm: null },
  fullTests: [
    {
      id: 'full-1',
      startedAt: '2026-11-15T13:00:00.000Z',
      finishedAt: '2026-11-15T14:20:00.000Z',
      label: 'As first built',
      gaugeStepUm: 1,
      runs: 5,
      feedMmPerMin: 1000,
      dwellS: 5,
      overrunMm: 2,
      warmUpMinutes: 15,
      temperatureC: 17,
      gauge: 'micron indicator on the column',
      who: 'E. Vale',
      conditions: null,
      // Coming up the slide stands short, and reads more.
      gaugeMore: 'down',
      shifts: [],
      taken: {},
      targets: numbered('target', [
        { targetMm: 5.0, positiveUm: [23, 23, 22, 23, 24], negativeUm: [-20, -18, -22, -20, -21] },
        { targetMm: 72.45, positiveUm: [28, 28, 29, 29, 29], negativeUm: [-11, -13, -16, -14, -15] },
        { targetMm: 141.8, positiveUm: [31, 33, 31, 29, 32], negativeUm: [-12, -13, -12, -12, -11] },
        { targetMm: 206.16, positiveUm: [29, 29, 32, 28, 28], negativeUm: [-14, -12, -15, -12, -15] },
        { targetMm: 270.52, positiveUm: [23, 25, 24, 24, 25], negativeUm: [-17, -18, -19, -17, -18] },
        { targetMm: 339.87, positiveUm: [22, 24, 21, 23, 23], negativeUm: [-20, -21, -20, -21, -21] },
        { targetMm: 404.23, positiveUm: [24, 27, 25, 27, 26], negativeUm: [-18, -17, -17, -17, -19] },
      ]),
    },
  ],
  pushRounds: [
    {
      ...begun('push-1', '2026-11-21T17:10:00.000Z'),
      screw: 'first',
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
} satisfies Partial<Axis>
