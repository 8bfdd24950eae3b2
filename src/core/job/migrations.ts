/** The version that this app writes. */
export const SCHEMA_VERSION = 1

/** One step: makes a document of version `from` into one of version `from + 1`. */
export interface Migration {
  from: number
  migrate: (job: Record<string, unknown>) => Record<string, unknown>
}

/** Steps from every older version; there is none before version 1. */
export const MIGRATIONS: Migration[] = []

/**
 * Brings a job document up to the present version, step by step.
 *
 * @param steps the migrations to use, and the version they end at
 * @returns the document with its new version; its fields are not checked here
 * @throws Error naming the version found and those that can be read
 * @example migrate({ schemaVersion: 1 }) // { schemaVersion: 1 }
 */
export function migrate(
  job: Record<string, unknown>,
  steps: Migration[] = MIGRATIONS,
  present: number = SCHEMA_VERSION,
): Record<string, unknown> {
  const version = job.schemaVersion
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    throw new Error(
      `job.schemaVersion: got ${JSON.stringify(version) ?? 'nothing'}, takes a whole number from 1 to ${present}`,
    )
  if (version > present)
    throw new Error(
      `job.schemaVersion: got ${version}, made by a newer Dusk Bench; this one reads up to ${present}. Update the app and import again.`,
    )
  let migrated = job
  for (let from = version; from < present; from++) {
    const step = steps.find(one => one.from === from)
    if (!step) throw new Error(`job.schemaVersion: got ${from}, from which no step leads to ${from + 1}`)
    migrated = { ...step.migrate(migrated), schemaVersion: from + 1 }
  }
  return migrated
}
