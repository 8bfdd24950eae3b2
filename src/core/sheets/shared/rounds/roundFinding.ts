import { coverageFactor } from '../../../calculation/studentLaw'
import type { Judgement } from '../../../evaluation/check'
import type { State } from '../../../evaluation/finding'
import type { SheetId } from '../../../evaluation/ids'
import { NotKnown } from '../../../evaluation/notKnown'
import type { QuantityKind } from '../../../units/quantity'

/** Readings that do not support advice, and which would. */
export const noAdvice = (sentence: string): Judgement => ({
  state: 'unknown',
  figure: null,
  limit: null,
  use: null,
  sentence,
})

/** A figure against what is accepted; with what it is uncertain by, where that is known. */
export const against = (
  state: State,
  quantity: QuantityKind,
  [figure, limit, expanded]: readonly [figure: number, limit: number, expanded?: number],
  sentence: Judgement['sentence'],
): Judgement => ({
  state,
  figure: { value: figure, quantity, ...(expanded !== undefined && { expanded }) },
  limit: { value: limit, quantity },
  use: limit > 0 ? Math.abs(figure) / limit : null,
  sentence,
})

/** The step of the gauge of a round. @throws NotKnown while nobody has entered it */
export function stepOf(
  round: { gaugeStepUm: number | null },
  sheet: SheetId,
  stage: 'align' | 'prove' = 'align',
): number {
  if (round.gaugeStepUm === null) throw new NotKnown({ sheet, stage, what: 'the step of the gauge' })
  return round.gaugeStepUm
}

/** How sure advice must be. */
const CONFIDENCE = 0.95

/**
 * What a figure is uncertain by, to each side at 95 %.
 *
 * @param standard its standard uncertainty
 * @param spare readings to spare; with none the spread is the gauge's own, known without end
 */
export const expanded = (standard: number, spare: number): number =>
  coverageFactor(CONFIDENCE, spare > 0 ? spare : null) * standard

/** What readings say of a figure that should be within a limit. */
export type Told = 'within' | 'beyond' | 'cannot-tell'

/** Within: surely so. Beyond: surely, or known to half of itself. Else the readings cannot tell. */
export function told(figure: number, uncertain: number, limit: number): Told {
  const size = Math.abs(figure)
  if (size + uncertain <= limit) return 'within'
  return size > limit && uncertain <= Math.max(limit, size / 2) ? 'beyond' : 'cannot-tell'
}

/** An angle as a clock has it, 12 up, as seen from the motor. @example clockOf(241) // "8 o'clock" */
export const clockOf = (deg: number): string => `${Math.round(deg / 30) % 12 || 12} o'clock`

/** A turn of a screw as a hand knows it. @example turnWords(172.8) // 'about half a turn' */
export function turnWords(deg: number): string {
  const eighths = Math.round(Math.abs(deg) / 45)
  if (eighths === 0) return 'hardly a turn'
  if (eighths < 8)
    return `about ${['', 'an eighth of a turn', 'a quarter turn', 'three eighths of a turn', 'half a turn', 'five eighths of a turn', 'three quarters of a turn', 'seven eighths of a turn'][eighths]}`
  const turns = Math.round((Math.abs(deg) / 360) * 4) / 4
  return turns === 1 ? 'one turn' : `${turns} turns`
}
