import type { Axis } from '../document/axis'
import type { PartKind } from '../document/kinds'
import type { Catalogue } from '../document/parts/types'

import { byUrgency, type State, worstState } from '../evaluation/finding'
import { changedAxis } from '../evaluation/remedy'
import { putPart } from '../machine/driveEdits'
import type { UnitSystem } from '../units/quantity'
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
    const taken = changedAxis(axis, draft => putPart(draft, kind, partId))
    const drive = byUrgency(evaluateAxis(taken, catalogue, units).driveFindings)
    const worst = worstState(drive) ?? 'unknown'
    const worstOnes = drive.filter(({ state }) => state === worst)
    return {
      partId,
      worst,
      worstCount: worstOnes.length,
      worstTitles: worstOnes.map(({ title }) => title).join(', '),
    }
  })
}
