import { spreadMm } from '../../readings/model'
import { straight } from '../shared/rounds/odd'
import { leastOnLineUm } from '../shared/rounds/resolution'
import { defineRounds } from '../shared/rounds/rounds'
import { lineSetting, worstCorrectionUm } from './judgePlane'
import { type AlignRound, closes, ROUNDS } from './model'

/** The nut is clamped near the fixed block; the screw is read from there to near the far one. */
const CLAMPED_SHARE = 0.08
/** Nearer to the block than this the nut is held by it, and shows little of how it stands. */
const CLEAR_MM = 80
const MOST_CLAMPED_SHARE = 0.25
const LAST_SHARE = 0.9
const FIRST_PLACES = 8
/** Something to begin with while nobody has measured the span. */
const A_SPAN_MM = 400

const ALONG = {
  step: ({ gaugeStepUm }: AlignRound) => gaugeStepUm,
  at: 'positionMm',
  shape: straight('positionMm'),
  perhaps: 'a chip under the tip, a slip, or a screw that is bent there',
}

export const screwRounds = defineRounds<AlignRound>({
  about: 'Line of the screw',
  of: ROUNDS,
  pick: axis => axis.rounds,
  only: rounds => ({ rounds }),
  columns: [
    { key: 'heightUm', ...ALONG },
    { key: 'sideUm', ...ALONG },
  ],
  closes,
  reads: ['halfTurnHeightUm', 'halfTurnSideUm'],
  begin: (axis, shop) => {
    const spanMm = axis.dimensions.supportSpanMm.value ?? A_SPAN_MM
    const clampedAtMm = Math.round(
      Math.max(spanMm * CLAMPED_SHARE, Math.min(CLEAR_MM, spanMm * MOST_CLAMPED_SHARE)),
    )
    return {
      clampedAtMm,
      gaugeStepUm: shop.gaugeStepUm,
      stations: spreadMm(clampedAtMm, spanMm * LAST_SHARE, FIRST_PLACES).map(positionMm => ({
        positionMm,
        heightUm: null,
        sideUm: null,
      })),
    }
  },
  worst: (t, round) => {
    const spanMm = t.axis.dimensions.supportSpanMm.value
    const value = spanMm === null ? null : worstCorrectionUm(round, lineSetting(t, spanMm))
    return value === null ? null : { value, quantity: 'smallLength' }
  },
  resolution: ({ axis }, { gaugeStepUm, stations, clampedAtMm }) => {
    const spanMm = axis.dimensions.supportSpanMm.value
    if (gaugeStepUm === null || spanMm === null) return null
    const armMm =
      axis.ends === 'fixed-free'
        ? Math.abs(clampedAtMm)
        : Math.max(Math.abs(clampedAtMm), Math.abs(spanMm - clampedAtMm))
    const places = stations.map(({ positionMm }) => positionMm)
    const leastUm = leastOnLineUm(gaugeStepUm, places, armMm)
    return leastUm === null ? null : { leastUm, countsUm: axis.goals.alignmentTargetUm }
  },
  worstWords: 'largest correction',
})
