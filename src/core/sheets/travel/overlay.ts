import type { Axis } from '../../document/axis'
import type { Zone } from '../../drawing/overlay'
import { attempt } from '../../evaluation/attempt'
import { travel as travelLeft } from '../../machine/travel/placement'
import { say } from '../../units/print'
import type { DrawOverlay } from '../sheet'

/** Between the hard stops and where the nut turns back: room for soft limits and switches. */
const keptClear = ({ recesses }: Axis, spanMm: number): Zone[] =>
  [
    { fromMm: -recesses.recessFixedMm, toMm: recesses.safetyFixedMm - recesses.recessFixedMm },
    { fromMm: spanMm + recesses.recessFarMm - recesses.safetyFarMm, toMm: spanMm + recesses.recessFarMm },
  ].filter(({ fromMm, toMm }) => toMm > fromMm)

/** What it lays on the drive line. */
export const travelOverlay: DrawOverlay = (context, { limits, spanMm }) => {
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
}
