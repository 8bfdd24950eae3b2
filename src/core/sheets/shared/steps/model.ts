import {
  choice,
  choiceOrNone,
  map,
  maybe,
  moment,
  momentOrNone,
  plain,
  type RowOf,
  record,
  rows,
  type ValueOf,
  words,
  wordsOrNone,
} from '../../../field/field'

const STEP_KEY = /^[a-z0-9.-]{1,60}$/

/** When each step of the build was ticked, by the step's id. */
export const TICKS = map('Ticks', moment('Done'), STEP_KEY)

/** What is known of a step that is ticked, beside when. */
export const STEP_NOTES = map(
  'Notes of steps',
  record('Note of a step', {
    how: choice('How', ['done', 'otherwise', 'skipped'], {
      words: { done: 'done', otherwise: 'done otherwise', skipped: 'skipped' },
    }),
    /** How it was done otherwise, or why it was skipped. */
    why: words('Why', 300, ''),
    who: words('Who', 40, ''),
    /** From the tick before it, or from when work was started, to its own; none while nobody had started. */
    tookMinutes: plain('Took', [1, 1440], { whole: true, orNone: true, unit: 'min' }),
  }),
  STEP_KEY,
)
export type StepNote = ValueOf<typeof STEP_NOTES>[string]

/** What goes wrong on a bench, and has steps of its own that mend it. */
export const MISHAP_KINDS = ['ran-off', 'stripped', 'broken-tap', 'missing'] as const
export type MishapKind = (typeof MISHAP_KINDS)[number]
export const MISHAPS = rows(
  'Mishap',
  {
    what: choice('What happened', MISHAP_KINDS, {
      words: {
        'ran-off': 'The nut ran off its screw',
        stripped: 'A thread stripped',
        'broken-tap': 'A tap broke in its hole',
        missing: 'Screws are missing',
      },
    }),
    at: moment('When'),
    /** The step in hand when it happened: its steps come before that one. */
    stepId: words('Step', 60, ''),
    /** The joint it happened to, where it is about screws. */
    jointId: wordsOrNone('Joint', 40),
    count: plain('How many', [1, 200], { whole: true, blank: 1 }),
  },
  { most: 40 },
)
export type Mishap = RowOf<typeof MISHAPS>

/** Where the trade goes about it in two ways: the one that this axis is built by. */
export const BUILD_SCHOOLS = record('Schools of the build', {
  ends: choice('Blocks are set', ['both', 'fixed'], {
    words: { both: 'both ends in turn', fixed: 'from the fixed end only' },
  }),
  setBy: choice('The screw is set', ['float', 'readings'], {
    words: { float: 'by letting it float in', readings: 'from readings' },
  }),
  rails: choice('Rail screws go', ['middle-outward', 'ends-inward', 'one-end'], {
    words: {
      'middle-outward': 'from the middle outward',
      'ends-inward': 'from the ends inward',
      'one-end': 'from one end to the other',
    },
  }),
  threadlocker: choice('Threadlocker', ['final', 'at-once'], {
    words: { final: 'on final assembly only', 'at-once': 'at once' },
  }),
})
export type BuildSchools = ValueOf<typeof BUILD_SCHOOLS>

/** What came off and lies in a bag, by what it is in the plan; a thing without a count was not bagged. */
export const BAGGED = map(
  'In bags',
  record('In a bag', {
    count: plain('How many', [0, 200], { whole: true, orNone: true }),
    /** How many there were when they were taken out again. */
    foundCount: plain('Found again', [0, 200], { whole: true, orNone: true }),
  }),
  STEP_KEY,
)

/** What came off that the plan does not know of. */
export const OWN_BAGGED = rows(
  'Thing',
  {
    bag: plain('Bag', [1, 40], { whole: true, blank: 1 }),
    what: words('What', 60, 'Something'),
    count: plain('How many', [0, 200], { whole: true, orNone: true }),
    from: words('Where from', 60, ''),
    foundCount: plain('Found again', [0, 200], { whole: true, orNone: true }),
  },
  { most: 60 },
)
export type OwnBagged = RowOf<typeof OWN_BAGGED>

/** What an axis moves: it decides how that is taken apart and put back. */
export const SLIDE = choiceOrNone(
  'What it moves',
  ['table', 'saddle', 'head', 'quill', 'knee', 'carriage', 'cross-slide', 'rail-carriage'],
  {
    table: 'a table on a saddle',
    saddle: 'a saddle on its base',
    head: 'a head on a column',
    quill: 'a quill in its head',
    knee: 'a knee on its column',
    carriage: 'a lathe carriage with its apron',
    'cross-slide': 'a cross slide',
    'rail-carriage': 'a carriage on rails',
  },
)
export type Slide = Exclude<ValueOf<typeof SLIDE>, null>

/** What carries the load for a while, beside its own drive. */
export const SUPPORT_AIDS = ['block', 'hoist'] as const
export type SupportAid = (typeof SUPPORT_AIDS)[number]

/**
 * The supports that are in, with when they went in. Kept, and not read off the ticks: a tick that is taken off again puts no block
 * back under a head.
 */
export const SUPPORTS = map('What supports the load', moment('Put in'), /^(block|hoist)$/)
/** When a change was last taken back or done again that would have a support in; what went in before is asked for again. */
export const SUPPORT_DOUBTED_AT = momentOrNone('Asked for again since')

/** When something that readings rest on was last changed, and what: a part, a setting, what a line of the log says. */
export const TOUCHED = maybe(
  'Last changed',
  record('Last change', { at: moment('On'), what: words('What', 200) }),
)

/** When the new drive was first on the machine; from then on what is done again on the bench may free the load. */
export const DRIVE_MOUNTED_AT = momentOrNone('New drive on the machine since')

declare module '../../../document/axis' {
  interface SheetFields {
    ticks: Record<string, string>
    supports: ValueOf<typeof SUPPORTS>
    supportDoubtedAt: ValueOf<typeof SUPPORT_DOUBTED_AT>
    driveMountedAt: ValueOf<typeof DRIVE_MOUNTED_AT>
    touched: ValueOf<typeof TOUCHED>
    stepNotes: Record<string, StepNote>
    mishaps: Mishap[]
    buildSchools: BuildSchools
    slide: ValueOf<typeof SLIDE>
    bagged: ValueOf<typeof BAGGED>
    ownBagged: OwnBagged[]
  }
}
