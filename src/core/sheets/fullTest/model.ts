import {
  choice,
  length,
  moment,
  momentOrNone,
  numberOf,
  numbers,
  plain,
  type RowOf,
  rows,
  smallLength,
  words,
  wordsOrNone,
} from '../../field/field'
import { GAUGE_MORE, GAUGE_STEP, place, READING } from '../../readings/model'
import { TAKEN } from '../../readings/taken'
import { CONDITIONS } from '../shared/proofs/conditions'

const MOST_RUNS = 30

/** A place that is come to from both sides, with what was read there in each run. */
export const TARGETS = rows(
  'Target',
  {
    targetMm: place('Target'),
    positiveUm: numbers('Going up', READING, MOST_RUNS),
    negativeUm: numbers('Going down', READING, MOST_RUNS),
  },
  { most: 60 },
)
export type Target = RowOf<typeof TARGETS>

/** Jumps that were taken out: from a reading on, in the order in which the axis moves, each counts for so much less. */
export const SHIFTS = rows(
  'Jump taken out',
  {
    run: plain('From run', [0, MOST_RUNS], { whole: true }),
    way: choice('Going', ['positiveUm', 'negativeUm'], { words: { positiveUm: 'up', negativeUm: 'down' } }),
    targetMm: place('At'),
    byUm: smallLength('Counted less by', [-100_000, 100_000]),
  },
  { most: 20 },
)

/** A test by targets along the travel, both ways, some runs; and the plan that it was run by. */
export const FULL_TESTS = rows('Full test', {
  startedAt: moment('Started'),
  finishedAt: momentOrNone('Finished'),
  label: words('Name', 120),
  gaugeStepUm: GAUGE_STEP,
  runs: plain('Runs each way', [2, MOST_RUNS], { whole: true, blank: 5 }),
  feedMmPerMin: numberOf('speed')('Feed between targets', [1, 200_000], { blank: 1000 }),
  dwellS: numberOf('duration')('Stands at each target for', [0.5, 600], { blank: 5 }),
  overrunMm: length('Past the last target by', [0.1, 100], {
    blank: 2,
    help: 'More than the reversal, so that every target is come to from its own side.',
  }),
  warmUpMinutes: plain('Run before it, minutes', [0, 600], { blank: 15 }),
  ...CONDITIONS,
  conditions: wordsOrNone('What else goes with it', 200),
  gaugeMore: GAUGE_MORE,
  shifts: SHIFTS,
  taken: TAKEN,
  targets: TARGETS,
})
export type FullTest = RowOf<typeof FULL_TESTS>

declare module '../../document/axis' {
  interface SheetFields {
    fullTests: FullTest[]
  }
}
