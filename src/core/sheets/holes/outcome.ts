import { say } from '../../units/print'
import { defineOutcome } from '../outcome'
import { holeEnlarge } from './calculation'
import { holeCuts } from './cuts'
import { judgedHoles } from './inputs'

/** Holes to bore, and what is bought for it. */
export const holesOutcome = defineOutcome({
  calculations: [holeEnlarge],
  cuts: holeCuts,
  /** Bar for the bungs, and cutters that no hole can do without. */
  orders: (axis, { shop }, units) =>
    judgedHoles(axis.holes, shop.cutterSizesMm).flatMap(({ hole, result }) => {
      const { existingDiameterMm, requiredDiameterMm } = hole
      const { verdict, guide } = result
      const item = { count: 1, neededBy: 'room' as const, sheetEur: null }
      return [
        ...(guide === 'bung' && verdict !== 'enough'
          ? [
              {
                ...item,
                key: `bar:${existingDiameterMm}`,
                what: `Round bar for guide bungs, ${say(existingDiameterMm, 'length', units)} or a little more`,
              },
            ]
          : []),
        ...(verdict === 'no-cutter'
          ? [
              {
                ...item,
                key: `cutter:${requiredDiameterMm}`,
                what: `Hole cutter, ${say(requiredDiameterMm, 'length', units)} or a little more`,
              },
            ]
          : []),
      ]
    }),
})
