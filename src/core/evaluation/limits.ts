import { OWN_LIMITS, type OwnLimits } from '../document/axis'
import type { QuantityKind } from '../units/quantity'
import type { LimitKey } from './ids'

/** Where a check stops to hold, and where being close ends; beyond that it fails. */
export interface Limits {
  sense: 'at-most' | 'at-least'
  holds: number
  close: number
}
/** What a check is held to, by the key under which a builder's own limits are kept. */
export interface LimitFacts<Key extends LimitKey = LimitKey> extends Limits {
  key: Key
  /** What is held to the limit, as a figure. */
  of: string
  quantity: QuantityKind
}

/** The limits of a sheet by their keys. */
export const defineLimits = <const T extends Partial<Record<LimitKey, Omit<LimitFacts, 'key'>>>>(facts: T) =>
  Object.fromEntries(Object.entries(facts).map(([key, one]) => [key, { ...one, key }])) as {
    readonly [K in keyof T & LimitKey]: LimitFacts<K>
  }

/**
 * Why the limits of a sheet are where they usually are. Apart from the limits, since they are read where one is looked at and
 * not at every key.
 */
export const defineReasons = <Key extends LimitKey>(reasons: Readonly<Record<Key, string>>) => reasons

/**
 * What is wrong with a pair of limits, in words; null when they can be used.
 *
 * @example limitsProblem(LIMITS['screw.buckling'], 0.9, 0.8) // { field: 'close', takes: 'a number not below the one at which it holds' }
 */
export function limitsProblem(
  { sense }: Pick<Limits, 'sense'>,
  holds: number,
  close: number,
): { field: 'holds' | 'close'; takes: string } | null {
  const { min, max } = OWN_LIMITS.of.holds
  const within = (value: number) => value >= min && value <= max
  const range = `a number from ${min} to ${max}`
  if (!within(holds)) return { field: 'holds', takes: range }
  if (!within(close)) return { field: 'close', takes: range }
  const atMost = sense === 'at-most'
  if (atMost ? close < holds : close > holds)
    return { field: 'close', takes: `a number not ${atMost ? 'below' : 'above'} the one at which it holds` }
  return null
}

/**
 * What a check is held to: the limits that the builder has set, or the usual ones.
 *
 * @param own those of `axis.limits[facts.key]`
 * @example limitsOf(undefined, LIMITS['screw.buckling']) // { sense: 'at-most', holds: 0.8, close: 1, … }
 */
export const limitsOf = (own: OwnLimits | undefined, facts: LimitFacts): Limits =>
  own ? { sense: facts.sense, holds: own.holds, close: own.close } : facts
