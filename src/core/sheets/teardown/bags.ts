import type { Axis } from '../../document/axis'
import { bagName, thingsOf } from '../shared/steps/bags'

/** A thing that came off, with what is known of it: planned ones and the builder's own alike. */
export interface Bagged {
  /** Of a planned thing its id in the plan, of the builder's own that of its row. */
  id: string
  isOwn: boolean
  bag: number
  what: string
  from: string
  count: number | null
  foundCount: number | null
  backAt: string | null
}

/** Everything that came off an axis, bag by bag. */
export const baggedOf = (axis: Axis): Bagged[] =>
  [
    ...thingsOf(axis).map(
      (thing): Bagged => ({
        ...thing,
        isOwn: false,
        count: axis.bagged[thing.id]?.count ?? null,
        foundCount: axis.bagged[thing.id]?.foundCount ?? null,
      }),
    ),
    ...axis.ownBagged.map((row): Bagged => ({ ...row, isOwn: true, backAt: null })),
  ].toSorted((a, b) => a.bag - b.bag)

/** A bag with what is in it. */
export interface Bag {
  name: string
  things: Bagged[]
}

/** The bags of an axis, in order. */
export function bagsOf(axis: Axis): Bag[] {
  const bags = new Map<number, Bagged[]>()
  for (const thing of baggedOf(axis)) bags.set(thing.bag, [...(bags.get(thing.bag) ?? []), thing])
  return [...bags].map(([bag, things]) => ({ name: bagName(axis, bag), things }))
}

/**
 * What is missing: fewer were found in a bag than went into it.
 *
 * @example missingOf({ ...axis, bagged: { 'gib-screws': { count: 4, foundCount: 3 } } }) // ['X3: 1 of 4 gib screws missing']
 */
export const missingOf = (axis: Axis): string[] =>
  baggedOf(axis).flatMap(({ bag, what, count, foundCount }) =>
    count !== null && foundCount !== null && foundCount < count
      ? [`${bagName(axis, bag)}: ${count - foundCount} of ${count} ${what.toLowerCase()} missing`]
      : [],
  )

/** Things that an assembly step has taken out of their bags without anybody counting them. */
export const uncounted = (axis: Axis): string[] =>
  baggedOf(axis).flatMap(({ bag, what, backAt, count, foundCount }) =>
    backAt && axis.ticks[backAt] && count !== null && foundCount === null
      ? [`${bagName(axis, bag)}: ${what.toLowerCase()}`]
      : [],
  )
