import type { Axis } from '../../../document/axis'
import { hasBelt, turnsNut } from '../../../document/axis'
import type { DimensionKey } from '../../../document/dimensions'
import type { PartKind } from '../../../document/kinds'
import type { Catalogue, PartOf } from '../../../document/parts/types'
import type { EvaluationContext } from '../../../evaluation/context'
import type { State } from '../../../evaluation/finding'
import type { CheckId } from '../../../evaluation/ids'
import type { DriveJoint } from '../../../machine/joints/model'
import type { Aid } from './aids'
import type { SubAssembly } from './subAssemblies'

/** How far a joint's screws are done up, from not there to finished. */
export const BOLT_STATES = ['out', 'loose', 'nipped', 'tight', 'torqued'] as const
export type BoltState = (typeof BOLT_STATES)[number]

/** A verdict that a step asks for: the states that let it pass, and what to do while there is none. */
export interface Asked {
  checkId: CheckId
  at: { states: readonly State[]; missing: string }
}

/** One step of the build, made for the parts of this axis. */
export interface Step {
  id: string
  title: string
  /** The sub-assembly that it belongs to. */
  part: SubAssembly
  /** How, in a sentence or two. */
  how: string
  /** Why now, and not sooner or later. */
  why: string
  tools: string[]
  /** What can hurt a person or scrap a part. */
  caution?: string
  /** Nothing that leans on it may be ticked until this is. */
  hold: boolean
  /** It keeps somebody from being hurt: it may be done otherwise, never skipped. */
  keepsSafe?: true
  /**
   * What it does to what holds the load of an axis that can fall: "frees" while it is done nothing of the drive holds it, "fits" as
   * well, and puts in or does up something that holds it afterwards.
   */
  load?: 'frees' | 'fits'
  /** It proves that the load stays by itself. */
  provesHold?: true
  /** It is done on the bench, away from the machine, the first time. */
  onBench?: true
  /** Steps that lock the load for it, each time that it is done. */
  lockedBy?: readonly string[]
  /** Steps that must be done before it, though they hold up nothing else. */
  restsOn: readonly string[]
  /** What the thing itself is asked before the step is ticked. */
  asks?: {
    measured?: readonly DimensionKey[]
    parts?: readonly PartKind[]
    verdicts?: readonly Asked[]
    /** Whether every aid must be out. */
    aidsOut?: true
  }
  /** What this step does to the screws of each joint. */
  bolts: Partial<Record<DriveJoint, BoltState>>
  /** Which of two screws it is about; none where there is one, or it is about both. */
  screw?: 1 | 2
  /** What is put in to help for a while, and what is taken out again. */
  aidsIn?: readonly Aid[]
  aidsOut?: readonly Aid[]
  /** What it takes out of the bags of the teardown, by what the plan calls it. */
  takes?: readonly string[]
  /** Of a mishap, which row it mends. */
  mishapId?: string
}

export interface Parts {
  screw: PartOf['screw']
  bearing: PartOf['bearing']
  /** What joins motor and screw: one of the two. */
  coupler: PartOf['coupler'] | null
  belt: PartOf['belt'] | null
  motor: PartOf['motor']
}

/** The parts of an axis whose steps are listed, or null while one is not chosen. */
export function chosenParts(axis: Axis, catalogue: Catalogue): Parts | null {
  // What is clamped, what turns and what holds the load are other things there: its steps are not written.
  if (turnsNut(axis.drive)) return null
  const screw = catalogue.screw.get(axis.parts.screw ?? '')
  const bearing = catalogue.bearing.get(axis.parts.bearing ?? '')
  const belted = hasBelt(axis.drive)
  const coupler = belted ? null : (catalogue.coupler.get(axis.parts.coupler ?? '') ?? null)
  const belt = belted ? (catalogue.belt.get(axis.parts.belt ?? '') ?? null) : null
  const motor = catalogue.motor.get(axis.parts.motor ?? '')
  return screw && bearing && (coupler || belt) && motor ? { screw, bearing, coupler, belt, motor } : null
}

/** A step as it is written down: what it belongs to, and mostly also why it comes now, stand in lists of their own. */
export type Written = Omit<Step, 'part' | 'why'> & { readonly why?: string }

/** A step without tools, hold or screws unless they are given. */
export const step = (id: string, title: string, how: string, more: Partial<Written> = {}): Written => ({
  id,
  title,
  how,
  tools: [],
  hold: false,
  restsOn: [],
  bolts: {},
  ...more,
})

/** A step that a sheet adds to the work, with its reason: right before another one, and once for each screw like that. */
export interface Added {
  readonly before: string
  readonly step: Written & { readonly why: string }
}
export type SheetSteps = (context: EvaluationContext) => readonly Added[]
