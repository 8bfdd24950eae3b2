import { calculation } from '../../calculation/calculation'
import { TOLERANCE_MM } from '../../calculation/constants'
import { choice, flag, force, length as lengthField, plain, torque } from '../../field/field'
import { MM_PER_INCH } from '../../units/quantity'
import { PROPERTY_CLASSES, type PropertyClass, TAPPED_MATERIALS, type TappedMaterial } from './model'
import { threadInput } from './thread'
import { isUnified, THREADS, type Thread } from './threadTable'

const length = (label: string, symbol: string) => lengthField(label, { min: 0 }, { symbol })

const materialInput = choice('tapped material', TAPPED_MATERIALS)

/** Engagement that holds a screw, in diameters, and what the tapped thread bears in shear. */
const TAPPED: Record<TappedMaterial, { diameters: number; shearMpa: number }> = {
  steel: { diameters: 1, shearMpa: 250 },
  'cast-iron': { diameters: 1.25, shearMpa: 150 },
  aluminium: { diameters: 2, shearMpa: 120 },
}
/** ISO 898-1 and ISO 3506; SAE J429: 85,000 and 120,000 psi. */
const PROOF_MPA: Record<PropertyClass, number> = {
  '8.8': 640,
  '10.9': 940,
  '12.9': 1100,
  'A2-70': 450,
  'Grade 5': 586,
  'Grade 8': 827,
}

/** How much thread a nut in the slot of an extrusion has. */
export const SLOT_NUT_MM: Partial<Record<Thread, number>> = { M3: 3, M4: 4, M5: 5, M6: 6, M8: 8 }

const STOCK_LENGTHS_MM = [6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 90, 100]
const STOCK_LENGTHS_IN = [
  0.25, 0.375, 0.5, 0.625, 0.75, 0.875, 1, 1.25, 1.5, 1.75, 2, 2.25, 2.5, 2.75, 3, 3.5, 4,
]
const UNIFIED_LENGTHS_MM = STOCK_LENGTHS_IN.map(inches => inches * MM_PER_INCH)
/** Lengths that cap screws of a thread are sold in. */
export const stockLengthsMm = (thread: Thread): readonly number[] =>
  isUnified(thread) ? UNIFIED_LENGTHS_MM : STOCK_LENGTHS_MM

/** The longest screw of a thread that is sold. */
export const longestStockMm = (thread: Thread): number => stockLengthsMm(thread).at(-1) as number

/**
 * A length of a screw as it is sold: in millimetres, or for a unified thread in eighths and quarters of an inch.
 *
 * @example stockLengthWords('1/4-20 UNC', 31.75) // '1-1/4 in'
 */
export function stockLengthWords(thread: Thread, lengthMm: number): string {
  if (!isUnified(thread)) return `${lengthMm} mm`
  const eighths = Math.round((lengthMm / MM_PER_INCH) * 8)
  const whole = Math.floor(eighths / 8)
  const rest = eighths - 8 * whole
  const size = rest % 4 === 0 ? [rest / 4, 2] : rest % 2 === 0 ? [rest / 2, 4] : [rest, 8]
  const fraction = rest === 0 ? '' : `${size[0]}/${size[1]}`
  return `${[whole > 0 || !fraction ? `${whole}` : '', fraction].filter(Boolean).join('-')} in`
}

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
  const { diameterMm, pitchMm } = THREADS[thread]
  const reachMm = screwLengthMm - gripMm - washerMm
  const engagementMm = Math.min(Math.max(reachMm, 0), threadDepthMm)
  const requiredMm = TAPPED[material].diameters * diameterMm
  const verdict =
    // In a blind hole a turn of air stays under the tip.
    blind && reachMm > threadDepthMm - pitchMm + TOLERANCE_MM
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
  formula: 'reach = l - g - w; engagement = reach within 0 to t; blind: bottoms out where reach > t - P',
  source: 'Workshop rule: 1 d in steel, 1.25 d in cast iron, 2 d in aluminium',
  validity: 'Coarse threads, clean and whole',
  inputs: { ...JOINT, screwLengthMm: lengthField('length of the screw', { over: 0 }, { symbol: 'l' }) },
  outputs: {
    engagementMm: length('engagement', 'le'),
    requiredMm: length('engagement needed', 'lr'),
    verdict: choice('verdict', ['ok', 'short', 'bottoms-out'] as const),
  },
  compute: ({ screwLengthMm, ...joint }) => engage(joint, screwLengthMm),
})

/** From this share of the engagement asked for on, a screw may be held back to the torque that its thread bears. */
const HELD_BACK_FROM = 0.5

/**
 * The shortest screw that is sold and holds; else the shortest of those that engage most, held back to what its thread
 * bears, where that is half of what is asked; else none.
 *
 * @example fastenerChooseLength({ thread: 'M3', material: 'cast-iron', gripMm: 13.9, washerMm: 1,
 *   threadDepthMm: 12.7, blind: true }) // { screwLengthMm: 20, heldBack: false }
 */
export const fastenerChooseLength = calculation({
  id: 'fastener.chooseLength',
  title: 'Length of a screw',
  formula:
    'the shortest length sold with enough engagement that does not bottom out; else the shortest with the most, held back, from half of what is asked on',
  source: 'fastener.engagement over the lengths that are sold',
  validity: 'Cap screws from 6 to 100 mm, in inches from 1/4 to 4',
  inputs: JOINT,
  outputs: {
    screwLengthMm: lengthField('length to take', { over: 0 }, { symbol: 'l', orNone: true }),
    heldBack: flag('tightened only to what the thread bears'),
  },
  compute(joint) {
    const screws = stockLengthsMm(joint.thread).map(lengthMm => ({ lengthMm, ...engage(joint, lengthMm) }))
    const good = screws.find(({ verdict }) => verdict === 'ok')
    if (good) return { screwLengthMm: good.lengthMm, heldBack: false }
    const most = screws
      .filter(({ verdict }) => verdict === 'short')
      .reduce<(typeof screws)[number] | null>(
        (best, one) => (best && best.engagementMm >= one.engagementMm - TOLERANCE_MM ? best : one),
        null,
      )
    const bears = most !== null && most.engagementMm >= HELD_BACK_FROM * most.requiredMm - TOLERANCE_MM
    return { screwLengthMm: bears ? most.lengthMm : null, heldBack: bears }
  },
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
    frictionCoefficient: plain('friction', { over: 0, max: 1 }, { symbol: 'mu' }),
    utilisation: plain('share of the proof stress used', { over: 0, max: 1 }, { symbol: 'u' }),
    material: materialInput,
    engagementMm: lengthField('engagement', { over: 0 }, { symbol: 'le' }),
  },
  outputs: {
    stressAreaMm2: plain('stress area', { over: 0 }, { symbol: 'As', unit: 'mm2' }),
    preloadN: force('preload', { over: 0 }, { symbol: 'F' }),
    torqueNm: torque('torque', { over: 0 }, { symbol: 'T' }),
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
