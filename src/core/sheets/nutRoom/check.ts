import { defineChecks } from '../../evaluation/check'
import { NotKnown } from '../../evaluation/notKnown'
import { SECTION_SIDES, SIDE_WORDS } from './model'
import { isBracketKnown, openStation, stationGaps, unmeasuredMm, worstSection } from './sections'

const PLACE = { sheet: 'nutRoom', stage: 'room' } as const

export const NUT_ROOM_CHECKS = defineChecks({
  'room.section': {
    title: 'Room around the nut',
    subject: 'nut',
    ofDrive: true,
    judge(t, say) {
      const { stations, protrusions, minimumGapMm, minimumWallMm } = t.axis.section
      if (stations.length === 0) return null
      const at = worstSection(t)
      const length = (mm: number) => say(mm, 'length', 1)
      // What is measured and fails does so whatever the rest of the casting is like.
      if (at?.sides[at.worst].verdict !== 'too-thin') {
        const open = openStation(t)
        if (open)
          throw new NotKnown({ ...PLACE, what: `at ${length(open.positionMm)}, ${stationGaps(open)}` })
        if (!isBracketKnown(t))
          throw new NotKnown({
            ...PLACE,
            what: 'width and height of the bracket, across the screw; 0 where the nut itself is the widest',
          })
        const bare = protrusions.find(({ standsOutMm }) => standsOutMm === null)
        if (bare) throw new NotKnown({ ...PLACE, what: `how far the ${bare.what} stands out` })
        const gap = unmeasuredMm(t)
        if (gap)
          throw new NotKnown({
            ...PLACE,
            what: `the room from ${length(gap.fromMm)} to ${length(gap.toMm)} along the screw, past which the nut comes`,
          })
      }
      if (!at) return null
      const wallLess = SECTION_SIDES.find(side => at.sides[side].cutMm > 0 && !at.sides[side].wallKnown)
      const { gapMm, cutMm, wallAfterMm, verdict } = at.sides[at.worst]
      if (verdict !== 'too-thin' && wallLess)
        throw new NotKnown({
          ...PLACE,
          what: `the wall ${SIDE_WORDS[wallLess]} at ${length(at.station.positionMm)}: ${length(at.sides[wallLess].cutMm)} must go there`,
        })
      const where = `${SIDE_WORDS[at.worst]}, ${length(at.station.positionMm)} along the screw`
      if (verdict === 'clear')
        return {
          state: 'holds',
          figure: { value: gapMm, quantity: 'length' },
          limit: { value: minimumGapMm, quantity: 'length' },
          use: null,
          sentence: () =>
            `The nut comes no closer to the casting than ${length(gapMm)}, against ${length(minimumGapMm)} to keep: ${where}.`,
        }
      const left = `${length(cutMm)} must go ${where}; that leaves ${length(Math.max(0, wallAfterMm))} of wall, against ${length(minimumWallMm)} to keep`
      return {
        state: verdict === 'cut' ? 'close' : 'fails',
        figure: { value: Math.max(0, wallAfterMm), quantity: 'length' },
        limit: { value: minimumWallMm, quantity: 'length' },
        use: null,
        sentence: () => (verdict === 'cut' ? `${left}.` : `Not fit to cut: ${left}. Take another way.`),
      }
    },
  },
})
