// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { BLOCK_CHECKS } from './bearingBlock/check'
import { CHAIN_CHECKS } from './chain/check'
import { FASTENER_CHECKS } from './fasteners/check'
import { HOLE_CHECKS } from './holes/check'
import { NUT_ROOM_CHECKS } from './nutRoom/check'
import { PARTS_CHECKS } from './parts/check'
import { STOPPING_CHECKS } from './stopping/check'
import { TRAVEL_CHECKS } from './travel/check'
import { fastenersOverlay } from './fasteners/overlay'
import { geometryOverlay } from './geometry/overlay'
import { nutRoomOverlay } from './nutRoom/overlay'
import { partsOverlay } from './parts/overlay'
import { stoppingOverlay } from './stopping/overlay'
import { travelOverlay } from './travel/overlay'
import type { LoadedSheets } from './sheet'

/** What is judged and drawn from the first screen of a job on. */
export const FIRST: LoadedSheets = {
  geometry: { overlay: geometryOverlay },
  parts: { checks: PARTS_CHECKS, overlay: partsOverlay },
  travel: { checks: TRAVEL_CHECKS, overlay: travelOverlay },
  stopping: { checks: STOPPING_CHECKS, overlay: stoppingOverlay },
  nutRoom: { checks: NUT_ROOM_CHECKS, overlay: nutRoomOverlay },
  holes: { checks: HOLE_CHECKS },
  bearingBlock: { checks: BLOCK_CHECKS },
  fasteners: { checks: FASTENER_CHECKS, overlay: fastenersOverlay },
  chain: { checks: CHAIN_CHECKS },
}
