import { choice, length, type RowOf, rows, slope, smallLength } from '../../field/field'
import { GAUGE_STEP, place, readingOrNone, TIP_LIFTED } from '../../readings/model'
import { ROUND } from '../shared/rounds/model'

export const RAIL_PLACES = rows(
  'Place',
  {
    positionMm: place('Along the rail'),
    readingUm: readingOrNone('Reading'),
    slopeUmPerM: slope('Slope of the step', [-20_000, 20_000], { orNone: true }),
  },
  { most: 200 },
)

export const RAIL_ROUNDS = rows('Round', {
  ...ROUND,
  how: choice('Read', ['straight', 'level', 'second'], {
    words: {
      straight: 'one rail, along a straightedge or wire',
      level: 'one rail, with a level stepped along',
      second: 'the second rail against the first',
    },
  }),
  gaugeStepUm: GAUGE_STEP,
  tipLifted: TIP_LIFTED,
  acceptedUm: smallLength('Accepted along the rail', [1, 2000], { blank: 20 }),
  baseMm: length('Base of the level', [20, 2000], { blank: 150 }),
  screwPitchMm: length('From rail screw to rail screw', [10, 400], { blank: 60 }),
  stations: RAIL_PLACES,
})
export type RailRound = RowOf<typeof RAIL_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    railRounds: RailRound[]
  }
}
