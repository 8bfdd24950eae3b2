// Written by scripts/sheets.mjs out of the steps from version to version: do not change it here.

import type { Plain } from './plain'
import { changeFromV5 } from './v5'
import { changeFromV6 } from './v6'
import { changeFromV7 } from './v7'
import { changeFromV8 } from './v8'
import { changeFromV9 } from './v9'
import { changeFromV10 } from './v10'
import { changeFromV11 } from './v11'
import { changeFromV12 } from './v12'
import { changeFromV13 } from './v13'
import { changeFromV14 } from './v14'
import { changeFromV15 } from './v15'
import { changeFromV16 } from './v16'
import { changeFromV17 } from './v17'

/** What brings a change of one version up to the next; before these its rows were found by their places. */
export const CHANGE_STEPS: readonly { from: number; up: (change: Plain) => Plain }[] = [
  { from: 5, up: changeFromV5 },
  { from: 6, up: changeFromV6 },
  { from: 7, up: changeFromV7 },
  { from: 8, up: changeFromV8 },
  { from: 9, up: changeFromV9 },
  { from: 10, up: changeFromV10 },
  { from: 11, up: changeFromV11 },
  { from: 12, up: changeFromV12 },
  { from: 13, up: changeFromV13 },
  { from: 14, up: changeFromV14 },
  { from: 15, up: changeFromV15 },
  { from: 16, up: changeFromV16 },
  { from: 17, up: changeFromV17 },
]
