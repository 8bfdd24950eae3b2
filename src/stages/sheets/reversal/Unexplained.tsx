import { attempt } from '@/core/evaluation/attempt'
import { lostMotionBudget } from '@/core/machine/drive/stiffness'
import { judgeOf } from '@/core/sheets/reversal/check'
import { unexplained } from '@/core/sheets/reversal/judgeReversal'
import { say } from '@/core/units/print'
import { useJob } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useEvaluation } from '../../job/useEvaluation'

/** The latest test against what the parts should lose: whether there is a fault to look for. */
export function Unexplained() {
  const context = useEvaluation()
  const { axis, units } = context
  const jobId = useJob(job => job.id)
  const test = axis.tests.at(-1)
  const judged = test && judgeOf(context, test)
  const budget = attempt(() => lostMotionBudget(context))
  if (!judged || !budget.value) return null
  const small = (um: number) => say(um, 'smallLength', units)
  const { totalUm } = budget.value
  const rest = unexplained(judged.verdict, totalUm)
  return (
    <div>
      <p>
        {rest.counts
          ? `The parts account for ${small(totalUm)} of it. The other ${small(rest.um)} are a fault to find: the nut and block screws, the bearing locknut, the coupler hubs or the gib.`
          : `The parts account for ${small(totalUm)}: no fault shows beyond them.`}
      </p>
      {rest.counts && (
        <PlaceButton
          variant="outline"
          mt="2"
          place={{ jobId, axisId: axis.id, stage: 'prove', sheet: 'findFault' }}
        >
          Find the fault
        </PlaceButton>
      )}
    </div>
  )
}
