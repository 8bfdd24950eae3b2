import { MM_PER_INCH } from '../../units/quantity'

/** A unified thread, from its size and threads to the inch; head and hole of its cap screw in inches, tap drill in mm. */
const unified = (
  diameterIn: number,
  perInch: number,
  headIn: number,
  holeIn: number,
  tapDrillMm: number,
) => ({
  diameterMm: diameterIn * MM_PER_INCH,
  pitchMm: MM_PER_INCH / perInch,
  headMm: headIn * MM_PER_INCH,
  holeMm: holeIn * MM_PER_INCH,
  tapDrillMm,
})

/**
 * Coarse metric threads, and unified ones, coarse and fine, with the head of a cap screw and the hole that lets it
 * through. Tap drills of unified threads are those of the usual tables, as number and letter drills are no round figures.
 */
export const THREADS = {
  M3: { diameterMm: 3, pitchMm: 0.5, headMm: 5.5, holeMm: 3.4 },
  M4: { diameterMm: 4, pitchMm: 0.7, headMm: 7, holeMm: 4.5 },
  M5: { diameterMm: 5, pitchMm: 0.8, headMm: 8.5, holeMm: 5.5 },
  M6: { diameterMm: 6, pitchMm: 1, headMm: 10, holeMm: 6.6 },
  M8: { diameterMm: 8, pitchMm: 1.25, headMm: 13, holeMm: 9 },
  M10: { diameterMm: 10, pitchMm: 1.5, headMm: 16, holeMm: 11 },
  M12: { diameterMm: 12, pitchMm: 1.75, headMm: 18, holeMm: 13.5 },
  '#4-40 UNC': unified(0.112, 40, 0.183, 0.1285, 2.26),
  '#6-32 UNC': unified(0.138, 32, 0.226, 0.1495, 2.71),
  '#8-32 UNC': unified(0.164, 32, 0.27, 0.177, 3.45),
  '#10-24 UNC': unified(0.19, 24, 0.312, 0.201, 3.8),
  '#10-32 UNF': unified(0.19, 32, 0.312, 0.201, 4.04),
  '1/4-20 UNC': unified(0.25, 20, 0.375, 0.266, 5.11),
  '1/4-28 UNF': unified(0.25, 28, 0.375, 0.266, 5.41),
  '5/16-18 UNC': unified(0.3125, 18, 0.469, 0.332, 6.53),
  '5/16-24 UNF': unified(0.3125, 24, 0.469, 0.332, 6.91),
  '3/8-16 UNC': unified(0.375, 16, 0.562, 0.397, 7.94),
  '3/8-24 UNF': unified(0.375, 24, 0.562, 0.397, 8.43),
} as const
export type Thread = keyof typeof THREADS
export const THREAD_NAMES = Object.keys(THREADS) as Thread[]
/** Whether a thread is sized in inches: its screws are sold in inch lengths. */
export const isUnified = (thread: Thread): boolean => !thread.startsWith('M')
