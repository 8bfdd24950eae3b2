import { SHEETS, type SheetId } from '.'
import { bearingBlockOutcome } from './bearingBlock/outcome'
import { chainOutcome } from './chain/outcome'
import { controllerOutcome } from './controller/outcome'
import { cutsOutcome } from './cuts/outcome'
import { fastenersOutcome } from './fasteners/outcome'
import { greaseOutcome } from './grease/outcome'
import { holesOutcome } from './holes/outcome'
import { leadscrewEndsOutcome } from './leadscrewEnds/outcome'
import { nutRoomOutcome } from './nutRoom/outcome'
import type { Outcome } from './outcome'
import { partsOutcome } from './parts/outcome'
import { reversalOutcome } from './reversal/outcome'
import { screwLineOutcome } from './screwLine/outcome'
import { stepsOutcome } from './steps/outcome'
import { stoppingOutcome } from './stopping/outcome'
import { switchesOutcome } from './switches/outcome'
import { travelOutcome } from './travel/outcome'

const OUTCOME_OF: Partial<Record<SheetId, Outcome>> = {
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
  reversal: reversalOutcome,
}

/** What comes of every sheet, in the order of the work. */
export const OUTCOMES: readonly (Outcome & { readonly id: SheetId })[] = SHEETS.map(({ id }) => ({
  ...OUTCOME_OF[id],
  id,
}))
