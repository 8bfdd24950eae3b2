import { CHANGE_STEPS } from './changeSteps.generated'
import type { Plain } from './plain'

/** A change that was made on a document of an older version, as the present one writes it. */
export const changeUp = (change: Plain, version: number): Plain =>
  CHANGE_STEPS.filter(({ from }) => from >= version).reduce((now, { up }) => up(now), change)
