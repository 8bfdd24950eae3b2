// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import type { SheetId } from '@/core/sheets'
import type { DrawOverlay } from '@/core/sheets/sheet'

/** What a sheet lays on the drive line that comes only when it is opened. */
export const OVERLAYS_ASKED: Readonly<Partial<Record<SheetId, () => Promise<DrawOverlay>>>> = {
  steps: () => import('@/core/sheets/steps/overlay').then(module => module.stepsOverlay),
}
