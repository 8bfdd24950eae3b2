import { NOT_ACCEPTED } from '../document/acceptance'
import type { Axis, Dimension, Drive, SheetFields } from '../document/axis'
import {
  DIMENSION_KEYS,
  DIMENSIONS,
  type DimensionKey,
  DRIVE_SIZES,
  type DriveSizeKey,
  GOALS,
  type GoalKey,
  RECESSES,
} from '../document/dimensions'
import { newId } from '../document/id'
import type { Job } from '../document/job'
import type { MachineKind } from '../document/kinds'
import { PLAN_TO_START } from '../document/plan'
import { SHOP_TO_START, SHOP_TO_START_INCH } from '../document/shop'
import { NO_UPKEEP } from '../document/upkeep'
import { SCHEMA_VERSION } from '../document/version.generated'
import { allGoalsFrom } from '../document/work'
import { blankOf } from '../field/field'
import { NO_OWN_PARTS } from '../machine/parts'
import { isToBeMade } from '../machine/stillToMeasure'
import type { QuantityKind, UnitSystem } from '../units/quantity'
import { spoken } from '../units/spoken'
import { SHEETS } from '.'

type Assumed = Record<DimensionKey, number | null>
type Goals = Record<GoalKey, number>

const assumed = (value: number | null): Dimension => ({ value, provenance: 'assumed' })
/** What a new axis starts from: assumed, or planned where the part that has it is still to be made. */
const firstGuess = (key: DimensionKey, value: number | null): Dimension =>
  isToBeMade(key) ? { value, provenance: 'planned' } : assumed(value)

/** What version 2 of the document asks of an axis over version 1, with values to start from. */
export const DIMENSIONS_OF_A_DRIVE = {
  shaftParallelMm: assumed(0.05),
  shaftAngleDeg: assumed(0.3),
  shaftAxialMm: assumed(0.1),
}
export const GOALS_OF_A_DRIVE = { accuracyTargetUm: 100, rackingTargetUm: 200, temperatureRiseK: 8 }
export const DRIVE_TO_START: Drive = {
  transmission: 'direct',
  screws: 1,
  microsteps: 8,
  currentA: null,
  handwheelKept: false,
  leadTable: false,
}
export const DRIVE_SIZES_TO_START: Record<DriveSizeKey, number> = {
  screwSpacingMm: 600,
  offCentreMm: 150,
  handwheelRadiusMm: 60,
  handwheelHubMm: 25,
  beltCentresMm: 120,
}

const DIMENSIONS_OF_A_SMALL_MILL: Assumed = {
  wayTravelMm: 400,
  supportSpanMm: 520,
  bracketThicknessMm: 16,
  screwToWayMm: 45,
  inclineDeg: 0,
  movingMassKg: 60,
  lightestMassKg: null,
  frictionCoefficient: 0.1,
  dragN: 40,
  counterbalanceN: 0,
  counterbalanceSpreadN: null,
  shaftParallelMm: DIMENSIONS_OF_A_DRIVE.shaftParallelMm.value as number,
  shaftAngleDeg: DIMENSIONS_OF_A_DRIVE.shaftAngleDeg.value as number,
  shaftAxialMm: DIMENSIONS_OF_A_DRIVE.shaftAxialMm.value as number,
}
const GOALS_OF_A_SMALL_MILL: Goals = {
  wantedTravelMm: 400,
  topSpeedMmPerMin: 3000,
  accelerationMmPerS2: 400,
  cuttingForceN: 800,
  cuttingFeedMmPerMin: 400,
  cuttingShare: 0.5,
  backlashTargetUm: 30,
  alignmentTargetUm: 20,
  wantedLifeHours: 8000,
  ...GOALS_OF_A_DRIVE,
}

export interface AxisTemplate {
  name: string
  title: string
  slide?: Axis['slide']
  dimensions?: Partial<Assumed>
  goals?: Partial<Goals>
  drive?: Partial<Drive>
  driveSizes?: Partial<Record<DriveSizeKey, number>>
}

/** The axes that a machine of each kind usually has, with values to start from: all assumed. */
const TEMPLATES: Record<MachineKind, AxisTemplate[]> = {
  mill: [
    { name: 'X', title: 'Table', slide: 'table' },
    {
      name: 'Y',
      title: 'Saddle',
      slide: 'saddle',
      dimensions: { wayTravelMm: 200, supportSpanMm: 320, movingMassKg: 95 },
      goals: { wantedTravelMm: 200 },
    },
    {
      name: 'Z',
      title: 'Head',
      slide: 'head',
      dimensions: {
        wayTravelMm: 300,
        supportSpanMm: 420,
        inclineDeg: 90,
        movingMassKg: 55,
        lightestMassKg: 50,
      },
      goals: { wantedTravelMm: 300, topSpeedMmPerMin: 2000 },
    },
  ],
  lathe: [
    {
      name: 'Z',
      title: 'Carriage',
      slide: 'carriage',
      dimensions: { wayTravelMm: 500, supportSpanMm: 640, movingMassKg: 30 },
      goals: { wantedTravelMm: 500 },
    },
    {
      name: 'X',
      title: 'Cross slide',
      slide: 'cross-slide',
      dimensions: { wayTravelMm: 140, supportSpanMm: 240, movingMassKg: 12, screwToWayMm: 25 },
      goals: { wantedTravelMm: 140, topSpeedMmPerMin: 1500 },
      drive: { transmission: 'belt', handwheelKept: true },
    },
  ],
  router: [
    {
      name: 'X',
      title: 'Gantry, long way',
      slide: 'rail-carriage',
      dimensions: { wayTravelMm: 1200, supportSpanMm: 1330, frictionCoefficient: 0.01, movingMassKg: 45 },
      goals: { wantedTravelMm: 1200, topSpeedMmPerMin: 5000, cuttingForceN: 200, cuttingFeedMmPerMin: 2000 },
      drive: { screws: 2 },
      driveSizes: { screwSpacingMm: 900, offCentreMm: 350 },
    },
    {
      name: 'Y',
      title: 'Carriage across the gantry',
      slide: 'rail-carriage',
      dimensions: { wayTravelMm: 800, supportSpanMm: 930, frictionCoefficient: 0.01, movingMassKg: 18 },
      goals: { wantedTravelMm: 800, topSpeedMmPerMin: 6000, cuttingForceN: 200, cuttingFeedMmPerMin: 2000 },
    },
    {
      name: 'Z',
      title: 'Spindle',
      slide: 'rail-carriage',
      dimensions: {
        wayTravelMm: 150,
        supportSpanMm: 260,
        inclineDeg: 90,
        frictionCoefficient: 0.01,
        movingMassKg: 9,
        lightestMassKg: 8,
      },
      goals: { wantedTravelMm: 150, topSpeedMmPerMin: 3000, cuttingForceN: 200 },
    },
  ],
}

/** What each sheet keeps on an axis that nothing was entered for yet. */
export const blankSheets = (): SheetFields =>
  Object.assign({}, ...SHEETS.map(({ fields: of = {} }) => blankOf({ is: 'record', label: '', of })))

/**
 * A new axis with values to start from, every one of them assumed and no part chosen.
 *
 * @example newAxis({ name: 'X', title: 'Table' }).dimensions.movingMassKg // { value: 60, provenance: 'assumed' }
 */
export function newAxis(template: AxisTemplate): Axis {
  const values = { ...DIMENSIONS_OF_A_SMALL_MILL, ...template.dimensions }
  return {
    id: newId(),
    name: template.name,
    title: template.title,
    dimensions: Object.fromEntries(
      DIMENSION_KEYS.map(key => [key, firstGuess(key, values[key])]),
    ) as Axis['dimensions'],
    goals: { ...GOALS_OF_A_SMALL_MILL, ...template.goals },
    goalsFrom: allGoalsFrom('assumed'),
    work: null,
    parts: { screw: null, bearing: null, coupler: null, belt: null, motor: null, brake: null },
    ends: 'fixed-supported',
    drive: { ...DRIVE_TO_START, ...template.drive },
    counterbalance: { kind: null, toFit: false },
    driveSizes: { ...DRIVE_SIZES_TO_START, ...template.driveSizes },
    duty: null,
    preloadN: null,
    recesses: { recessFixedMm: 0, recessFarMm: 0, safetyFixedMm: 5, safetyFarMm: 5 },
    nutFacing: 'far',
    higherEnd: null,
    ofLast: null,
    limits: {},
    ...blankSheets(),
    slide: template.slide ?? null,
  }
}

/** A new axis whose figures to start from are round in the units of its job. */
export function asSpoken(axis: Axis, units: UnitSystem): Axis {
  const each = <K extends string>(
    values: Record<K, number>,
    fields: Readonly<Record<K, { quantity: QuantityKind }>>,
  ) =>
    Object.fromEntries(
      (Object.keys(values) as K[]).map(key => [key, spoken(values[key], fields[key].quantity, units)]),
    ) as Record<K, number>
  return {
    ...axis,
    dimensions: Object.fromEntries(
      DIMENSION_KEYS.map(key => {
        const { value, provenance } = axis.dimensions[key]
        return [
          key,
          { provenance, value: value === null ? null : spoken(value, DIMENSIONS[key].quantity, units) },
        ]
      }),
    ) as Axis['dimensions'],
    goals: each(axis.goals, GOALS),
    driveSizes: each(axis.driveSizes, DRIVE_SIZES),
    recesses: each(axis.recesses, RECESSES),
  }
}

/** A new job of a kind of machine with the axes that such a machine usually has. */
export function newJob(name: string, machineKind: MachineKind, units: Job['units'], createdAt: string): Job {
  return {
    schemaVersion: SCHEMA_VERSION,
    id: newId(),
    name,
    machineKind,
    units,
    createdAt,
    archived: false,
    ownParts: NO_OWN_PARTS,
    shop: units === 'inch' ? SHOP_TO_START_INCH : SHOP_TO_START,
    orders: {},
    plan: PLAN_TO_START,
    acceptance: NOT_ACCEPTED,
    fixes: {},
    upkeep: NO_UPKEEP,
    lessons: [],
    axes: TEMPLATES[machineKind].map(template => asSpoken(newAxis(template), units)),
  }
}
