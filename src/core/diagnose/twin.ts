import { sizeWeights, weighFaults } from '../sheets/findFault/weigh'
import type { FaultId } from '../sheets/findFault/words'
import type { QuantityKind } from '../units/quantity'
import type { MeasuredFigure } from './measured'

/** A fault in one size, with what the axis would read. */
export interface TwinSize {
  readonly share: number
  /** In the base unit of what the fault is measured in. */
  readonly size: number
  /** What that is uncertain by, in the scale of each figure. */
  readonly spread: number
  /** By the ids of the measured figures, each in its base unit; none of one that cannot be had with this fault. */
  readonly reads: Readonly<Record<string, number>>
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
  /** To what each figure can be foretold, by its id: what they are weighed in. */
  readonly scales: Readonly<Record<string, number>>
  readonly sound: TwinSize
  readonly faults: readonly TwinFault[]
}

/** A figure beside what it would be. */
export interface FitRow extends MeasuredFigure {
  readonly would: number
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
/** A figure is compared where so much of the sizes that it may have come to it. */
const MOSTLY = 0.5
/** A size that may as well be three times as large is not told. */
const TOLD_TIMES = 3

/** What was measured, and what would be read, in the scales of the figures. */
function inScales({ measured: figures, scales, sound, faults }: Twin) {
  const scaleOf = (id: string) => scales[id] as number
  const sizesOf = (sizes: readonly TwinSize[]) =>
    sizes.map(({ share, size, spread, reads }) => ({
      share,
      sizeUm: size,
      spreadUm: spread,
      // A figure that cannot be had with it says nothing for it: it is held against that of a sound axis.
      predicted: Object.fromEntries(
        figures.map(({ id }) => [id, (reads[id] ?? (sound.reads[id] as number)) / scaleOf(id)]),
      ),
    }))
  return {
    observed: figures.map(({ id, value, standard }) => ({
      testId: id,
      valueUm: value / scaleOf(id),
      standardUm: standard / scaleOf(id),
    })),
    sound: sizesOf([sound]),
    sizesOf: new Map(faults.map(({ id, sizes }) => [id as string, sizesOf(sizes)])),
  }
}

/** What faults are taken for, and a sound axis beside them: all together one. */
export interface Weighed {
  readonly posteriors: readonly { readonly faultId: string; readonly probability: number }[]
  readonly sound: number
}

/**
 * Faults as the table ranks them, and a sound axis, weighed by the figures that were read (`diagnose.weigh`).
 *
 * @param before what answers in words make of them
 */
export function weighedByFigures(twin: Twin, { posteriors, sound }: Weighed): Weighed {
  const { observed, sizesOf, sound: soundSizes } = inScales(twin)
  const weighed = weighFaults({
    faults: [
      ...posteriors.map(({ faultId, probability }) => ({
        id: faultId,
        prior: probability,
        sizes: sizesOf.get(faultId) ?? soundSizes,
      })),
      { id: SOUND, prior: sound, sizes: soundSizes },
    ],
    observed,
  }).posteriors
  return {
    posteriors: weighed.filter(({ faultId }) => faultId !== SOUND),
    sound: weighed.find(({ faultId }) => faultId === SOUND)?.probability ?? 0,
  }
}
const SOUND = 'sound'

/**
 * What was measured beside what this axis would read with some faults, and sound.
 *
 * @param of the faults to be held against the readings, in their order; null is a sound axis
 */
export function fitsOf(twin: Twin, of: readonly (FaultId | null)[]): Fit[] {
  const scaled = inScales(twin)
  return of.map((faultId): Fit => {
    const fault = twin.faults.find(({ id }) => id === faultId)
    const sizes = fault?.sizes ?? [twin.sound]
    const { weights } = sizeWeights((fault && scaled.sizesOf.get(fault.id)) ?? scaled.sound, scaled.observed)
    const mean = (value: (size: TwinSize) => number) =>
      sizes.reduce((sum, one, index) => sum + value(one) * (weights[index] as number), 0)
    const spread = mean(one => one.spread)
    return {
      faultId,
      size: fault ? toldSize(fault, weights) : null,
      rows: twin.measured.flatMap(figure => {
        const read = sizes.flatMap(({ reads }, index) => {
          const value = reads[figure.id]
          return value === undefined ? [] : [{ value, weight: weights[index] as number }]
        })
        const weight = read.reduce((sum, one) => sum + one.weight, 0)
        // What the likely sizes do not come to is nothing that could be compared.
        if (weight < MOSTLY) return []
        const would = read.reduce((sum, one) => sum + one.value * one.weight, 0) / weight
        const foretold = spread * (twin.scales[figure.id] as number)
        const isOff = Math.abs(figure.value - would) > OFF * Math.hypot(foretold, figure.standard)
        return [{ ...figure, would, isOff }]
      }),
    }
  })
}

/** Between which sizes a fault lies by its weights; null where that is anywhere. */
function toldSize({ label, quantity, sizes }: TwinFault, weights: readonly number[]): Fit['size'] {
  const mean = sizes.reduce((sum, { size }, index) => sum + size * (weights[index] as number), 0)
  const square = sizes.reduce(
    (sum, { size }, index) => sum + (size - mean) ** 2 * (weights[index] as number),
    0,
  )
  // What a size does is foretold to a share; so is the size that it is told by.
  const off = Math.max(OFF * Math.sqrt(square), FORETOLD_TO * Math.abs(mean))
  const [low, high] = [mean - off, mean + off]
  const [least, most] = [Math.min(Math.abs(low), Math.abs(high)), Math.max(Math.abs(low), Math.abs(high))]
  return low * high > 0 && most <= TOLD_TIMES * least ? { label, quantity, low, high } : null
}
const FORETOLD_TO = 0.2
