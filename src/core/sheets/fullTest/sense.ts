import type { FullTest } from './model'

/** Which way the gauge of a test reads more, by what was noted and by what was lost. */
export type Sense =
  /** Noted, and what is lost does not speak against it. */
  | { is: 'known'; more: 'up' | 'down' }
  /** Not noted; by what is lost it reads more this way, unless the controller takes out more than is lost. */
  | { is: 'seems'; more: 'up' | 'down' }
  /** Noted one way, and what is lost says the other: noted wrongly, or more is taken out than is lost. */
  | { is: 'against'; more: 'up' | 'down' }
  | { is: 'unknown' }

/**
 * A slide always comes short: coming up it stands lower than coming down. A gauge that reads more coming up reads more as the
 * slide goes down.
 *
 * @param meanReversalUm mean of what was read coming up less coming down
 * @param expandedUm what that is uncertain by
 */
export function senseOf(
  { gaugeMore }: Pick<FullTest, 'gaugeMore'>,
  { meanReversalUm, expandedUm }: { meanReversalUm: number; expandedUm: number },
): Sense {
  const seems =
    Math.abs(meanReversalUm) <= expandedUm ? null : meanReversalUm < 0 ? ('up' as const) : ('down' as const)
  if (gaugeMore === null) return seems ? { is: 'seems', more: seems } : { is: 'unknown' }
  return { is: seems && seems !== gaugeMore ? 'against' : 'known', more: gaugeMore }
}
