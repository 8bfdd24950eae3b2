import { ROOM, type RoomKey } from '../document/dimensions'
import { say } from '../units/print'
import { bearingStack } from './bearingBlock/calculation'
import type { Choice } from './choice'
import { type Lever, mends, solve } from './lever'
import { SECTION_FIELDS, type SectionField } from './making'
import { blockInputs } from './makingInputs'
import { SECTION_SIDES } from './nutRoom/calculation'
import { SIDE_WORDS } from './roomChecks'

/** The deepest recess worth offering in a casting of this size. */
const DEEPEST_RECESS_MM = 150

export function room(key: RoomKey): Lever {
  return bench =>
    solve(bench, {
      from: bench.axis.room[key],
      to: DEEPEST_RECESS_MM,
      quantity: ROOM[key].quantity,
      choice: value => ({ kind: 'room', room: key, value }),
      label: ROOM[key].label,
      cost: 'metal to cut: check the wall that is left',
    })
}

/** A grease fitting turned or moved to another side. */
export function fitting(): Lever {
  return bench => {
    const { protrusions } = bench.axis.making.section
    for (const [index, { what, side: now }] of protrusions.entries()) {
      if (what !== 'grease fitting') continue
      const side = SECTION_SIDES.find(
        one => one !== now && mends(bench, { kind: 'fitting', index, side: one }),
      )
      if (side)
        return [
          {
            choice: { kind: 'fitting', index, side },
            label: `Grease fitting ${SIDE_WORDS[side]}`,
            cost: 'turn the nut, or plug the hole and drill another',
          },
        ]
    }
    return []
  }
}

const SECTION_COSTS: Partial<Record<SectionField, string>> = {
  bracketHeightMm: 'a lower bracket to make',
  bracketWidthMm: 'a narrower bracket to make',
  spacersMm: 'the table stands higher: its load tips the carriages over a longer lever',
}

/** Higher spacers, or a bracket down to the size of the nut. */
export function section(field: SectionField): Lever {
  return bench => {
    const from = bench.axis.making.section[field]
    return solve(bench, {
      from,
      to: field === 'spacersMm' ? SECTION_FIELDS.spacersMm.max : 0,
      quantity: 'length',
      choice: value => ({ kind: 'section', field, value }),
      label: SECTION_FIELDS[field].label,
      cost: SECTION_COSTS[field] ?? '',
    })
  }
}

/** A spacer that lets the cover stand as proud as it should. */
export function spacer(): Lever {
  return bench => {
    const { block } = bench.axis.making
    if (!block) return []
    const outerSpacerMm = Math.round(bearingStack(blockInputs(block)).spacerForTargetMm * 1000) / 1000
    const choice: Choice = { kind: 'spacer', outerSpacerMm }
    if (outerSpacerMm < 0 || !mends(bench, choice)) return []
    const label = `Spacer of ${say(outerSpacerMm, 'length', bench.units)} between the outer rings`
    return [{ choice, label, cost: 'to turn and grind, both faces true to each other' }]
  }
}

/** Screws of the right length in every joint. */
export function screws(): Lever {
  return bench =>
    mends(bench, { kind: 'screws' })
      ? [{ choice: { kind: 'screws' }, label: 'Take screws of the right length', cost: 'screws to buy' }]
      : []
}
