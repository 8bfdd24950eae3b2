import { SCHEMA_VERSION } from '../version'
import { axesWithin, type Plain } from './plain'
import { axisFromV1, jobFromV1 } from './v1'
import { axisFromV2, jobFromV2 } from './v2'
import { fromV3 } from './v3'
import { fromV4 } from './v4'
import { fromV5 } from './v5'
import { fromV6 } from './v6'
import { fromV7 } from './v7'
import { fromV8 } from './v8'
import { fromV9 } from './v9'
import { fromV10 } from './v10'
import { fromV11 } from './v11'
import { fromV12 } from './v12'

/** A stored job with the history of its changes, of one version. */
export interface Stored {
  job: Plain
  history: Plain[]
}
/** One step: makes what is stored in version `from` into what is stored in version `from + 1`. */
export interface Migration {
  from: number
  migrate: (stored: Stored) => Stored
}

/** A step that changes axes alone: also those that a change of the history puts in or takes out. */
const ofAxes =
  (onJob: (job: Plain) => Plain, onAxis: (axis: Plain) => Plain): Migration['migrate'] =>
  ({ job, history }) => {
    const all = (patches: unknown) =>
      Array.isArray(patches)
        ? patches.map(patch =>
            'value' in patch ? { ...patch, value: axesWithin(patch.value, onAxis) } : patch,
          )
        : patches
    return {
      job: onJob(job),
      history: history.map(change => ({
        ...change,
        patches: all(change.patches),
        inverse: all(change.inverse),
      })),
    }
  }

/** Steps from every older version; there is none before version 1. */
export const MIGRATIONS: Migration[] = [
  { from: 1, migrate: ofAxes(jobFromV1, axisFromV1) },
  { from: 2, migrate: ofAxes(jobFromV2, axisFromV2) },
  { from: 3, migrate: ({ job, history }) => fromV3(job, history) },
  { from: 4, migrate: ({ job, history }) => fromV4(job, history) },
  { from: 5, migrate: ({ job, history }) => fromV5(job, history) },
  { from: 6, migrate: ({ job, history }) => fromV6(job, history) },
  { from: 7, migrate: ({ job, history }) => fromV7(job, history) },
  { from: 8, migrate: ({ job, history }) => fromV8(job, history) },
  { from: 9, migrate: ({ job, history }) => fromV9(job, history) },
  { from: 10, migrate: ({ job, history }) => fromV10(job, history) },
  { from: 11, migrate: ({ job, history }) => fromV11(job, history) },
  { from: 12, migrate: ({ job, history }) => fromV12(job, history) },
]

/**
 * Brings a stored job and its history up to the present version, step by step.
 *
 * @param steps the migrations to use, and the version they end at
 * @returns the document with its new version; its fields are not checked here
 * @throws Error naming the version found and those that can be read
 * @example migrate({ job: { schemaVersion: 1 }, history: [] }).job.schemaVersion // 13
 */
export function migrate(
  stored: Stored,
  steps: Migration[] = MIGRATIONS,
  present: number = SCHEMA_VERSION,
): Stored {
  const version = stored.job.schemaVersion
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw new Error(
      `job.schemaVersion: got ${JSON.stringify(version) ?? 'nothing'}, takes a whole number from 1 to ${present}`,
    )
  if (version > present)
    throw new Error(
      `job.schemaVersion: got ${version}, made by a newer Dusk Bench; this one reads up to ${present}. Update the app and import again.`,
    )
  let migrated = stored
  for (let from = version; from < present; from++) {
    const step = steps.find(one => one.from === from)
    if (!step) throw new Error(`job.schemaVersion: got ${from}, from which no step leads to ${from + 1}`)
    const { job, history } = step.migrate(migrated)
    migrated = { job: { ...job, schemaVersion: from + 1 }, history }
  }
  return migrated
}
