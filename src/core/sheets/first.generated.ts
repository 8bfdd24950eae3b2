// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { PARTS_CHECKS } from './parts/check'
import { STOPPING_CHECKS } from './stopping/check'
import { TRAVEL_CHECKS } from './travel/check'
import { geometryOverlay } from './geometry/overlay'
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
}
