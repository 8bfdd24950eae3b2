import { hasBelt } from '../document/axis'
import type { Job } from '../document/job'
import type { UpkeepTask } from '../document/upkeep'

const HALF_A_YEAR = 182
const YEAR = 365
/** Screws settle over the first hours; after that they are gone over with the year. */
const SCREWS_HOURS = 250

const NOT_DONE = { doneDay: null, doneHours: null, everyDays: null, everyHours: null }

/**
 * What is usually kept up on a machine of its kind, to start from: how often is for the builder, the makers of its parts, and
 * what the proofs show. Greasing has a sheet of its own, which reckons it from the travel.
 *
 * @example usualUpkeep(job).map(({ kind }) => kind) // ['screws', 'gib', 'locknut', …, 'proof']
 */
export const usualUpkeep = ({
  axes,
  machineKind,
}: Pick<Job, 'axes' | 'machineKind'>): Omit<UpkeepTask, 'id'>[] => [
  ...axes.flatMap((axis): Omit<UpkeepTask, 'id'>[] => {
    const on = { ...NOT_DONE, axisId: axis.id }
    return [
      {
        ...on,
        kind: 'screws',
        what: 'Screws of nut, blocks, motor: torque',
        everyDays: YEAR,
        everyHours: SCREWS_HOURS,
      },
      ...(machineKind === 'router'
        ? []
        : [
            {
              ...on,
              kind: 'gib' as const,
              what: 'Gib: play to the side, drag',
              everyDays: YEAR,
            },
          ]),
      {
        ...on,
        kind: 'locknut',
        what: 'Locknut: screw pushed and pulled',
        everyDays: YEAR,
      },
      ...(hasBelt(axis.drive)
        ? [{ ...on, kind: 'belt' as const, what: 'Belt: tension, teeth', everyDays: HALF_A_YEAR }]
        : []),
    ]
  }),
  {
    ...NOT_DONE,
    axisId: null,
    kind: 'proof',
    what: 'Reversal test, every axis',
    everyDays: YEAR,
  },
]
