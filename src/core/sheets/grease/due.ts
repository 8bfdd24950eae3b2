import { calculation } from '../../calculation/calculation'
import type { Axis } from '../../document/axis'
import { attempt } from '../../evaluation/attempt'
import type { EvaluationContext } from '../../evaluation/context'
import { NotKnown } from '../../evaluation/notKnown'
import { length, plain, rotation } from '../../field/field'
import { duty } from '../../machine/drive/duty'

/** At least twice a year, however little it runs. */
const MOST_WEEKS = 26
const DAY_MS = 86_400_000

/**
 * How often a ball nut is greased, by how far it runs.
 *
 * @example lubeInterval({ meanSpeedRpm: 747, leadMm: 5, intervalKm: 50, hoursPerWeek: 9 }).weeksBetween // 24.79
 */
export const lubeInterval = calculation({
  id: 'lube.interval',
  title: 'Time between greasings',
  formula: 'v = 60 n Ph / 10^6 km/h; hours = s / v; weeks = hours / w',
  source: 'Travel of the nut; makers count 100 km or half a year, whichever comes first',
  validity: 'Wiped nuts in a clean shop; half of it in stone dust or coolant',
  inputs: {
    meanSpeedRpm: rotation('mean speed of the screw', { over: 0 }, { symbol: 'n' }),
    leadMm: length('lead', { over: 0 }, { symbol: 'Ph' }),
    intervalKm: plain('travel between greasings', { over: 0 }, { symbol: 's', unit: 'km' }),
    hoursPerWeek: plain('hours of running a week', { over: 0 }, { symbol: 'w' }),
  },
  outputs: {
    kmPerHour: plain('travel in an hour', {}, { symbol: 'v', unit: 'km/h' }),
    hoursBetween: plain('hours between', {}, { symbol: 'hours' }),
    weeksBetween: plain('weeks between', {}, { symbol: 'weeks' }),
  },
  compute({ meanSpeedRpm, leadMm, intervalKm, hoursPerWeek }) {
    const kmPerHour = (meanSpeedRpm * 60 * leadMm) / 1e6
    const hoursBetween = intervalKm / kmPerHour
    return { kmPerHour, hoursBetween, weeksBetween: hoursBetween / hoursPerWeek }
  },
})

/** The interval of an axis, by its duty. @throws NotKnown without a screw or the hours of a week */
export function intervalOf(t: EvaluationContext) {
  const { hoursPerWeek, intervalKm } = t.axis.lube
  if (hoursPerWeek === null)
    throw new NotKnown({ sheet: 'grease', stage: 'build', what: 'how many hours a week the axis runs' })
  const meanSpeedRpm = duty(t).reduce((sum, { speedRpm, timeShare }) => sum + speedRpm * timeShare, 0)
  return t.figure('lubeInterval', lubeInterval, {
    meanSpeedRpm,
    leadMm: t.part('screw').leadMm,
    intervalKm,
    hoursPerWeek,
  })
}

/** When an axis is greased next, and why then. */
export interface Due {
  /** As `2026-12-03`. */
  day: string
  because: 'first' | 'travel' | 'half a year'
}

/**
 * When an axis is greased next: a week after the first time, then by its travel, and at least twice a year.
 *
 * @param weeksBetween of its travel; none while nobody knows how much it runs
 * @returns null while it was never greased
 */
export function dueAfter(greasings: Axis['greasings'], weeksBetween: number | null): Due | null {
  const times = greasings.map(({ at }) => Date.parse(at)).toSorted((a, b) => a - b)
  const last = times.at(-1)
  if (last === undefined) return null
  const [weeks, because]: [number, Due['because']] =
    times.length === 1 && (weeksBetween ?? MOST_WEEKS) > 1
      ? [1, 'first']
      : weeksBetween !== null && weeksBetween <= MOST_WEEKS
        ? [weeksBetween, 'travel']
        : [MOST_WEEKS, 'half a year']
  return { day: new Date(last + weeks * 7 * DAY_MS).toISOString().slice(0, 10), because }
}

/** When the axis of a context is greased next; its travel counts as far as it is known. */
export const nextGreasing = (t: EvaluationContext): Due | null =>
  dueAfter(t.axis.greasings, attempt(() => intervalOf(t)).value?.weeksBetween ?? null)
