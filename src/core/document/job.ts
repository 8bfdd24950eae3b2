import {
  choice,
  dayOrNone,
  flag,
  map,
  moment,
  plain,
  record,
  type ValueOf,
  words,
  wordsOrNone,
} from '../field/field'
import type { UnitSystem } from '../units/quantity'
import type { Acceptance } from './acceptance'
import type { Axis } from './axis'
import type { Fixes } from './fixes'
import type { MachineKind } from './kinds'
import type { Lesson } from './lessons'
import type { OwnParts } from './parts/types'
import type { Plan } from './plan'
import type { Shop } from './shop'
import type { Upkeep } from './upkeep'
import type { SCHEMA_VERSION } from './version.generated'

export const ORDER_STATES = ['open', 'ordered', 'arrived', 'missing'] as const
export type OrderState = (typeof ORDER_STATES)[number]
/** What is known of orders, by the key of what is ordered. */
export const ORDERS = map(
  'Orders',
  record('Order', {
    state: choice('State', ORDER_STATES),
    priceEur: plain('Price of one', [0, 1e6], { orNone: true }),
    leadDays: plain('Days', [0, 1000], { orNone: true }),
    /** Once it is ordered and somebody has said when it comes. */
    dueDay: dayOrNone('Comes on'),
  }),
  /^[a-z]+:[\p{L}\p{N} ._-]{1,100}$/u,
)
export type Orders = Readonly<ValueOf<typeof ORDERS>>
export type Order = Orders[string]

/** A machine under conversion: one plain JSON document. */
export interface Job {
  schemaVersion: typeof SCHEMA_VERSION
  id: string
  name: string
  machineKind: MachineKind
  units: UnitSystem
  createdAt: string
  archived: boolean
  /** Parts that the builder has added to those that ship. */
  ownParts: OwnParts
  /** Tools and stock at hand. */
  shop: Shop
  /** What was asked, ordered and has come, by the key of each thing. */
  orders: Orders
  plan: Plan
  acceptance: Acceptance
  /** What is asked of temporary fixes that are open, by their lines of the log. */
  fixes: Fixes
  upkeep: Upkeep
  /** What this machine, and those before it, taught. */
  lessons: Lesson[]
  axes: Axis[]
}

/** Most characters of a line of the log. */
export const LONGEST_LINE = 4000
/** A dated line of the log. A hidden one was taken back by an undo or deleted. */
export const LOG_ENTRY = record('Line of the log', {
  id: words('Id', 40),
  jobId: words('Job', 40),
  /** None when it is about the whole machine. */
  axisId: wordsOrNone('Axis', 40),
  at: moment('When'),
  kind: choice('Kind', ['note', 'part', 'step', 'round', 'test', 'fix', 'mended', 'upkeep', 'job']),
  text: words('Text', LONGEST_LINE),
  /** The temporary fix that this line ends, or the line that it words otherwise, by its id. */
  closes: wordsOrNone('Ends', 40),
  hidden: flag('Hidden'),
})
export type LogEntry = ValueOf<typeof LOG_ENTRY>
