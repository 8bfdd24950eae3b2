import { lazy, mixed, type Schema } from 'yup'
import { DIMENSIONS, DRIVE_SIZES, GOALS, PROVENANCES, ROOM } from '../document/dimensions'
import {
  ENTRY_KINDS,
  LONGEST_LINE,
  MACHINE_KINDS,
  MOST_DUTY_ROWS,
  MOST_VARIANTS,
  NUT_FACINGS,
  TRANSMISSIONS,
} from '../document/job'
import { SCHEMA_VERSION } from '../document/migrations'
import {
  fields,
  listOf,
  moment,
  momentOrNull,
  numeric,
  oneOf,
  orNull,
  shape,
  text,
  textOrNull,
  wholeNumber,
  yesNo,
} from '../field/schemaKit'
import { NO_OWN_PARTS } from '../machine/parts'
import { SCREW_ENDS } from '../machine/sizing/screw'
import { limits, making, orders, ownPartsOf, shop } from './makingSchema'

/** Names given to a step by the procedure; when it was ticked. */
const ticks = lazy((value: unknown) =>
  shape(
    Object.fromEntries(
      Object.keys(typeof value === 'object' && value ? value : {})
        .filter(key => /^[a-z0-9.-]{1,60}$/.test(key))
        .map(key => [key, moment()]),
    ),
  ),
)

const reading = () => orNull(-100_000, 100_000)
const place = () => numeric(-1000, 20_000)

const round = shape({
  id: text(40),
  startedAt: moment(),
  finishedAt: momentOrNull(),
  clampedAtMm: place(),
  stations: listOf(shape({ positionMm: place(), heightUm: reading(), sideUm: reading() }), 200),
})
const test = shape({
  id: text(40),
  startedAt: moment(),
  finishedAt: momentOrNull(),
  label: text(120),
  stations: listOf(
    shape({
      positionMm: place(),
      approachPositiveUm: listOf(numeric(-100_000, 100_000), 200),
      approachNegativeUm: listOf(numeric(-100_000, 100_000), 200),
    }),
    200,
  ),
})

const parts = () =>
  shape({
    screw: textOrNull(80),
    bearing: textOrNull(80),
    coupler: textOrNull(80),
    belt: textOrNull(80),
    motor: textOrNull(80),
  })
const drive = () =>
  shape({
    transmission: oneOf(TRANSMISSIONS),
    screws: oneOf([1, 2]),
    microsteps: wholeNumber(1, 256),
    handwheelKept: yesNo(),
  })
const preloadN = () => orNull(0, 50_000)

const axis = shape({
  id: text(40),
  name: text(12),
  title: text(80),
  dimensions: fields(DIMENSIONS, key =>
    shape({ value: orNull(DIMENSIONS[key].min, DIMENSIONS[key].max), provenance: oneOf(PROVENANCES) }),
  ),
  goals: fields(GOALS, key => numeric(GOALS[key].min, GOALS[key].max)),
  parts: parts(),
  ends: oneOf(SCREW_ENDS),
  drive: drive(),
  driveSizes: fields(DRIVE_SIZES, key => numeric(DRIVE_SIZES[key].min, DRIVE_SIZES[key].max)),
  duty: lazy(value =>
    value === null
      ? mixed().nullable()
      : listOf(
          shape({
            label: text(80),
            forceN: numeric(-50_000, 50_000),
            speedMmPerMin: numeric(0, 100_000),
            timeShare: numeric(0, 1),
          }),
          MOST_DUTY_ROWS,
        ),
  ) as unknown as Schema,
  variants: listOf(
    shape({
      id: text(40),
      name: text(160),
      parts: parts(),
      ends: oneOf(SCREW_ENDS),
      drive: drive(),
      preloadN: preloadN(),
    }),
    MOST_VARIANTS,
  ),
  preloadN: preloadN(),
  room: fields(ROOM, key => numeric(ROOM[key].min, ROOM[key].max)),
  nutFacing: oneOf(NUT_FACINGS),
  making,
  limits,
  ticks,
  rounds: listOf(round, 100),
  tests: listOf(test, 100),
})

/** A job document of the present version. */
export const jobSchema = shape({
  schemaVersion: oneOf([SCHEMA_VERSION]),
  id: text(40),
  name: text(80),
  machineKind: oneOf(MACHINE_KINDS),
  units: oneOf(['mm', 'inch']),
  createdAt: moment(),
  archived: yesNo(),
  ownParts: fields(NO_OWN_PARTS, ownPartsOf),
  orders,
  shop,
  axes: listOf(axis, 12),
})

/** A line of the log. */
export const entrySchema = shape({
  id: text(40),
  jobId: text(40),
  axisId: textOrNull(40),
  at: moment(),
  kind: oneOf(ENTRY_KINDS),
  text: text(LONGEST_LINE),
  closes: textOrNull(40),
  hidden: yesNo(),
})

const patch = shape({
  op: oneOf(['replace', 'add', 'remove']),
  path: listOf(mixed(), 12),
  value: mixed().nullable(),
})

/** One change of the history, with what takes it back. */
export const changeSchema = shape({
  id: text(40),
  jobId: text(40),
  at: moment(),
  label: text(300),
  mergeKey: textOrNull(200),
  patches: listOf(patch, 1000),
  inverse: listOf(patch, 1000),
  shows: listOf(text(40), 100),
  hides: listOf(text(40), 100),
  undone: yesNo(),
})
