import { calculation } from '../../calculation/calculation'
import { choice, flag, number } from '../../calculation/spec'
import { THREADS, type Thread, threadInput } from './thread'

const length = (label: string, symbol: string) => number(label, symbol, 'mm', { min: 0 })

export const TAPPED_MATERIALS = ['steel', 'cast-iron', 'aluminium'] as const
export type TappedMaterial = (typeof TAPPED_MATERIALS)[number]
const materialInput = choice('tapped material', TAPPED_MATERIALS)

/** Engagement that holds a screw, in diameters, and what the tapped thread bears in shear. */
const TAPPED: Record<TappedMaterial, { diameters: number; shearMpa: number }> = {
  steel: { diameters: 1, shearMpa: 250 },
  'cast-iron': { diameters: 1.25, shearMpa: 150 },
  aluminium: { diameters: 2, shearMpa: 120 },
}
export const PROPERTY_CLASSES = ['8.8', '10.9', '12.9', 'A2-70'] as const
export type PropertyClass = (typeof PROPERTY_CLASSES)[number]
const PROOF_MPA: Record<PropertyClass, number> = { '8.8': 640, '10.9': 940, '12.9': 1100, 'A2-70': 450 }

/** How much thread a nut in the slot of an extrusion has. */
export const SLOT_NUT_MM: Partial<Record<Thread, number>> = { M3: 3, M4: 4, M5: 5, M6: 6, M8: 8 }

/** Lengths that cap screws are sold in. */
export const STOCK_LENGTHS_MM = [
  6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100,
] as const

const JOINT = {
  thread: threadInput,
  material: materialInput,
  gripMm: length('grip', 'g'),
  washerMm: length('washer', 'w'),
  threadDepthMm: length('depth of the thread', 't'),
  blind: flag('whether the hole is blind'),
}

interface Joint {
  thread: Thread
  material: TappedMaterial
  gripMm: number
  washerMm: number
  threadDepthMm: number
  blind: boolean
}

/** A screw of a length in a joint. */
function engage({ thread, material, gripMm, washerMm, threadDepthMm, blind }: Joint, screwLengthMm: number) {
  const reachMm = screwLengthMm - gripMm - washerMm
  const engagementMm = Math.min(Math.max(reachMm, 0), threadDepthMm)
  const requiredMm = TAPPED[material].diameters * THREADS[thread].diameterMm
  const verdict =
    blind && reachMm > threadDepthMm
      ? ('bottoms-out' as const)
      : engagementMm < requiredMm
        ? ('short' as const)
        : ('ok' as const)
  return { engagementMm, requiredMm, verdict }
}

/**
 * How far a screw goes into its thread, and whether that holds.
 *
 * @example fastenerEngagement({ thread: 'M3', material: 'cast-iron', screwLengthMm: 12, gripMm: 5.9, washerMm: 1,
 *   threadDepthMm: 6.1, blind: false }) // { engagementMm: 5.1, requiredMm: 3.75, verdict: 'ok' }
 */
export const fastenerEngagement = calculation({
  id: 'fastener.engagement',
  title: 'Engagement of a screw',
  formula: 'reach = l - g - w; engagement = reach within 0 to t; blind: bottoms out where reach > t',
  source: 'Workshop rule: 1 d in steel, 1.25 d in cast iron, 2 d in aluminium',
  validity: 'Coarse threads, clean and whole',
  inputs: { ...JOINT, screwLengthMm: number('length of the screw', 'l', 'mm', { over: 0 }) },
  outputs: {
    engagementMm: length('engagement', 'le'),
    requiredMm: length('engagement needed', 'lr'),
    verdict: choice('verdict', ['ok', 'short', 'bottoms-out'] as const),
  },
  compute: ({ screwLengthMm, ...joint }) => engage(joint, screwLengthMm),
})

/**
 * The shortest screw that is sold and holds; none where no length does.
 *
 * @example fastenerChooseLength({ thread: 'M3', material: 'cast-iron', gripMm: 13.9, washerMm: 1,
 *   threadDepthMm: 12.7, blind: true }) // { screwLengthMm: 20 }
 */
export const fastenerChooseLength = calculation({
  id: 'fastener.chooseLength',
  title: 'Length of a screw',
  formula: 'the shortest length sold with enough engagement that does not bottom out',
  source: 'fastener.engagement over the lengths that are sold',
  validity: 'Cap screws from 6 to 100 mm',
  inputs: JOINT,
  outputs: { screwLengthMm: number('length to take', 'l', 'mm', { over: 0, orNone: true }) },
  compute: joint => ({
    screwLengthMm: STOCK_LENGTHS_MM.find(lengthMm => engage(joint, lengthMm).verdict === 'ok') ?? null,
  }),
})

/**
 * Torque for a screw, held to what the tapped thread bears.
 *
 * @example fastenerTorque({ thread: 'M4', propertyClass: 'A2-70', frictionCoefficient: 0.14, utilisation: 0.5,
 *   material: 'cast-iron', engagementMm: 4.4 }).torqueNm // 1.58
 */
export const fastenerTorque = calculation({
  id: 'fastener.torque',
  title: 'Torque of a screw',
  formula:
    'As = pi/4 (d - 0.9382 P)^2; F = min(u Rp As, 0.75 pi d le tau / 1.5); T = F (P / (2 pi) + 0.577 d2 mu + Dkm mu / 2)',
  source: 'VDI 2230, with the tapped thread held to 1.5 times',
  validity: 'Cap head on a clearance hole; friction as for the lubricant in use',
  inputs: {
    thread: threadInput,
    propertyClass: choice('property class', PROPERTY_CLASSES),
    frictionCoefficient: number('friction', 'mu', '1', { over: 0, max: 1 }),
    utilisation: number('share of the proof stress used', 'u', '1', { over: 0, max: 1 }),
    material: materialInput,
    engagementMm: number('engagement', 'le', 'mm', { over: 0 }),
  },
  outputs: {
    stressAreaMm2: number('stress area', 'As', 'mm2', { over: 0 }),
    preloadN: number('preload', 'F', 'N', { over: 0 }),
    torqueNm: number('torque', 'T', 'N m', { over: 0 }),
    limitedBy: choice('what limits it', ['screw', 'tapped-thread'] as const),
  },
  compute({ thread, propertyClass, frictionCoefficient: mu, utilisation, material, engagementMm }) {
    const { diameterMm: d, pitchMm, headMm, holeMm } = THREADS[thread]
    const stressAreaMm2 = (Math.PI / 4) * (d - 0.9382 * pitchMm) ** 2
    const screwN = utilisation * PROOF_MPA[propertyClass] * stressAreaMm2
    const threadN = (TAPPED[material].shearMpa * 0.75 * Math.PI * d * engagementMm) / 1.5
    const preloadN = Math.min(screwN, threadN)
    const pitchDiameterMm = d - 0.6495 * pitchMm
    const headFrictionMm = (headMm + holeMm) / 2
    const leverMm = pitchMm / (2 * Math.PI) + 0.577 * pitchDiameterMm * mu + (headFrictionMm * mu) / 2
    return {
      stressAreaMm2,
      preloadN,
      torqueNm: (preloadN * leverMm) / 1000,
      limitedBy: screwN <= threadN ? ('screw' as const) : ('tapped-thread' as const),
    }
  },
})
