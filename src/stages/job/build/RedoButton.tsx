import { attempt } from '@/core/evaluation/attempt'
import type { WhichScrew } from '@/core/sheets/shared/rounds/model'
import { procedure } from '@/core/sheets/shared/steps/procedure'
import { type Redone, stepsToRedo } from '@/core/sheets/shared/steps/redo'
import { openSteps } from '@/core/sheets/steps/edits'
import { Button } from '@/ui/controls'
import { useEdit } from '../JobContext'
import { useAxisNow } from '../useAxis'
import { useSettledEvaluation } from '../useEvaluation'

/** Opens the steps of the build again that are done anew where something is mended; not there where none of them is ticked. */
export function RedoButton({ what, screw }: { what: Redone; screw?: WhichScrew }) {
  const context = useSettledEvaluation()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const steps = stepsToRedo(attempt(() => procedure(context)).value ?? [], context.axis, what, screw)
  const [first] = steps
  if (!first) return null
  return (
    <Button variant="outline" onClick={() => edit(openSteps(axisNow(), steps))}>
      Open again under Build: {first.title}
    </Button>
  )
}
