import { mends, type Recipe, type RemedyFinder } from '../../evaluation/remedy'
import { say } from '../../units/print'
import { bearingStack } from './calculation'
import { blockInputs } from './inputs'

/** A spacer that lets the cover stand as proud as it should. */
export function spacer(): RemedyFinder {
  return trial => {
    const { axis, units } = trial.context
    if (!axis.block) return []
    const outerSpacerMm = Math.round(bearingStack(blockInputs(axis.block)).spacerForTargetMm * 1000) / 1000
    const change: Recipe = draft => {
      if (draft.block) draft.block.outerSpacerMm = outerSpacerMm
    }
    if (outerSpacerMm < 0 || !mends(trial, change)) return []
    const label = `Spacer of ${say(outerSpacerMm, 'length', units)} between the outer rings`
    return [{ change, label, cost: 'to turn and grind, both faces true to each other' }]
  }
}
