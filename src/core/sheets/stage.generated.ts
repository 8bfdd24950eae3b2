// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { CIRCLE_CHECKS } from './circle/check'
import { DRAG_CHECKS } from './drag/check'
import { FLANGE_CHECKS } from './flange/check'
import { FULL_TEST_CHECKS } from './fullTest/check'
import { GIB_CHECKS } from './gib/check'
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
import { WAYS_FRICTION_CHECKS } from './waysFriction/check'
import { WHERE_LOST_CHECKS } from './whereLost/check'
import { dragOverlay } from './drag/overlay'
import { reversalOverlay } from './reversal/overlay'
import { screwLineOverlay } from './screwLine/overlay'
import type { LoadedSheets } from './sheet'

/** What comes when the stage of its sheet is opened. */
export const STAGE: LoadedSheets = {
  screwLine: { checks: SCREW_LINE_CHECKS, checkIds: ['align.height', 'align.side'], overlay: screwLineOverlay },
  preload: { checks: PRELOAD_CHECKS, checkIds: ['align.preload'] },
  shafts: { checks: SHAFTS_CHECKS, checkIds: ['align.coupler', 'align.belt'] },
  drag: { checks: DRAG_CHECKS, checkIds: ['align.drag', 'align.turn'], overlay: dragOverlay },
  flange: { checks: FLANGE_CHECKS, checkIds: ['align.flange'] },
  runOut: { checks: RUN_OUT_CHECKS, checkIds: ['align.runOut'] },
  gib: { checks: GIB_CHECKS, checkIds: ['align.gib'] },
  rails: { checks: RAILS_CHECKS, checkIds: ['align.rails'] },
  square: { checks: SQUARE_CHECKS, checkIds: ['align.square', 'align.leadMismatch'] },
  overhang: { checks: OVERHANG_CHECKS, checkIds: ['align.overhang', 'align.droop'] },
  waysFriction: { checks: WAYS_FRICTION_CHECKS, checkIds: ['align.waysFriction'] },
  reversal: { checks: REVERSAL_CHECKS, checkIds: ['prove.reversal'], overlay: reversalOverlay },
  fullTest: { checks: FULL_TEST_CHECKS, checkIds: ['prove.accuracy', 'prove.fullReversal'] },
  slowFast: { checks: SLOW_FAST_CHECKS, checkIds: ['prove.slowFast', 'prove.coldWarm'] },
  pushPull: { checks: PUSH_PULL_CHECKS, checkIds: ['prove.pushPull'] },
  whereLost: { checks: WHERE_LOST_CHECKS, checkIds: ['prove.whereLost'] },
  lostSteps: { checks: LOST_STEPS_CHECKS, checkIds: ['prove.steps'] },
  circle: { checks: CIRCLE_CHECKS, checkIds: ['prove.circleSquare', 'prove.cutSquare', 'prove.circleScale'] },
  scale: { checks: SCALE_CHECKS, checkIds: ['prove.scale'] },
}
