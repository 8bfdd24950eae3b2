import { current, produce } from 'immer'
import type { Axis } from '../document/axis'
import type { Edit } from '../document/edit'
import { onAxis } from '../document/edits'
import { applyPatches, diff, type Patch } from '../document/patch'
import { touch } from '../document/touched'
import { say } from '../units/print'
import { type QuantityKind, quantityFacts, type UnitSystem } from '../units/quantity'
import type { EvaluationContext } from './context'
import { type Finding, type State, shareUsed } from './finding'
import type { CheckId } from './ids'

/** A change of an axis, as one recipe: what is tried is what is applied. */
export type Recipe = (axis: Axis) => void

/** A change that may mend a check. */
export interface Option {
  change: Recipe
  /** What to do, with its figure: "Top speed down to 2,100 mm/min". */
  label: string
  /** What is given up for it, where that is no figure. */
  cost?: string
  /** How the history and the log name it, where that is more than its label. */
  done?: { label: string; entry: string }
  /** A setting that costs nothing, a part at its price, or a wish that is given up; all else is made, or nobody knows its price. */
  is?: 'setting' | 'part' | 'wish'
}
/** An axis whose check is to be mended, and what any change would make of it. */
export interface Trial {
  context: EvaluationContext
  checkId: CheckId
  after: (change: Recipe) => EvaluationContext
}
/** Finds changes of one kind that mend a check: none, or some. */
export type RemedyFinder = (trial: Trial) => Option[]

/** What a remedy does to another verdict. */
export interface Effect {
  checkId: CheckId
  title: string
  from: State
  to: State
}
/** A change that makes a check hold, as plain data: what it was tried with is what it applies. */
export interface Remedy {
  label: string
  /** What it costs elsewhere: the wish that is given up, price, height, lost motion, torque. */
  cost: string
  /** Other verdicts whose state changes. */
  effects: Effect[]
  /** The state of this check afterwards. */
  state: State
  patches: Patch[]
  done: Option['done'] | null
}

/** What a change makes of an axis; the axis given stays as it was. */
export const changedAxis = (axis: Axis, change: Recipe): Axis =>
  produce(axis, draft => {
    change(draft)
  })

/** What a change does to an axis, as it is kept and applied. */
export const patchesOf = (axis: Axis, changed: Axis): Patch[] => diff(axis, changed)

/**
 * An axis with a remedy applied; the axis given stays as it was.
 *
 * @throws StaleError where the axis was changed since in what the remedy replaces
 */
export const remedied = (axis: Axis, { patches }: Pick<Remedy, 'patches'>): Axis =>
  applyPatches(axis, patches)

/**
 * The edit that applies a remedy to its axis.
 *
 * @throws StaleError, when it runs, where the axis was changed since in what the remedy replaces
 */
export const remedyEdit = (axis: Axis, remedy: Remedy): Edit => ({
  ...onAxis(axis, remedy.done?.label ?? remedy.label, (draft, at) => {
    Object.assign(draft, remedied(current(draft), remedy))
    if (remedy.done) touch(draft, at, remedy.done.entry)
  }),
  ...(remedy.done && { entry: { axisId: axis.id, kind: 'part', text: remedy.done.entry } }),
})

/** Whether a change makes the check hold. One that it no longer applies to is not mended: that is another drive. */
export const mends = ({ after, checkId }: Trial, change: Recipe): boolean =>
  after(change).finding(checkId)?.state === 'holds'

/** One change, offered where it makes the check hold; none where `find` has none for this axis. */
export const offered =
  (find: (context: EvaluationContext) => Option | null): RemedyFinder =>
  trial => {
    const option = find(trial.context)
    return option && mends(trial, option.change) ? [option] : []
  }

/** What fails already may use so much more of its limit after a change: more is clearly worse. */
export const MORE_USE = 1.05

/** Whether a check that fails is hidden, or clearly worse, after a change. */
function isWorsened(id: CheckId, was: Finding, after: EvaluationContext): boolean {
  const is = after.finding(id)
  if (is === null) return !after.checks.get(id)?.isGone?.(after)
  // With a figure it is judged, though not decided.
  if (is.state === 'unknown') return is.figure === null
  return (
    is.state === 'fails' && (shareUsed(is) ?? 0) > MORE_USE * (shareUsed(was) ?? Number.POSITIVE_INFINITY)
  )
}

/**
 * The first of the other checks that a change makes fail, makes clearly worse where it fails already, or hides: no way out may
 * do that.
 *
 * @param likely checks that are judged first, because they failed for a change like this one
 * @returns its id; null where there is none
 */
export function breaks(
  { context: before, checkId }: Pick<Trial, 'context' | 'checkId'>,
  after: EvaluationContext,
  likely: Iterable<CheckId> = [],
): CheckId | null {
  for (const other of new Set([...likely, ...after.checkIds])) {
    if (other === checkId) continue
    const was = before.finding(other)
    const isBroken =
      was?.state === 'fails' ? isWorsened(other, was, after) : after.finding(other)?.state === 'fails'
    if (isBroken) return other
  }
  return null
}

interface Solvable {
  from: number
  to: number
  quantity: QuantityKind
  change: (value: number) => Recipe
  label: string
  cost: string
  is?: Option['is']
}

/** Bisects a number for the smallest change that mends the check, then rounds it to what can be set. */
export function solve(trial: Trial, { from, to, quantity, change, label, cost, is }: Solvable): Option[] {
  if (from === to || !mends(trial, change(to))) return []
  const { units } = trial.context
  let bad = from
  let good = to
  for (let i = 0; i < 40; i++) {
    const middle = (bad + good) / 2
    if (mends(trial, change(middle))) good = middle
    else bad = middle
  }
  const value = roundBeyond(good, to > from, quantity, units, to)
  const found = mends(trial, change(value)) ? value : good
  const verb = to > from ? 'up to' : 'down to'
  return [
    {
      change: change(found),
      label: `${label} ${verb} ${say(found, quantity, units)}`,
      cost,
      ...(is && { is }),
    },
  ]
}

/** Rounds to three figures of the unit in use, away from the side where the check does not hold. */
function roundBeyond(
  value: number,
  up: boolean,
  quantity: QuantityKind,
  units: UnitSystem,
  end: number,
): number {
  const { perUnit } = quantityFacts(quantity)[units]
  const shown = value / perUnit
  const step = 10 ** (Math.floor(Math.log10(Math.max(Math.abs(shown), 1e-6))) - 2)
  const rounded = (up ? Math.ceil(shown / step - 1e-9) : Math.floor(shown / step + 1e-9)) * step * perUnit
  return up ? Math.min(rounded, end) : Math.max(rounded, end)
}
