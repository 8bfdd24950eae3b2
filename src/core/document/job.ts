import type { LimitKey, OwnLimits } from '../evaluation/limits'
import type { ScrewEnds } from '../machine/sizing/screw'
import type { Making, Orders, Shop } from '../sheets/making'
import type { UnitSystem } from '../units/quantity'
import type { DimensionKey, DriveSizeKey, GoalKey, Provenance, RoomKey } from './dimensions'
import type { OwnParts } from './parts/types'

/** A value with where it comes from; null while nobody knows it. */
export interface Dimension {
  value: number | null
  provenance: Provenance
}

export const PART_KINDS = ['screw', 'bearing', 'coupler', 'belt', 'motor'] as const
export type PartKind = (typeof PART_KINDS)[number]

export const NUT_FACINGS = ['far', 'fixed'] as const
export const MACHINE_KINDS = ['mill', 'lathe', 'router'] as const
export type MachineKind = (typeof MACHINE_KINDS)[number]

/** Indicator readings of the screw at one place along it; null where not read. */
export interface AlignStation {
  positionMm: number
  heightUm: number | null
  sideUm: number | null
}
/** One round of readings with the nut clamped at a place. */
export interface AlignRound {
  id: string
  startedAt: string
  finishedAt: string | null
  clampedAtMm: number
  stations: AlignStation[]
}
/** Indicator readings of a reversal test at one place of the table. */
export interface ReversalStation {
  positionMm: number
  approachPositiveUm: number[]
  approachNegativeUm: number[]
}
export interface ReversalTest {
  id: string
  startedAt: string
  finishedAt: string | null
  label: string
  stations: ReversalStation[]
}

export const TRANSMISSIONS = ['direct', 'belt'] as const
/** How the motor turns the screw, and how many screws there are. */
export interface Drive {
  transmission: (typeof TRANSMISSIONS)[number]
  /** Two screws, each with a motor of its own, share a gantry. */
  screws: 1 | 2
  /** Microsteps to a full step, as set on the driver. */
  microsteps: number
  /** Whether a handwheel stays on the far end of the screw. */
  handwheelKept: boolean
}

/** One kind of work of a typical hour: the force of the nut along the screw, signed by its direction. */
export interface DutyRow {
  label: string
  forceN: number
  speedMmPerMin: number
  timeShare: number
}

/** Most rows of a duty table. */
export const MOST_DUTY_ROWS = 24

/** A drive that is kept to be compared: one of the schools of thought, or one that was tried. */
export interface Variant {
  id: string
  name: string
  parts: Record<PartKind, string | null>
  ends: ScrewEnds
  drive: Drive
  preloadN: number | null
}
/** Most drives that are kept beside the one in use. */
export const MOST_VARIANTS = 3

export interface Axis {
  id: string
  name: string
  title: string
  dimensions: Record<DimensionKey, Dimension>
  goals: Record<GoalKey, number>
  parts: Record<PartKind, string | null>
  ends: ScrewEnds
  drive: Drive
  /** Numbers that belong to a kind of drive, such as how far two screws are apart. */
  driveSizes: Record<DriveSizeKey, number>
  /** What a typical hour is made of; null reckons it from the goals. */
  duty: DutyRow[] | null
  variants: Variant[]
  /** Preload set on the nut; null leaves it as delivered. */
  preloadN: number | null
  room: Record<RoomKey, number>
  /** The side of its bracket on which the nut's body stands. */
  nutFacing: (typeof NUT_FACINGS)[number]
  /** What is measured and planned to make room for the drive. */
  making: Making
  /** Limits of checks that the builder has changed, with the reason. */
  limits: Partial<Record<LimitKey, OwnLimits>>
  /** When each step of the build was ticked. */
  ticks: Record<string, string>
  rounds: AlignRound[]
  tests: ReversalTest[]
}

/** A machine under conversion: one plain JSON document. */
export interface Job {
  schemaVersion: 3
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
  axes: Axis[]
}

export const ENTRY_KINDS = ['note', 'part', 'step', 'round', 'test', 'fix', 'mended', 'job'] as const
/** Most characters of a line of the log. */
export const LONGEST_LINE = 4000
/** A dated line of the log. A hidden one was taken back by an undo or deleted. */
export interface LogEntry {
  id: string
  jobId: string
  /** null when it is about the whole machine. */
  axisId: string | null
  at: string
  kind: (typeof ENTRY_KINDS)[number]
  text: string
  /** The temporary fix that this line ends, by its id. */
  closes: string | null
  hidden: boolean
}
