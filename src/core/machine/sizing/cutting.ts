import { calculation } from '../../calculation/calculation'
import { radians } from '../../calculation/constants'
import { number } from '../../calculation/spec'

const mainForceNPerMm2 = number('force per area for a chip of 1 mm by 1 mm', 'kc1.1', 'N/mm2', { over: 0 })
const chipExponent = number('how the force grows as the chip thins', 'mc', '1', { min: 0, below: 1 })
const actualForceNPerMm2 = number('force per area of this chip', 'kc', 'N/mm2', {})

/**
 * Force and power of a milling cut.
 *
 * @throws InputError for an input without meaning, such as a width of zero
 * @example milling({ specificForceNPerMm2: 1800, chipExponent: 0.25, feedPerToothMm: 0.024, teeth: 2,
 *   spindleRpm: 2872, toolDiameterMm: 8, depthMm: 3.3, widthMm: 6.9 }).tangentialForceN // 215.583
 */
export const milling = calculation({
  id: 'cutting.milling',
  title: 'Cutting force of a mill',
  formula:
    'r = min(1, ae / D); phi = acos(1 - 2 r); hm = 2 r fz / phi; kc = kc1.1 hm^-mc; vf = fz z n; P = ae ap vf kc / 60e6; Ft = 60000 P / vc; vc = pi D n / 1000',
  source: 'Kienzle, with the mean chip thickness over the arc of the cut',
  validity: 'A sharp tool; a worn one can take half as much again. Mean force: single teeth peak above it',
  inputs: {
    specificForceNPerMm2: mainForceNPerMm2,
    chipExponent,
    feedPerToothMm: number('feed per tooth', 'fz', 'mm', { over: 0 }),
    teeth: number('teeth', 'z', '1', { min: 1, integer: true }),
    spindleRpm: number('spindle speed', 'n', 'rpm', { over: 0 }),
    toolDiameterMm: number('tool diameter', 'D', 'mm', { over: 0 }),
    depthMm: number('depth of the cut along the tool', 'ap', 'mm', { over: 0 }),
    widthMm: number('width of the cut', 'ae', 'mm', { over: 0 }),
  },
  outputs: {
    meanChipMm: number('mean chip thickness', 'hm', 'mm', {}),
    specificForceNPerMm2: actualForceNPerMm2,
    feedMmPerMin: number('feed', 'vf', 'mm/min', {}),
    powerKw: number('power at the cutter', 'P', 'kW', {}),
    tangentialForceN: number('force along the cut', 'Ft', 'N', {}),
  },
  compute(inputs) {
    const { toolDiameterMm, spindleRpm, feedPerToothMm, depthMm, widthMm } = inputs
    const engaged = Math.min(1, widthMm / toolDiameterMm)
    const meanChipMm = (2 * engaged * feedPerToothMm) / Math.acos(1 - 2 * engaged)
    const specificForceNPerMm2 = inputs.specificForceNPerMm2 * meanChipMm ** -inputs.chipExponent
    const feedMmPerMin = feedPerToothMm * inputs.teeth * spindleRpm
    const powerKw = (widthMm * depthMm * feedMmPerMin * specificForceNPerMm2) / 60e6
    const cuttingSpeedMPerMin = (Math.PI * toolDiameterMm * spindleRpm) / 1000
    return {
      meanChipMm,
      specificForceNPerMm2,
      feedMmPerMin,
      powerKw,
      tangentialForceN: (60_000 * powerKw) / cuttingSpeedMPerMin,
    }
  },
})

/**
 * Thrust and torque of a drill.
 *
 * @example drilling({ specificForceNPerMm2: 700, chipExponent: 0.25, feedPerRevMm: 0.06, drillDiameterMm: 6.8,
 *   pointAngleDeg: 135 }).thrustN // 161.67
 */
export const drilling = calculation({
  id: 'cutting.drilling',
  title: 'Thrust and torque of a drill',
  formula:
    'h = f / 2 sin(k); kc = kc1.1 h^-mc; F = 0.5 kc (D / 2) f sin(k); T = kc f D^2 / 8000; k = half the point angle',
  source: 'Kienzle, two lips',
  validity: 'A sharp drill into the full material; the chisel edge of a large drill adds to the thrust',
  inputs: {
    specificForceNPerMm2: mainForceNPerMm2,
    chipExponent,
    feedPerRevMm: number('feed per turn', 'f', 'mm', { over: 0 }),
    drillDiameterMm: number('drill diameter', 'D', 'mm', { over: 0 }),
    pointAngleDeg: number('point angle', '2 k', 'deg', { over: 0, max: 180 }),
  },
  outputs: {
    specificForceNPerMm2: actualForceNPerMm2,
    thrustN: number('thrust along the drill', 'F', 'N', {}),
    torqueNm: number('torque', 'T', 'N m', {}),
  },
  compute(inputs) {
    const { feedPerRevMm, drillDiameterMm } = inputs
    const sine = Math.sin(radians(inputs.pointAngleDeg / 2))
    const specificForceNPerMm2 =
      inputs.specificForceNPerMm2 * ((feedPerRevMm / 2) * sine) ** -inputs.chipExponent
    return {
      specificForceNPerMm2,
      thrustN: 0.5 * specificForceNPerMm2 * (drillDiameterMm / 2) * feedPerRevMm * sine,
      torqueNm: (specificForceNPerMm2 * feedPerRevMm * drillDiameterMm ** 2) / 8000,
    }
  },
})

/**
 * Forces of a turning cut: of the tool along its feed, when it turns, faces or parts off.
 *
 * @example turning({ specificForceNPerMm2: 1800, chipExponent: 0.25, feedPerRevMm: 0.1, depthMm: 1,
 *   approachAngleDeg: 90 }).feedForceN // 160.045
 */
export const turning = calculation({
  id: 'cutting.turning',
  title: 'Forces of a turning tool',
  formula:
    'h = f sin(k); kc = kc1.1 h^-mc; Fc = kc ap f; along the feed Ff = 0.5 Fc sin(k); across it Fp = 0.5 Fc cos(k)',
  source: 'Kienzle; along and across, half of the main force, as handbooks have it',
  validity: 'A sharp tool with a small corner; a parting tool feeds at 90 degrees with its whole width',
  inputs: {
    specificForceNPerMm2: mainForceNPerMm2,
    chipExponent,
    feedPerRevMm: number('feed per turn', 'f', 'mm', { over: 0 }),
    depthMm: number('depth of the cut, or width of a parting tool', 'ap', 'mm', { over: 0 }),
    approachAngleDeg: number('angle between cutting edge and feed', 'k', 'deg', { over: 0, max: 90 }),
  },
  outputs: {
    specificForceNPerMm2: actualForceNPerMm2,
    mainForceN: number('main force, down on the tool', 'Fc', 'N', {}),
    feedForceN: number('force along the feed', 'Ff', 'N', {}),
    sideForceN: number('force across the feed', 'Fp', 'N', {}),
  },
  compute(inputs) {
    const { feedPerRevMm, depthMm } = inputs
    const angle = radians(inputs.approachAngleDeg)
    const specificForceNPerMm2 =
      inputs.specificForceNPerMm2 * (feedPerRevMm * Math.sin(angle)) ** -inputs.chipExponent
    const mainForceN = specificForceNPerMm2 * depthMm * feedPerRevMm
    return {
      specificForceNPerMm2,
      mainForceN,
      feedForceN: 0.5 * mainForceN * Math.sin(angle),
      sideForceN: 0.5 * mainForceN * Math.cos(angle),
    }
  },
})
