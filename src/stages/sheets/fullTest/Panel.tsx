import { chakra } from '@chakra-ui/react'
import { useForm } from 'react-hook-form'
import { newId } from '@/core/document/id'
import { targetsFor } from '@/core/sheets/fullTest/calculation'
import { newFullTest, startFullTest } from '@/core/sheets/fullTest/edits'
import { FULL_TESTS } from '@/core/sheets/fullTest/model'
import { dayWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { TextField } from '@/ui/fields/TextField'
import { Panel } from '@/ui/Panel'
import { useEdit, useJob } from '../../job/JobContext'
import { Advice } from '../../job/rounds/Advice'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useCatalogue } from '../../job/useEvaluation'
import { Figures } from './Figures'
import { Files } from './Files'
import { Grid } from './Grid'
import { Plan } from './Plan'
import { Take } from './Take'
import { ToEnd } from './ToEnd'

const FIRST_TARGETS = 7

/** Targets along the travel, come to from both sides, run by run. */
export function FullTestPanel() {
  const test = useAxis(axis => axis.fullTests.at(-1))
  if (!test) return <Start first />
  return (
    <>
      <Panel title={`Full test: ${test.label}`} action={test.finishedAt === null && <ToEnd />}>
        <Advice checks={['prove.accuracy', 'prove.fullReversal']} />
        {test.finishedAt === null && <Take />}
        <Fold name="Plan and program">
          <Plan />
        </Fold>
        <Grid />
        <Files />
        <Figures />
      </Panel>
      {test.finishedAt !== null && <Start first={false} />}
      <Before />
    </>
  )
}

/** Begins a test: set up as the one before, or with targets spread over the travel. */
function Start({ first }: { first: boolean }) {
  const axisNow = useAxisNow()
  const edit = useEdit()
  const shop = useJob(job => job.shop)
  const catalogue = useCatalogue()
  const { register, handleSubmit, reset } = useForm({ defaultValues: { label: '' } })
  const submit = handleSubmit(({ label }) => {
    const axis = axisNow()
    const before = axis.fullTests.at(-1)
    const leadMm = catalogue.screw.get(axis.parts.screw ?? '')?.leadMm ?? null
    const test = newFullTest(
      before,
      targetsFor(axis, FIRST_TARGETS, leadMm),
      {
        label: label.trim().slice(0, FULL_TESTS.of.label.most) || `Full test ${axis.fullTests.length + 1}`,
        startedAt: new Date().toISOString(),
        gaugeStepUm: before?.gaugeStepUm ?? shop.gaugeStepUm,
      },
      newId,
    )
    edit(startFullTest(axis, test))
    reset()
  })
  return (
    <Panel
      title={first ? 'Full test' : 'Test again'}
      note="Five targets or more, unevenly spread, come to from both sides five times or more: what a metrologist calls accuracy, repeatability and reversal. A program moves the slide and waits at each target; you type what the gauge says, one reading after another. It can be broken off and taken up again."
    >
      <chakra.form onSubmit={submit} display="flex" gap="2" flexWrap="wrap" alignItems="flex-end">
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

/** The tests before the present one. */
function Before() {
  const tests = useAxis(axis => axis.fullTests)
  if (tests.length < 2) return null
  return (
    <Panel title="Tests before">
      <ul>
        {tests
          .slice(0, -1)
          .toReversed()
          .map(({ id, label, startedAt, targets }) => (
            <li key={id}>
              {label}: {dayWords(startedAt)}, {targets.length} targets
            </li>
          ))}
      </ul>
    </Panel>
  )
}
