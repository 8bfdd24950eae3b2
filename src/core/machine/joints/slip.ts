import { calculation } from '../../calculation/calculation'
import { number } from '../../calculation/spec'

/** Friction of a dry, clean joint of steel on cast iron or aluminium. */
export const FACE_FRICTION = 0.15

/**
 * Whether a bolted joint holds a force across its face by friction.
 *
 * @example jointSlip({ count: 4, boltPreloadN: 6259, frictionCoefficient: 0.15, forceN: 6975 }).safety // 0.538408
 */
export const jointSlip = calculation({
  id: 'joint.slip',
  title: 'Grip of a bolted joint',
  formula: 'G = n F mu; S = G / Fx',
  source: 'Coulomb friction between the faces',
  validity: 'Faces clean and dry; all screws at the same preload; dowels, steps and keys left out',
  inputs: {
    count: number('screws', 'n', '1', { min: 1, integer: true }),
    boltPreloadN: number('preload of a screw', 'F', 'N', { min: 0 }),
    frictionCoefficient: number('friction of the faces', 'mu', '1', {
      over: 0,
      max: 1,
      default: FACE_FRICTION,
    }),
    forceN: number('force across the joint', 'Fx', 'N', { over: 0 }),
  },
  outputs: {
    gripN: number('what friction holds', 'G', 'N', {}),
    safety: number('times over', 'S', '1', {}),
  },
  compute({ count, boltPreloadN, frictionCoefficient = FACE_FRICTION, forceN }) {
    const gripN = count * boltPreloadN * frictionCoefficient
    return { gripN, safety: gripN / forceN }
  },
})

/** Dowels of hardened steel bear so much across themselves in cast iron, with little wear of their holes. */
const DOWEL_SHEAR_MPA = 200
/** Two of them place a part. */
export const DOWELS = 2

/** What two dowels as thick as a screw bear across themselves. @example dowelsBearN(6) // 11310 */
export const dowelsBearN = (diameterMm: number): number =>
  DOWELS * (Math.PI / 4) * diameterMm ** 2 * DOWEL_SHEAR_MPA
