import { type MeasuredFigure, measuredIn } from '../diagnose/measured'
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

/** Sizes of each fault, as multiples of what it usually is: from hardly felt to what nobody overlooks, so many to a step. */
const SMALLEST = 0.4
const STEP = 1.4
const STEPS = 14
/** Every so manieth of them is simulated at first, and what lies between two where it may go with what was measured. */
const AT_FIRST = 4
/** Between two of them so many more are reckoned, so that the next one is never further off than a reading tells. */
const BETWEEN = 4
/** In the scales of the figures: what goes so straight need not be simulated, and what reads so far off is no size of it. */
const STRAIGHT = 0.5
const FAR = 12
/** What a sound drive loses is reckoned from catalogues, and what a fault does is reckoned from a size: to such shares. */
const OF_SOUND = 0.3
const OF_EFFECT = 0.05

/** What each fault of the table is simulated as, where that is not what it is called, or is one of several things. */
const SIMULATED_AS: Partial<Record<FaultId, readonly WhatIfId[]>> = {
  // A slack belt shows as a coupler that has play.
  'belt-slack': ['coupler-play'],
  'gib-tight': ['gib-tight', 'gib-tight-low', 'gib-tight-high'],
}

/** The sizes of a fault, to each side where it has two, each from small to large. */
function chainsOf({ size }: WhatIf): number[][] {
  const usual = Math.abs(size.blank as number)
  const signs = (size.min ?? 0) < 0 ? [1, -1] : [1]
  return signs.map(sign => {
    const taken = Array.from({ length: STEPS + 1 }, (_, index) => {
      const wanted = sign * SMALLEST * STEP ** index * usual
      const within = Math.min(Math.max(wanted, size.min as number), size.max as number)
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
        const readAt = (size: number): ReadAt => ({ size, reads: predict({ id: name, size }) })
        return WHAT_IFS[name].size.whole
          ? sizes.map(readAt)
          : between(along(sizes, readAt, { foretold, scales }))
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
/** What was measured, and in what each figure is weighed. */
interface Against {
  readonly foretold: readonly MeasuredFigure[]
  readonly scales: Predicted
}

const mixed = (one: ReadAt, other: ReadAt, to: number): ReadAt => {
  const at = (a: number, b: number) => a + (b - a) * to
  return {
    size: at(one.size, other.size),
    reads: Object.fromEntries(
      Object.entries(one.reads).map(([id, value]) => [id, at(value, other.reads[id] ?? value)]),
    ),
  }
}

/**
 * What is read at each of some sizes, in their order: simulated at every few, and between two of those where what was measured
 * may lie and is not read evenly from one to the other; else reckoned.
 */
function along(sizes: readonly number[], readAt: (size: number) => ReadAt, against: Against): ReadAt[] {
  const last = sizes.length - 1
  const firsts = [
    ...new Set([...Array.from({ length: last }, (_, i) => i).filter(i => i % AT_FIRST === 0), last]),
  ]
  const known = firsts.map(index => ({ index, read: readAt(sizes[index] as number) }))
  const filled = (from: Known, to: Known): ReadAt[] => {
    const middle = Math.floor((from.index + to.index) / 2)
    if (middle === from.index) return [from.read]
    const size = (index: number) => sizes[index] as number
    const reckoned = (index: number) =>
      mixed(from.read, to.read, (size(index) - size(from.index)) / (size(to.index) - size(from.index)))
    const allReckoned = () => [
      from.read,
      ...Array.from({ length: to.index - from.index - 1 }, (_, i) => reckoned(from.index + 1 + i)),
    ]
    if (isFarOff(from.read, to.read, against)) return allReckoned()
    const read = readAt(size(middle))
    if (isLike(read, reckoned(middle), against)) return allReckoned()
    const known = { index: middle, read }
    return [...filled(from, known), ...filled(known, to)]
  }
  return known.flatMap((one, index) => {
    const next = known[index + 1]
    return next ? filled(one, next) : [one.read]
  })
}
interface Known {
  readonly index: number
  readonly read: ReadAt
}

/** Whether some figure was measured far beyond what is read at either of two sizes, to the same side. */
const isFarOff = (one: ReadAt, other: ReadAt, { foretold, scales }: Against) =>
  foretold.some(({ id, value, standard }) => {
    const [a, b] = [one.reads[id], other.reads[id]]
    if (a === undefined || b === undefined) return false
    const far = FAR * Math.hypot(scales[id] as number, standard)
    return value - Math.max(a, b) > far || Math.min(a, b) - value > far
  })

const isLike = (one: ReadAt, other: ReadAt, { foretold, scales }: Against) =>
  foretold.every(({ id }) => {
    const [a, b] = [one.reads[id], other.reads[id]]
    return a === undefined || b === undefined ? a === b : Math.abs(a - b) <= STRAIGHT * (scales[id] as number)
  })

/** Further sizes between those that are known: what is read goes evenly from one to the next. */
const between = (read: readonly ReadAt[]): ReadAt[] =>
  read.flatMap((one, index) => {
    const next = read[index + 1]
    return next ? Array.from({ length: BETWEEN }, (_, step) => mixed(one, next, step / BETWEEN)) : [one]
  })
