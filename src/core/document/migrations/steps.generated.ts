// Written by scripts/sheets.mjs out of the steps from version to version: do not change it here.

import { fromV1 } from './v1'
import { fromV2 } from './v2'
import { fromV3 } from './v3'
import { fromV4 } from './v4'
import { fromV5 } from './v5'
import { fromV6 } from './v6'
import { fromV7 } from './v7'
import { fromV8 } from './v8'
import { fromV9 } from './v9'
import { fromV10 } from './v10'
import { fromV11 } from './v11'
import { fromV12 } from './v12'
import { fromV13 } from './v13'
import { fromV14 } from './v14'
import { fromV15 } from './v15'
import { fromV16 } from './v16'
import { fromV17 } from './v17'
import type { Step } from '.'

/** The step from each version to the next; there is none before version 1. */
export const STEPS: readonly { readonly from: number; readonly migrate: Step }[] = [
  { from: 1, migrate: fromV1 },
  { from: 2, migrate: fromV2 },
  { from: 3, migrate: fromV3 },
  { from: 4, migrate: fromV4 },
  { from: 5, migrate: fromV5 },
  { from: 6, migrate: fromV6 },
  { from: 7, migrate: fromV7 },
  { from: 8, migrate: fromV8 },
  { from: 9, migrate: fromV9 },
  { from: 10, migrate: fromV10 },
  { from: 11, migrate: fromV11 },
  { from: 12, migrate: fromV12 },
  { from: 13, migrate: fromV13 },
  { from: 14, migrate: fromV14 },
  { from: 15, migrate: fromV15 },
  { from: 16, migrate: fromV16 },
  { from: 17, migrate: fromV17 },
]
