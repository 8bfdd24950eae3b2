import type { Axis } from '../document/axis'
import { attempt } from '../evaluation/attempt'
import { Hand } from '../simulate/axis/hand'
import { handSize, readOnce, SHEETS_TRIED, type Tried } from '../trial/builder'
import { type Search, searchByTheSheet } from '../trial/faultSearch'
import type { Held } from '../trial/limits'
import type { Read } from '../trial/read'
import type { Sheet } from '../trial/sheetTried'
import type { SummaryTable } from '../trial/summary'
import { isSearchedFor, TRIAL_DAY, type Trial } from '../trial/trial'
import { twinOf } from './twin'

/** What somebody who searches for a fault has read on an axis before. */
const READ_BEFORE = ['reversal', 'whereLost', 'drag'] as const satisfies readonly Tried[]

/** The axis of a trial with these sheets read on it by a hand that does not slip. */
function readBefore(trial: Trial): Axis {
  let { axis } = trial
  for (const name of READ_BEFORE) {
    const sheet = SHEETS_TRIED[name] as unknown as Sheet<Read>
    if (sheet.fits && !sheet.fits(trial)) continue
    const by = new Hand(trial.seed, null, handSize(sheet, trial), sheet.readings)
    const at = { causes: trial.causes, axis }
    axis = attempt(() => readOnce(trial, sheet, at, sheet.plan(axis, trial), by)).value ?? axis
  }
  return axis
}

/** What became of two searches on the same readings. */
export interface FigureSearch {
  /** Null on a sound axis. */
  readonly fault: string | null
  readonly byTable: Came
  readonly byFigures: Came
}
interface Came {
  /** The fault that was as good as found. */
  readonly found: string | null
  readonly nothingShows: boolean
  readonly minutes: number
}

const came = ({ diagnosis: { found, nothingShows }, minutes }: Search): Came => ({
  found,
  nothingShows,
  minutes,
})

/** Both searches on the axis of a trial, which no slip of a hand touches; null where nobody searches for its fault. */
export function searchedByFigures(slipped: Trial): FigureSearch | null {
  const trial = { ...slipped, slip: null }
  const fault = trial.faults[0] ?? null
  if (fault && !isSearchedFor(fault)) return null
  const axis = readBefore(trial)
  return {
    fault,
    byTable: came(searchByTheSheet(trial, { axis, twin: null })),
    byFigures: came(searchByTheSheet(trial, { axis, twin: twinOf(trial.job, axis, TRIAL_DAY) })),
  }
}

/** A slack belt reads as a coupler that has play. */
const isNamed = (fault: string, found: string | null) =>
  found === fault || (fault === 'coupler-play' && found === 'belt-slack')

/** What searches came to, by the table alone and by figures too. */
export function byFiguresTable(all: readonly FigureSearch[]): SummaryTable {
  const faulty = all.filter(({ fault }) => fault !== null)
  const sound = all.filter(({ fault }) => fault === null)
  const row = (title: string, of: (one: FigureSearch) => Came): string[] => {
    const share = (list: readonly FigureSearch[], is: (one: FigureSearch) => boolean) =>
      list.length === 0
        ? '–'
        : `${list.filter(is).length} of ${list.length} (${((100 * list.filter(is).length) / list.length).toFixed(1)} %)`
    const minutes = faulty.reduce((sum, one) => sum + of(one).minutes, 0) / Math.max(1, faulty.length)
    return [
      title,
      share(faulty, one => isNamed(one.fault as string, of(one).found)),
      share(faulty, one => of(one).found !== null && !isNamed(one.fault as string, of(one).found)),
      share(faulty, one => of(one).nothingShows),
      minutes.toFixed(1),
      share(sound, one => of(one).found !== null),
      share(sound, one => of(one).nothingShows),
    ]
  }
  return {
    title: 'Search on an axis with three sheets read',
    heads: ['By', 'Named', 'Another named', 'Nothing shows', 'Minutes', 'Sound: one named', 'Sound: told so'],
    rows: [row('the table', ({ byTable }) => byTable), row('figures too', ({ byFigures }) => byFigures)],
  }
}

/** What searches by figures are held to: faults that no check shows at their size are told as such, and named by nobody. */
export function figuresHeldTo(all: readonly FigureSearch[]): Held[] {
  const faulty = all.filter(({ fault }) => fault !== null)
  const shown = faulty.filter(({ byFigures }) => !byFigures.nothingShows)
  const sound = all.filter(({ fault }) => fault === null)
  const count = (of: readonly FigureSearch[], is: (one: FigureSearch) => boolean) => of.filter(is).length
  return [
    {
      what: 'Searches: fault named, of those that a check shows',
      part: count(shown, ({ fault, byFigures }) => isNamed(fault as string, byFigures.found)),
      of: shown.length,
      limit: 0.95,
      least: true,
    },
    {
      what: 'Searches: minutes on average',
      part: faulty.reduce((sum, { byFigures }) => sum + byFigures.minutes, 0),
      of: faulty.length,
      limit: 30,
      least: false,
      unit: 'min',
    },
    {
      what: 'Searches: sound axes on which a fault was named',
      part: count(sound, ({ byFigures }) => byFigures.found !== null),
      of: sound.length,
      limit: 0.02,
      least: false,
    },
  ]
}
