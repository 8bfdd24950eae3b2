import type { EvaluationContext } from '../../../evaluation/context'
import { MOST_PRELOAD_SHARE } from '../../../machine/commonRemedies'

/** So much more at a time, so that what it does is seen before more is given. */
const MORE_PRELOAD = 1.3

/** A way to give a nut its preload back. */
export type NutChoice =
  | { kind: 'preload'; fromN: number; toN: number }
  | { kind: 'part'; id: string; name: string; fromPlayUm: number; toPlayUm: number }

/**
 * What can be chosen against play in the nut: more preload where it has some and can bear more, and the cheapest nut of the
 * same screw with less play.
 *
 * @throws NotKnown while no screw is chosen
 */
export function nutChoices(t: EvaluationContext): NutChoice[] {
  const screw = t.part('screw')
  const nowN = t.axis.preloadN ?? screw.preloadN
  const mostN = MOST_PRELOAD_SHARE * (screw.dynamicCapacityN ?? 0)
  const toN = Math.round(Math.min(nowN * MORE_PRELOAD, mostN))
  const others = [...t.catalogue.screw.values()]
    .filter(
      one =>
        one.kind === screw.kind &&
        one.nominalDiameterMm === screw.nominalDiameterMm &&
        one.leadMm === screw.leadMm &&
        one.nutPlayUm < screw.nutPlayUm,
    )
    .toSorted((a, b) => a.priceEur - b.priceEur)
  return [
    ...(screw.preloadN > 0 && toN > nowN ? [{ kind: 'preload' as const, fromN: nowN, toN }] : []),
    ...others.slice(0, 1).map(({ id, name, nutPlayUm }) => ({
      kind: 'part' as const,
      id,
      name,
      fromPlayUm: screw.nutPlayUm,
      toPlayUm: nutPlayUm,
    })),
  ]
}
