import type { Axis } from '../../document/axis'
import type { Zone } from '../../drawing/overlay'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { CAUTION, type Cut } from '../../machine/cut'
import { goal, lessRecess, part, recess } from '../../machine/remedies'
import { travel as travelLeft } from '../../machine/travel/placement'
import { RECESS_ENDS, RECESS_OF, type RecessEnd, recessAt } from '../../machine/travel/recess'
import { say } from '../../units/print'
import { defineSheet } from '../sheet'
import { TRAVEL_CHECKS } from './check'
import { LIMITS } from './limits'
import { RECESS_METAL } from './model'

/** Between the hard stops and where the nut turns back: room for soft limits and switches. */
const keptClear = ({ recesses }: Axis, spanMm: number): Zone[] =>
  [
    { fromMm: -recesses.recessFixedMm, toMm: recesses.safetyFixedMm - recesses.recessFixedMm },
    { fromMm: spanMm + recesses.recessFarMm - recesses.safetyFarMm, toMm: spanMm + recesses.recessFarMm },
  ].filter(({ fromMm, toMm }) => toMm > fromMm)

function recessCut(t: EvaluationContext, end: RecessEnd): Cut[] {
  if (t.axis.recesses[RECESS_OF[end]] <= 0) return []
  const recess = attempt(() => recessAt(t, end)).value
  if (!recess) return []
  const { depthMm, diameterMm, deepestMm, metalMm, wallAroundMm, wallToKeepMm } = recess
  return [
    {
      id: `recess-${end}`,
      what: `Recess for the nut at the ${end} end, about the screw axis`,
      tool: 'Boring head, or a hole saw and a boring bar',
      guide: 'The bore of the block: a pilot through it marks the axis',
      diameterMm,
      depthMm,
      wallLeftMm: metalMm === null ? wallAroundMm : Math.min(wallAroundMm, metalMm - depthMm),
      finish: 'rough',
      fit: depthMm <= deepestMm && wallAroundMm >= wallToKeepMm,
      cautions: [CAUTION.eyes, CAUTION.heavy, CAUTION.dust],
    },
  ]
}

/** What travel is left between the stops, and what brings it back. */
export const travel = defineSheet({
  id: 'travel',
  stage: 'room',
  title: 'Travel budget',
  fields: { recessMetal: RECESS_METAL },
  checks: TRAVEL_CHECKS,
  limits: LIMITS,
  remedies: {
    'room.travel': [recess('far'), recess('fixed'), part('screw'), goal('wantedTravelMm')],
    'recess.fixed': [lessRecess('fixed'), part('screw')],
    'recess.far': [lessRecess('far'), part('screw')],
  },
  overlay(context, { limits, spanMm }) {
    // What needs a missing part or dimension lays nothing down.
    const left = attempt(() => travelLeft(context)).value
    if (!limits || !left) return {}
    const length = (mm: number) => say(mm, 'length', context.units, 1)
    const zones = keptClear(context.axis, spanMm)
    const { recessFixedMm, recessFarMm } = context.axis.recesses
    const recesses = [
      { fromMm: -recessFixedMm, toMm: 0, mm: recessFixedMm },
      { fromMm: spanMm, toMm: spanMm + recessFarMm, mm: recessFarMm },
    ].filter(({ mm }) => mm > 0)
    return {
      marks: [
        {
          part: 'nut',
          state: context.finding('room.travel')?.state,
          text: `travel ${length(left.travelMm)}`,
        },
      ],
      spans: [
        {
          fromMm: limits.firstMm,
          toMm: limits.lastMm,
          tone: 'lamp',
          label: `the screw allows ${length(left.screwTravelMm)}`,
        },
        { fromMm: 0, toMm: spanMm, tone: 'ink', label: `between the blocks ${length(spanMm)}` },
        ...zones.map(zone => ({
          ...zone,
          tone: 'close' as const,
          label: `kept clear ${length(zone.toMm - zone.fromMm)}`,
        })),
        ...recesses.map(({ fromMm, toMm, mm }) => ({
          fromMm,
          toMm,
          tone: 'ink' as const,
          label: `recess ${length(mm)}`,
        })),
      ],
      zones,
    }
  },
  cuts: context => RECESS_ENDS.flatMap(end => recessCut(context, end)),
})
