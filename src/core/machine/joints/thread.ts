import { calculation } from '../../calculation/calculation'
import { choice, number } from '../../calculation/spec'

/** Coarse metric threads, with the head of a cap screw and the hole that lets it through. */
export const THREADS = {
  M3: { diameterMm: 3, pitchMm: 0.5, headMm: 5.5, holeMm: 3.4 },
  M4: { diameterMm: 4, pitchMm: 0.7, headMm: 7, holeMm: 4.5 },
  M5: { diameterMm: 5, pitchMm: 0.8, headMm: 8.5, holeMm: 5.5 },
  M6: { diameterMm: 6, pitchMm: 1, headMm: 10, holeMm: 6.6 },
  M8: { diameterMm: 8, pitchMm: 1.25, headMm: 13, holeMm: 9 },
  M10: { diameterMm: 10, pitchMm: 1.5, headMm: 16, holeMm: 11 },
  M12: { diameterMm: 12, pitchMm: 1.75, headMm: 18, holeMm: 13.5 },
} as const
export type Thread = keyof typeof THREADS
export const THREAD_NAMES = Object.keys(THREADS) as Thread[]
export const threadInput = choice('thread', THREAD_NAMES)

/**
 * Drills for a thread: for the tapped hole, and for the hole that the screw goes through.
 *
 * @example threadDrills({ thread: 'M6' }) // { tapDrillMm: 5, clearanceHoleMm: 6.6 }
 */
export const threadDrills = calculation({
  id: 'thread.drills',
  title: 'Drills for a thread',
  formula: 'tap = d - P; clearance from the table',
  source: 'ISO 2306 and ISO 273, medium',
  validity: 'Coarse metric threads',
  inputs: { thread: threadInput },
  outputs: {
    tapDrillMm: number('drill for the tap', 'dt', 'mm', { over: 0 }),
    clearanceHoleMm: number('hole for the screw', 'dh', 'mm', { over: 0 }),
  },
  compute({ thread }) {
    const { diameterMm, pitchMm, holeMm } = THREADS[thread]
    // In hundredths, so that no rounding of the subtraction shows.
    return { tapDrillMm: Math.round((diameterMm - pitchMm) * 100) / 100, clearanceHoleMm: holeMm }
  },
})
