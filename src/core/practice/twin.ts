import { FIGURE_SOURCES, type FigureSource, measuredFigures } from '../diagnose/measured'
import type { Twin, TwinFault, TwinSize } from '../diagnose/twin'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { attempt } from '../evaluation/attempt'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { FAULTS } from '../sheets/findFault/table'
import type { FaultId } from '../sheets/findFault/words'
import { lastChange } from '../sheets/shared/proofs/age'
import { type Rehearsal, rehearsed } from './rehearse'
import { WHAT_IFS, type WhatIf, type WhatIfId } from './whatIfs'

// What this axis would read with each fault of the table, in several sizes: the axis of the job, simulated.

/** Sizes that are tried of each fault, as shares of what it usually is. */
const TRIED = Array.from({ length: 13 }, (_, index) => 0.4 * 1.3 ** index)
/** No figure is foretold better than this. */
const LEAST_SPREAD_UM = 3
/** What a sound drive loses is reckoned from catalogues, and what a fault does is reckoned from a size: to such shares. */
const OF_SOUND = 0.3
const OF_EFFECT = 0.25

/** A slack belt shows as a coupler that has play. */
const SIMULATED_AS: Partial<Record<FaultId, WhatIfId>> = { 'belt-slack': 'coupler-play' }

function sizesOf({ size }: WhatIf): number[] {
  const usual = Math.abs(size.blank as number)
  const signed = TRIED.flatMap(times => (size.min < 0 ? [times * usual, -times * usual] : [times * usual]))
  const taken = signed.map(one => {
    const within = Math.min(Math.max(one, size.min), size.max)
    return size.whole ? Math.max(1, Math.round(within)) : within
  })
  return [...new Set(taken)]
}

type Predicted = Record<string, number>
type Supposed = Pick<Job, 'ownParts' | 'shop' | 'units'>

/**
 * What this axis would read with each fault, of every figure that was measured on it.
 *
 * @param at the present moment
 * @param onProgress told how much of it is done
 * @returns null where nothing was measured that comes to a figure, or the drive is not known
 */
export function twinOf(
  job: Supposed,
  axis: Axis,
  at: string,
  onProgress: (share: number) => void = () => {},
): Twin | null {
  const catalogue = catalogueOf(job)
  const t = evaluateAxis(axis, catalogue, job.units)
  const measured = measuredFigures(t, lastChange(axis)?.at ?? null)
  const isMeasured = new Set(measured.map(({ id }) => id))
  const sources = FIGURE_SOURCES.filter(
    source =>
      source.at(axis) !== null &&
      (attempt(() => source.figures(t)).value ?? []).some(({ id }) => isMeasured.has(id)),
  )
  if (sources.length === 0) return null
  const readWith = (source: FigureSource, whatIf: Rehearsal['whatIf']): Predicted => {
    const other = rehearsed(job, axis, source.sheet, { whatIf, slip: null, seed: 1 }, at).axis
    const figures = source.figures(evaluateAxis(other, catalogue, job.units))
    return Object.fromEntries(figures.map(({ id, valueUm }) => [id, valueUm]))
  }
  const predict = (whatIf: Rehearsal['whatIf'], instead: Predicted): Predicted => ({
    ...instead,
    ...Object.assign({}, ...sources.map(source => attempt(() => readWith(source, whatIf)).value ?? {})),
  })
  const nothing = Object.fromEntries(measured.map(({ id }) => [id, 0]))
  const sound = predict(null, nothing)
  const soundUm = Math.max(...Object.values(sound).map(Math.abs))
  const sizeWith = (sizeUm: number, predicted: Predicted, share: number): TwinSize => {
    const effectUm = Math.max(...Object.entries(predicted).map(([id, um]) => Math.abs(um - (sound[id] ?? 0))))
    return {
      share,
      sizeUm,
      spreadUm: Math.hypot(LEAST_SPREAD_UM, OF_SOUND * soundUm, OF_EFFECT * effectUm),
      predicted,
    }
  }
  const faults = FAULTS.map(({ id }, index): TwinFault => {
    onProgress(index / FAULTS.length)
    const name = SIMULATED_AS[id] ?? (id as WhatIfId)
    const sizes = sizesOf(WHAT_IFS[name])
    return {
      id,
      label: WHAT_IFS[name].size.label,
      quantity: WHAT_IFS[name].size.quantity,
      sizes: sizes.map(size => sizeWith(size, predict({ id: name, size }, sound), 1 / sizes.length)),
    }
  })
  return { measured, sound: sizeWith(0, sound, 1), faults }
}
