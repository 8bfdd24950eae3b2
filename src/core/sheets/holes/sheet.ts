import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { holeEnlarge } from './calculation'
import { HOLE_CHECKS } from './check'
import { holeCuts } from './cuts'
import { judgedHoles } from './inputs'
import { HOLES } from './model'

/** Holes of the casting that are bored larger: which cutter, what wall is left, and what guides the pilot. */
export const holes = defineSheet({
  id: 'holes',
  stage: 'room',
  title: 'Holes to enlarge',
  fields: { holes: HOLES },
  calculations: [holeEnlarge],
  checks: HOLE_CHECKS,
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
