// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { CIRCLE_CHECKS } from './circle/check'
import { CONTROLLER_CHECKS } from './controller/check'
import { COUNTERWEIGHT_CHECKS } from './counterweight/check'
import { DRAG_CHECKS } from './drag/check'
import { FLANGE_CHECKS } from './flange/check'
import { FULL_TEST_CHECKS } from './fullTest/check'
import { GIB_CHECKS } from './gib/check'
import { GREASE_CHECKS } from './grease/check'
import { LOST_STEPS_CHECKS } from './lostSteps/check'
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
import { counterweightOverlay } from './counterweight/overlay'
import { dragOverlay } from './drag/overlay'
import { reversalOverlay } from './reversal/overlay'
import { screwLineOverlay } from './screwLine/overlay'
import { switchesOverlay } from './switches/overlay'
import type { LoadedSheets } from './sheet'

/** What comes when the stage of its sheet is opened. */
export const STAGE: LoadedSheets = {
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
  slowFast: { checks: SLOW_FAST_CHECKS },
  pushPull: { checks: PUSH_PULL_CHECKS },
  whereLost: { checks: WHERE_LOST_CHECKS },
  lostSteps: { checks: LOST_STEPS_CHECKS },
  circle: { checks: CIRCLE_CHECKS },
  scale: { checks: SCALE_CHECKS },
}
