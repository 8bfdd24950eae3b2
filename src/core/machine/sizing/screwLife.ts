import { calculation } from '../../calculation/calculation'
import { InputError } from '../../calculation/inputError'
import { force, hours, length, list, plain, record, rotation } from '../../field/field'

const phases = list(
  'phases of the duty',
  record('phase', {
    forceN: force('axial force', {}, { symbol: 'F' }),
    speedRpm: rotation('speed', { min: 0 }, { symbol: 'n' }),
    timeShare: plain('share of the time', [0, 1], { symbol: 'q' }),
  }),
)
export interface DutyPhase {
  forceN: number
  speedRpm: number
  timeShare: number
}
const dynamicCapacityN = force('dynamic capacity', { over: 0 }, { symbol: 'Ca' })
const leadMm = length('lead', { over: 0 }, { symbol: 'Ph' })
const lives = {
  lifeRevolutions: plain('life in revolutions', {}, { symbol: 'L' }),
  lifeHours: hours('life in hours', {}, { symbol: 'Lh' }),
  lifeKm: plain('life in travel', {}, { symbol: 'Ls', unit: 'km' }),
}

/** Mean speed, and the cubic mean of whatever load `of` makes of a phase's force. */
function cubicMean(phases: DutyPhase[], of: (forceN: number) => number) {
  const shares = phases.reduce((sum, phase) => sum + phase.timeShare, 0)
  const turning = phases.reduce((sum, phase) => sum + phase.speedRpm * phase.timeShare, 0)
  if (!(turning > 0))
    throw new InputError('phases', phases, 'at least one phase with a speed and a share of the time over 0')
  // As shares of the heaviest: the cube of a tiny load alone would vanish.
  const heaviestN = phases.reduce((most, { forceN }) => Math.max(most, Math.abs(of(forceN))), 0)
  const cubes = phases.reduce(
    (sum, phase) =>
      sum + (Math.abs(of(phase.forceN)) / (heaviestN || 1)) ** 3 * phase.speedRpm * phase.timeShare,
    0,
  )
  return { loadN: heaviestN * Math.cbrt(cubes / turning), meanSpeedRpm: turning / shares }
}

const spent = (lifeRevolutions: number, meanSpeedRpm: number, leadMm: number) => ({
  lifeRevolutions,
  lifeHours: lifeRevolutions / (60 * meanSpeedRpm),
  lifeKm: (lifeRevolutions * leadMm) / 1e6,
})

/**
 * The steady load that wears the screw as the phases of its duty do.
 *
 * @throws InputError when no phase turns the screw
 * @example meanLoad({ phases: [{ forceN: 1000, speedRpm: 500, timeShare: 1 }] }) // { equivalentLoadN: 1000, meanSpeedRpm: 500 }
 */
export const meanLoad = calculation({
  id: 'screw.meanLoad',
  title: 'Mean load on the screw',
  formula: 'nm = sum(n q); Fm = (sum(|F|^3 n q) / nm)^(1/3)',
  source: 'ISO 3408-5',
  validity: 'Shares are scaled to add up to 1',
  inputs: { phases },
  outputs: {
    equivalentLoadN: force('mean load', {}, { symbol: 'Fm' }),
    meanSpeedRpm: rotation('mean speed', {}, { symbol: 'nm' }),
  },
  compute({ phases }) {
    const { loadN, meanSpeedRpm } = cubicMean(phases, forceN => forceN)
    return { equivalentLoadN: loadN, meanSpeedRpm }
  },
})

/**
 * Life of a ball screw and nut until the rolling surfaces tire, nine in ten reaching it.
 *
 * @example screwLife({ dynamicCapacityN: 15783, equivalentLoadN: 1039, meanSpeedRpm: 964, leadMm: 5, loadFactor: 1 }).lifeHours // 60602.9
 */
export const screwLife = calculation({
  id: 'screw.life',
  title: 'Life of the ball screw',
  formula: 'L = (Ca / (fw Fm))^3 10^6; Lh = L / (60 nm); Ls = L Ph / 10^6',
  source: 'ISO 3408-5',
  validity: 'Clean, lubricated ball screws; not for sliding nuts, which wear instead',
  inputs: {
    dynamicCapacityN,
    equivalentLoadN: force('mean load', { over: 0 }, { symbol: 'Fm' }),
    meanSpeedRpm: rotation('mean speed', { over: 0 }, { symbol: 'nm' }),
    leadMm,
    loadFactor: plain('load factor', { over: 0 }, { symbol: 'fw' }),
  },
  outputs: lives,
  compute({ dynamicCapacityN, equivalentLoadN, meanSpeedRpm, leadMm, loadFactor }) {
    return spent((dynamicCapacityN / (loadFactor * equivalentLoadN)) ** 3 * 1e6, meanSpeedRpm, leadMm)
  },
})

/** 2^1.5: an outside load of this many preloads opens a preloaded pair. */
export const OPENING_RATIO = 2 ** 1.5

/**
 * How a preloaded pair of nuts or bearings shares an outside load.
 *
 * @returns load on the half that the load presses, load left on the other, and the load that opens the pair
 * @example shareOfPair(586, 1639) // { loadedN: 1643.63, relievedN: 4.63, unloadingForceN: 1657.46 }
 */
export function shareOfPair(preloadN: number, externalN: number) {
  const unloadingForceN = OPENING_RATIO * preloadN
  const loadedN =
    externalN < unloadingForceN ? preloadN * (1 + externalN / unloadingForceN) ** 1.5 : externalN
  return { loadedN, relievedN: Math.max(0, loadedN - externalN), unloadingForceN }
}

/**
 * Life of a preloaded ball nut: its two halves are loaded by the preload even when the axis is not.
 *
 * @throws InputError when no phase turns the screw
 * @example preloadedLife({ dynamicCapacityN: 20615, preloadN: 295, phases, leadMm: 10 }).unloadingForceN // 834.386
 */
export const preloadedLife = calculation({
  id: 'screw.preloadedLife',
  title: 'Life of a preloaded ball nut',
  formula:
    'F1 = Fpr (1 + F / (2^1.5 Fpr))^1.5, F2 = F1 - F until F = 2^1.5 Fpr, then F and 0; Li = (Ca / (fw Fmi))^3 10^6; L = (L1^(-10/9) + L2^(-10/9))^(-9/10)',
  source: 'ISO 3408-5',
  validity: 'Two equal halves preloaded against each other; mirrored for a negative force',
  inputs: {
    dynamicCapacityN,
    preloadN: force('preload', { over: 0 }, { symbol: 'Fpr' }),
    phases,
    leadMm,
    loadFactor: plain('load factor', { over: 0 }, { symbol: 'fw', default: 1 }),
  },
  outputs: { ...lives, unloadingForceN: force('force that opens the nut', {}, { symbol: '2^1.5 Fpr' }) },
  compute({ dynamicCapacityN, preloadN, phases, leadMm, loadFactor = 1 }) {
    const half = (side: 1 | -1) =>
      cubicMean(phases, forceN => {
        const share = shareOfPair(preloadN, Math.abs(forceN))
        return forceN * side >= 0 ? share.loadedN : share.relievedN
      })
    const one = half(1)
    const two = half(-1)
    const exponent = 10 / 9
    const worn = [one, two].reduce(
      (sum, { loadN }) => sum + (((loadFactor * loadN) / dynamicCapacityN) ** 3) ** exponent,
      0,
    )
    return {
      ...spent(1e6 * worn ** (-1 / exponent), one.meanSpeedRpm, leadMm),
      unloadingForceN: OPENING_RATIO * preloadN,
    }
  },
})
