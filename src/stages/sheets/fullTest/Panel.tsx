import { chakra } from '@chakra-ui/react'
import { useForm } from 'react-hook-form'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { EvaluationContext } from '@/core/evaluation/context'
import { targetsFor } from '@/core/sheets/fullTest/calculation'
import { newFullTest, startFullTest } from '@/core/sheets/fullTest/edits'
import { FULL_TESTS } from '@/core/sheets/fullTest/model'
import { travelFor } from '@/core/sheets/fullTest/program'
import { dayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { focusFirstReading } from '@/ui/fields/focusFirst'
import { TextField } from '@/ui/fields/TextField'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { AdviceBeside } from '../../job/rounds/Advice'
import { useAxis, useAxisDigest, useAxisNow } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { Course } from './Course'
import { Figures } from './Figures'
import { Files } from './Files'
import { Grid } from './Grid'
import { Plan } from './Plan'
import { Take } from './Take'
import { ToEnd } from './ToEnd'

const FIRST_TARGETS = 7

/** Targets along the travel, come to from both sides, run by run. What does not change with a reading is not drawn again at one. */
export function FullTestPanel() {
  const label = useAxis(axis => axis.fullTests.at(-1)?.label)
  const isOpen = useAxis(axis => axis.fullTests.at(-1)?.finishedAt === null)
  if (label === undefined) return <Start first />
  return (
    <>
      <Panel title={`Full test: ${label}`} action={isOpen && <ToEnd />}>
        <AdviceBeside checks={CHECKS} />
        {isOpen && <Take />}
        <Fold name="Plan and program" later>
          <Plan />
        </Fold>
        <Grid />
        <Course />
        <Files />
        <Figures />
      </Panel>
      {!isOpen && <Start first={false} />}
      <Before />
    </>
  )
}

const CHECKS = ['prove.accuracy', 'prove.fullReversal'] as const

/** Begins a test: set up as the one before, or with targets spread over the travel. */
function Start({ first }: { first: boolean }) {
  const axisNow = useAxisNow()
  const edit = useEdit()
  const shop = useJob(job => job.shop)
  const units = useUnits()
  const catalogue = useCatalogue()
  const { register, handleSubmit, reset } = useForm({ defaultValues: { label: '' } })
  const submit = handleSubmit(({ label }) => {
    const axis = axisNow()
    const before = axis.fullTests.at(-1)
    const leadMm = catalogue.screw.get(axis.parts.screw ?? '')?.leadMm ?? null
    const test = newFullTest(
      before,
      targetsFor(
        axis,
        travelFor(new EvaluationContext(axis, catalogue, units)),
        FIRST_TARGETS,
        leadMm,
        units,
      ),
      {
        label: label.trim().slice(0, FULL_TESTS.of.label.most) || `Full test ${axis.fullTests.length + 1}`,
        startedAt: new Date().toISOString(),
        gaugeStepUm: before?.gaugeStepUm ?? shop.gaugeStepUm,
      },
      newId,
    )
    edit(startFullTest(axis, test))
    focusFirstReading()
    reset()
  })
  return (
    <Panel
      title={first ? 'Full test' : 'Test again'}
      note="Five targets or more, unevenly spread, come to from both sides five times or more: what a metrologist calls accuracy, repeatability and reversal. A program moves the slide and waits at each target; you type what the gauge says, one reading after another. It can be broken off and taken up again."
    >
      <chakra.form data-hand onSubmit={submit} display="flex" gap="2" flexWrap="wrap" alignItems="flex-end">
        <chakra.div flex="1 1 220px" maxW="360px">
          <TextField
            label="Name of the test"
            maxLength={FULL_TESTS.of.label.most}
            placeholder={first ? 'As first built' : 'After the mending'}
            {...register('label')}
          />
        </chakra.div>
        <Button variant="lamp" type="submit">
          Start a full test
        </Button>
      </chakra.form>
    </Panel>
  )
}

const testsBefore = ({ fullTests }: Axis) =>
  fullTests
    .slice(0, -1)
    .toReversed()
    .map(({ id, label, startedAt, targets }) => ({ id, label, startedAt, count: targets.length }))

/** The tests before the present one. */
function Before() {
  const tests = useAxisDigest(testsBefore)
  if (tests.length === 0) return null
  return (
    <Panel title="Tests before">
      <ul>
        {tests.map(({ id, label, startedAt, count }) => (
          <li key={id}>
            {label}: {dayWords(startedAt)}, {count} targets
          </li>
        ))}
      </ul>
    </Panel>
  )
}
