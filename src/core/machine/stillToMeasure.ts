import type { Axis } from '../document/axis'
import { DIMENSION_KEYS, type DimensionKey } from '../document/dimensions'

/** Dimensions that nobody has measured or read off a sheet yet. */
export const stillToMeasure = (axis: Axis): DimensionKey[] =>
  DIMENSION_KEYS.filter(
    key => axis.dimensions[key].provenance === 'assumed' || axis.dimensions[key].value === null,
  )
