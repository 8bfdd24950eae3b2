import type { Axis } from '../document/job'
import type { Finding } from '../evaluation/finding'
import type { Catalogue } from '../machine/parts'
import { say } from '../units/print'
import { type QuantityKind, quantityFacts, type UnitSystem } from '../units/quantity'
import type { Choice } from './choice'

/** An axis on which levers are tried. */
export interface Bench {
  axis: Axis
  catalogue: Catalogue
  units: UnitSystem
  checkId: string
  /** The finding of the check once a choice is made. */
  after: (choice: Choice) => { finding: Finding | undefined; findings: Finding[] }
}
/** Offers one way out, or none. */
export type Lever = (bench: Bench) => {
  choice: Choice
  label: string
  /** What is given up for it, where that is no figure. */
  cost?: string
}[]

/** A check that no longer applies (a plain nut has no preload to lose) no longer stands in the way. */
export const mends = (bench: Bench, choice: Choice) =>
  (bench.after(choice).finding?.state ?? 'holds') === 'holds'

/** How many of the other checks fail; a way out should not add to them. */
export const failing = (findings: Finding[], checkId: string) =>
  findings.filter(finding => finding.checkId !== checkId && finding.state === 'fails').length

interface Solvable {
  from: number
  to: number
  quantity: QuantityKind
  choice: (value: number) => Choice
  label: string
  cost: string
}

/** Bisects a number for the smallest change that mends the check, then rounds it to what can be set. */
export function solve(bench: Bench, { from, to, quantity, choice, label, cost }: Solvable) {
  if (from === to || !mends(bench, choice(to))) return []
  let bad = from
  let good = to
  for (let i = 0; i < 40; i++) {
    const middle = (bad + good) / 2
    if (mends(bench, choice(middle))) good = middle
    else bad = middle
  }
  const value = roundBeyond(good, to > from, quantity, bench.units, to)
  const found = mends(bench, choice(value)) ? value : good
  const verb = to > from ? 'up to' : 'down to'
  return [{ choice: choice(found), label: `${label} ${verb} ${say(found, quantity, bench.units)}`, cost }]
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
