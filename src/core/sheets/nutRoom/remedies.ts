import { mends, type Recipe, type RemedyFinder, solve } from '../../evaluation/remedy'
import { SECTION, SECTION_SIDES, type SectionField, type SectionSide, SIDE_WORDS } from './model'

/** A grease fitting turned or moved to another side. */
export function fitting(): RemedyFinder {
  return trial => {
    const turned =
      (id: string, side: SectionSide): Recipe =>
      draft => {
        const fitting = draft.section.protrusions.find(one => one.id === id)
        if (fitting) fitting.side = side
      }
    for (const { id, what, side: now } of trial.context.axis.section.protrusions) {
      if (what !== 'grease fitting') continue
      const side = SECTION_SIDES.find(one => one !== now && mends(trial, turned(id, one)))
      if (side)
        return [
          {
            change: turned(id, side),
            label: `Grease fitting ${SIDE_WORDS[side]}`,
            cost: 'turn the nut, or plug the hole and drill another',
          },
        ]
    }
    return []
  }
}

const COSTS: Partial<Record<SectionField, string>> = {
  bracketHeightMm: 'a lower bracket to make',
  bracketWidthMm: 'a narrower bracket to make',
  spacersMm: 'the slide stands higher: its load tips the carriages over a longer lever',
}

/** Higher spacers, or a bracket down to the size of the nut. */
export function section(field: SectionField): RemedyFinder {
  const { label, max } = SECTION.of[field]
  return trial => {
    const from = trial.context.axis.section[field]
    // What nobody has measured is not made smaller.
    if (from === null) return []
    return solve(trial, {
      from,
      to: field === 'spacersMm' ? max : 0,
      quantity: 'length',
      change: value => draft => {
        draft.section[field] = value
      },
      label,
      cost: COSTS[field] ?? '',
    })
  }
}
