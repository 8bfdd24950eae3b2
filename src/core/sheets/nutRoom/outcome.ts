import { part } from '../../machine/remedies'
import { outcomeOf } from '../outcome'
import { clearanceSection } from './calculation'
import { nutRoomCuts } from './cuts'
import { fitting, section } from './remedies'
import { nutRoom } from './sheet'

/** What makes room for the nut, and the metal that goes for it. */
export const nutRoomOutcome = outcomeOf(nutRoom.checks, {
  calculations: [clearanceSection],
  remedies: {
    'room.section': [
      fitting(),
      section('bracketHeightMm'),
      section('bracketWidthMm'),
      section('spacersMm'),
      part('screw'),
    ],
  },
  cuts: nutRoomCuts,
})
