import { isEqual } from 'es-toolkit'
import type { Axis } from '../document/axis'
import type { Job } from '../document/job'
import { catalogueOf } from '../machine/parts'
import { evaluateAxis } from '../sheets/evaluateAxis'
import { Hand, type Slip } from '../simulate/axis/hand'
import { axisFigures } from '../trial/axisFigures'
import { handSize, readOnce, SHEETS_TRIED, type Tried } from '../trial/builder'
import type { Read } from '../trial/read'
import type { Sheet } from '../trial/sheetTried'
import type { Trial } from '../trial/trial'
import { WHAT_IFS, type WhatIf, type WhatIfId, whatIfsOf } from './whatIfs'

// "What would I read if ...": the table of a sheet, read on the virtual axis of this job. It makes another axis and changes nothing.

/** What is supposed. */
export interface Rehearsal {
  /** What is wrong with the axis, and how large; nothing, where it is sound. */
  readonly whatIf: { readonly id: WhatIfId; readonly size: number } | null
  /** What the hand that reads gets wrong. */
  readonly slip: Slip | null
  /** Which hand: another one reads a little otherwise. */
  readonly seed: number
}

type Supposed = Pick<Job, 'ownParts' | 'shop' | 'units'>

/** The axis of a job as a sound one, to be read by nobody yet. */
function soundTrial(job: Supposed, axis: Axis): Trial {
  const catalogue = catalogueOf(job)
  const figures = axisFigures(evaluateAxis(axis, catalogue, job.units))
  return { seed: 0, job: job as Job, axis, catalogue, figures, faults: [], causes: {}, slip: null, kind: '' }
}

/** An axis with one table as it was read by rehearsal. */
export interface Rehearsed {
  readonly axis: Axis
  /** The part of the axis that holds the table. */
  readonly table: keyof Axis
}

/** The axis with what was put behind the rows of a table, and none of those there were. */
function onlyNew(before: Axis, after: Axis): Rehearsed {
  const table = (Object.keys(after) as (keyof Axis)[]).find(key => after[key] !== before[key]) as keyof Axis
  const rowsOf = (axis: Axis) => axis[table] as unknown as readonly unknown[]
  return { table, axis: { ...after, [table]: rowsOf(after).slice(rowsOf(before).length) } }
}

/**
 * A sheet to be rehearsed on an axis, as often as one likes: what it is and how it is read is worked out once.
 *
 * @param name what is read, as `readingOf` has it
 * @returns takes what is supposed, and the present moment (what is read now counts after the last change); gives the axis with
 *   the table as it would be read, and none of the sheet's own readings
 * @throws NotKnown while the drive is not chosen or measured
 */
export function rehearsalOf(
  job: Supposed,
  axis: Axis,
  name: Tried,
): (rehearsal: Rehearsal, at: string) => Rehearsed {
  const sheet = SHEETS_TRIED[name] as unknown as Sheet<Read>
  const sound = soundTrial(job, axis)
  const planned = { ...sheet.plan(axis, sound), ...ANEW[name] }
  return ({ whatIf, seed, slip }, at) => {
    const what: WhatIf | null = whatIf && WHAT_IFS[whatIf.id]
    const causes = what && whatIf ? what.causes(whatIf.size, sound.figures) : {}
    const trial: Trial = { ...sound, seed, slip, causes }
    const plan = { ...planned, startedAt: at }
    const size = slip === null ? 0 : handSize(sheet, trial)
    const by = (handSeed: number, ofHand: Slip | null) =>
      onlyNew(axis, readOnce(trial, sheet, trial, plan, new Hand(handSeed, ofHand, size, sheet.readings)))
    if (slip === null) return by(seed, null)
    // A minus is lost where there is one, a digit slips where it shows: another hand, where it would change nothing.
    const hands = Array.from({ length: MOST_HANDS }, (_, index) => seed * MOST_HANDS + index)
    const shows = hands.find(one => !isEqual(by(one, slip), by(one, null)))
    return by(shows ?? seed, slip)
  }
}
const MOST_HANDS = 20
/** What a further round takes over of the one before, or of what that one asks for: here it is the first, of the whole axis. */
const ANEW: Partial<Record<Tried, object>> = { preload: { pullBeforeN: null }, drag: { half: 'whole' } }

/** Something that can be supposed, and whether the sheet is one that should find it. */
export interface Supposable {
  readonly id: WhatIfId
  readonly isAbout: boolean
}

/** What can be supposed of an axis on a sheet, the causes that it should find first. @throws NotKnown as `rehearsalOf` */
export function supposable(job: Supposed, axis: Axis, name: Tried): Supposable[] {
  const sheet = SHEETS_TRIED[name] as unknown as Sheet<Read>
  const { figures } = soundTrial(job, axis)
  const about: readonly string[] = [...sheet.about, ...(sheet.stopsAt ?? [])]
  const isAbout = (id: WhatIfId) =>
    about.includes(id) || about.includes(id.replace(/-aside$/, '-off').replace(/-(low|high)$/, ''))
  const all = whatIfsOf(figures, axis).map(id => ({ id, isAbout: isAbout(id) }))
  return [...all.filter(one => one.isAbout), ...all.filter(one => !one.isAbout)]
}
