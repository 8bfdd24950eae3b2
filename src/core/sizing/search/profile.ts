import { MOST_MARGIN } from '../../verdicts/finding'
import { type Demand, FAILS, HOLDS } from './demand'
import type { BearingLevel, ScrewLevel } from './levels'
import type { Pair, Torques } from './pairs'

/** A pair as one screw meets it: all that still rests on the bearings is linear in their drag and length. */
export interface Profile {
  pair: Pair
  priceEur: number
  topNm: number
  cuttingNm: number
  /** Least margin of what rests on neither bearings nor ends. */
  fixedMargin: number
  linkLostUm: number
  /** Lag is `lagUm` times the arc sine of friction torque times `lagPerNm`. */
  lagUm: number
  lagPerNm: number
  thrustN: number
  /** Torque in hand while speeding up, at the corners of drag and length that the bearings span. */
  speedingLightShort: number
  speedingLightLong: number
  speedingHeavyShort: number
  speedingHeavyLong: number
  cuttingLight: number
  cuttingHeavy: number
  handFails: number
  inertiaShort: number
  inertiaLong: number
  rimNm: number
  /** The most margin and the least lost motion that any of the bearings leave it, without what they lose themselves. */
  mostMargin: number
  leastLostUm: number
}

/** What the bearings of a field span. */
export interface BearingSpan {
  leastDragNm: number
  mostDragNm: number
  leastBlockMm: number
  mostBlockMm: number
  leastStaticN: number
  mostStaticN: number
}

export function bearingSpan(bearings: BearingLevel[]): BearingSpan {
  const all = (of: (bearing: BearingLevel) => number) => bearings.map(of)
  const drags = all(({ part }) => part.dragTorqueNm)
  const blocks = all(({ part }) => part.blockLengthMm)
  return {
    leastDragNm: Math.min(...drags),
    mostDragNm: Math.max(...drags),
    leastBlockMm: Math.min(...blocks),
    mostBlockMm: Math.max(...blocks),
    leastStaticN: Math.min(...all(({ part }) => part.staticCapacityN)),
    mostStaticN: Math.max(...all(({ part }) => part.staticCapacityN)),
  }
}

/** A pair as a screw meets it, or null where it fails with whatever bearings. */
export function profile(
  demand: Demand,
  screw: ScrewLevel,
  pair: Pair,
  torques: Torques,
  span: BearingSpan,
): Profile | null {
  const { link, motor } = pair
  const { part } = motor
  const { ratio } = link
  const { leadMm } = screw.part
  const open = part.loop === 'open'
  const { topNm, cuttingNm } = torques.of(motor, ratio)
  const holds = open ? HOLDS.open : HOLDS.closed
  const handFails = open ? FAILS.open : FAILS.closed
  const atMotor = ratio * link.efficiency
  const lightNm = screw.preloadDragNm + span.leastDragNm
  const heavyNm = screw.preloadDragNm + span.mostDragNm
  const cuttingLight = cuttingNm / ((screw.cuttingNm + lightNm) / atMotor) / holds
  if (cuttingLight < handFails) return null
  const stepUm = (leadMm * 1000) / (part.fullStepsPerRev * ratio)
  const step = open ? HOLDS.step / (stepUm / demand.accuracyUm) : MOST_MARGIN
  if (step < FAILS.step) return null
  const hubMm = demand.spanMm + link.hubMm
  const short = link.screwInertiaKgM2 + screw.inertiaPerMmKgM2 * (hubMm + 1.5 * span.leastBlockMm)
  const long = link.screwInertiaKgM2 + screw.inertiaPerMmKgM2 * (hubMm + 1.5 * span.mostBlockMm)
  const shortKgM2 = link.motorInertiaKgM2 + short / ratio ** 2
  const longKgM2 = link.motorInertiaKgM2 + long / ratio ** 2
  const tableKgM2 = (demand.loadMassKg * (leadMm / (2000 * Math.PI)) ** 2) / ratio ** 2
  const inertiaShort = HOLDS.inertia / ((shortKgM2 + tableKgM2) / part.rotorInertiaKgM2)
  if (inertiaShort < FAILS.inertia) return null
  const alpha = (demand.accelerationMmPerS2 * 2 * Math.PI * ratio) / leadMm
  const light = (screw.acceleratingNm + lightNm) / atMotor
  const heavy = (screw.acceleratingNm + heavyNm) / atMotor
  const shortNm = (shortKgM2 + part.rotorInertiaKgM2) * alpha
  const longNm = (longKgM2 + part.rotorInertiaKgM2) * alpha
  const speedingLightShort = topNm / (light + shortNm) / holds
  if (speedingLightShort < handFails) return null
  const fixedMargin = Math.min(pair.bears, link.margin, step)
  const linkLostUm =
    link.playUmPerLeadMm * leadMm +
    2 * demand.frictionN * (screw.linkUmNmPerNRad / link.torsionalStiffnessNmPerRad)
  const lagUm = open ? ((leadMm * 1000) / (Math.PI * ratio)) * (4 / part.fullStepsPerRev) : 0
  const lagPerNm = open ? 1 / (atMotor * part.holdingTorqueNm) : 0
  const thrustN = (2000 * Math.PI * part.holdingTorqueNm * ratio * screw.forwardEfficiency) / leadMm
  const stall = HOLDS.stall / (thrustN / Math.min(screw.part.staticCapacityN, span.mostStaticN))
  if (stall < FAILS.stall) return null
  const leastLag = Math.min(1, (screw.frictionNm + lightNm) * lagPerNm)
  return {
    pair,
    priceEur: pair.priceEur,
    topNm,
    cuttingNm,
    fixedMargin,
    linkLostUm,
    lagUm,
    lagPerNm,
    mostMargin: Math.min(fixedMargin, speedingLightShort, cuttingLight, inertiaShort, stall),
    leastLostUm: linkLostUm + lagUm * Math.asin(leastLag),
    thrustN,
    speedingLightShort,
    speedingLightLong: topNm / (light + longNm) / holds,
    speedingHeavyShort: topNm / (heavy + shortNm) / holds,
    speedingHeavyLong: topNm / (heavy + longNm) / holds,
    cuttingLight,
    cuttingHeavy: cuttingNm / ((screw.cuttingNm + heavyNm) / atMotor) / holds,
    handFails,
    inertiaShort,
    inertiaLong: HOLDS.inertia / ((longKgM2 + tableKgM2) / part.rotorInertiaKgM2),
    rimNm: part.detentTorqueNm * ratio,
  }
}

/**
 * Whether one pair does at least as well as a dearer one, whatever bearings stand beside it: no worse at
 * every corner, or with so much in hand that another check limits the drive anyway.
 *
 * @param cap the screw's own margin: nothing with it has more
 */
function outdoes(demand: Demand, a: Profile, b: Profile, cap: number, leastStallN: number): boolean {
  if (a.linkLostUm > b.linkLostUm) return false
  if (a.lagPerNm > b.lagPerNm || a.lagPerNm * a.lagUm > b.lagPerNm * b.lagUm) return false
  if (a.fixedMargin < b.fixedMargin && a.fixedMargin < cap) return false
  const handEnough = Math.max(cap, a.handFails)
  if (
    a.speedingHeavyLong < handEnough &&
    (a.speedingHeavyLong < b.speedingHeavyLong ||
      a.speedingLightShort < b.speedingLightShort ||
      a.speedingLightLong < b.speedingLightLong ||
      a.speedingHeavyShort < b.speedingHeavyShort)
  )
    return false
  if (a.cuttingHeavy < handEnough && (a.cuttingHeavy < b.cuttingHeavy || a.cuttingLight < b.cuttingLight))
    return false
  if (
    a.inertiaLong < Math.max(cap, FAILS.inertia) &&
    (a.inertiaLong < b.inertiaLong || a.inertiaShort < b.inertiaShort)
  )
    return false
  if (a.thrustN > b.thrustN && HOLDS.stall / (a.thrustN / leastStallN) < Math.max(cap, FAILS.stall))
    return false
  if (a.pair.shaftLoadN > b.pair.shaftLoadN) return false
  if (demand.handwheelRadiusMm !== null && a.rimNm > b.rimNm) return false
  return demand.inclineDeg === 0 || a.rimNm >= b.rimNm
}

/**
 * The pairs that are worth trying with a screw on bearings of one seat: each is better than every cheaper one
 * beside some of the bearings.
 *
 * @param held the screw with each way to hold its ends
 * @param profiles of the pairs whose bores take the seat, cheapest first
 */
export function worthTrying(
  demand: Demand,
  held: ScrewLevel[],
  profiles: Profile[],
  span: BearingSpan,
): Profile[] {
  const kept: Profile[] = []
  const cap = Math.max(...held.map(({ margin }) => margin))
  const [screw] = held as [ScrewLevel]
  const leastStallN = Math.min(
    screw.part.staticCapacityN,
    span.leastStaticN,
    ...held.map(({ strutN }) => strutN),
  )
  for (const one of profiles) {
    let worse = false
    for (let i = 0; i < kept.length && !worse; i++) {
      const before = kept[i] as Profile
      if (before.priceEur >= one.priceEur || !outdoes(demand, before, one, cap, leastStallN)) continue
      worse = true
      // What beat one pair will beat the next: it is asked first.
      kept.copyWithin(1, 0, i)
      kept[0] = before
    }
    if (!worse) kept.push(one)
  }
  return kept.toSorted((a, b) => a.priceEur - b.priceEur)
}
