import {
  acceleration,
  choice,
  choiceOrNone,
  duration,
  flag,
  force,
  length,
  maybe,
  plain,
  type Row,
  record,
  rows,
  share,
  speed,
  type ValueOf,
  type ValuesOf,
  words,
  wordsOrNone,
} from '../field/field'
import { DIMENSION_RECORDS, DRIVE_SIZES, GOALS, RECESSES } from './dimensions'
import { AXIS_ENDS, NUT_FACINGS, SCREW_ENDS, TRANSMISSIONS } from './kinds'
import { OF_LAST } from './ofLast'
import { GOALS_FROM, WORK } from './work'

/** Ids of the parts that are chosen. */
export const CHOSEN_PARTS = record('Parts', {
  screw: wordsOrNone('Screw and nut', 80),
  bearing: wordsOrNone('Bearings', 80),
  coupler: wordsOrNone('Coupler', 80),
  belt: wordsOrNone('Belt', 80),
  motor: wordsOrNone('Motor', 80),
  brake: wordsOrNone('Brake', 80),
})

export const ENDS = choice('How the ends are held', SCREW_ENDS, { blank: 'fixed-supported' })

/** How the motor turns the screw, and how many screws there are. */
export const DRIVE = record('Drive', {
  transmission: choice('Motor to screw', TRANSMISSIONS),
  /** Two screws, each with a motor of its own, share a gantry. */
  screws: choice('Screws', [1, 2]),
  /** Microsteps to a full step, as set on the driver. */
  microsteps: plain('Microsteps', [1, 256], { whole: true, blank: 8 }),
  /** Current set on the driver; none leaves it as the sheet of the motor has it. */
  currentA: plain('Current set on the driver', [0.05, 100], {
    orNone: true,
    unit: 'A',
    help: 'Empty: as the sheet of the motor has it. Less is less torque everywhere: at a stall, for the coupler, in the move.',
  }),
  /** Whether a handwheel stays on the far end of the screw. */
  handwheelKept: flag('Handwheel kept'),
  /** Whether the lead is to be measured, and corrected by the controller from a table. */
  leadTable: flag('Lead to be corrected from a table'),
})
export type Drive = ValueOf<typeof DRIVE>

/** Whether the nut turns, on bearings of its own, and the screw stands. */
export const turnsNut = ({ transmission }: Pick<Drive, 'transmission'>): boolean => transmission === 'nut'

/** Whether a belt, and no coupler, is between motor and drive. */
export const hasBelt = ({ transmission }: Pick<Drive, 'transmission'>): boolean => transmission !== 'direct'

/** What takes weight off an upright axis; its force is a dimension. */
export const COUNTERBALANCE = record('Counterbalance', {
  kind: choiceOrNone('What the counterbalance is', ['springs', 'gas-spring', 'weights'], {
    springs: 'springs that can be slackened',
    'gas-spring': 'a gas spring',
    weights: 'weights on a chain',
  }),
  /** Whether it is still to be bought and fitted, because it was chosen here. */
  toFit: flag('To be fitted'),
})

/** Preload set on the nut; none leaves it as delivered. */
export const PRELOAD_N = force('Preload of the nut', [0, 50_000], { orNone: true })

/**
 * One kind of work of a typical hour: the force of the nut along the screw, signed by its direction. With a stroke it goes to
 * and fro: then its force is what resists it at a steady speed, and weight and mass come on top.
 */
export const DUTY = rows(
  'Work',
  {
    label: words('Work', 80),
    forceN: force('Force', [-50_000, 50_000]),
    speedMmPerMin: speed('Speed', [0, 100_000]),
    timeShare: share('Share of the time', [0, 1]),
    accelerationMmPerS2: acceleration('Speeding up', [-50_000, 50_000]),
    strokeMm: length('Stroke, to and fro', [0.1, 20_000], { orNone: true }),
    dwellS: duration('Rest at each end', [0, 3600]),
  },
  { most: 24 },
)
export type DutyRow = Row<ValuesOf<(typeof DUTY)['of']>>

/** What every axis has; sheets add their own, each in its model. */
export const AXIS_FIELDS = {
  dimensions: record('Dimensions', DIMENSION_RECORDS),
  goals: record('Goals', GOALS),
  goalsFrom: GOALS_FROM,
  work: WORK,
  parts: CHOSEN_PARTS,
  ends: ENDS,
  drive: DRIVE,
  counterbalance: COUNTERBALANCE,
  /** Numbers that belong to a kind of drive, such as how far two screws are apart. */
  driveSizes: record('Sizes of the drive', DRIVE_SIZES),
  /** What a typical hour is made of; none reckons it from the goals. */
  duty: maybe('Duty', DUTY),
  preloadN: PRELOAD_N,
  recesses: record('Recesses and stops', RECESSES),
  /** The end that stands higher, of an axis that is not level; none while nobody has said. */
  higherEnd: choiceOrNone('Which end is higher', AXIS_ENDS, {
    fixed: 'the motor end',
    far: 'the far end',
  }),
  /** The side of its bracket on which the nut's body stands. */
  nutFacing: choice('Nut body stands towards', NUT_FACINGS),
  ofLast: OF_LAST,
} as const

/** Limits that the builder has set in place of the usual ones, with the reason. */
export const OWN_LIMITS = record('Limits', {
  holds: plain('It holds', [0.01, 1000]),
  close: plain('It is close', [0.01, 1000]),
  because: words('Because', 300, ''),
})
export type OwnLimits = ValueOf<typeof OWN_LIMITS>

/** What the sheets keep on an axis: each adds its own to this interface in its `model.ts`. */
// biome-ignore lint/suspicious/noEmptyInterface: filled by the models of the sheets
export interface SheetFields {}

export interface Axis extends ValuesOf<typeof AXIS_FIELDS>, SheetFields {
  id: string
  name: string
  title: string
  /** Limits of checks that the builder has changed, by the key of the limit. */
  limits: Record<string, OwnLimits>
}
export type Dimension = Axis['dimensions']['dragN']
