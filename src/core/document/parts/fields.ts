import {
  angle,
  type ChoiceField,
  type CurveField,
  choice,
  force,
  length,
  mass,
  money,
  type NumberField,
  numberOf,
  plain,
  share,
  smallLength,
  torque,
  type WordsField,
  words,
} from '../../field/field'
import type { PartKind } from '../kinds'

/** How true a lead is, by ISO 3408-3. */
export const TOLERANCE_CLASSES = ['P1', 'P3', 'P5', 'T7', 'T10'] as const

export type PartField = NumberField | ChoiceField | WordsField | CurveField

const inertia = numberOf('inertia')
const stiffness = numberOf('stiffness')
const orNone = { orNone: true } as const
const whole = { whole: true } as const
const unit = <const U extends string>(of: U) => ({ unit: of }) as const

const FACTS = {
  /** What it is, in the trade's words. */
  name: words('Name', 80),
  maker: words('Maker', 60),
  priceEur: money('Price', [0, 50_000]),
} as const

/** What is of use when a part is ordered. */
const SUPPLY = {
  /** Of a screw, that of its nut: the screw itself is cut to length. */
  massKg: mass('Mass (of a screw: its nut)', [0.001, 500], orNone),
  leadDays: plain('Comes in', [0, 1000], { orNone: true, whole: true, unit: 'days' }),
  /** How many lie on the shelf. */
  stock: plain('On the shelf', [0, 100_000], { orNone: true, whole: true }),
} as const

/** Most points of a typed-in torque curve. */
export const MOST_CURVE_POINTS = 40
export const MOST_CURVE_RPM = 100_000
export const MOST_TORQUE_NM = 500

export const PART_FIELDS = {
  screw: {
    ...FACTS,
    kind: choice('Kind', ['ball', 'sliding']),
    nominalDiameterMm: length('Diameter', [4, 120]),
    rootDiameterMm: length('Root diameter', [2, 118]),
    pitchDiameterMm: length('Ball circle or pitch diameter', [3, 125]),
    leadMm: length('Lead', [0.5, 100]),
    dynamicCapacityN: force('Dynamic capacity (ball screw)', [200, 1e6], orNone),
    staticCapacityN: force('Static capacity', [200, 3e6]),
    ratedStiffnessNPerUm: stiffness('Rated stiffness of the nut', [5, 10_000]),
    frictionCoefficient: plain('Friction coefficient', [0.001, 0.4]),
    flankAngleDeg: angle('Flank angle (0 for balls)', [0, 45]),
    preloadN: force('Preload as delivered', [0, 50_000]),
    nutPlayUm: smallLength('Play as delivered', [0, 1000]),
    speedValueLimit: plain('Diameter times speed, at most', [1000, 400_000], unit('mm·rpm')),
    pressureSpeedLimitMpaMPerMin: numberOf('pressureSpeed')(
      'Pressure times sliding speed, at most (sliding nut)',
      [0.1, 1000],
      orNone,
    ),
    nutBodyLengthMm: length('Length of the nut body', [5, 500]),
    nutBodyDiameterMm: length('Diameter of the nut body', [6, 300]),
    nutFlangeThicknessMm: length('Thickness of the flange', [2, 60]),
    nutFlangeDiameterMm: length('Diameter of the flange', [8, 400]),
    toleranceClass: choice('Class of the lead', TOLERANCE_CLASSES, {
      words: {
        P1: 'P1: ground, within 6 µm over 300 mm',
        P3: 'P3: ground, within 12 µm over 300 mm',
        P5: 'P5: ground or rolled, within 23 µm over 300 mm',
        T7: 'T7: rolled, within 52 µm over 300 mm',
        T10: 'T10: rolled, within 210 µm over 300 mm',
      },
    }),
    ...SUPPLY,
  },
  bearing: {
    ...FACTS,
    arrangement: choice('Arrangement', ['deep-groove', 'back-to-back', 'face-to-face', 'double-row']),
    boreMm: length('Bore', [3, 100]),
    couplerSeatMm: length('End of the screw beyond it', [2, 95]),
    ballCount: plain('Balls in a row', [5, 60], whole),
    ballDiameterMm: length('Ball diameter', [1, 40]),
    contactAngleDeg: angle('Contact angle', [5, 75]),
    dynamicCapacityN: force('Dynamic capacity', [200, 1e6]),
    staticCapacityN: force('Static capacity along the shaft', [200, 3e6]),
    /** How much of its balls a deep-groove bearing brings to bear on thrust; null for any other. */
    f0: plain('Factor f0 (deep groove)', [8, 20], orNone),
    preloadN: force('Preload, or push of the spring', [1, 50_000]),
    axialPlayUm: smallLength('Play along the shaft', [0, 500]),
    dragTorqueNm: torque('Drag', [0, 10]),
    blockLengthMm: length('Length of the block', [8, 400]),
    blockHeightMm: length('Height of the block', [10, 500]),
    ...SUPPLY,
  },
  coupler: {
    ...FACTS,
    type: choice('Type', ['slit', 'jaw', 'bellows', 'disc', 'sliding']),
    hub: choice('Hubs', ['clamp', 'set-screw']),
    ratedTorqueNm: torque('Rated torque', [0.05, MOST_TORQUE_NM]),
    serviceFactor: plain('Service factor', [1, 5]),
    torsionalStiffnessNmPerRad: plain('Torsional stiffness', [1, 1e6], unit('N·m/rad')),
    backlashDeg: angle('Backlash', [0, 10]),
    inertiaKgM2: inertia('Inertia', [1e-8, 0.1]),
    smallestBoreMm: length('Smallest bore', [1, 100]),
    largestBoreMm: length('Largest bore', [2, 120]),
    lengthMm: length('Length', [8, 400]),
    diameterMm: length('Diameter', [8, 300]),
    hubGapMm: length('Gap between the hubs (jaw)', [0, 20]),
    parallelLimitMm: length('Bears beside the line', [0.01, 10]),
    angularLimitDeg: angle('Bears at an angle', [0.1, 15]),
    axialLimitMm: length('Bears along the line', [0.01, 20]),
    ...SUPPLY,
  },
  belt: {
    ...FACTS,
    pitchMm: length('Pitch', [1, 30]),
    widthMm: length('Width', [3, 200]),
    teethMotor: plain('Teeth on the motor', [8, 200], whole),
    teethScrew: plain('Teeth on the screw', [8, 300], whole),
    massPerLengthKgPerM: plain('Mass of a metre of belt', [0.002, 10], unit('kg/m')),
    cordStiffnessN: force('Stiffness of the cords (pull that would double the length)', [5000, 2e7]),
    ratedPullN: force('Rated pull', [10, 50_000]),
    serviceFactor: plain('Service factor', [1, 5]),
    tensionFactor: plain('Tension factor', [0.5, 3]),
    efficiency: share('Efficiency', [0.5, 1]),
    toothPlayUm: smallLength('Play of the teeth', [0, 1000]),
    motorPulleyInertiaKgM2: inertia('Inertia of the pulley on the motor', [1e-8, 1]),
    screwPulleyInertiaKgM2: inertia('Inertia of the pulley on the screw', [1e-8, 1]),
    smallestBoreMm: length('Smallest bore', [1, 100]),
    largestBoreMm: length('Largest bore, motor', [2, 150]),
    largestScrewBoreMm: length('Largest bore, screw', [2, 200]),
    ...SUPPLY,
  },
  motor: {
    ...FACTS,
    loop: choice('Control', ['open', 'closed']),
    frameMm: length('Frame', [15, 300]),
    lengthMm: length('Length of the body', [10, 600]),
    shaftMm: length('Shaft', [2, 60]),
    rotorInertiaKgM2: inertia('Inertia of the rotor', [1e-8, 0.1]),
    holdingTorqueNm: torque('Holding torque (peak of a servo)', [0.02, MOST_TORQUE_NM]),
    continuousTorqueNm: torque('Torque it bears all day (servo)', [0.01, MOST_TORQUE_NM], orNone),
    shaftLoadLimitN: force('Shaft bears sideways, at most', [1, 20_000], orNone),
    detentTorqueNm: torque('Detent torque', [0, 20]),
    fullStepsPerRev: plain('Full steps to a turn', [20, 100_000], whole),
    ratedCurrentA: plain('Rated current', [0.05, 100], unit('A')),
    driveCurrentA: plain('Current set on the driver', [0.05, 100], unit('A')),
    inductanceMh: plain('Inductance', [0.05, 200], unit('mH')),
    supplyV: plain('Supply', [5, 500], unit('V')),
    curve: { is: 'curve', label: "Maker's torque over speed", blank: null } as CurveField,
    ...SUPPLY,
  },
  brake: {
    ...FACTS,
    holdingTorqueNm: torque('Holding torque without current', [0.02, MOST_TORQUE_NM]),
    inertiaKgM2: inertia('Inertia', [1e-8, 0.1]),
    smallestBoreMm: length('Smallest bore', [1, 100]),
    largestBoreMm: length('Largest bore', [2, 120]),
    lengthMm: length('Length', [5, 400]),
    ...SUPPLY,
  },
} satisfies Record<PartKind, Record<string, PartField>>

/** The fields of a kind by name, for going through them. */
export const fieldsOf = (kind: PartKind): [name: string, field: PartField][] =>
  Object.entries(PART_FIELDS[kind] as Record<string, PartField>)
