import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'

/** What it lays on the drive line. */
export const geometryOverlay: DrawOverlay = ({ axis, units }, line) => {
  const { value } = axis.dimensions.supportSpanMm
  const label =
    value === null ? 'between the blocks: to measure' : `between the blocks ${say(value, 'length', units)}`
  return { spans: [{ fromMm: 0, toMm: line.spanMm, tone: 'ink', label }] }
}
