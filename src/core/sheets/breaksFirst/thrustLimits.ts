import { attempt } from '../../evaluation/attempt'
import type { Say } from '../../evaluation/check'
import { type EvaluationContext, remembered } from '../../evaluation/context'
import { cuttingSpeedRpm, forces, loadShare, topSpeedRpm } from '../../machine/drive/load'
import { drivenTorqueNm, motorAsSet } from '../../machine/drive/motorTorque'
import { powerLoss } from '../../machine/drive/stiffness'
import { bearingPullN, screwEnd, stall, strut } from '../../machine/drive/strength'
import { availableTorqueNm, dragNm, efficiency, preloadN } from '../../machine/drive/torque'
import { beltEfficiency, beltLoad, isBelted, ratio } from '../../machine/drive/transmission'
import { grips } from '../../machine/joints/grip'
import { movingPart } from '../../machine/movingPart'
import { stallThrust } from '../../machine/sizing/axis'
import { isSprung } from '../../machine/sizing/bearingRating'
import { OPENING_RATIO } from '../../machine/sizing/screwLife'

/** What happens where a limit is passed, mildest first. */
export const ENDINGS = {
  stops: 'the motor gives way',
  opens: 'play opens',
  slips: 'something slips',
  breaks: 'a part is damaged',
} as const
export type Ending = keyof typeof ENDINGS

/** One limit of an axis, as a push at the slide. */
export interface ThrustLimit {
  /** Where it is, and what happens there: "The coupler is turned beyond what it is rated for". */
  where: string
  what: string
  ending: Ending
  /** None while it cannot be worked out. */
  forceN: number | null
  /** What must be chosen or measured first. */
  ask: string | null
}

interface Limit {
  where: string
  what: string
  ending: Ending
  /** At the worst screw; null where there is no such limit. */
  forceN: (t: EvaluationContext) => number | null
}

/** A torque at the screw, as a push of its nut. */
const pushN = (t: EvaluationContext, screwTorqueNm: number): number =>
  stallThrust.compute({
    motorTorqueNm: Math.max(0, screwTorqueNm),
    ratio: 1,
    leadMm: t.part('screw').leadMm,
    efficiency: efficiency(t).forward,
  }).thrustN

/** What a torque of the motor pushes with, once the drags are overcome. */
const motorPushN = (t: EvaluationContext, motorTorqueNm: number): number =>
  pushN(t, motorTorqueNm * ratio(t) * beltEfficiency(t) - dragNm(t))

const without = (t: EvaluationContext, bearsN: number): number => Math.max(0, bearsN - bearingPullN(t))

/** All along the drive, from the motor to the slide. */
const LIMITS_ALONG: readonly Limit[] = [
  {
    where: 'Motor',
    what: 'cannot keep up at top speed',
    ending: 'stops',
    forceN: t => motorPushN(t, availableTorqueNm(t, topSpeedRpm(t) * ratio(t))),
  },
  {
    where: 'Motor',
    what: 'cannot keep up at the feed of the cut',
    ending: 'stops',
    forceN: t => motorPushN(t, availableTorqueNm(t, cuttingSpeedRpm(t) * ratio(t))),
  },
  {
    where: 'Motor',
    what: 'stalls, standing',
    ending: 'stops',
    forceN: t => stall(t).thrustN,
  },
  {
    where: 'Coupler',
    what: 'is turned beyond its rating',
    ending: 'breaks',
    forceN: t => {
      if (isBelted(t)) return null
      const { ratedTorqueNm, serviceFactor } = t.part('coupler')
      return pushN(t, ratedTorqueNm / serviceFactor)
    },
  },
  {
    where: 'Belt',
    what: 'is pulled beyond its rating and jumps teeth',
    ending: 'slips',
    forceN: t => {
      if (!isBelted(t)) return null
      const { ratedPullN, serviceFactor } = t.part('belt')
      const ofPull = ratedPullN / (beltLoad(t).effectivePullN * serviceFactor)
      return pushN(t, drivenTorqueNm(motorAsSet(t)) * ofPull * ratio(t))
    },
  },
  {
    where: 'End of the screw',
    what: 'is twisted beyond where it springs back',
    ending: 'breaks',
    forceN: t => {
      const { torqueNm, safety } = screwEnd(t)
      return safety === null ? null : pushN(t, torqueNm * safety)
    },
  },
  {
    where: 'Bearings',
    what: 'open',
    ending: 'opens',
    forceN: t => {
      const bearing = t.part('bearing')
      if (isSprung(bearing)) return bearingPullN(t) > 0 ? null : bearing.preloadN
      return bearing.axialPlayUm === 0 ? without(t, OPENING_RATIO * bearing.preloadN) : null
    },
  },
  {
    where: 'Bearings',
    what: 'are dented',
    ending: 'breaks',
    forceN: t => without(t, t.part('bearing').staticCapacityN),
  },
  {
    where: 'Screw',
    what: 'bends out',
    ending: 'breaks',
    forceN: t => strut(t).bucklingLoadN,
  },
  {
    where: 'Nut',
    what: 'opens',
    ending: 'opens',
    forceN: t => (preloadN(t) > 0 ? OPENING_RATIO * preloadN(t) : null),
  },
  {
    where: 'Nut',
    what: 'is dented',
    ending: 'breaks',
    forceN: t => t.part('screw').staticCapacityN,
  },
]

/** Where the joints stand on that way: at the blocks, then at the nut. */
function jointLimits(t: EvaluationContext): ThrustLimit[] {
  if (t.axis.joints.length === 0) return []
  const share = loadShare(t)
  const held = attempt(() => grips(t), t.units)
  if (!held.value) return [{ where: 'Joints', what: 'slip', ending: 'slips', forceN: null, ask: held.ask }]
  return held.value.map(({ joint, bearsN, by }) => ({
    where: joint.label,
    what: by === 'screws' ? 'is pulled open' : 'slips',
    ending: 'slips',
    forceN: (joint.holds === 'nut' || joint.holds === 'bracket' ? bearsN : without(t, bearsN)) / share,
    ask: null,
  }))
}

/**
 * Every limit of an axis as a push at the slide, all its screws together, from the motor to the slide.
 *
 * @returns limits that this drive has; what cannot be worked out yet comes with what it asks for
 */
export const thrustLimits = remembered((t: EvaluationContext): ThrustLimit[] => [
  ...LIMITS_ALONG.flatMap(({ where, what, ending, forceN }): ThrustLimit[] => {
    const worked = attempt(() => forceN(t), t.units)
    if (worked.ask !== undefined) return [{ where, what, ending, forceN: null, ask: worked.ask }]
    return worked.value === null
      ? []
      : [{ where, what, ending, forceN: worked.value / loadShare(t), ask: null }]
  }),
  ...jointLimits(t),
])

/** What the limits are held against: the largest push of the work, and what hangs on the drive without power. */
export function pushesOn(t: EvaluationContext): { what: string; forceN: number }[] {
  const share = loadShare(t)
  const upright = t.dimension('inclineDeg') > 0
  return [
    { what: 'Largest push of the work', forceN: forces(t).maxN / share },
    ...(upright
      ? [{ what: `Weight of the ${movingPart(t.axis)} along it`, forceN: Math.abs(forces(t).holdN) / share }]
      : []),
  ]
}

/** What detent, drag and brake hold at the slide without power, the ways left out; null on a level axis, or where the screw locks. */
export const heldWithoutPowerN = (t: EvaluationContext): number | null => {
  const { backward } = efficiency(t)
  if (t.dimension('inclineDeg') === 0 || backward === 0) return null
  const { holdingTorqueNm } = powerLoss(t)
  const { leadMm } = t.part('screw')
  return (2000 * Math.PI * holdingTorqueNm * ratio(t)) / (leadMm * backward) / loadShare(t)
}

/** The push of a motor that stalls, standing; null while it is not known. */
export const stallN = (limits: readonly ThrustLimit[]): number | null =>
  limits.find(({ where, what }) => where === 'Motor' && what.startsWith('stalls'))?.forceN ?? null

/**
 * What gives first when the slide runs into something and the motor does all it can, and what it takes with it.
 *
 * @returns sentences; none while motor or screw are not chosen
 */
export function crashWords(t: EvaluationContext, say: Say): string[] {
  const limits = thrustLimits(t)
  const known = limits.flatMap(one => (one.forceN === null ? [] : [{ ...one, forceN: one.forceN }]))
  const mostN = stallN(limits)
  if (mostN === null) return []
  const before = known
    .filter(({ ending, forceN }) => (ending === 'breaks' || ending === 'slips') && forceN < mostN)
    .toSorted((a, b) => a.forceN - b.forceN)
  const [first, ...others] = before
  const lower = (one: ThrustLimit) => `${one.where.charAt(0).toLowerCase()}${one.where.slice(1)} ${one.what}`
  const harm = first
    ? `In a slow crash the ${lower(first)} at ${say(first.forceN, 'force')}, before the motor stalls at ${say(mostN, 'force')}.${
        others.length > 0
          ? ` So does what comes next: ${others.map(one => `the ${lower(one)} at ${say(one.forceN, 'force')}`).join(', ')}.`
          : ''
      }`
    : `In a slow crash the motor stalls at ${say(mostN, 'force')} before anything slips or breaks.`
  const unknown = limits.filter(({ forceN }) => forceN === null)
  return [
    harm,
    ...(unknown.length > 0
      ? [`Not known yet, and so not in this: ${unknown.map(({ where }) => where.toLowerCase()).join(', ')}.`]
      : []),
    'A fast crash pushes harder than a slow one: the mass that moves and what turns with the motor come on top.',
  ]
}
