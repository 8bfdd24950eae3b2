import { calculation } from '../../calculation/calculation'
import { degrees, radians } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { flag, number } from '../../calculation/spec'

const leadMm = number('lead', 'Ph', 'mm', { over: 0 })
const pitchDiameterMm = number('pitch or ball circle diameter', 'dm', 'mm', { over: 0 })
const torqueNm = number('torque', 'T', 'N m', {})

/** Lead angle in radians. */
const leadAngle = (leadMm: number, pitchDiameterMm: number) => Math.atan(leadMm / (Math.PI * pitchDiameterMm))

/**
 * How much of the work a screw passes on, driving and driven back.
 *
 * @throws InputError when friction is so high that the screw cannot be turned at all
 * @example screwEfficiency({ leadMm: 8, pitchDiameterMm: 9.1, frictionCoefficient: 0.145, flankAngleDeg: 14.5 }).forward // 0.62408
 */
export const screwEfficiency = calculation({
  id: 'screw.efficiency',
  title: 'Efficiency of the screw',
  formula:
    "phi = atan(Ph / (pi dm)); rho' = atan(mu / cos(beta)); forward = tan(phi) / tan(phi + rho'); backward = tan(phi - rho') / tan(phi), 0 when phi <= rho'",
  source: 'Inclined plane wrapped round a cylinder',
  validity: 'Ball screws: mu about 0.003 to 0.01, beta 0. Sliding screws: mu 0.1 to 0.2, beta 15 or 14.5 deg',
  inputs: {
    leadMm,
    pitchDiameterMm,
    frictionCoefficient: number('friction in the thread', 'mu', '1', { min: 0, below: 1 }),
    flankAngleDeg: number('flank angle', 'beta', 'deg', { min: 0, max: 45 }),
  },
  outputs: {
    forward: number('efficiency, motor drives load', 'eta', '1', {}),
    backward: number('efficiency, load drives motor', "eta'", '1', {}),
    leadAngleDeg: number('lead angle', 'phi', 'deg', {}),
    selfLocking: flag('the load cannot turn the screw'),
  },
  compute({ leadMm, pitchDiameterMm, frictionCoefficient, flankAngleDeg }) {
    const phi = leadAngle(leadMm, pitchDiameterMm)
    const rho = Math.atan(frictionCoefficient / Math.cos(radians(flankAngleDeg)))
    if (phi + rho >= Math.PI / 2)
      throw new InputError('frictionCoefficient', frictionCoefficient, 'less friction at so steep a lead')
    const selfLocking = phi <= rho
    return {
      forward: Math.tan(phi) / Math.tan(phi + rho),
      backward: selfLocking ? 0 : Math.tan(phi - rho) / Math.tan(phi),
      leadAngleDeg: degrees(phi),
      selfLocking,
    }
  },
})

/**
 * Torque on the screw that moves an axial force.
 *
 * @example driveTorque({ axialForceN: 3946, leadMm: 10, efficiency: 0.875 }).torqueNm // 7.17743
 */
export const driveTorque = calculation({
  id: 'screw.driveTorque',
  title: 'Torque to drive the screw',
  formula: 'T = F Ph / (2000 pi eta)',
  source: 'Work in equals work out, over one turn',
  validity: 'Preload drag is added apart',
  inputs: {
    axialForceN: number('axial force', 'F', 'N', {}),
    leadMm,
    efficiency: number('efficiency', 'eta', '1', { over: 0, max: 1 }),
  },
  outputs: { torqueNm },
  compute({ axialForceN, leadMm, efficiency }) {
    return { torqueNm: (axialForceN * leadMm) / (2000 * Math.PI * efficiency) }
  },
})

/**
 * Torque with which an axial force turns the screw back.
 *
 * @example backdriveTorque({ axialForceN: 622, leadMm: 10, backwardEfficiency: 0.217 }).torqueNm // 0.214818
 */
export const backdriveTorque = calculation({
  id: 'screw.backdriveTorque',
  title: 'Torque that the load puts back into the screw',
  formula: "T = F Ph eta' / (2000 pi)",
  source: 'Work in equals work out, over one turn',
  validity: 'Zero for a self-locking screw; vibration can still let one creep',
  inputs: {
    axialForceN: number('axial force', 'F', 'N', {}),
    leadMm,
    backwardEfficiency: number('backward efficiency', "eta'", '1', { min: 0, max: 1 }),
  },
  outputs: { torqueNm },
  compute({ axialForceN, leadMm, backwardEfficiency }) {
    return { torqueNm: (axialForceN * leadMm * backwardEfficiency) / (2000 * Math.PI) }
  },
})

/**
 * Drag that a nut's preload puts on the screw.
 *
 * @example preloadTorque({ preloadN: 600, leadMm: 4, pitchDiameterMm: 20.22 }).torqueNm // 0.0761092
 */
export const preloadTorque = calculation({
  id: 'screw.preloadTorque',
  title: 'Drag of the preload',
  formula: 'T = 0.05 tan(phi)^-0.5 Fpr Ph / (2000 pi)',
  source: 'JIS B 1192',
  validity: 'Lubricated ball nut; the drag of wipers is not in it',
  inputs: {
    preloadN: number('preload', 'Fpr', 'N', { min: 0 }),
    leadMm,
    pitchDiameterMm,
  },
  outputs: { torqueNm },
  compute({ preloadN, leadMm, pitchDiameterMm }) {
    const tangent = leadMm / (Math.PI * pitchDiameterMm)
    return { torqueNm: (0.05 * tangent ** -0.5 * preloadN * leadMm) / (2000 * Math.PI) }
  },
})
