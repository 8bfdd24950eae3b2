import { calculation } from '../calculation'
import { degrees } from '../constants'
import { number } from '../spec'

/**
 * How far a coupler twists, and what that is at the table.
 *
 * @example couplerWindup({ torqueNm: 6.11, torsionalStiffnessNmPerRad: 282, leadMm: 10 }).linearUm // 34.4836
 */
export const couplerWindup = calculation({
  id: 'coupler.windup',
  title: 'Wind-up of the coupler',
  formula: 'theta = T / kt; s = Ph theta / (2 pi)',
  source: "Hooke's law in torsion",
  validity: 'Direct drive, one coupler between motor and screw',
  inputs: {
    torqueNm: number('torque', 'T', 'N m', {}),
    torsionalStiffnessNmPerRad: number('torsional stiffness', 'kt', 'N m/rad', { over: 0 }),
    leadMm: number('lead', 'Ph', 'mm', { over: 0 }),
  },
  outputs: {
    windupDeg: number('twist', 'theta', 'deg', {}),
    linearUm: number('at the table', 's', 'um', {}),
  },
  compute({ torqueNm, torsionalStiffnessNmPerRad, leadMm }) {
    const twist = torqueNm / torsionalStiffnessNmPerRad
    return { windupDeg: degrees(twist), linearUm: ((leadMm * twist) / (2 * Math.PI)) * 1000 }
  },
})
