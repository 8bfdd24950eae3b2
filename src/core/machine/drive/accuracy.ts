import { type EvaluationContext, remembered } from '../../evaluation/context'
import { positionBudget } from '../sizing/checkSums'
import { drivenStepUm, lostMotionBudget } from './stiffness'
import { leadAccuracy, warmth } from './strength'

/** How far apart the corrections of a controller's table are, at most: 2 in, or in round millimetres a little less. */
const CORRECTION_EVERY_MM = 50.8
/** That as a round figure of the units of the job. */
export const correctionEveryMm = ({ units }: EvaluationContext): number => (units === 'inch' ? 50.8 : 50)

/** What the lead may be off over the travel: by the class of the screw, or as a table of corrections leaves it. */
export const leadAsItRuns = remembered((t: EvaluationContext) => {
  const { travelToleranceUm, variation300Um } = leadAccuracy(t)
  const leftUm = Math.min(travelToleranceUm, (variation300Um * CORRECTION_EVERY_MM) / 300)
  return { classUm: travelToleranceUm, leftUm, runsUm: t.axis.drive.leadTable ? leftUm : travelToleranceUm }
})

/** What a place of the table may be off by, part by part. */
export const budget = remembered((t: EvaluationContext) => {
  const parts = {
    leadUm: leadAsItRuns(t).runsUm,
    // Stretched between two fixed ends the screw keeps its length.
    growthUm: t.axis.ends === 'fixed-fixed' ? 0 : warmth(t).growthUm,
    lostMotionUm: lostMotionBudget(t).totalUm,
    fullStepUm: drivenStepUm(t),
  }
  return { ...parts, ...t.figure('positionBudget', positionBudget, parts) }
})
