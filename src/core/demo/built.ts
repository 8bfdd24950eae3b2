import type { Axis } from '../document/axis'
import { numbered } from '../field/field'
import { blankSheets } from '../sheets/newJob'

const BLANK = blankSheets()

/** Ticks one after another, so many minutes apart. */
const ticked = (from: string, minutes: number, ids: readonly string[]): Axis['ticks'] =>
  Object.fromEntries(
    ids.map((id, index) => [id, new Date(Date.parse(from) + index * minutes * 60_000).toISOString()]),
  )

const APART_TABLE = [
  'isolate',
  'td-photo',
  'td-lock',
  'td-gib',
  'td-wheel',
  'td-race',
  'td-bracket',
  'td-back-off',
  'td-off',
  'td-nut',
  'clean',
]
const APART_SADDLE = [
  'isolate',
  'td-photo',
  'td-lock',
  'td-guards',
  'td-nut-screws',
  'td-gib',
  'td-wheel',
  'td-screw-out',
  'td-off',
  'clean',
]
const ON_THE_BENCH = ['bearings', 'stack', 'screw-in', 'preload', 'free-turn', 'stop-tie']
const WAYS = ['slide-on', 'gib-in', 'gib-set', 'gib-lock']

/** The table: together and moving, its lost motion still to be proved. */
export const BUILT_SKARROW_X = {
  slide: 'table',
  driveMountedAt: '2026-10-18T17:10:00.000Z',
  ticks: {
    ...ticked('2026-10-17T08:20:00.000Z', 9, APART_TABLE),
    ...ticked('2026-10-18T08:10:00.000Z', 12, [...ON_THE_BENCH, ...WAYS]),
    ...ticked('2026-10-18T17:10:00.000Z', 7, [
      'nut-loose',
      'fixed-loose',
      'far-loose',
      'tie-off',
      'nut-clamp',
      'run-fixed',
      'tight-fixed',
      'run-far',
      'tight-far',
      'nut-tight',
      'run-through',
    ]),
    ...ticked('2026-10-21T18:45:00.000Z', 10, ['aligned', 'torque-blocks']),
    ...ticked('2026-10-24T08:05:00.000Z', 11, ['hub-screw', 'motor-loose', 'motor-face', 'motor-hub']),
    ...ticked('2026-11-07T08:30:00.000Z', 20, ['switches-on', 'cable-run', 'strain-relief', 'switch-tested']),
    ...ticked('2026-11-12T18:00:00.000Z', 12, [
      'aids-out',
      'controller',
      'estop-off',
      'estop-on',
      'motor-alone',
      'current-set',
      'steps-set',
      'power-on',
      'direction',
      'measured-move',
    ]),
  },
  bagged: {
    wheel: { count: 1, foundCount: null },
    key: { count: 1, foundCount: null },
    race: { count: 1, foundCount: null },
    'bracket-screws': { count: 4, foundCount: null },
    dowels: { count: 2, foundCount: null },
    gib: { count: 1, foundCount: 1 },
    'gib-screws': { count: 2, foundCount: 2 },
    'old-nut': { count: 3, foundCount: null },
  },
  switches: numbered('switch', [
    { use: 'both', end: 'fixed', beforeStopMm: 4.5, contact: 'normally-closed', filterMs: 2 },
    { use: 'limit', end: 'far', beforeStopMm: 6, contact: 'normally-closed', filterMs: 2 },
  ]),
  cable: {
    bendRadiusMm: 38,
    fixedEndAtMm: 60,
    marginMm: 40,
    roomMm: 95,
    side: 'away',
    relief: 'face-screw',
  },
  lube: { hoursPerWeek: 6, intervalKm: 100 },
  lubePoints: numbered('point', [
    {
      what: 'Nut of the screw',
      access: 'fitting',
      lubricant: 'grease',
      amount: 'until it shows at the wipers',
    },
    { what: 'Ways', access: 'open', lubricant: 'oil', amount: 'a film, every day it runs' },
  ]),
  greasings: [{ id: 'greasing-1', at: '2026-11-14T10:20:00.000Z', who: 'Wenna' }],
  controller: {
    ...BLANK.controller,
    commandedMm: 300,
    movedMm: 300.12,
    direction: 'right',
    pulseLimitHz: 100_000,
    leadTableIn: true,
  },
} satisfies Partial<Axis>

/** The saddle: apart, its block and ways done, the screw half in; its motor is late. */
export const BUILT_SKARROW_Y = {
  slide: 'saddle',
  driveMountedAt: '2026-11-24T19:05:00.000Z',
  ticks: {
    ...ticked('2026-11-22T08:35:00.000Z', 14, APART_SADDLE),
    ...ticked('2026-11-23T18:30:00.000Z', 17, [...ON_THE_BENCH, ...WAYS]),
    ...ticked('2026-11-24T19:05:00.000Z', 40, ['nut-loose', 'fixed-loose']),
  },
  stepNotes: {
    'gib-in': {
      how: 'otherwise',
      why: 'Gib turned end for end: its worn half was at the front',
      who: 'Wenna',
      tookMinutes: 20,
    },
  },
  bagged: {
    guards: { count: 6, foundCount: null },
    'nut-screws': { count: 4, foundCount: null },
    gib: { count: 1, foundCount: 1 },
    'gib-screws': { count: 4, foundCount: 3 },
    'old-screw': { count: 1, foundCount: null },
    wheel: { count: 1, foundCount: null },
    key: { count: 1, foundCount: null },
  },
} satisfies Partial<Axis>
