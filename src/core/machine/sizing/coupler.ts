import { calculation } from '../../calculation/calculation'
import { degrees } from '../../calculation/constants'
import { angle, length, plain, smallLength, torque } from '../../field/field'

/**
 * How far a coupler twists, and what that is at the slide.
 *
 * @example couplerWindup({ torqueNm: 6.11, torsionalStiffnessNmPerRad: 282, leadMm: 10 }).linearUm // 34.4836
 */
export const couplerWindup = calculation({
  id: 'coupler.windup',
  title: 'Twist of the coupler under torque',
  formula: 'theta = 180 T / (pi kt); s = 1000 Ph theta / 360',
  source: "Hooke's law in torsion",
  validity: 'Direct drive, one coupler between motor and screw',
  inputs: {
    torqueNm: torque('torque', {}, { symbol: 'T' }),
    torsionalStiffnessNmPerRad: plain('torsional stiffness', { over: 0 }, { symbol: 'kt', unit: 'N m/rad' }),
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
  },
  outputs: {
    windupDeg: angle('twist', {}, { symbol: 'theta' }),
    linearUm: smallLength('at the slide', {}, { symbol: 's' }),
  },
  compute({ torqueNm, torsionalStiffnessNmPerRad, leadMm }) {
    const twist = torqueNm / torsionalStiffnessNmPerRad
    return { windupDeg: degrees(twist), linearUm: ((leadMm * twist) / (2 * Math.PI)) * 1000 }
  },
})

const misalignment = (label: string, symbol: string, unit: string) =>
  plain(label, { min: 0 }, { symbol, unit })
const misalignmentLimit = (label: string, symbol: string, unit: string) =>
  plain(label, { over: 0 }, { symbol, unit })

/**
 * How much of what a coupler bears is used up by shafts that are out of line in several ways at once.
 *
 * @example couplerMisalignmentUse({ parallelMm: 0.104, angularDeg: 0.908, axialMm: 0.178, parallelLimitMm: 0.14,
 *   angularLimitDeg: 1.5, axialLimitMm: 0.7 }).use // 1.60248
 */
export const couplerMisalignmentUse = calculation({
  id: 'coupler.misalignmentUse',
  title: 'Use of the coupler by misalignment',
  formula: 'use = p / p_max + a / a_max + x / x_max',
  source: 'The shares of each limit add up, as coupler makers have it',
  validity: 'All three are there at once; each limit is for its kind alone',
  inputs: {
    parallelMm: misalignment('parallel offset', 'p', 'mm'),
    angularDeg: misalignment('angle', 'a', 'deg'),
    axialMm: misalignment('axial offset', 'x', 'mm'),
    parallelLimitMm: misalignmentLimit('most parallel offset', 'p_max', 'mm'),
    angularLimitDeg: misalignmentLimit('most angle', 'a_max', 'deg'),
    axialLimitMm: misalignmentLimit('most axial offset', 'x_max', 'mm'),
  },
  outputs: { use: plain('share of what it bears', {}, { symbol: 'use' }) },
  compute: inputs => ({
    use:
      inputs.parallelMm / inputs.parallelLimitMm +
      inputs.angularDeg / inputs.angularLimitDeg +
      inputs.axialMm / inputs.axialLimitMm,
  }),
})
