import { InputError } from '../../calculation/inputError'
import type { Axis } from '../../document/axis'
import type { Catalogue, PartOf } from '../../document/parts/types'
import type { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'

import { travel } from '../../machine/travel/placement'

/** One way to lay out an axis along its screw, with what it keeps and what it costs in metal. */
export interface TravelWay {
  name: string
  travelMm: number
  /** Recesses in all. */
  cutMm: number
  /** How far a block is moved out. */
  movedMm: number
}

/** The same thread with the shortest nut and with the longest, where they are not the one in use. */
function otherNuts(screw: PartOf['screw'], catalogue: Catalogue): PartOf['screw'][] {
  const same = [...catalogue.screw.values()]
    .filter(
      one =>
        one.kind === screw.kind &&
        one.nominalDiameterMm === screw.nominalDiameterMm &&
        one.leadMm === screw.leadMm &&
        one.toleranceClass === screw.toleranceClass,
    )
    .toSorted((a, b) => a.nutBodyLengthMm - b.nutBodyLengthMm)
  const ends = [same[0], same.at(-1)].filter(
    one => one !== undefined && one.nutBodyLengthMm !== screw.nutBodyLengthMm,
  )
  return [...new Set(ends)] as PartOf['screw'][]
}

/**
 * Ways to lay out the axis: as it is, with a shorter or longer nut, without recesses, with the recess that brings all
 * travel back, and with a block moved out in its place.
 *
 * @throws NotKnown without a screw or its measured span
 */
export function compareTravel(t: EvaluationContext): TravelWay[] {
  const { wholeAxis: axis, catalogue } = t
  const screw = t.part('screw')
  const way = (name: string, one: Axis, movedMm = 0): TravelWay[] => {
    try {
      const { travelMm } = travel(t.with(one))
      return [{ name, travelMm, cutMm: one.recesses.recessFixedMm + one.recesses.recessFarMm, movedMm }]
    } catch (error) {
      if (error instanceof NotKnown || error instanceof InputError) return []
      throw error
    }
  }
  const bare = { ...axis, recesses: { ...axis.recesses, recessFixedMm: 0, recessFarMm: 0 } }
  const { recessNeededMm } = travel(t.with(bare))
  const span = axis.dimensions.supportSpanMm
  const moved: Axis = {
    ...bare,
    dimensions: {
      ...bare.dimensions,
      supportSpanMm: { ...span, value: t.dimension('supportSpanMm') + recessNeededMm },
    },
  }
  const hasRecess = axis.recesses.recessFixedMm + axis.recesses.recessFarMm > 0
  return [
    ...way('As it is', axis),
    ...otherNuts(screw, catalogue).flatMap(one =>
      way(one.name, { ...axis, parts: { ...axis.parts, screw: one.id } }),
    ),
    ...(hasRecess ? way('Without a recess', bare) : []),
    ...(recessNeededMm > 0
      ? [
          ...way('A recess that brings it all back', {
            ...bare,
            recesses: { ...bare.recesses, recessFarMm: recessNeededMm },
          }),
          ...way('A block moved out, no recess', moved, recessNeededMm),
        ]
      : []),
  ]
}
