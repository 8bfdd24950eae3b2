import type { QuantityKind } from '../units/quantity'

/** Where a value comes from. */
export const PROVENANCES = ['measured', 'sheet', 'assumed'] as const
export type Provenance = (typeof PROVENANCES)[number]

interface FieldFacts {
  label: string
  quantity: QuantityKind
  min: number
  max: number
}
interface DimensionFacts extends FieldFacts {
  group: 'geometry' | 'load' | 'shafts'
  /** How to measure it with what a small shop has. */
  howTo: string
}

const dimension = (
  group: DimensionFacts['group'],
  label: string,
  quantity: QuantityKind,
  [min, max]: [number, number],
  howTo: string,
): DimensionFacts => ({ group, label, quantity, min, max, howTo })

/** What a survey of an axis measures; the range is what has a meaning on a machine of this kind. */
export const DIMENSIONS = {
  wayTravelMm: dimension(
    'geometry',
    'Travel that the ways allow',
    'length',
    [10, 10_000],
    'Screw out. Push the table by hand from one casting stop to the other; read a rule laid along the way at both ends.',
  ),
  supportSpanMm: dimension(
    'geometry',
    'Between the inner faces of the bearing blocks',
    'length',
    [20, 12_000],
    'Blocks bolted in loose. Calipers or a tape from face to face; take it at both sides and use the smaller.',
  ),
  bracketThicknessMm: dimension(
    'geometry',
    'Thickness of the nut bracket',
    'length',
    [2, 200],
    'Calipers across the bracket where the nut flange sits.',
  ),
  screwToWayMm: dimension(
    'geometry',
    'Screw axis to the top of the way',
    'length',
    [5, 500],
    'Height gauge or a square and rule from the way down to the centre of the bearing bore.',
  ),
  inclineDeg: dimension(
    'geometry',
    'Incline of the axis',
    'angle',
    [0, 90],
    'Digital level on the way: 0 is level, 90 is straight up.',
  ),
  movingMassKg: dimension(
    'load',
    'Moving mass, with the heaviest work',
    'mass',
    [0.1, 5000],
    'Bathroom scale under the table, lifted with help or a hoist; add vice and work.',
  ),
  frictionCoefficient: dimension(
    'load',
    'Friction of the ways',
    'ratio',
    [0, 1],
    'Pull the table steadily with a spring scale, then again with a known mass on it: friction is the extra pull over the extra weight.',
  ),
  dragN: dimension(
    'load',
    'Drag of gib, wipers and seals',
    'force',
    [0, 5000],
    'The pull of the spring scale that is left when friction times weight is taken off.',
  ),
  counterbalanceN: dimension(
    'load',
    'Counterbalance',
    'force',
    [0, 50_000],
    'Hang the head from a scale with the counterbalance on and off; the difference. 0 on a level axis.',
  ),
  shaftParallelMm: dimension(
    'shafts',
    'Motor shaft beside the screw axis',
    'length',
    [0, 5],
    'Indicator on the motor shaft, its tip on the end of the screw. Turn the motor once: half of what the needle swings.',
  ),
  shaftAngleDeg: dimension(
    'shafts',
    'Motor shaft at an angle to the screw',
    'angle',
    [0, 10],
    'Feeler gauge between the hub faces at four places: the difference over the hub diameter, times 57.3.',
  ),
  shaftAxialMm: dimension(
    'shafts',
    'Coupler pushed or pulled along',
    'length',
    [0, 5],
    'Calipers over the coupler before and after its second hub is tightened: the difference.',
  ),
} satisfies Record<string, DimensionFacts>
export type DimensionKey = keyof typeof DIMENSIONS
export const DIMENSION_KEYS = Object.keys(DIMENSIONS) as DimensionKey[]

const field = (label: string, quantity: QuantityKind, [min, max]: [number, number]): FieldFacts => ({
  label,
  quantity,
  min,
  max,
})

/** What the builder wants from an axis. */
export const GOALS = {
  wantedTravelMm: field('Travel wanted', 'length', [1, 10_000]),
  topSpeedMmPerMin: field('Top speed', 'speed', [1, 100_000]),
  accelerationMmPerS2: field('Acceleration', 'acceleration', [1, 50_000]),
  cuttingForceN: field('Cutting force along the axis', 'force', [0, 50_000]),
  cuttingFeedMmPerMin: field('Feed while cutting', 'speed', [1, 100_000]),
  cuttingShare: field('Share of the time spent cutting', 'share', [0, 1]),
  backlashTargetUm: field('Lost motion accepted', 'smallLength', [1, 2000]),
  accuracyTargetUm: field('Position error accepted over the travel', 'smallLength', [1, 5000]),
  temperatureRiseK: field('Warming of the screw in use', 'temperatureRise', [0, 60]),
  alignmentTargetUm: field('Screw out of line accepted', 'smallLength', [1, 1000]),
  wantedLifeHours: field('Life wanted', 'hours', [1, 200_000]),
} satisfies Record<string, FieldFacts>
export type GoalKey = keyof typeof GOALS
export const GOAL_KEYS = Object.keys(GOALS) as GoalKey[]

/** What is chosen when room is made for the drive. */
export const ROOM = {
  recessFixedMm: field('Recess at the fixed end', 'length', [0, 500]),
  recessFarMm: field('Recess at the far end', 'length', [0, 500]),
  safetyFixedMm: field('Kept clear at the fixed end', 'length', [0, 200]),
  safetyFarMm: field('Kept clear at the far end', 'length', [0, 200]),
} satisfies Record<string, FieldFacts>
export type RoomKey = keyof typeof ROOM
export const ROOM_KEYS = Object.keys(ROOM) as RoomKey[]

/** Numbers that belong to a kind of drive. */
export const DRIVE_SIZES = {
  screwSpacingMm: field('Between the two screws', 'length', [50, 10_000]),
  offCentreMm: field('Load off the middle of the gantry, at most', 'length', [0, 5000]),
  handwheelRadiusMm: field('Handwheel, middle to grip', 'length', [10, 500]),
  beltCentresMm: field('Between motor shaft and screw', 'length', [20, 2000]),
} satisfies Record<string, FieldFacts>
export type DriveSizeKey = keyof typeof DRIVE_SIZES
