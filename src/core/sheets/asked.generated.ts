// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { bearingBlockOutcome } from './bearingBlock/outcome'
import { chainOutcome } from './chain/outcome'
import { circleOutcome } from './circle/outcome'
import { compensationOutcome } from './compensation/outcome'
import { controllerOutcome } from './controller/outcome'
import { counterweightOutcome } from './counterweight/outcome'
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
import { oneTurnOutcome } from './oneTurn/outcome'
import { overhangOutcome } from './overhang/outcome'
import { partsOutcome } from './parts/outcome'
import { playTrendOutcome } from './playTrend/outcome'
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
import { zeroTimeOutcome } from './zeroTime/outcome'
import type { Outcome } from './outcome'
import type { SheetId } from '.'

/** What comes of the sheets beside their verdicts, in the order of the work: for workers, lists, paper and the shell. */
export const OUTCOMES: readonly (Outcome & { readonly id: SheetId })[] = [
  { ...partsOutcome, id: 'parts' },
  { ...travelOutcome, id: 'travel' },
  { ...stoppingOutcome, id: 'stopping' },
  { ...nutRoomOutcome, id: 'nutRoom' },
  { ...holesOutcome, id: 'holes' },
  { ...cutsOutcome, id: 'cuts' },
  { ...bearingBlockOutcome, id: 'bearingBlock' },
  { ...leadscrewEndsOutcome, id: 'leadscrewEnds' },
  { ...fastenersOutcome, id: 'fasteners' },
  { ...chainOutcome, id: 'chain' },
  { ...counterweightOutcome, id: 'counterweight' },
  { ...stepsOutcome, id: 'steps' },
  { ...switchesOutcome, id: 'switches' },
  { ...greaseOutcome, id: 'grease' },
  { ...controllerOutcome, id: 'controller' },
  { ...screwLineOutcome, id: 'screwLine' },
  { ...preloadOutcome, id: 'preload' },
  { ...shaftsOutcome, id: 'shafts' },
  { ...dragOutcome, id: 'drag' },
  { ...flangeOutcome, id: 'flange' },
  { ...runOutOutcome, id: 'runOut' },
  { ...gibOutcome, id: 'gib' },
  { ...railsOutcome, id: 'rails' },
  { ...squareOutcome, id: 'square' },
  { ...overhangOutcome, id: 'overhang' },
  { ...waysFrictionOutcome, id: 'waysFriction' },
  { ...reversalOutcome, id: 'reversal' },
  { ...fullTestOutcome, id: 'fullTest' },
  { ...zeroTimeOutcome, id: 'zeroTime' },
  { ...playTrendOutcome, id: 'playTrend' },
  { ...slowFastOutcome, id: 'slowFast' },
  { ...pushPullOutcome, id: 'pushPull' },
  { ...whereLostOutcome, id: 'whereLost' },
  { ...lostStepsOutcome, id: 'lostSteps' },
  { ...circleOutcome, id: 'circle' },
  { ...scaleOutcome, id: 'scale' },
  { ...oneTurnOutcome, id: 'oneTurn' },
  { ...uncertaintyOutcome, id: 'uncertainty' },
  { ...findFaultOutcome, id: 'findFault' },
  { ...compensationOutcome, id: 'compensation' },
]
