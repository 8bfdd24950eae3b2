import { calculation } from '../../calculation/calculation'
import { choice, length } from '../../field/field'
import { THREAD_NAMES, THREADS } from './threadTable'

export const threadInput = choice('thread', THREAD_NAMES)

/**
 * Drills for a thread: for the tapped hole, and for the hole that the screw goes through.
 *
 * @example threadDrills({ thread: 'M6' }) // { tapDrillMm: 5, clearanceHoleMm: 6.6 }
 */
export const threadDrills = calculation({
  id: 'thread.drills',
  title: 'Drills for a thread',
  formula: 'tap = d - P, unified from the table; clearance from the table',
  source: 'ISO 2306 and ISO 273, medium; ASME B18.2.8 and the usual tap drills for unified threads',
  validity: 'Coarse metric threads; unified coarse and fine from #4 to 3/8',
  inputs: { thread: threadInput },
  outputs: {
    tapDrillMm: length('drill for the tap', { over: 0 }, { symbol: 'dt' }),
    clearanceHoleMm: length('hole for the screw', { over: 0 }, { symbol: 'dh' }),
  },
  compute({ thread }) {
    const facts = THREADS[thread]
    // In hundredths, so that no rounding of the subtraction shows.
    const tapDrillMm =
      'tapDrillMm' in facts ? facts.tapDrillMm : Math.round((facts.diameterMm - facts.pitchMm) * 100) / 100
    return { tapDrillMm, clearanceHoleMm: facts.holeMm }
  },
})

/**
 * The name of a thread, or of a screw, as the key of an order takes it: no hash, no stroke.
 *
 * @example keyWords('#10-24 UNC') // 'no 10-24 UNC'
 */
export const keyWords = (name: string): string => name.replaceAll('#', 'no ').replaceAll('/', '-')
