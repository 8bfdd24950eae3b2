import { spreadMm } from '../../readings/model'
import { openStations } from '../shared/rounds/closing'
import { defineRounds } from '../shared/rounds/rounds'
import { levelSteps, narrowestStrip, type Station } from './calculation'
import { RAIL_ROUNDS, type RailRound } from './model'

/** What was read along the rail, as heights; a level's steps summed up, as far as they go without a gap. */
export function heightsOf(round: RailRound): Station[] {
  if (round.how !== 'level')
    return openStations(railRounds, round).flatMap(({ positionMm, readingUm }) =>
      readingUm === null ? [] : [{ positionMm, readingUm }],
    )
  const steps = round.stations.map(({ slopeUmPerM }) => slopeUmPerM)
  const gap = steps.indexOf(null)
  const read = (gap < 0 ? steps : steps.slice(0, gap)) as number[]
  return read.length === 0 ? [] : levelSteps({ baseMm: round.baseMm, steps: read }).stations
}

/** The figure that is held against what is accepted: the strip of one rail, the range of the second against the first. */
export function widthOf(round: RailRound, heights: readonly Station[] = heightsOf(round)): number | null {
  if (new Set(heights.map(({ positionMm }) => positionMm)).size < 2) return null
  if (round.how !== 'second') return narrowestStrip(heights)?.heightUm ?? null
  const values = heights.map(({ readingUm }) => readingUm)
  return Math.max(...values) - Math.min(...values)
}

const FIRST_PLACES = 6

export const railRounds = defineRounds<RailRound>({
  about: 'Rails',
  of: RAIL_ROUNDS,
  pick: axis => axis.railRounds,
  only: railRounds => ({ railRounds }),
  signed: ({ how }) => how !== 'level',
  columns: [
    { key: 'readingUm', step: round => (round.how === 'level' ? null : round.gaugeStepUm), at: 'positionMm' },
  ],
  // A level goes on from where it stood: its steps are summed, and no place comes again.
  closes: ({ how }) => (how === 'level' ? null : 'positionMm'),
  begin: (axis, shop) => ({
    gaugeStepUm: shop.gaugeStepUm,
    stations: spreadMm(0, axis.dimensions.wayTravelMm.value ?? 500, FIRST_PLACES).map(positionMm => ({
      positionMm,
      readingUm: null,
      slopeUmPerM: null,
    })),
  }),
  worst: (_, round) => {
    const value = widthOf(round)
    return value === null ? null : { value, quantity: 'smallLength' }
  },
  resolution: (_, { how, gaugeStepUm, acceptedUm }) =>
    how === 'level' || gaugeStepUm === null ? null : { leastUm: gaugeStepUm, countsUm: acceptedUm },
  worstWords: 'off along the rail',
})
