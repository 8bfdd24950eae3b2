import { choice, flag, length, mass, money, plain, record, type ValueOf } from '../../field/field'

/** What a search keeps to. */
export const SEARCH_WITHIN = record('Search within', {
  /** The thread that is there; any nut that runs on it. */
  keepScrew: flag('Keep this screw, with any nut that runs on it'),
  keepNut: flag('Keep this screw with its nut'),
  keepEnds: flag('Keep this way of holding the ends'),
  keepBearing: flag('Keep these bearings'),
  keepLink: flag('Keep this coupler or belt'),
  keepMotor: flag('Keep this motor'),
  transmission: choice('Between motor and screw', ['either', 'direct', 'belt'], {
    words: { either: 'coupler or belt', direct: 'no belt', belt: 'belts only' },
  }),
  onlyHere: flag('Only what is on the shelf or ordered already'),
  onlyOwn: flag('Only parts of our own list'),
  mostPriceEur: money('Price, at most', [1, 200_000], { orNone: true }),
  mostHeightMm: length('Height under the slide, at most', [5, 1000], { orNone: true }),
  mostMassKg: mass('Weight of the drive, at most', [0.01, 5000], { orNone: true }),
  mostDays: plain('Comes within', [0, 1000], { orNone: true, whole: true, unit: 'days' }),
})
export type SearchWithin = ValueOf<typeof SEARCH_WITHIN>

declare module '../../document/axis' {
  interface SheetFields {
    searchWithin: SearchWithin
  }
}
