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

/** Sizes that are simulated of each fault, as multiples of what it usually is: from hardly felt to what nobody overlooks. */
const TRIED = Array.from({ length: 15 }, (_, index) => 0.4 * 1.4 ** index)
/** Between two of them so many more are reckoned, so that the next one is never further off than a reading tells. */
const STEPS = 4
/** What a sound drive loses is reckoned from catalogues, and what a fault does is reckoned from a size: to such shares. */
const OF_SOUND = 0.3
const OF_EFFECT = 0.05

/** What each fault of the table is simulated as, where that is not what it is called, or is one of several things. */
const SIMULATED_AS: Partial<Record<FaultId, readonly WhatIfId[]>> = {
  // A slack belt shows as a coupler that has play.
  'belt-slack': ['coupler-play'],
  'gib-tight': ['gib-tight', 'gib-tight-low', 'gib-tight-high'],
}

/** The sizes that are simulated of a fault, to each side where it has two, each from small to large. */
function chainsOf({ size }: WhatIf): number[][] {
  const usual = Math.abs(size.blank as number)
  const signs = (size.min ?? 0) < 0 ? [1, -1] : [1]
  return signs.map(sign => {
    const taken = TRIED.map(times => {
      const within = Math.min(Math.max(sign * times * usual, size.min as number), size.max as number)
      return size.whole ? Math.max(1, Math.round(within)) : within
    })
    return [...new Set(taken)]
  })
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
    return Object.fromEntries(
      figures.flatMap(({ id, value }) => (Number.isFinite(value) ? [[id, value]] : [])),
    )
  }
  const predict = (whatIf: Rehearsal['whatIf']): Predicted =>
    Object.assign({}, ...sources.map(source => attempt(() => readWith(source, whatIf)).value ?? {}))
  const sound = predict(null)
  // What the simulation does not come to is held against nothing.
  const foretold = measured.flatMap(({ figures }) => figures).filter(({ id }) => sound[id] !== undefined)
  if (foretold.length === 0) return null
  // Each figure is weighed in what it can be foretold to.
  const scales = Object.fromEntries(
    foretold.map(({ id, least }) => [id, Math.hypot(least, OF_SOUND * (sound[id] ?? 0))]),
  )
  const sizeWith = (size: number, reads: Predicted, share: number): TwinSize => {
    const effects = Object.entries(scales).map(([id, scale]) =>
      reads[id] === undefined ? 0 : (reads[id] - (sound[id] as number)) / scale,
    )
    return { share, size, reads, spread: Math.hypot(1, OF_EFFECT * Math.max(...effects.map(Math.abs))) }
  }
  const faults = FAULTS.map(({ id }): TwinFault => {
    const names = SIMULATED_AS[id] ?? [id as WhatIfId]
    const chains = names.flatMap(name =>
      chainsOf(WHAT_IFS[name]).map(sizes => {
        const read = sizes.map(size => ({ size, reads: predict({ id: name, size }) }))
        return WHAT_IFS[name].size.whole ? read : between(read)
      }),
    )
    const share = 1 / chains.reduce((sum, chain) => sum + chain.length, 0)
    const { label, quantity } = WHAT_IFS[names[0] as WhatIfId].size
    return {
      id,
      label,
      quantity,
      sizes: chains.flat().map(({ size, reads }) => sizeWith(size, reads, share)),
    }
  })
  return { measured: foretold, scales, sound: sizeWith(0, sound, 1), faults }
}

interface ReadAt {
  readonly size: number
  readonly reads: Predicted
}
/** Further sizes between those that were simulated: what is read goes evenly from one to the next. */
const between = (read: readonly ReadAt[]): ReadAt[] =>
  read.flatMap((one, index) => {
    const next = read[index + 1]
    if (!next) return [one]
    return Array.from({ length: STEPS }, (_, step): ReadAt => {
      const to = step / STEPS
      const mixed = (a: number, b: number) => a + (b - a) * to
      return {
        size: mixed(one.size, next.size),
        reads: Object.fromEntries(
          Object.entries(one.reads).map(([id, value]) => [id, mixed(value, next.reads[id] ?? value)]),
        ),
      }
    })
  })
