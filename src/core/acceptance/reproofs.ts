import { addMonths, formatISO, parseISO } from 'date-fns'
import { REPROOFS, type ReproofKind } from '../document/acceptance'
import type { Job } from '../document/job'
import { dayAfter } from '../planning/days'
import { reversalsOf, stationReversal, type Tested } from '../sheets/shared/proofs/compare'
import { isPractice } from '../sheets/shared/proofs/practice'

/** Screws of joints settle and a new nut runs in over the first hours; wear shows over months. */
const FIRST_HOURS = 10
const MONTHS = 6

/** A proof after the acceptance. */
export interface Reproof {
  kind: ReproofKind
  /** The day it is due; null while nobody has said how many hours the machine runs. */
  dueDay: string | null
  doneDay: string | null
  /** The axes that have no test since the acceptance, or since the proof before: it is not done without them. */
  untested: string[]
}

/** The day on which a machine has run so many hours. @example dayOfHours('2026-12-01', 10, 5) // '2026-12-15' */
export const dayOfHours = (fromDay: string, hours: number, hoursAWeek: number): string =>
  dayAfter(fromDay, Math.ceil((hours / hoursAWeek) * 7))

/** Whether a test was begun after a day and read on the machine itself: one that was only begun proves nothing. */
const counts = (of: { label: string; startedAt: string }, test: Tested, afterDay: string): boolean =>
  of.startedAt.slice(0, 10) > afterDay &&
  !isPractice(of) &&
  test.stations.some(station => stationReversal(station, test.gaugeStepUm) !== null)

/** The later days on which a machine is proved again; none before it is accepted. */
export function reproofsOf({ acceptance, axes }: Pick<Job, 'acceptance' | 'axes'>): Reproof[] {
  const { acceptedDay, hoursAWeek, reproved } = acceptance
  if (acceptedDay === null) return []
  let since = acceptedDay
  return REPROOFS.map(kind => {
    const dueDay =
      kind === 'half-year'
        ? formatISO(addMonths(parseISO(acceptedDay), MONTHS), { representation: 'date' })
        : hoursAWeek === null
          ? null
          : dayOfHours(acceptedDay, FIRST_HOURS, hoursAWeek)
    const doneDay = reproved[kind] ?? null
    const from = since
    const untested = axes
      .filter(
        ({ tests, fullTests }) =>
          !tests.some(test => counts(test, test, from)) &&
          !fullTests.some(test => counts(test, reversalsOf(test), from)),
      )
      .map(({ name }) => name)
    if (doneDay !== null) since = doneDay
    return { kind, dueDay, doneDay, untested: doneDay === null ? untested : [] }
  })
}
