import { calculation } from '../../../calculation/calculation'
import { radians, STEEL_E_MPA } from '../../../calculation/constants'
import { type EvaluationContext, remembered } from '../../../evaluation/context'
import { angle, force, length, plain, smallLength, stiffness, torque } from '../../../field/field'
import { locknutPitchMm } from '../../../machine/drive/ends'
import { bearingPairStiffness } from '../../../machine/sizing/bearing'

/**
 * How far a locknut turns, from where the play has just gone, to give a pair of bearings its preload.
 *
 * @example preloadByTurn({ preloadN: 1148, ballCount: 14, ballDiameterMm: 5.556, contactAngleDeg: 25, threadPitchMm: 0.75,
 *   clampStiffnessNPerUm: 897, handleMm: 204 }).turnDeg // 19.36
 */
export const preloadByTurn = calculation({
  id: 'fit.preloadByTurn',
  title: 'Turn of the locknut',
  formula: 's = 2 delta + Fpr / kc; turn = 360 s / (1000 P); h = turn pi / 180 r',
  source: 'Palmgren for the bearings, as bearing.pairStiffness; what is clamped gives as a spring',
  validity: 'A pair preloaded by the locknut alone, from where the play has just gone',
  inputs: {
    preloadN: force('preload', { over: 0 }, { symbol: 'Fpr' }),
    ballCount: plain('balls in one bearing', { min: 3 }, { symbol: 'Z', whole: true }),
    ballDiameterMm: length('ball diameter', { over: 0 }, { symbol: 'Dw' }),
    contactAngleDeg: angle('contact angle', { over: 0, max: 90 }, { symbol: 'a' }),
    threadPitchMm: length('pitch of the locknut', { over: 0 }, { symbol: 'P' }),
    clampStiffnessNPerUm: stiffness('stiffness of what is clamped', { over: 0 }, { symbol: 'kc' }),
    handleMm: length('length of the spanner', { over: 0 }, { symbol: 'r' }),
  },
  outputs: {
    squeezeUm: smallLength('squeeze', {}, { symbol: 's' }),
    turnDeg: angle('turn', {}, { symbol: 'turn' }),
    handleTravelMm: length('way of the end of the spanner', {}, { symbol: 'h' }),
  },
  compute({ threadPitchMm, clampStiffnessNPerUm, handleMm, ...pair }) {
    const { deflectionUm } = bearingPairStiffness(pair)
    const squeezeUm = 2 * deflectionUm + pair.preloadN / clampStiffnessNPerUm
    const turnDeg = (squeezeUm / 1000 / threadPitchMm) * 360
    return { squeezeUm, turnDeg, handleTravelMm: radians(turnDeg) * handleMm }
  },
})

/**
 * Torque on a locknut that gives a clamping force.
 *
 * @example locknutTorque({ preloadN: 562, threadMm: 25, pitchMm: 1.5, faceMeanDiameterMm: 32.6,
 *   frictionCoefficient: 0.1 }).torqueNm // 1.829
 */
export const locknutTorque = calculation({
  id: 'fit.locknutTorque',
  title: 'Torque of the locknut',
  formula: 'd2 = d - 0.6495 P; T = F (P / (2 pi) + 0.577 d2 mu + Dm mu / 2) / 1000',
  source: 'VDI 2230, with the face of the locknut',
  validity: 'Clean, lightly oiled; the set screw slack until it is set',
  inputs: {
    preloadN: force('clamping force', { over: 0 }, { symbol: 'F' }),
    threadMm: length('thread', { over: 0 }, { symbol: 'd' }),
    pitchMm: length('pitch', { over: 0 }, { symbol: 'P' }),
    faceMeanDiameterMm: length('mean diameter of its face', { over: 0 }, { symbol: 'Dm' }),
    frictionCoefficient: plain('friction', { over: 0, max: 1 }, { symbol: 'mu' }),
  },
  outputs: { torqueNm: torque('torque', {}, { symbol: 'T' }) },
  compute({ preloadN, threadMm, pitchMm, faceMeanDiameterMm, frictionCoefficient: mu }) {
    const leverMm =
      pitchMm / (2 * Math.PI) + 0.577 * (threadMm - 0.6495 * pitchMm) * mu + (faceMeanDiameterMm * mu) / 2
    return { torqueNm: (preloadN * leverMm) / 1000 }
  },
})

/** A hook spanner of the usual length. */
const SPANNER_MM = 150
const OILED_FRICTION = 0.12
/** Inner rings and sleeves stand about so much wider than the bore, and a locknut bears about so far out. */
const SLEEVE_SHARE = 1.4
const FACE_SHARE = 1.25
/** A matched set is clamped so many times as hard as its preload: it is ground to take just that then. */
const MATCHED = 3

/** The locknut of the fixed block: how far it turns where the bearings are a loose pair, how tight where they are matched. */
export const locknut = remembered((t: EvaluationContext) => {
  const { ballCount, ballDiameterMm, contactAngleDeg, preloadN, boreMm, blockLengthMm } = t.part('bearing')
  const pitchMm = locknutPitchMm(boreMm)
  const areaMm2 = (Math.PI / 4) * boreMm ** 2
  const sleeveMm2 = areaMm2 * (SLEEVE_SHARE ** 2 - 1)
  // Journal and sleeve one after the other, over the length of the block.
  const clampStiffnessNPerUm = STEEL_E_MPA / blockLengthMm / (1 / areaMm2 + 1 / sleeveMm2) / 1000
  const { squeezeUm, turnDeg, handleTravelMm } = t.figure('locknutTurn', preloadByTurn, {
    preloadN,
    ballCount,
    ballDiameterMm,
    contactAngleDeg,
    threadPitchMm: pitchMm,
    clampStiffnessNPerUm,
    handleMm: SPANNER_MM,
  })
  const torqueAt = (name: string, forceN: number) =>
    t.figure(name, locknutTorque, {
      preloadN: forceN,
      threadMm: boreMm,
      pitchMm,
      faceMeanDiameterMm: boreMm * FACE_SHARE,
      frictionCoefficient: OILED_FRICTION,
    }).torqueNm
  return {
    preloadN,
    squeezeUm,
    turnDeg,
    handleTravelMm,
    handleMm: SPANNER_MM,
    looseNm: torqueAt('locknutLoose', preloadN),
    matchedNm: torqueAt('locknutMatched', MATCHED * preloadN),
    thread: `M${boreMm} x ${pitchMm}`,
  }
})
