import { SCHEMA_VERSION } from '../version.generated'
import type { Plain } from './plain'
import { STEPS } from './steps.generated'

/** A stored job with the history of its changes, of one version. */
export interface Stored {
  job: Plain
  history: Plain[]
}
/** A step from a version to the next: of a job of the one, a job of the other. */
export type Step = (job: Plain, history: readonly Plain[]) => Stored

/**
 * Brings a stored job and its history up to the present version, step by step.
 *
 * @param steps the migrations to use, and the version they end at
 * @returns the document with its new version; its fields are not checked here
 * @throws Error naming the version found and those that can be read
 * @example migrate({ job: { schemaVersion: 1 }, history: [] }).job.schemaVersion // SCHEMA_VERSION
 */
export function migrate(
  stored: Stored,
  steps: typeof STEPS = STEPS,
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
    const { job, history } = step.migrate(migrated.job, migrated.history)
    migrated = { job: { ...job, schemaVersion: from + 1 }, history }
  }
  return migrated
}
