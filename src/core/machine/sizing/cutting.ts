import { calculation } from '../../calculation/calculation'
import { radians } from '../../calculation/constants'
import { angle as angleField, force, length, plain, rotation, speed, torque } from '../../field/field'

const mainForceNPerMm2 = plain(
  'force per area for a chip of 1 mm by 1 mm',
  { over: 0 },
  { symbol: 'kc1.1', unit: 'N/mm2' },
)
const chipExponent = plain('how the force grows as the chip thins', { min: 0, below: 1 }, { symbol: 'mc' })
const actualForceNPerMm2 = plain('force per area of this chip', {}, { symbol: 'kc', unit: 'N/mm2' })

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
    feedPerToothMm: length('feed per tooth', { over: 0 }, { symbol: 'fz' }),
    teeth: plain('teeth', { min: 1 }, { symbol: 'z', whole: true }),
    spindleRpm: rotation('spindle speed', { over: 0 }, { symbol: 'n' }),
    toolDiameterMm: length('tool diameter', { over: 0 }, { symbol: 'D' }),
    depthMm: length('depth of the cut along the tool', { over: 0 }, { symbol: 'ap' }),
    widthMm: length('width of the cut', { over: 0 }, { symbol: 'ae' }),
  },
  outputs: {
    meanChipMm: length('mean chip thickness', {}, { symbol: 'hm' }),
    specificForceNPerMm2: actualForceNPerMm2,
    feedMmPerMin: speed('feed', {}, { symbol: 'vf' }),
    powerKw: plain('power at the cutter', {}, { symbol: 'P', unit: 'kW' }),
    tangentialForceN: force('force along the cut', {}, { symbol: 'Ft' }),
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
    feedPerRevMm: length('feed per turn', { over: 0 }, { symbol: 'f' }),
    drillDiameterMm: length('drill diameter', { over: 0 }, { symbol: 'D' }),
    pointAngleDeg: angleField('point angle', { over: 0, max: 180 }, { symbol: '2 k' }),
  },
  outputs: {
    specificForceNPerMm2: actualForceNPerMm2,
    thrustN: force('thrust along the drill', {}, { symbol: 'F' }),
    torqueNm: torque('torque', {}, { symbol: 'T' }),
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
    feedPerRevMm: length('feed per turn', { over: 0 }, { symbol: 'f' }),
    depthMm: length('depth of the cut, or width of a parting tool', { over: 0 }, { symbol: 'ap' }),
    approachAngleDeg: angleField(
      'angle between cutting edge and feed',
      { over: 0, max: 90 },
      { symbol: 'k' },
    ),
  },
  outputs: {
    specificForceNPerMm2: actualForceNPerMm2,
    mainForceN: force('main force, down on the tool', {}, { symbol: 'Fc' }),
    feedForceN: force('force along the feed', {}, { symbol: 'Ff' }),
    sideForceN: force('force across the feed', {}, { symbol: 'Fp' }),
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
