import type { Axis } from '../document/job'
import { Trace } from '../evaluation/context'
import type { State } from '../evaluation/finding'
import { costWords } from '../machine/costs'
import type { Catalogue } from '../machine/parts'
import type { UnitSystem } from '../units/quantity'
import { type Choice, withChoice } from './choice'
import { evaluateAxis } from './evaluateAxis'
import type { Bench } from './lever'
import { LEVERS } from './levers'

/** What a way out does to another verdict. */
export interface Effect {
  checkId: string
  title: string
  from: State
  to: State
}
export interface WayOut {
  choice: Choice
  /** What to do, with its figure: "Top speed down to 2,100 mm/min". */
  label: string
  /** What it costs elsewhere: the wish that is given up, price, height, lost motion, torque. */
  cost: string
  /** Other verdicts whose state changes. */
  effects: Effect[]
  /** The state of this check afterwards. */
  state: State
}

/**
 * Solves ways out of a finding that is close or fails: the smallest change of each free choice that makes
 * it hold, with what it does to the other verdicts.
 *
 * @returns ways that really make the check hold, as found by judging the changed axis; empty when none does
 */
export function waysOut(axis: Axis, catalogue: Catalogue, units: UnitSystem, checkId: string): WayOut[] {
  const before = evaluateAxis(axis, catalogue, units).findings
  const stands = new Trace(axis, catalogue)
  const after = (choice: Choice) => {
    const { findings } = evaluateAxis(withChoice(axis, choice), catalogue, units)
    return { findings, finding: findings.find(finding => finding.checkId === checkId) }
  }
  const bench: Bench = { axis, catalogue, units, checkId, after }
  return (LEVERS[checkId] ?? []).flatMap(lever =>
    lever(bench).map(way => {
      const { findings, finding } = after(way.choice)
      const effects = findings.flatMap(({ checkId: other, title, state }) => {
        const from = before.find(one => one.checkId === other)?.state
        return other === checkId || from === undefined || from === state
          ? []
          : [{ checkId: other, title, from, to: state }]
      })
      const elsewhere = costWords(stands, new Trace(withChoice(axis, way.choice), catalogue), units)
      const cost = [...(way.cost ? [way.cost] : []), ...elsewhere].join(', ') || 'nothing elsewhere'
      return { ...way, cost, effects, state: finding?.state ?? 'holds' }
    }),
  )
}
