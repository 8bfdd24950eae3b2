// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { BLOCK_CHECKS } from './bearingBlock/check'
import { CHAIN_CHECKS } from './chain/check'
import { CIRCLE_CHECKS } from './circle/check'
import { CONTROLLER_CHECKS } from './controller/check'
import { COUNTERWEIGHT_CHECKS } from './counterweight/check'
import { DRAG_CHECKS } from './drag/check'
import { FASTENER_CHECKS } from './fasteners/check'
import { FLANGE_CHECKS } from './flange/check'
import { FULL_TEST_CHECKS } from './fullTest/check'
import { GIB_CHECKS } from './gib/check'
import { GREASE_CHECKS } from './grease/check'
import { HOLE_CHECKS } from './holes/check'
import { LOST_STEPS_CHECKS } from './lostSteps/check'
import { NUT_ROOM_CHECKS } from './nutRoom/check'
import { ONE_TURN_CHECKS } from './oneTurn/check'
import { OVERHANG_CHECKS } from './overhang/check'
import { PRELOAD_CHECKS } from './preload/check'
import { PUSH_PULL_CHECKS } from './pushPull/check'
import { RAILS_CHECKS } from './rails/check'
import { REVERSAL_CHECKS } from './reversal/check'
import { RUN_OUT_CHECKS } from './runOut/check'
import { SCALE_CHECKS } from './scale/check'
import { SCREW_LINE_CHECKS } from './screwLine/check'
import { SHAFTS_CHECKS } from './shafts/check'
import { SLOW_FAST_CHECKS } from './slowFast/check'
import { SQUARE_CHECKS } from './square/check'
import { SWITCH_CHECKS } from './switches/check'
import { WAYS_FRICTION_CHECKS } from './waysFriction/check'
import { WHERE_LOST_CHECKS } from './whereLost/check'
import { ZERO_TIME_CHECKS } from './zeroTime/check'
import { counterweightOverlay } from './counterweight/overlay'
import { dragOverlay } from './drag/overlay'
import { fastenersOverlay } from './fasteners/overlay'
import { nutRoomOverlay } from './nutRoom/overlay'
import { reversalOverlay } from './reversal/overlay'
import { screwLineOverlay } from './screwLine/overlay'
import { switchesOverlay } from './switches/overlay'
import type { LoadedSheets } from './sheet'

/** What comes when the stage of its sheet is opened. */
export const STAGE: LoadedSheets = {
  nutRoom: { checks: NUT_ROOM_CHECKS, overlay: nutRoomOverlay },
  holes: { checks: HOLE_CHECKS },
  bearingBlock: { checks: BLOCK_CHECKS },
  fasteners: { checks: FASTENER_CHECKS, overlay: fastenersOverlay },
  chain: { checks: CHAIN_CHECKS },
  counterweight: { checks: COUNTERWEIGHT_CHECKS, overlay: counterweightOverlay },
  switches: { checks: SWITCH_CHECKS, overlay: switchesOverlay },
  grease: { checks: GREASE_CHECKS },
  controller: { checks: CONTROLLER_CHECKS },
  screwLine: { checks: SCREW_LINE_CHECKS, overlay: screwLineOverlay },
  preload: { checks: PRELOAD_CHECKS },
  shafts: { checks: SHAFTS_CHECKS },
  drag: { checks: DRAG_CHECKS, overlay: dragOverlay },
  flange: { checks: FLANGE_CHECKS },
  runOut: { checks: RUN_OUT_CHECKS },
  gib: { checks: GIB_CHECKS },
  rails: { checks: RAILS_CHECKS },
  square: { checks: SQUARE_CHECKS },
  overhang: { checks: OVERHANG_CHECKS },
  waysFriction: { checks: WAYS_FRICTION_CHECKS },
  reversal: { checks: REVERSAL_CHECKS, overlay: reversalOverlay },
  fullTest: { checks: FULL_TEST_CHECKS },
  zeroTime: { checks: ZERO_TIME_CHECKS },
  slowFast: { checks: SLOW_FAST_CHECKS },
  pushPull: { checks: PUSH_PULL_CHECKS },
  whereLost: { checks: WHERE_LOST_CHECKS },
  lostSteps: { checks: LOST_STEPS_CHECKS },
  circle: { checks: CIRCLE_CHECKS },
  scale: { checks: SCALE_CHECKS },
  oneTurn: { checks: ONE_TURN_CHECKS },
}
