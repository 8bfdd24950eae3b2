// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { bearingBlockOutcome } from './bearingBlock/outcome'
import { chainOutcome } from './chain/outcome'
import { circleOutcome } from './circle/outcome'
import { compensationOutcome } from './compensation/outcome'
import { controllerOutcome } from './controller/outcome'
import { cutsOutcome } from './cuts/outcome'
import { dragOutcome } from './drag/outcome'
import { fastenersOutcome } from './fasteners/outcome'
import { findFaultOutcome } from './findFault/outcome'
import { flangeOutcome } from './flange/outcome'
import { fullTestOutcome } from './fullTest/outcome'
import { gibOutcome } from './gib/outcome'
import { greaseOutcome } from './grease/outcome'
import { holesOutcome } from './holes/outcome'
import { leadscrewEndsOutcome } from './leadscrewEnds/outcome'
import { lostStepsOutcome } from './lostSteps/outcome'
import { nutRoomOutcome } from './nutRoom/outcome'
import { overhangOutcome } from './overhang/outcome'
import { partsOutcome } from './parts/outcome'
import { preloadOutcome } from './preload/outcome'
import { pushPullOutcome } from './pushPull/outcome'
import { railsOutcome } from './rails/outcome'
import { reversalOutcome } from './reversal/outcome'
import { runOutOutcome } from './runOut/outcome'
import { scaleOutcome } from './scale/outcome'
import { screwLineOutcome } from './screwLine/outcome'
import { shaftsOutcome } from './shafts/outcome'
import { slowFastOutcome } from './slowFast/outcome'
import { squareOutcome } from './square/outcome'
import { stepsOutcome } from './steps/outcome'
import { stoppingOutcome } from './stopping/outcome'
import { switchesOutcome } from './switches/outcome'
import { travelOutcome } from './travel/outcome'
import { uncertaintyOutcome } from './uncertainty/outcome'
import { waysFrictionOutcome } from './waysFriction/outcome'
import { whereLostOutcome } from './whereLost/outcome'
import type { Outcome } from './outcome'
import type { SheetId } from '.'

/** What comes of the sheets beside their verdicts: for workers, lists, paper and the shell. */
export const OUTCOME_OF: Readonly<Partial<Record<SheetId, Outcome>>> = {
  parts: partsOutcome,
  travel: travelOutcome,
  stopping: stoppingOutcome,
  nutRoom: nutRoomOutcome,
  holes: holesOutcome,
  cuts: cutsOutcome,
  bearingBlock: bearingBlockOutcome,
  leadscrewEnds: leadscrewEndsOutcome,
  fasteners: fastenersOutcome,
  chain: chainOutcome,
  steps: stepsOutcome,
  switches: switchesOutcome,
  grease: greaseOutcome,
  controller: controllerOutcome,
  screwLine: screwLineOutcome,
  preload: preloadOutcome,
  shafts: shaftsOutcome,
  drag: dragOutcome,
  flange: flangeOutcome,
  runOut: runOutOutcome,
  gib: gibOutcome,
  rails: railsOutcome,
  square: squareOutcome,
  overhang: overhangOutcome,
  waysFriction: waysFrictionOutcome,
  reversal: reversalOutcome,
  fullTest: fullTestOutcome,
  slowFast: slowFastOutcome,
  pushPull: pushPullOutcome,
  whereLost: whereLostOutcome,
  lostSteps: lostStepsOutcome,
  circle: circleOutcome,
  scale: scaleOutcome,
  uncertainty: uncertaintyOutcome,
  findFault: findFaultOutcome,
  compensation: compensationOutcome,
}
