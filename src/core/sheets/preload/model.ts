import { angle, choiceOrNone, length, numberOf, type RowOf, rows, smallLength } from '../../field/field'
import { GAUGE_STEP } from '../../readings/model'
import { ROUND_OF_SCREW } from '../shared/rounds/model'

const pull = numberOf('pull')

/** How a set block is known: play at the screw's end, turn of the locknut, and the drag that preload adds. */
export const PRELOAD_ROUNDS = rows('Round', {
  ...ROUND_OF_SCREW,
  set: choiceOrNone('The bearings are', ['loose', 'matched'], {
    loose: 'two of a kind, set by the locknut',
    matched: 'a matched set, ground to its preload',
  }),
  gaugeStepUm: GAUGE_STEP,
  playUm: smallLength("Play at the screw's end", [0, 20_000], {
    orNone: true,
    help: 'Push and pull the screw along by hand, hard: what the needle goes and comes back.',
  }),
  turnedDeg: angle('Locknut turned from no play', [0, 1080], { orNone: true }),
  leverMm: length('Lever of the scale', [5, 2000], { blank: 100 }),
  scaleStepN: pull('Step of the scale', [0.001, 500], { orNone: true }),
  pullBeforeN: pull('Pull before, with play', [0, 5000], { orNone: true }),
  pullAfterN: pull('Pull after', [0, 5000], { orNone: true }),
  stations: rows('Reading', {}),
})
export type PreloadRound = RowOf<typeof PRELOAD_ROUNDS>

declare module '../../document/axis' {
  interface SheetFields {
    preloadRounds: PreloadRound[]
  }
}
