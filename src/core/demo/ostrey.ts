import { NOT_ACCEPTED } from '../document/acceptance'
import type { Job, LogEntry } from '../document/job'
import { SHOP_TO_START_INCH } from '../document/shop'
import { NO_UPKEEP } from '../document/upkeep'
import { SCHEMA_VERSION } from '../document/version.generated'
import { NO_OWN_PARTS } from '../machine/parts'

import { ALIGNED_OSTREY_X } from './aligned'
import { demoAxis } from './axis'
import { FITTED_OSTREY_X, FITTED_OSTREY_Z } from './fitted'
import { ORDERS_OSTREY, PLAN_OSTREY } from './plans'

const Z = () =>
  demoAxis({
    id: 'ostrey-z',
    name: 'Z',
    title: 'Carriage',
    dimensions: {
      wayTravelMm: 486,
      supportSpanMm: 634.5,
      bracketThicknessMm: 20,
      screwToWayMm: 38,
      movingMassKg: 34,
      frictionCoefficient: 0.12,
      dragN: 55,
    },
    goals: { wantedTravelMm: 460, topSpeedMmPerMin: 2500, cuttingForceN: 1100, cuttingFeedMmPerMin: 250 },
    known: {
      measured: ['wayTravelMm', 'supportSpanMm', 'bracketThicknessMm', 'screwToWayMm', 'inclineDeg'],
      sheet: ['movingMassKg', 'counterbalanceN'],
    },
    parts: {
      screw: 'ball-20-5-oversize',
      bearing: 'face-12',
      coupler: 'disc-34',
      motor: 'loop-60-30',
      brake: null,
    },
    more: { ...FITTED_OSTREY_Z, slide: 'carriage' },
  })

const X = () =>
  demoAxis({
    id: 'ostrey-x',
    name: 'X',
    title: 'Cross slide',
    dimensions: {
      wayTravelMm: 142.8,
      supportSpanMm: 236,
      bracketThicknessMm: 14,
      screwToWayMm: 22.4,
      movingMassKg: 11.5,
      frictionCoefficient: 0.13,
      dragN: 70,
    },
    goals: {
      wantedTravelMm: 120,
      topSpeedMmPerMin: 1500,
      cuttingForceN: 700,
      cuttingFeedMmPerMin: 120,
      backlashTargetUm: 20,
    },
    drive: { transmission: 'belt', handwheelKept: true },
    driveSizes: { beltCentresMm: 92, handwheelRadiusMm: 42 },
    // Measured whole, and ready to be taken apart.
    known: {
      measured: [
        'wayTravelMm',
        'supportSpanMm',
        'bracketThicknessMm',
        'screwToWayMm',
        'inclineDeg',
        'movingMassKg',
        'frictionCoefficient',
        'dragN',
        'counterbalanceN',
      ],
    },
    parts: {
      screw: 'ball-16-5-oversize',
      bearing: 'back-10',
      belt: 'belt-3-9-24-48',
      motor: 'step-57-12',
      brake: null,
    },
    more: { ...ALIGNED_OSTREY_X, ...FITTED_OSTREY_X, slide: 'cross-slide' },
  })

/** A bench lathe, half planned: the carriage sized, the cross slide on a belt with its handwheel kept. */
export const ostrey = (): { job: Job; entries: LogEntry[] } => ({
  job: {
    schemaVersion: SCHEMA_VERSION,
    id: 'demo-ostrey-254',
    name: 'Ostrey 254',
    machineKind: 'lathe',
    units: 'inch',
    createdAt: '2026-10-24T13:00:00.000Z',
    archived: false,
    ownParts: NO_OWN_PARTS,
    shop: SHOP_TO_START_INCH,
    orders: ORDERS_OSTREY,
    plan: PLAN_OSTREY,
    acceptance: NOT_ACCEPTED,
    fixes: {},
    upkeep: NO_UPKEEP,
    lessons: [],
    axes: [Z(), X()],
  },
  entries: [
    {
      id: 'demo-ostrey-entry-1',
      jobId: 'demo-ostrey-254',
      axisId: null,
      at: '2026-10-24T13:00:00.000Z',
      kind: 'job',
      text: 'Started: the yard shed lathe. The cross slide keeps its handwheel for touching off.',
      closes: null,
      hidden: false,
    },
    {
      id: 'demo-ostrey-entry-2',
      jobId: 'demo-ostrey-254',
      axisId: 'ostrey-x',
      at: '2026-11-08T10:30:00.000Z',
      kind: 'note',
      text: 'Belt and pulleys ordered; the pulley maker says another two weeks.',
      closes: null,
      hidden: false,
    },
  ],
})
