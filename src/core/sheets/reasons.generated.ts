// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import type { LimitKey } from '.'
import { CONTROLLER_REASONS } from './controller/reasons'
import { FASTENERS_REASONS } from './fasteners/reasons'
import { PARTS_REASONS } from './parts/reasons'
import { STOPPING_REASONS } from './stopping/reasons'
import { SWITCHES_REASONS } from './switches/reasons'
import { TRAVEL_REASONS } from './travel/reasons'

/** Why each limit is where it usually is. */
export const LIMIT_REASONS: Readonly<Record<LimitKey, string>> = {
  ...PARTS_REASONS,
  ...TRAVEL_REASONS,
  ...STOPPING_REASONS,
  ...FASTENERS_REASONS,
  ...SWITCHES_REASONS,
  ...CONTROLLER_REASONS,
}
