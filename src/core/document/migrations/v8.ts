import { type Added, changeWith, givenWhat, isPlain, type Plain } from './plain'

// Version 8 to 9: an axis knows what it moves, what went into which bag, how each step was done and by whom, mishaps,
// schools of the build, switches, cable, grease, first moves; a joint, which one of the drive it is; a plan, when there was work.

const BUILD: Plain = {
  slide: null,
  bagged: {},
  ownBagged: [],
  stepNotes: {},
  mishaps: [],
  buildSchools: { ends: 'both', setBy: 'float', rails: 'middle-outward', threadlocker: 'final' },
  switches: [],
  cable: { bendRadiusMm: null, fixedEndAtMm: null, marginMm: 40, roomMm: null, side: null, relief: null },
  lube: { hoursPerWeek: null, intervalKm: 100 },
  lubePoints: [],
  greasings: [],
  controller: { commandedMm: null, movedMm: null, direction: null },
}

/** What objects are known by, and what they have from version 9 on; fields that stand there already stay. */
const ADDED: Added = [
  [['ticks', 'rounds', 'joints'], BUILD],
  [['thread', 'material', 'gripMm'], { holds: null }],
  [['hours', 'daysOff', 'ownTasks'], { sittings: [] }],
]

const broughtUp = givenWhat(ADDED)

/** A change as version 9 writes it: its paths are the same, what it puts in and takes out is brought up. */
export const changeFromV8 = changeWith(broughtUp)

/** What an axis of each kind of machine moves, by the name that the app gave it. */
const SLIDES: Record<string, Record<string, string>> = {
  mill: { X: 'table', Y: 'saddle', Z: 'head' },
  lathe: { Z: 'carriage', X: 'cross-slide' },
  router: { X: 'rail-carriage', Y: 'rail-carriage', Z: 'rail-carriage' },
}

/** A job of version 8 with its history. */
export function fromV8(job: Plain, history: readonly Plain[]): { job: Plain; history: Plain[] } {
  const next = broughtUp(job) as Plain
  const slides = SLIDES[String(job.machineKind)] ?? {}
  const axes = Array.isArray(next.axes)
    ? next.axes.map(axis =>
        isPlain(axis) && axis.slide === null ? { ...axis, slide: slides[String(axis.name)] ?? null } : axis,
      )
    : next.axes
  return { job: { ...next, axes }, history: history.map(changeFromV8) }
}
