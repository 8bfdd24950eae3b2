import { calculation } from '../../calculation/calculation'
import { roundAreaMm2, STEEL_E_MPA, STEEL_EXPANSION_PER_K } from '../../calculation/constants'
import { choice, force, length, plain, smallLength, temperatureRise } from '../../field/field'

export const TOLERANCE_CLASSES = ['P1', 'P3', 'P5', 'T7', 'T10'] as const
export type ToleranceClass = (typeof TOLERANCE_CLASSES)[number]

/** Travel variation within any 300 mm, in micrometres. */
const VARIATION_300_UM: Record<ToleranceClass, number> = { P1: 6, P3: 12, P5: 23, T7: 52, T10: 210 }
/** Upper ends of the steps of travel, and the tolerance of each positioning class on that step. */
const STEPS_MM = [315, 400, 500, 630, 800, 1000, 1250, 1600]
/** Where the table of the positioning classes ends. */
export const TABLED_UP_TO_MM = 1600
const STEP_TOLERANCES_UM: Partial<Record<ToleranceClass, number[]>> = {
  P1: [6, 7, 8, 9, 10, 11, 13, 15],
  P3: [12, 13, 15, 16, 18, 21, 24, 29],
  P5: [23, 25, 27, 32, 36, 40, 47, 55],
}

/**
 * How far a screw of a tolerance class may be off over a travel.
 *
 * @example leadError({ toleranceClass: 'P3', travelMm: 745 }) // { travelToleranceUm: 18, variation300Um: 12 }
 */
export const leadError = calculation({
  id: 'screw.leadError',
  title: 'Accuracy of the lead',
  formula:
    'P classes: from the table, by step of travel; beyond 1600 mm the last step in proportion; T classes: e = 2 l / 300 v300',
  source: 'ISO 3408-3',
  validity: 'The screw alone, at 20 °C; P classes are tabled up to 1600 mm',
  inputs: {
    toleranceClass: choice('tolerance class', TOLERANCE_CLASSES),
    travelMm: length('travel', { over: 0 }, { symbol: 'l' }),
  },
  outputs: {
    travelToleranceUm: smallLength('tolerance over the travel', {}, { symbol: 'e' }),
    variation300Um: smallLength('variation within 300 mm', {}, { symbol: 'v300' }),
  },
  compute({ toleranceClass, travelMm }) {
    const variation300Um = VARIATION_300_UM[toleranceClass]
    const steps = STEP_TOLERANCES_UM[toleranceClass]
    if (!steps) return { travelToleranceUm: ((2 * travelMm) / 300) * variation300Um, variation300Um }
    const lastUm = steps[steps.length - 1] as number
    const travelToleranceUm =
      steps[STEPS_MM.findIndex(upToMm => travelMm <= upToMm)] ?? (lastUm * travelMm) / TABLED_UP_TO_MM
    return { travelToleranceUm, variation300Um }
  },
})

/**
 * How much a screw grows as it warms, and the pull between two fixed ends that takes that growth up.
 *
 * @example thermalGrowth({ lengthMm: 476, temperatureRiseK: 10.5, rootDiameterMm: 29 }).growthUm // 58.4766
 */
export const thermalGrowth = calculation({
  id: 'screw.thermalGrowth',
  title: 'Growth of the screw as it warms',
  formula: 'dL = 1000 a L dT; F = E A a dT',
  source: "Thermal expansion and Hooke's law",
  validity: 'The whole length warms alike; for the pull, two ends fixed in castings that stay cool and stiff',
  inputs: {
    lengthMm: length('length', { over: 0 }, { symbol: 'L' }),
    temperatureRiseK: temperatureRise('temperature rise', { min: 0 }, { symbol: 'dT' }),
    rootDiameterMm: length('root diameter', { over: 0 }, { symbol: 'dr' }),
    expansionPerK: plain(
      'expansion of the steel',
      { over: 0 },
      { symbol: 'a', unit: '1/K', default: STEEL_EXPANSION_PER_K },
    ),
  },
  outputs: {
    growthUm: smallLength('growth', {}, { symbol: 'dL' }),
    pretensionN: force('pull that holds it at zero', {}, { symbol: 'F' }),
  },
  compute({ lengthMm, temperatureRiseK, rootDiameterMm, expansionPerK = STEEL_EXPANSION_PER_K }) {
    const strain = expansionPerK * temperatureRiseK
    return {
      growthUm: strain * lengthMm * 1000,
      pretensionN: STEEL_E_MPA * roundAreaMm2(rootDiameterMm) * strain,
    }
  },
})
