import type { EvaluationContext } from '../evaluation/context'
import { OUTCOMES } from './asked.generated'
import type { Cut } from './shared/cuts/cut'

/**
 * What is cut, in a sensible order: what only makes room first, heaviest first, then holes, then the few faces that
 * must be true, when nothing that follows can spring them. The order is that of the sheets.
 *
 * @throws NotKnown without a screw or a measured span
 */
export const cutList = (t: EvaluationContext): Cut[] => OUTCOMES.flatMap(sheet => sheet.cuts?.(t) ?? [])
