import { part } from '../../machine/commonRemedies'
import { defineOutcome } from '../outcome'
import { clearanceSection } from './calculation'
import { nutRoomCuts } from './cuts'
import { fitting, section } from './remedies'

/** What makes room for the nut, and the metal that goes for it. */
export const nutRoomOutcome = defineOutcome({
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
