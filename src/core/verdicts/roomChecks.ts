import { travel } from '../room/placement'
import type { Check } from './check'
import { standing } from './finding'

export const ROOM_CHECKS: Check[] = [
  {
    checkId: 'room.travel',
    title: 'Travel',
    subject: 'travel',
    stage: 'room',
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
        ...standing('room.travel', travelMm / wanted),
        figure: { value: travelMm, quantity: 'length' },
        limit: { value: wanted, quantity: 'length' },
        use: travelMm > 0 ? wanted / travelMm : null,
        sentence: `${say(travelMm, 'length', 1)} of travel is left, against ${say(wanted, 'length', 1)} wanted: ${why}.`,
      }
    },
  },
]
