// Written by scripts/sheets.mjs out of the folders of the sheets: do not change it here.

import { counterweightSteps } from './counterweight/steps'
import type { SheetSteps } from './shared/steps/step'

/** The steps that sheets add to the work. */
export const SHEET_STEPS: readonly SheetSteps[] = [
  counterweightSteps,
]
