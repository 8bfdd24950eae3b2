import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { attempt } from '@/core/evaluation/attempt'
import { EvaluationContext } from '@/core/evaluation/context'
import { fileName } from '@/core/formats/fileName'
import { targetsFor } from '@/core/sheets/fullTest/calculation'
import { changeFullTest, setTargets } from '@/core/sheets/fullTest/edits'
import { FULL_TESTS, type FullTest } from '@/core/sheets/fullTest/model'
import { letterOf, programRefusal, testProgram, travelFor } from '@/core/sheets/fullTest/program'
import { lastDrift } from '@/core/sheets/zeroTime/rounds'
import { Columns } from '@/ui/Columns'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { CopyTable } from '@/ui/table/CopyTable'
import { download } from '../../job/download'
import { ReadingUnitField } from '../../job/GaugeFields'
import { useEdit, useJob, useJobContext, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useAxisDigest, useAxisNow, useSettledAxis } from '../../job/useAxis'
import { useCatalogue, useSettledEvaluation } from '../../job/useEvaluation'

const FIELDS = [
  'runs',
  'gaugeStepUm',
  'gaugeMore',
  'feedMmPerMin',
  'dwellS',
  'overrunMm',
  'warmUpMinutes',
  'temperatureC',
  'gauge',
  'who',
  'conditions',
] as const
const COUNTS = [5, 7, 9, 11, 15, 20, 25]

/** The last test without its readings: what it is run by. */
const planOf = ({ fullTests }: Axis): FullTest & { begun: boolean } => {
  const test = fullTests.at(-1) as FullTest
  return {
    ...test,
    targets: test.targets.map(target => ({ ...target, positiveUm: [], negativeUm: [] })),
    taken: {},
    begun: test.targets.some(({ positiveUm, negativeUm }) => positiveUm.length + negativeUm.length > 0),
  }
}

/** What the test is run by, and the program that moves the slide so; a reading changes nothing of it. */
export const Plan = memo(function Plan() {
  const units = useUnits()
  const axisNow = useAxisNow()
  const edit = useEdit()
  const catalogue = useCatalogue()
  const test = useAxisDigest(planOf)
  const { begun } = test
  const closed = test.finishedAt !== null
  const change = (part: Partial<FullTest>, mergeKey?: string) =>
    edit(changeFullTest(axisNow(), test.id, part, mergeKey))
  const spread = (count: number) => {
    const axis = axisNow()
    const leadMm = catalogue.screw.get(axis.parts.screw ?? '')?.leadMm ?? null
    const travelMm = travelFor(new EvaluationContext(axis, catalogue, units))
    edit(setTargets(axis, test.id, targetsFor(axis, travelMm, count, leadMm, units), newId))
  }
  return (
    <chakra.div>
      <Columns leastPx={180} mt="2">
        <SelectField
          label="Targets, spread unevenly"
          value={String(test.targets.length)}
          disabled={closed || begun}
          options={[...new Set([...COUNTS, test.targets.length])]
            .toSorted((a, b) => a - b)
            .map(count => ({ value: String(count), label: String(count) }))}
          onChange={next => spread(Number(next))}
        />
        {FIELDS.map(key => (
          <FieldInput
            key={key}
            field={FULL_TESTS.of[key]}
            value={test[key]}
            units={units}
            // Which way the gauge stood is asked for later, too.
            disabled={closed && key !== 'gaugeMore'}
            onValue={(value, mergeKey) => change({ [key]: value }, mergeKey)}
          />
        ))}
        <ReadingUnitField />
      </Columns>
      {begun && !closed && (
        <Note mt="2">The targets stand once something is read: another set is another test.</Note>
      )}
      <WarmUp test={test} />
      <Program test={test} />
    </chakra.div>
  )
})

/** How long to run it first, where Zero against time has shown it. */
function WarmUp({ test }: { test: FullTest }) {
  const context = useSettledEvaluation()
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const asked = attempt(() => lastDrift(context)).value?.warmUpMin ?? null
  if (asked !== null && asked <= test.warmUpMinutes) return null
  return (
    <chakra.div mt="2" display="flex" gap="2" flexWrap="wrap" alignItems="center" data-warm-up>
      <Note maxW="60ch">
        {asked === null
          ? 'How long to run it first nobody has measured: Zero against time shows it.'
          : `Zero against time asks for ${asked} minutes before it, and it is to run ${test.warmUpMinutes}.`}
      </Note>
      <PlaceButton variant="quiet" place={{ jobId, axisId, stage: 'prove', sheet: 'zeroTime' }}>
        Zero against time
      </PlaceButton>
    </chakra.div>
  )
}

function Program({ test }: { test: FullTest }) {
  const units = useUnits()
  const machine = useJob(job => job.name)
  const axis = useSettledAxis()
  const catalogue = useCatalogue()
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const letter = letterOf(axis)
  const refusal = programRefusal(new EvaluationContext(axis, catalogue, units), test)
  if (letter === null || refusal !== null)
    return (
      <chakra.section aria-label="Program of the test" mt="3" data-program-refused>
        <chakra.h3 fontSize="15px" fontWeight={700}>
          No program yet
        </chakra.h3>
        <chakra.p role="alert" color="fails" fontWeight={700} maxW="72ch" my="1">
          {refusal}
        </chakra.p>
        {letter === null && (
          <PlaceButton variant="outline" place={{ jobId, axisId, stage: 'build', sheet: 'controller' }}>
            Go to First moves
          </PlaceButton>
        )}
      </chakra.section>
    )
  const { dwellUnit } = axis.controller
  const text = testProgram({ machine, axis: axis.name, letter, dwellUnit, units, test })
  return (
    <chakra.section aria-label="Program of the test" mt="3">
      <chakra.h3 fontSize="15px" fontWeight={700}>
        Program, ISO 6983
      </chakra.h3>
      <Note maxW="72ch" my="1">
        It moves {letter} at the feed of the test alone, and counts a dwell in {dwellUnit}: both are set under
        Build, First moves. Zero the axis where its travel begins, run it dry with the spindle off, and keep a
        hand at the stop: a wrong zero runs the slide into its end.
      </Note>
      <chakra.pre
        tabIndex={0}
        aria-label="Lines of the program"
        fontFamily="mono"
        fontSize="13px"
        bg="raised"
        borderRadius="6px"
        p="2"
        maxH="180px"
        overflowY="auto"
        data-program
      >
        {text}
      </chakra.pre>
      <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="center" mt="1">
        <Button
          variant="outline"
          onClick={() =>
            download(fileName(`${machine} ${axis.name} ${test.label}`, 'nc'), text, 'text/plain')
          }
        >
          Save the program
        </Button>
        <CopyTable label="the program" cells={() => text.split('\n').map(one => [one])} />
      </chakra.div>
    </chakra.section>
  )
}
