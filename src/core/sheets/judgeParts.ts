import type { Axis, PartKind } from '../document/job'
import { isOfDrive, STATES, type State } from '../evaluation/finding'
import type { Catalogue } from '../machine/parts'
import type { UnitSystem } from '../units/quantity'
import { withChoice } from './choice'
import { evaluateAxis } from './evaluateAxis'

/** What a part would make of the drive. */
export interface PartVerdict {
  partId: string
  /** Worst state of the drive with this part, and how many verdicts are so. */
  worst: State
  worstCount: number
  worstTitles: string
}

/** Every part of a kind, each judged as if the axis had it. */
export function judgeParts(
  axis: Axis,
  catalogue: Catalogue,
  kind: PartKind,
  units: UnitSystem,
): PartVerdict[] {
  return [...catalogue[kind].keys()].map(partId => {
    const taken = withChoice(axis, { kind: 'part', part: kind, partId })
    const drive = evaluateAxis(taken, catalogue, units).findings.filter(isOfDrive)
    const worst = STATES.find(state => drive.some(finding => finding.state === state)) ?? 'unknown'
    const worstOnes = drive.filter(({ state }) => state === worst)
    return {
      partId,
      worst,
      worstCount: worstOnes.length,
      worstTitles: worstOnes.map(({ title }) => title).join(', '),
    }
  })
}
