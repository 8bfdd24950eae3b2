import type { Orders } from '../document/job'
import { type HoursRow, NO_NOTE, PLAN_TO_START, type Plan } from '../document/plan'

const at = (id: string, weekday: HoursRow['weekday'], fromMinute: number, toMinute: number): HoursRow => ({
  id,
  weekday,
  fromMinute,
  toMinute,
})

/** When the yard shed has time: two evenings, and Saturdays before the tide. */
const SHED_HOURS: HoursRow[] = [
  at('shed-1', 2, 18 * 60 + 30, 21 * 60 + 30),
  at('shed-2', 4, 18 * 60 + 30, 21 * 60 + 30),
  at('shed-3', 6, 8 * 60, 13 * 60),
]
const SHED: Plan = {
  ...PLAN_TO_START,
  hours: SHED_HOURS,
  daysOff: [
    { id: 'off-1', fromDay: '2026-12-24', toDay: '2027-01-02', why: 'The yard is closed' },
    { id: 'off-2', fromDay: '2027-05-01', toDay: '2027-05-01', why: 'Launching day' },
  ],
}

/** The head's nut bracket is milled on the table once X and Y run; what was made for Y is made. */
export const PLAN_SKARROW: Plan = {
  ...SHED,
  sittings: [
    {
      id: 'sitting-1',
      startedAt: '2026-11-22T08:10:00.000Z',
      stoppedAt: '2026-11-22T12:20:00.000Z',
      who: 'Wenna',
    },
    {
      id: 'sitting-2',
      startedAt: '2026-11-24T18:35:00.000Z',
      stoppedAt: '2026-11-24T21:25:00.000Z',
      who: 'Wenna',
    },
  ],
  tasks: {
    'skarrow-x.cut': { ...NO_NOTE, doneAt: '2026-10-12T16:30:00.000Z' },
    'skarrow-y.cut': { ...NO_NOTE, doneAt: '2026-10-25T15:10:00.000Z' },
    'skarrow-y.make:motorMount': { ...NO_NOTE, doneAt: '2026-10-27T19:40:00.000Z', tookMinutes: 135 },
    'skarrow-z.make:nutBracket': { ...NO_NOTE, way: 'power' },
    'skarrow-z.make:motorMount': { ...NO_NOTE, way: 'power' },
  },
}
const arrived = (...keys: string[]): Orders =>
  Object.fromEntries(
    keys.map(key => [key, { state: 'arrived', priceEur: null, leadDays: null, dueDay: null }]),
  )

/** What the table is built of, and the saddle as far as it stands, is here; the motor of the saddle was to be here last week. */
export const ORDERS_SKARROW: Orders = {
  ...arrived(
    ...['part:ball-20-5-double', 'part:back-12', 'part:slit-32-clamp', 'part:step-57-22'],
    ...['far:12', 'locknut:M12 x 1', 'mount:57', 'driver:4.2-48', 'supply:48-3'],
    ...['switch:limit', 'cable:motor', 'cable:switch'],
    ...['bar:25.4', 'bar:18', 'tap:M8', 'tap:M5', 'screw:M8 x 35 8.8', 'screw:M5 x 20 8.8'],
    ...['use:threadlocker', 'use:grease', 'use:dye', 'use:wipes'],
  ),
  'part:step-57-12': { state: 'ordered', priceEur: null, leadDays: 9, dueDay: '2026-11-20' },
}

export const PLAN_OSTREY: Plan = SHED
export const ORDERS_OSTREY: Orders = {
  'part:belt-3-9-24-48': { state: 'ordered', priceEur: null, leadDays: 14, dueDay: '2026-11-18' },
}

/** The two screws of the gantry lie between their blocks. */
export const ORDERS_LONG_TOM: Orders = arrived(
  ...['part:ball-25-10-single', 'part:back30-15', 'locknut:M15 x 1', 'ring:15'],
)
/** The neighbour's mill may be used. */
export const PLAN_LONG_TOM: Plan = { ...SHED, otherMill: true }
