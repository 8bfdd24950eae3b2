import type { DimensionKey } from '../document/dimensions'
import type { PartKind } from '../document/kinds'
import type { Stage } from '../document/stages'
import type { SheetId } from './ids'

/** What is missing before a figure can be had: a dimension to measure, a part to choose, or an entry of a sheet. */
export type Missing =
  | { dimension: DimensionKey }
  | { part: PartKind }
  | { sheet: SheetId; stage: Stage; what: string }

/** Thrown by a figure that needs something nobody knows yet. */
export class NotKnown extends Error {
  readonly missing: Missing
  constructor(missing: Missing) {
    // Thrown at every key stroke while parts are open: remembering where from would cost more than the judging.
    const limit = Error.stackTraceLimit
    Error.stackTraceLimit = 0
    super('not known yet')
    Error.stackTraceLimit = limit
    this.name = 'NotKnown'
    this.missing = missing
  }
}
