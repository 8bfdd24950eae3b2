import { NO_MAKING, SHOP_TO_START } from '../../sheets/making'
import {
  DIMENSIONS_OF_A_DRIVE,
  DRIVE_SIZES_TO_START,
  DRIVE_TO_START,
  GOALS_OF_A_DRIVE,
} from '../../sheets/newJob'
import type { Change } from '../edit'

/** The version that this app writes. */
export const SCHEMA_VERSION = 3

type Plain = Record<string, unknown>

/** One step: makes a document of version `from` into one of version `from + 1`. */
export interface Migration {
  from: number
  migrate: (job: Plain) => Plain
  /** What the step does to one axis, also to those that a change of the history puts in or takes out. */
  axis?: (axis: Plain) => Plain
}

const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const isAxis = (value: unknown): value is Plain =>
  isPlain(value) && isPlain(value.dimensions) && isPlain(value.goals) && isPlain(value.parts)

/** Version 2 knows belts, two screws, handwheels, duty, and what the accuracy of a drive rests on. */
const withWholeDrive = (axis: Plain): Plain => ({
  ...axis,
  dimensions: { ...(axis.dimensions as Plain), ...DIMENSIONS_OF_A_DRIVE },
  goals: { ...(axis.goals as Plain), ...GOALS_OF_A_DRIVE },
  parts: { ...(axis.parts as Plain), belt: null },
  drive: DRIVE_TO_START,
  driveSizes: DRIVE_SIZES_TO_START,
  duty: null,
  variants: [],
})
/** Version 3 knows limits that the builder has changed, parts of the builder's own, and what is made to fit. */
const withLimits = (axis: Plain): Plain => ({ ...axis, limits: {}, making: NO_MAKING })
const withOwnParts = (job: Plain): Plain => ({
  ...job,
  ownParts: { screw: [], bearing: [], coupler: [], belt: [], motor: [] },
  shop: SHOP_TO_START,
  orders: {},
})
const onEachAxis =
  (migrate: (axis: Plain) => Plain) =>
  (job: Plain): Plain =>
    Array.isArray(job.axes)
      ? { ...job, axes: job.axes.map(axis => (isAxis(axis) ? migrate(axis) : axis)) }
      : job

/** Steps from every older version; there is none before version 1. */
export const MIGRATIONS: Migration[] = [
  { from: 1, migrate: onEachAxis(withWholeDrive), axis: withWholeDrive },
  { from: 2, migrate: job => onEachAxis(withLimits)(withOwnParts(job)), axis: withLimits },
]

/**
 * Brings a change of the history up to the present version, so that undoing it puts back whole axes.
 *
 * @param from the version of the job that the change belongs to
 */
export function migrateChange<T extends Pick<Change, 'patches' | 'inverse'>>(change: T, from: number): T {
  const steps = MIGRATIONS.filter(step => step.from >= from)
  const up = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(up)
    return isAxis(value) ? steps.reduce((axis, step) => step.axis?.(axis) ?? axis, value) : value
  }
  const all = (patches: Change['patches']) =>
    patches.map(patch => ('value' in patch ? { ...patch, value: up(patch.value) } : patch))
  return { ...change, patches: all(change.patches), inverse: all(change.inverse) }
}

/**
 * Brings a job document up to the present version, step by step.
 *
 * @param steps the migrations to use, and the version they end at
 * @returns the document with its new version; its fields are not checked here
 * @throws Error naming the version found and those that can be read
 * @example migrate({ schemaVersion: 1 }).schemaVersion // 3
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
