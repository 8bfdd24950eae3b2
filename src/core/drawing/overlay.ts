import type { State } from '../evaluation/finding'
import type { DrivePart } from './driveLine'

/** A finding of the stage, laid on a part of the drive line. */
export interface Mark {
  part: DrivePart
  text: string
  state?: State
}
/** A length measured out under the drive line. */
export interface Span {
  fromMm: number
  toMm: number
  label: string
  tone: 'ink' | 'close' | 'fails' | 'lamp'
}
/** The tone of a length by the verdict on it. */
export const TONE_OF: Readonly<Record<State, Span['tone']>> = {
  holds: 'ink',
  close: 'close',
  fails: 'fails',
  unknown: 'ink',
}
/** A stretch of the screw that the nut keeps out of, so that soft limit, switch and hard stop stand apart. */
export interface Zone {
  fromMm: number
  toMm: number
}
/** The line of the screw as read, bent away from true for the eye. */
export interface Bend {
  label: string
  /** Offsets in um at the fixed and the far block, up on the screen. */
  fixedUm: number
  farUm: number
}

/** What a stage lays on the drive line. */
export interface Overlay {
  marks: Mark[]
  spans: Span[]
  zones: Zone[]
  bend: Bend | null
}

/** What several sheets lay down, one after another. */
export const overlaid = (parts: readonly Partial<Overlay>[]): Overlay => ({
  marks: parts.flatMap(({ marks }) => marks ?? []),
  spans: parts.flatMap(({ spans }) => spans ?? []),
  zones: parts.flatMap(({ zones }) => zones ?? []),
  bend: parts.find(({ bend }) => bend)?.bend ?? null,
})
