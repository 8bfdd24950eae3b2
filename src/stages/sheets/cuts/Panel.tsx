import { chakra } from '@chakra-ui/react'
import { Check } from 'lucide-react'
import { Fragment } from 'react'
import { NO_NOTE } from '@/core/document/plan'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { finishTask, reopenTask } from '@/core/planning/planEdits'
import { keyOf } from '@/core/planning/tasks'
import { cutList } from '@/core/sheets/cutList'
import { cutSizeWords } from '@/core/sheets/shared/cuts/cut'
import { dayWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import { Button, LinkButton } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { Figures, Panel } from '@/ui/Panel'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { addressOf } from '../../job/place'
import { useAxis } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'

const cutsOf = (evaluation: EvaluationContext) => ({
  axisId: evaluation.axis.id,
  cuts: attempt(() => cutList(evaluation)),
})

/** What is cut, in order, with tool, guide, depth, wall left and cautions; the few true faces told apart. */
export function CutsPanel() {
  const { axisId, cuts } = useWorkedOut(cutsOf)
  const units = useUnits()
  const jobId = useJob(job => job.id)
  const length = (mm: number) => say(Math.max(0, mm), 'length', units, 1)
  return (
    <Panel
      title="Cut list"
      action={
        <LinkButton href={addressOf({ jobId, axisId, stage: 'worksheet' })} variant="outline">
          Work sheet to print
        </LinkButton>
      }
      note="In this order: what only makes room first, then holes, then the few faces that must be true, when nothing that follows can spring them."
    >
      {!cuts.value ? (
        <chakra.p color="quiet">{cuts.ask}</chakra.p>
      ) : (
        <chakra.ol display="grid" gap="3">
          {cuts.value.map((cut, index) => (
            <chakra.li
              key={cut.id}
              borderLeftWidth="4px"
              borderColor={cut.fit ? (cut.finish === 'true' ? 'lamp' : 'edge') : 'fails'}
              pl="3"
              data-cut={cut.id}
            >
              <chakra.p fontWeight={700}>
                {index + 1}. {cut.what}
                <chakra.span fontWeight={400} color={cut.fit ? 'quiet' : 'fails'}>
                  {cut.fit
                    ? cut.finish === 'true'
                      ? ' · must be true'
                      : ' · rough is fine'
                    : ' · not fit to cut'}
                </chakra.span>
              </chakra.p>
              <Stated>
                {cut.tool}. Guide: {cut.guide}.{' '}
                {cutSizeWords(cut, length).map((words, place) => (
                  <Fragment key={words}>
                    {place > 0 && ', '}
                    <Figures>{words}</Figures>
                  </Fragment>
                ))}
              </Stated>
              <chakra.p fontSize="13px" color="quiet">
                {cut.fit
                  ? cut.cautions.join(' ')
                  : 'The wall that is left would be too thin. See the ways out of its verdict.'}
              </chakra.p>
            </chakra.li>
          ))}
        </chakra.ol>
      )}
      {cuts.value && cuts.value.length > 0 && <Made count={cuts.value.length} />}
    </Panel>
  )
}

/** Says that the cuts are made: the plan and what is next go by it. */
function Made({ count }: { count: number }) {
  const edit = useEdit()
  const axisId = useAxis(axis => axis.id)
  const axisName = useAxis(axis => axis.name)
  const key = keyOf(axisId, 'cut')
  const note = useJob(job => job.plan.tasks[key]) ?? NO_NOTE
  const task = { key, axisId, axisName, title: `Cuts (${count})`, note }
  return (
    <chakra.div data-frame display="flex" flexWrap="wrap" alignItems="center" gap="3" mt="4">
      {note.doneAt === null ? (
        <Button variant="lamp" onClick={() => edit(finishTask(task, new Date().toISOString()))}>
          <Check size={18} aria-hidden /> {count === 1 ? 'The cut is made' : `All ${count} cuts are made`}
        </Button>
      ) : (
        <>
          <strong>Made on {dayWords(note.doneAt)}.</strong>
          <Button variant="outline" onClick={() => edit(reopenTask(task))}>
            Not all of them
          </Button>
        </>
      )}
    </chakra.div>
  )
}
