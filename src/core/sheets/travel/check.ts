import { defineChecks } from '../../evaluation/check'
import { standing } from '../../evaluation/finding'
import { travel } from '../../machine/travel/placement'
import { LIMITS } from './limits'

export const TRAVEL_CHECKS = defineChecks({
  'room.travel': {
    title: 'Travel',
    subject: 'travel',
    ofDrive: true,
    judge(t, say) {
      const { travelMm, lostMm, limitedBy, recessNeededMm } = travel(t)
      const wanted = t.axis.goals.wantedTravelMm
      const why =
        limitedBy === 'screw'
          ? `the screw, its nut and the blocks take ${say(lostMm, 'length', 1)} of what the ways allow; a recess of ${say(
              recessNeededMm,
              'length',
              1,
            )} in all brings it back`
          : 'the ways end it, not the screw'
      return {
        ...standing(t.axis, LIMITS['room.travel'], travelMm / wanted),
        figure: { value: travelMm, quantity: 'length' },
        limit: { value: wanted, quantity: 'length' },
        use: travelMm > 0 ? wanted / travelMm : null,
        sentence: `${say(travelMm, 'length', 1)} of travel is left, against ${say(wanted, 'length', 1)} wanted: ${why}.`,
      }
    },
  },
})
