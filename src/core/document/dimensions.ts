import {
  angle,
  choice,
  force,
  length,
  type NumberField,
  numberOf,
  plain,
  record,
  share,
  smallLength,
  speed,
} from '../field/field'
import { PROVENANCES } from './kinds'

const acceleration = numberOf('acceleration')
const mass = numberOf('mass')
const hours = numberOf('hours')
const temperatureRise = numberOf('temperatureRise')

type Group = 'geometry' | 'load' | 'shafts'
/** When a dimension shows: before anything is apart, once it is, or only once the part is made that has it. */
export type Shows = 'whole' | 'apart' | 'made'
/** How a dimension that shows only when it is apart can be read roughly before, and what it is called then. */
export interface Outside {
  label: string
  help: string
}
const dimension = <G extends Group>(
  group: G,
  shows: Shows,
  field: Omit<NumberField, 'help'>,
  help: string,
  outside?: Outside,
) => ({
  ...field,
  group,
  shows,
  /** How to measure it with what a small shop has. */
  help,
  outside,
})

/** What a survey of an axis measures; the range is what has a meaning on a machine of this kind. */
export const DIMENSIONS = {
  wayTravelMm: dimension(
    'geometry',
    'apart',
    length('Travel that the ways allow', [10, 10_000]),
    'Screw out. Push the slide by hand from one casting stop to the other; read a rule laid along the way at both ends.',
    {
      label: 'Travel by the dials',
      help: 'Crank from stop to stop and count by the dial, or read a rule laid along the slide. The old screw may stop it before the ways do.',
    },
  ),
  supportSpanMm: dimension(
    'geometry',
    'made',
    length('Between the inner faces of the bearing blocks', [20, 12_000]),
    'Blocks bolted in loose. Calipers or a tape from face to face; take it at both sides and use the smaller.',
  ),
  bracketThicknessMm: dimension(
    'geometry',
    'made',
    length('Thickness of the nut bracket', [2, 200]),
    'Calipers across the bracket where the nut flange sits.',
  ),
  screwToWayMm: dimension(
    'geometry',
    'apart',
    length('Screw axis to the top of the way', [5, 500]),
    'Height gauge or a square and rule from the way down to the centre of the bearing bore.',
    {
      label: 'Room around the screw, from outside',
      help: 'A square and a rule from the top of the way down to the middle of the old screw, where it can be seen: at its end, or through the gap under the slide.',
    },
  ),
  inclineDeg: dimension(
    'geometry',
    'whole',
    angle('Incline of the axis', [0, 90]),
    'Digital level on the way: 0 is level, 90 is straight up.',
  ),
  movingMassKg: dimension(
    'load',
    'whole',
    mass('Moving mass, with the heaviest work', [0.1, 5000]),
    'Bathroom scale under the slide, lifted with help or a hoist; add vice and work.',
  ),
  lightestMassKg: dimension(
    'load',
    'whole',
    mass('Moving mass, with nothing on it', [0.1, 5000]),
    'The same scale with vice, work and tool taken off; of a head with its spindle or motor off, where that is ever done.',
  ),
  frictionCoefficient: dimension(
    'load',
    'apart',
    plain('Friction of the ways', [0, 1]),
    'Pull the slide steadily with a spring scale, then again with a known mass on it: friction is the extra pull over the extra weight.',
  ),
  dragN: dimension(
    'load',
    'apart',
    force('Drag of gib, wipers and seals', [0, 5000]),
    'The pull of the spring scale that is left when friction times weight is taken off.',
  ),
  counterbalanceN: dimension(
    'load',
    'whole',
    force('Counterbalance', [0, 50_000]),
    'Hang the head from a scale with the counterbalance on and off; the difference. 0 on a level axis.',
  ),
  counterbalanceSpreadN: dimension(
    'load',
    'whole',
    force('Its force changes over the travel by', [0, 50_000]),
    'The counterbalance read on the scale at the bottom and at the top of the travel: the difference. 0 for weights on a chain.',
  ),
  shaftParallelMm: dimension(
    'shafts',
    'made',
    length('Motor shaft beside the screw axis', [0, 5]),
    'Indicator on the motor shaft, its tip on the end of the screw. Turn the motor once: half of what the needle swings.',
  ),
  shaftAngleDeg: dimension(
    'shafts',
    'made',
    angle('Motor shaft at an angle to the screw', [0, 10]),
    'Feeler gauge between the hub faces at four places: the difference over the hub diameter, times 57.3.',
  ),
  shaftAxialMm: dimension(
    'shafts',
    'made',
    length('Coupler pushed or pulled along', [0, 5]),
    'Calipers over the coupler before and after its second hub is tightened: the difference.',
  ),
} satisfies Record<string, NumberField>
export type DimensionKey = keyof typeof DIMENSIONS
/** A value with where it comes from; null while nobody knows it. */
export const SOURCE = choice('Where it comes from', PROVENANCES, {
  words: { sheet: 'from a sheet', outside: 'from outside, roughly', planned: 'as planned' },
  blank: 'assumed',
})
export const DIMENSION_KEYS = Object.keys(DIMENSIONS) as DimensionKey[]

/** What the builder wants from an axis. */
export const GOALS = {
  wantedTravelMm: length('Travel wanted', [1, 10_000], {
    help: 'As far as the work needs; the dials of the old screw show what it gave.',
  }),
  topSpeedMmPerMin: speed('Top speed', [1, 100_000], {
    help: 'How fast it moves when nothing is cut.',
  }),
  accelerationMmPerS2: acceleration('Acceleration', [1, 50_000], {
    help: 'How hard it speeds up and slows down; more of it wants a larger motor.',
  }),
  cuttingForceN: force('Cutting force along the axis', [0, 50_000], {
    help: 'What the heaviest cut pushes back along this axis.',
  }),
  cuttingFeedMmPerMin: speed('Feed while cutting', [1, 100_000], {
    help: 'How fast it moves in that cut.',
  }),
  cuttingShare: share('Share of the time spent cutting', [0, 1], {
    help: 'How much of an hour at the machine is that cut.',
  }),
  backlashTargetUm: smallLength('Lost motion accepted', [1, 2000], {
    help: 'What the needle may stay behind when the way is reversed.',
  }),
  accuracyTargetUm: smallLength('Position error accepted over the travel', [1, 5000], {
    help: 'How far off a place may be, anywhere over the travel.',
  }),
  temperatureRiseK: temperatureRise('Warming of the screw in use', [0, 60], {
    help: 'How much warmer the screw gets than when it was set: it grows with that.',
  }),
  alignmentTargetUm: smallLength('Screw out of line accepted', [1, 1000], {
    help: 'How far the screw may stand off the line of the ways between its ends.',
  }),
  /** Of two screws that drive a gantry: how far one end may lead the other. */
  rackingTargetUm: smallLength('Gantry out of square accepted, screw to screw', [1, 10_000], {
    help: 'How far one end of the gantry may be ahead of the other.',
  }),
  wantedLifeHours: hours('Life wanted', [1, 200_000], {
    help: 'Hours of running until nut or bearings are worn out.',
  }),
} satisfies Record<string, NumberField>
export type GoalKey = keyof typeof GOALS
export const GOAL_KEYS = Object.keys(GOALS) as GoalKey[]

/** What is chosen when room is made for the drive. */
export const RECESSES = {
  recessFixedMm: length('Recess at the fixed end', [0, 500]),
  recessFarMm: length('Recess at the far end', [0, 500]),
  safetyFixedMm: length('Kept clear at the fixed end', [0, 200]),
  safetyFarMm: length('Kept clear at the far end', [0, 200]),
} satisfies Record<string, NumberField>
export type RecessKey = keyof typeof RECESSES
export const RECESS_KEYS = Object.keys(RECESSES) as RecessKey[]

/** Numbers that belong to a kind of drive. */
export const DRIVE_SIZES = {
  screwSpacingMm: length('Between the two screws', [50, 10_000]),
  offCentreMm: length('Load off the middle of the gantry, at most', [0, 5000]),
  handwheelRadiusMm: length('Handwheel, middle to grip', [10, 500]),
  handwheelHubMm: length('Hub of the handwheel, along the screw', [5, 200]),
  beltCentresMm: length('Between motor shaft and screw', [20, 2000]),
} satisfies Record<string, NumberField>
export type DriveSizeKey = keyof typeof DRIVE_SIZES

/** Every dimension as it is stored: its value, or none, and where that comes from. */
export const DIMENSION_RECORDS = Object.fromEntries(
  Object.entries(DIMENSIONS).map(([key, field]) => [
    key,
    record(field.label, { value: { ...field, orNone: true, blank: null }, provenance: SOURCE }),
  ]),
) as unknown as {
  readonly [K in DimensionKey]: {
    readonly is: 'record'
    readonly label: string
    readonly of: {
      readonly value: NumberField & { readonly orNone: true }
      readonly provenance: typeof SOURCE
    }
  }
}
