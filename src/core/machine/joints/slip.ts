import { calculation } from '../../calculation/calculation'
import { force, plain } from '../../field/field'

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
    count: plain('screws', { min: 1 }, { symbol: 'n', whole: true }),
    boltPreloadN: force('preload of a screw', { min: 0 }, { symbol: 'F' }),
    frictionCoefficient: plain(
      'friction of the faces',
      { over: 0, max: 1 },
      { symbol: 'mu', default: FACE_FRICTION },
    ),
    forceN: force('force across the joint', { over: 0 }, { symbol: 'Fx' }),
  },
  outputs: {
    gripN: force('what friction holds', {}, { symbol: 'G' }),
    safety: plain('times over', {}, { symbol: 'S' }),
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
