import { NOT_ACCEPTED } from '../document/acceptance'
import type { Job, LogEntry } from '../document/job'
import { SHOP_TO_START } from '../document/shop'
import { NO_UPKEEP } from '../document/upkeep'
import { SCHEMA_VERSION } from '../document/version.generated'
import { NO_OWN_PARTS } from '../machine/parts'

import { ALIGNED_LONG_TOM_X, ALIGNED_LONG_TOM_Y } from './aligned'
import { demoAxis } from './axis'
import { FITTED_LONG_TOM_X, FITTED_LONG_TOM_Y, FITTED_LONG_TOM_Z } from './fitted'
import { ORDERS_LONG_TOM, PLAN_LONG_TOM } from './plans'

const X = () =>
  demoAxis({
    id: 'long-tom-x',
    name: 'X',
    title: 'Gantry, long way',
    dimensions: {
      wayTravelMm: 2440,
      supportSpanMm: 2600,
      bracketThicknessMm: 25,
      screwToWayMm: 60,
      movingMassKg: 62,
      frictionCoefficient: 0.01,
      dragN: 35,
    },
    goals: {
      wantedTravelMm: 2400,
      topSpeedMmPerMin: 6000,
      accelerationMmPerS2: 600,
      cuttingForceN: 260,
      cuttingFeedMmPerMin: 2500,
      backlashTargetUm: 100,
      accuracyTargetUm: 600,
    },
    drive: { screws: 2 },
    driveSizes: { screwSpacingMm: 1240, offCentreMm: 480 },
    known: { measured: ['wayTravelMm', 'supportSpanMm', 'inclineDeg', 'bracketThicknessMm'] },
    parts: {
      screw: 'ball-25-10-single',
      bearing: 'back30-15',
      coupler: 'jaw-55-clamp',
      motor: 'step-86-45',
      brake: null,
    },
    more: { ends: 'fixed-fixed', slide: 'rail-carriage', ...ALIGNED_LONG_TOM_X, ...FITTED_LONG_TOM_X },
  })

const Y = () =>
  demoAxis({
    id: 'long-tom-y',
    name: 'Y',
    title: 'Carriage across the gantry',
    dimensions: {
      wayTravelMm: 1180,
      supportSpanMm: 1310,
      bracketThicknessMm: 20,
      screwToWayMm: 50,
      movingMassKg: 19,
      frictionCoefficient: 0.01,
      dragN: 20,
    },
    goals: {
      wantedTravelMm: 1150,
      topSpeedMmPerMin: 6000,
      accelerationMmPerS2: 600,
      cuttingForceN: 260,
      cuttingFeedMmPerMin: 2500,
      backlashTargetUm: 100,
      accuracyTargetUm: 400,
    },
    known: { measured: ['wayTravelMm', 'supportSpanMm', 'inclineDeg'] },
    parts: { screw: 'ball-16-10-oversize', bearing: 'back-10', coupler: 'disc-34' },
    more: { ...ALIGNED_LONG_TOM_Y, ...FITTED_LONG_TOM_Y, slide: 'rail-carriage' },
  })

const Z = () =>
  demoAxis({
    id: 'long-tom-z',
    name: 'Z',
    title: 'Spindle',
    dimensions: {
      wayTravelMm: 165,
      supportSpanMm: 258,
      bracketThicknessMm: 15,
      inclineDeg: 90,
      movingMassKg: 9.5,
      lightestMassKg: 9,
      frictionCoefficient: 0.01,
      dragN: 15,
    },
    goals: { wantedTravelMm: 150, topSpeedMmPerMin: 3000, cuttingForceN: 200, accuracyTargetUm: 200 },
    known: { measured: ['wayTravelMm', 'inclineDeg'] },
    parts: {
      screw: 'ball-16-10-single',
      bearing: 'deep-groove-10',
      coupler: 'jaw-30-set',
      motor: 'step-57-12',
      brake: null,
    },
    more: { ...FITTED_LONG_TOM_Z, slide: 'rail-carriage' },
  })

/** A home-built plank router at the sizing stage: two long screws drive its gantry, and whip before it is fast. */
export const longTom = (): { job: Job; entries: LogEntry[] } => ({
  job: {
    schemaVersion: SCHEMA_VERSION,
    id: 'demo-long-tom-2400',
    name: 'Long Tom 2400',
    machineKind: 'router',
    units: 'mm',
    createdAt: '2026-11-14T15:00:00.000Z',
    archived: false,
    ownParts: NO_OWN_PARTS,
    shop: SHOP_TO_START,
    orders: ORDERS_LONG_TOM,
    plan: PLAN_LONG_TOM,
    acceptance: NOT_ACCEPTED,
    fixes: {},
    upkeep: NO_UPKEEP,
    lessons: [],
    axes: [X(), Y(), Z()],
  },
  entries: [
    {
      id: 'demo-long-tom-entry-1',
      jobId: 'demo-long-tom-2400',
      axisId: null,
      at: '2026-11-14T15:00:00.000Z',
      kind: 'job',
      text: 'Started: the plank router for spar blanks. Frame welded, ways bolted down, nothing bought yet.',
      closes: null,
      hidden: false,
    },
  ],
})
