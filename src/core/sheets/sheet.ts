import type { Stage } from '../document/stages'
import type { DriveLine } from '../drawing/driveLine'
import type { Overlay } from '../drawing/overlay'
import type { Check } from '../evaluation/check'
import type { EvaluationContext } from '../evaluation/context'
import type { CheckId, SheetId } from '../evaluation/ids'
import type { LimitFacts } from '../evaluation/limits'
import type { Fields } from '../field/field'

/** Draws what a sheet has to say on the drive line. */
export type DrawOverlay = (context: EvaluationContext, line: DriveLine) => Partial<Overlay>

/**
 * When a sheet is loaded.
 *
 * `first`: its checks and its overlay with the first screen of a job. `stage`: when Align, Prove or a sheet that is asked for is
 * opened; until then a worker judges by it. `asked`: when it is opened itself, after the checks of all stages. Its panel comes
 * when it is opened, and its outcome when a list, paper or the shell asks for it.
 */
export type Loads = 'first' | 'stage' | 'asked'

/**
 * One subject of a stage. This is its entry: what is kept of it, and when it is loaded. What else it has stands beside it, each
 * in the file of its name: `check.ts` what is judged, `limits.ts` and `reasons.ts` what that is held to and why, `overlay.ts`
 * what is drawn on the drive line, `outcome.ts` what comes of it. The lists are derived from the folders.
 */
export interface Sheet {
  readonly id: SheetId
  readonly stage: Stage
  /** Its place within its stage: lower comes first. */
  readonly order: number
  readonly loads: Loads
  readonly title: string
  /** What it keeps on an axis, by the names that its model adds to the axis. */
  readonly fields?: Fields
  readonly limits?: Readonly<Record<string, LimitFacts>>
}

/** The entry of a sheet. */
export const defineSheet = (sheet: Sheet): Sheet => sheet

/** What sheets judge by, and what they draw on the drive line. */
export type LoadedSheets = Readonly<
  Partial<
    Record<
      SheetId,
      {
        readonly checks?: Readonly<Partial<Record<CheckId, Check>>>
        readonly overlay?: DrawOverlay
      }
    >
  >
>
