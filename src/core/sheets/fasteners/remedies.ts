import { mends, type Recipe, type RemedyFinder } from '../../evaluation/remedy'
import { judgedJoints } from '../../machine/joints/joint'

/** Screws of the right length in every joint, in place of those that came with the part. */
export function screws(): RemedyFinder {
  return trial => {
    const right = new Map(
      judgedJoints(trial.context.axis.joints).map(({ joint, chosenMm }) => [joint.id, chosenMm]),
    )
    const change: Recipe = draft => {
      for (const joint of draft.joints) {
        const chosenMm = right.get(joint.id) ?? null
        if (joint.suppliedMm !== null && chosenMm !== null) joint.suppliedMm = chosenMm
      }
    }
    return mends(trial, change)
      ? [{ change, label: 'Take screws of the right length', cost: 'screws to buy' }]
      : []
  }
}
