import { calculation } from '../../calculation/calculation'
import { degrees, radians } from '../../calculation/constants'
import { InputError } from '../../calculation/inputError'
import { angle, flag, force, length, plain, torque } from '../../field/field'

const leadMm = length('lead', { over: 0 }, { symbol: 'Ph' })
const pitchDiameterMm = length('pitch or ball circle diameter', { over: 0 }, { symbol: 'dm' })
const torqueNm = torque('torque', {}, { symbol: 'T' })

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
    frictionCoefficient: plain('friction in the thread', { min: 0, below: 1 }, { symbol: 'mu' }),
    flankAngleDeg: angle('flank angle', [0, 45], { symbol: 'beta' }),
  },
  outputs: {
    forward: plain('efficiency, motor drives load', {}, { symbol: 'eta' }),
    backward: plain('efficiency, load drives motor', {}, { symbol: "eta'" }),
    leadAngleDeg: angle('lead angle', {}, { symbol: 'phi' }),
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
    axialForceN: force('axial force', {}, { symbol: 'F' }),
    leadMm,
    efficiency: plain('efficiency', { over: 0, max: 1 }, { symbol: 'eta' }),
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
    axialForceN: force('axial force', {}, { symbol: 'F' }),
    leadMm,
    backwardEfficiency: plain('backward efficiency', [0, 1], { symbol: "eta'" }),
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
    preloadN: force('preload', { min: 0 }, { symbol: 'Fpr' }),
    leadMm,
    pitchDiameterMm,
  },
  outputs: { torqueNm },
  compute({ preloadN, leadMm, pitchDiameterMm }) {
    const tangent = leadMm / (Math.PI * pitchDiameterMm)
    return { torqueNm: (0.05 * tangent ** -0.5 * preloadN * leadMm) / (2000 * Math.PI) }
  },
})
