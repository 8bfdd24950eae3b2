import { SimulatedAxis } from '../simulate/axis/axis'
import type { AxisFigures, Causes } from '../simulate/axis/figures'

const SLOW_MM_PER_MIN = 500
const ASIDE_MM = 5

/** What an axis truly loses at a reversal in the middle of its travel, cold and slow, um. */
export function lossesUm(figures: AxisFigures, causes: Causes): number {
  const { heat: _heat, lost: _lost, slip: _slip, ...still } = causes
  const axis = new SimulatedAxis(figures, still)
  const at = figures.travelMm / 2
  const come = (fromMm: number) => {
    axis.moveTo(fromMm, SLOW_MM_PER_MIN)
    axis.moveTo(at, SLOW_MM_PER_MIN)
    return axis.offUm
  }
  return Math.abs(come(at + ASIDE_MM) - come(at - ASIDE_MM))
}
