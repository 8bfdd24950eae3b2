import type { Axis } from '../../document/axis'
import type { DimensionKey } from '../../document/dimensions'
import type { PartKind } from '../../document/kinds'
import type { Catalogue, PartOf } from '../../document/parts/types'
import type { State } from '../../evaluation/finding'

/** How far a joint's screws are done up, from not there to finished. */
export const BOLT_STATES = ['out', 'loose', 'nipped', 'tight', 'torqued'] as const
export type BoltState = (typeof BOLT_STATES)[number]

export const DRIVE_JOINTS = {
  nut: 'Nut to its bracket',
  fixedBlock: 'Fixed block to the casting',
  farBlock: 'Far block to the casting',
  screwHub: 'Coupler or pulley on the screw',
  motorFace: 'Motor face to its mount',
  motorHub: 'Coupler or pulley on the motor shaft',
} as const
export type DriveJoint = keyof typeof DRIVE_JOINTS

/** A verdict that a step asks for: the states that let it pass, and what to do while there is none. */
export interface Asked {
  checkId: string
  at: { states: readonly State[]; missing: string }
}

/** One step of the build, made for the parts of this axis. */
export interface Step {
  id: string
  title: string
  /** How, in a sentence or two. */
  how: string
  tools: string[]
  /** What can hurt a person or scrap a part. */
  caution?: string
  /** Nothing after it may be ticked until this is. */
  hold: boolean
  /** Steps that must be done before it, though they hold up nothing else. */
  restsOn: readonly string[]
  /** What the thing itself is asked before the step is ticked. */
  asks?: {
    measured?: readonly DimensionKey[]
    parts?: readonly PartKind[]
    verdicts?: readonly Asked[]
  }
  /** What this step does to the screws of each joint. */
  bolts: Partial<Record<DriveJoint, BoltState>>
}

export interface Parts {
  screw: PartOf['screw']
  bearing: PartOf['bearing']
  /** What joins motor and screw: one of the two. */
  coupler: PartOf['coupler'] | null
  belt: PartOf['belt'] | null
  motor: PartOf['motor']
}

/** The parts of an axis, or null while one is not chosen. */
export function chosenParts(axis: Axis, catalogue: Catalogue): Parts | null {
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const bearing = catalogue.bearing.get(axis.parts.bearing ?? '')
  const belted = axis.drive.transmission === 'belt'
  const coupler = belted ? null : (catalogue.coupler.get(axis.parts.coupler ?? '') ?? null)
  const belt = belted ? (catalogue.belt.get(axis.parts.belt ?? '') ?? null) : null
  const motor = catalogue.motor.get(axis.parts.motor ?? '')
  return screw && bearing && (coupler || belt) && motor ? { screw, bearing, coupler, belt, motor } : null
}

/** A step without tools, hold or screws unless they are given. */
export const step = (id: string, title: string, how: string, more: Partial<Step> = {}): Step => ({
  id,
  title,
  how,
  tools: [],
  hold: false,
  restsOn: [],
  bolts: {},
  ...more,
})
