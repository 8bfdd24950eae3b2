import { useCallback, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import { endingTimeOf, minutesTaken, startStep, stepStartedAt } from '@/core/planning/planEdits'
import { sittingNow } from '@/core/planning/sittings'
import { inHand, leaning, refusalOf } from '@/core/sheets/shared/steps/holds'
import { doneTicks, loadState, openedWith } from '@/core/sheets/shared/steps/load'
import type { StepNote } from '@/core/sheets/shared/steps/model'
import { procedure, teardown } from '@/core/sheets/shared/steps/procedure'
import type { Step } from '@/core/sheets/shared/steps/step'
import { openSteps, tickStep } from '@/core/sheets/steps/edits'
import { useJobContext } from '../JobContext'
import { useEvaluation } from '../useEvaluation'

/** Why a step was not ticked. */
export interface Refusal {
  stepId: string
  text: string
}

/** A step with all that is opened with it: what leans on it, and what keeps its load supported meanwhile. */
function openedBy(steps: readonly Step[], axis: Axis, step: Step): Step[] {
  const opened = [step, ...leaning(steps, axis.ticks, step.id)]
  return [...opened, ...openedWith(steps, axis, opened)]
}

/** The steps of the axis at work with what can be done with them. */
export function useBuild() {
  const context = useEvaluation()
  const { session } = useJobContext()
  const { axis } = context
  const whole = procedure(context)
  const steps = whole ?? teardown(context)
  const [refusal, setRefusal] = useState<Refusal | null>(null)
  const [looked, look] = useState<string | null>(null)
  const next = inHand(steps, context)
  const shown = steps.find(({ id }) => id === looked) ?? next
  const finish = useCallback(
    (step: Step, note: Partial<StepNote> = {}) => {
      const { job } = session.getState()
      if (!job) return
      const text = note.how === 'skipped' ? null : refusalOf(steps, step.id, context, job.orders, note.how)
      if (text) return setRefusal({ stepId: step.id, text })
      setRefusal(null)
      look(null)
      const at = new Date().toISOString()
      session.edit(
        endingTimeOf(
          tickStep(
            axis,
            step,
            at,
            {
              ...note,
              who: sittingNow(job.plan)?.who ?? '',
              tookMinutes: minutesTaken(stepStartedAt(job, axis.id, step.id), at),
            },
            steps,
          ),
          axis.id,
          step.id,
        ),
      )
    },
    [axis, context, session, steps],
  )
  /** Starts the time of a step. */
  const begin = useCallback(
    (step: Step) => session.edit(startStep(axis.id, step, new Date().toISOString())),
    [axis.id, session],
  )
  /** Opens a step again, with all that leans on it. */
  const open = useCallback(
    (step: Step) => {
      setRefusal(null)
      look(null)
      session.edit(openSteps(axis, openedBy(steps, axis, step)))
    },
    [axis, session, steps],
  )
  return {
    context,
    steps,
    /** Whether the parts are chosen, so that the steps of the build stand and not those of the teardown alone. */
    isWhole: whole !== null,
    next,
    shown,
    look,
    refusal,
    begin,
    finish,
    open,
    /** The ticks that still say something. */
    done: doneTicks(steps, context),
    load: loadState(steps, context),
    leansOn: (step: Step) => openedBy(steps, axis, step).filter(({ id }) => id !== step.id),
  }
}
export type Build = ReturnType<typeof useBuild>
