import { defineChecks } from '../../evaluation/check'
import { NO_FIGURES } from '../../evaluation/measures'
import { SIDE_WORDS } from './model'
import { worstSection } from './sections'

export const NUT_ROOM_CHECKS = defineChecks({
  'room.section': {
    title: 'Room around the nut',
    subject: 'nut',
    ofDrive: true,
    judge(t, say) {
      const { stations, minimumGapMm, minimumWallMm } = t.axis.section
      if (stations.length === 0) return null
      const at = worstSection(t)
      if (!at)
        return { ...NO_FIGURES, state: 'unknown', sentence: 'The nut comes past no place that is measured.' }
      const { gapMm, cutMm, wallAfterMm, verdict } = at.sides[at.worst]
      const where = `${SIDE_WORDS[at.worst]}, ${say(at.station.positionMm, 'length', 1)} along the screw`
      if (verdict === 'clear')
        return {
          state: 'holds',
          figure: { value: gapMm, quantity: 'length' },
          limit: { value: minimumGapMm, quantity: 'length' },
          use: null,
          sentence: `The nut comes no closer to the casting than ${say(gapMm, 'length', 1)}, against ${say(minimumGapMm, 'length', 1)} to keep: ${where}.`,
        }
      const left = `${say(cutMm, 'length', 1)} must go ${where}; that leaves ${say(Math.max(0, wallAfterMm), 'length', 1)} of wall, against ${say(minimumWallMm, 'length', 1)} to keep`
      return {
        state: verdict === 'cut' ? 'close' : 'fails',
        figure: { value: Math.max(0, wallAfterMm), quantity: 'length' },
        limit: { value: minimumWallMm, quantity: 'length' },
        use: null,
        sentence: verdict === 'cut' ? `${left}.` : `Not fit to cut: ${left}. Take another way.`,
      }
    },
  },
})
