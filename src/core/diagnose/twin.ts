import { sizeWeights } from '../sheets/findFault/weigh'
import type { FaultId } from '../sheets/findFault/words'
import type { QuantityKind } from '../units/quantity'
import type { MeasuredFigure } from './measured'

/** A fault in one size, with what the axis would read. */
export interface TwinSize {
  readonly share: number
  /** In the base unit of what the fault is measured in. */
  readonly sizeUm: number
  readonly spreadUm: number
  /** By the ids of the measured figures. */
  readonly predicted: Readonly<Record<string, number>>
}
export interface TwinFault {
  readonly id: FaultId
  /** What is measured of it, and in what. */
  readonly label: string
  readonly quantity: QuantityKind
  readonly sizes: readonly TwinSize[]
}
/** What an axis was measured to be, and what it would read sound and with each fault. */
export interface Twin {
  readonly measured: readonly MeasuredFigure[]
  readonly sound: TwinSize
  readonly faults: readonly TwinFault[]
}

/** A figure beside what it would be. */
export interface FitRow extends MeasuredFigure {
  readonly wouldUm: number
  /** Whether it lies further off than the two are uncertain by. */
  readonly isOff: boolean
}
/** How a fault goes with what was measured, in the size in which it goes best. */
export interface Fit {
  /** Null where nothing is wrong. */
  readonly faultId: FaultId | null
  /** How large it would be, from least to most; null where nothing is wrong, or the figures do not tell. */
  readonly size: {
    readonly label: string
    readonly quantity: QuantityKind
    readonly low: number
    readonly high: number
  } | null
  readonly rows: readonly FitRow[]
}

/** Readings lie within two standard uncertainties of what they should be, but for one in twenty. */
const OFF = 2
/** A size that may as well be three times as large is not told. */
const TOLD_TIMES = 3

/**
 * What was measured beside what this axis would read with some faults, and sound.
 *
 * @param of the faults to be held against the readings, in their order; null is a sound axis
 */
export function fitsOf({ measured, sound, faults }: Twin, of: readonly (FaultId | null)[]): Fit[] {
  const observed = measured.map(({ id, valueUm, standardUm }) => ({ testId: id, valueUm, standardUm }))
  return of.map((faultId): Fit => {
    const fault = faults.find(({ id }) => id === faultId)
    const sizes = fault?.sizes ?? [sound]
    const { weights } = sizeWeights(sizes, observed)
    const mean = (value: (size: TwinSize) => number) =>
      sizes.reduce((sum, one, index) => sum + value(one) * (weights[index] as number), 0)
    const spreadUm = mean(one => one.spreadUm)
    return {
      faultId,
      size: fault ? toldSize(fault, weights) : null,
      rows: measured.map(figure => {
        const wouldUm = mean(({ predicted }) => predicted[figure.id] ?? 0)
        const isOff = Math.abs(figure.valueUm - wouldUm) > OFF * Math.hypot(spreadUm, figure.standardUm)
        return { ...figure, wouldUm, isOff }
      }),
    }
  })
}

/** Between which sizes a fault lies by its weights; null where that is anywhere. */
function toldSize({ label, quantity, sizes }: TwinFault, weights: readonly number[]): Fit['size'] {
  const mean = sizes.reduce((sum, { sizeUm }, index) => sum + sizeUm * (weights[index] as number), 0)
  const square = sizes.reduce(
    (sum, { sizeUm }, index) => sum + (sizeUm - mean) ** 2 * (weights[index] as number),
    0,
  )
  // Sizes are tried a step apart: no nearer than half of one.
  const nearest = sizes.reduce((best, one) =>
    Math.abs(one.sizeUm - mean) < Math.abs(best.sizeUm - mean) ? one : best,
  )
  const off = Math.max(OFF * Math.sqrt(square), HALF_A_STEP * Math.abs(nearest.sizeUm))
  const [low, high] = [mean - off, mean + off]
  const [least, most] = [Math.min(Math.abs(low), Math.abs(high)), Math.max(Math.abs(low), Math.abs(high))]
  return low * high > 0 && most <= TOLD_TIMES * least ? { label, quantity, low, high } : null
}
const HALF_A_STEP = 0.13
