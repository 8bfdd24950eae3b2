import { groupBy, omit } from 'es-toolkit'
import type { PartKind } from '../document/kinds'
import type { PartOf } from '../document/parts/types'

/** What two parts may differ in and still do the same in a drive. */
const BESIDES = ['id', 'name', 'maker', 'priceEur', 'massKg', 'leadDays', 'stock'] as const

/**
 * Parts without those that another of the very same figures does for less money: the same thing from a dearer supplier is in no
 * drive that nothing beats.
 *
 * @param anyMass whether it does not matter how heavy they are; else a dearer one stays where it is lighter
 * @param stays asked of a part that is not to be left out
 * @example withoutDearerTwins([bearing, { ...bearing, id: 'b', priceEur: bearing.priceEur + 1 }], true, () => false) // [bearing]
 */
export function withoutDearerTwins<K extends PartKind>(
  parts: readonly PartOf[K][],
  anyMass: boolean,
  stays: (part: PartOf[K]) => boolean,
): PartOf[K][] {
  const twins = groupBy(parts, part => JSON.stringify(omit(part as PartOf[PartKind], [...BESIDES])))
  const massOf = ({ massKg }: PartOf[PartKind]) => massKg ?? Number.POSITIVE_INFINITY
  const kept = new Set(
    Object.values(twins).flatMap(alike =>
      alike.length === 1
        ? alike
        : alike.filter(
            part =>
              stays(part) ||
              !alike.some(one => one.priceEur < part.priceEur && (anyMass || massOf(one) <= massOf(part))),
          ),
    ),
  )
  return parts.filter(part => kept.has(part))
}
