import { measuredIn } from '../diagnose/measured'
import type { Twin, TwinFault, TwinSize } from '../diagnose/twin'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { attempt } from '../evaluation/attempt'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { FAULTS } from '../sheets/findFault/table'
import type { FaultId } from '../sheets/findFault/words'
import { lastChange } from '../sheets/shared/proofs/age'
import { type Rehearsal, rehearsalOf } from './rehearse'
import { WHAT_IFS, type WhatIf, type WhatIfId } from './whatIfs'

// What this axis would read with each fault of the table, in several sizes: the axis of the job, simulated.

/** Sizes that are tried of each fault, as shares of what it usually is. */
const TRIED = Array.from({ length: 13 }, (_, index) => 0.4 * 1.3 ** index)
/** What a sound drive loses is reckoned from catalogues, and what a fault does is reckoned from a size: to such shares. */
const OF_SOUND = 0.3
const OF_EFFECT = 0.15

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
 * @returns null where nothing was measured that comes to a figure, or the drive is not known
 */
export function twinOf(job: Supposed, axis: Axis, at: string): Twin | null {
  const catalogue = catalogueOf(job)
  const t = evaluateAxis(axis, catalogue, job.units)
  const measured = measuredIn(t, lastChange(axis)?.at ?? null)
  const sources = measured.flatMap(({ source }) => {
    const read = attempt(() => rehearsalOf(job, axis, source.sheet)).value
    return read ? [{ source, read }] : []
  })
  const readWith = ({ source, read }: (typeof sources)[number], whatIf: Rehearsal['whatIf']): Predicted => {
    const other = read({ whatIf, slip: null, seed: 1 }, at).axis
    const figures = source.figures(evaluateAxis(other, catalogue, job.units))
    return Object.fromEntries(figures.map(({ id, value }) => [id, value]))
  }
  const predict = (whatIf: Rehearsal['whatIf'], instead: Predicted): Predicted => ({
    ...instead,
    ...Object.assign({}, ...sources.map(source => attempt(() => readWith(source, whatIf)).value ?? {})),
  })
  const sound = predict(null, {})
  // What the simulation does not come to is held against nothing.
  const foretold = measured.flatMap(({ figures }) => figures).filter(({ id }) => sound[id] !== undefined)
  if (foretold.length === 0) return null
  // Each figure is weighed in what it can be foretold to.
  const scales = Object.fromEntries(
    foretold.map(({ id, least }) => [id, Math.hypot(least, OF_SOUND * (sound[id] ?? 0))]),
  )
  const sizeWith = (size: number, reads: Predicted, share: number): TwinSize => {
    const effects = Object.entries(scales).map(([id, scale]) => ((reads[id] ?? 0) - (sound[id] ?? 0)) / scale)
    return { share, size, reads, spread: Math.hypot(1, OF_EFFECT * Math.max(...effects.map(Math.abs))) }
  }
  const faults = FAULTS.map(({ id }): TwinFault => {
    const name = SIMULATED_AS[id] ?? (id as WhatIfId)
    const sizes = sizesOf(WHAT_IFS[name])
    return {
      id,
      label: WHAT_IFS[name].size.label,
      quantity: WHAT_IFS[name].size.quantity,
      sizes: sizes.map(size => sizeWith(size, predict({ id: name, size }, sound), 1 / sizes.length)),
    }
  })
  return { measured: foretold, scales, sound: sizeWith(0, sound, 1), faults }
}
