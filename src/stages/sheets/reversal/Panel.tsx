import { chakra } from '@chakra-ui/react'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import type { Axis } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { withGauge } from '@/core/document/shop'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { blankRow } from '@/core/field/field'
import { inItsWord } from '@/core/machine/movingPart'
import { spreadMm } from '@/core/readings/model'
import {
  addTestStation,
  finishTest,
  newReversalTest,
  removeTest,
  setTestConditions,
  setTestGauge,
  startTest,
} from '@/core/sheets/reversal/edits'
import { REVERSAL_STATIONS, type ReversalTest, TESTS } from '@/core/sheets/reversal/model'
import { CONDITIONS, MANNER } from '@/core/sheets/shared/proofs/conditions'
import { FEWEST_OF_A_TEST } from '@/core/sheets/shared/proofs/fewReadings'
import { dayWords, momentWords } from '@/core/units/dateWords'
import { printField } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { printReading, type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { Button } from '@/ui/controls'
import { focusFirstReading } from '@/ui/fields/focusFirst'
import { TextField } from '@/ui/fields/TextField'
import { Panel } from '@/ui/Panel'
import { CopyTable } from '@/ui/table/CopyTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { GaugeFields, useReadingUnit } from '../../job/GaugeFields'
import { TestConditions } from '../../job/gauge/TestConditions'
import { useEdit, useJob, useUnits, whole } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useAxis } from '../../job/useAxis'
import { useEvaluation } from '../../job/useEvaluation'

import { WorkingButton } from '../../job/WorkingButton'
import { ReversalStationCard } from './ReversalStationCard'
import { Unexplained } from './Unexplained'

const HOW_TO =
  'Indicator on the machine, tip on the slide. Go past the place from below, come back up to it, read; then past it from above and back down, read. Five times from either side, at two or more places.'

const REVERSAL_CONDITIONS = { ...MANNER, ...CONDITIONS }

/** What a reversal loses, measured, test by test. */
export function ReversalPanel() {
  const axis = useAxis(whole)
  const jobId = useJob(job => job.id)
  const [shownId, setShownId] = useState<string | null>(null)
  const shown = axis.tests.find(({ id }) => id === shownId) ?? axis.tests.at(-1)
  return (
    <>
      {axis.tests.length > 1 && (
        <chakra.nav aria-label="Tests" display="flex" gap="2" flexWrap="wrap">
          {axis.tests.map(test => (
            <Button
              key={test.id}
              variant={test === shown ? 'lamp' : 'outline'}
              aria-pressed={test === shown}
              onClick={() => setShownId(test.id)}
              maxW="260px"
            >
              <chakra.span overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
                {test.label}
              </chakra.span>
              <chakra.span fontWeight={400}>{dayWords(test.startedAt)}</chakra.span>
            </Button>
          ))}
          <PlaceButton
            variant="quiet"
            place={{ jobId, axisId: axis.id, stage: 'prove', sheet: 'beforeAfter' }}
          >
            Before against after
          </PlaceButton>
        </chakra.nav>
      )}
      {shown && <Test key={shown.id} axis={axis} test={shown} latest={shown === axis.tests.at(-1)} />}
      <NewTest axis={axis} onStart={() => setShownId(null)} />
    </>
  )
}

function NewTest({ axis, onStart }: { axis: Axis; onStart: () => void }) {
  const edit = useEdit()
  const shop = useJob(job => job.shop)
  const { register, handleSubmit, reset } = useForm({ defaultValues: { label: '' } })
  const travelMm = axis.dimensions.wayTravelMm.value ?? axis.goals.wantedTravelMm
  const submit = handleSubmit(({ label }) => {
    const test = newReversalTest(
      axis,
      spreadMm(travelMm * 0.15, travelMm * 0.85, 3),
      {
        label: label.trim().slice(0, TESTS.of.label.most) || `Test ${axis.tests.length + 1}`,
        startedAt: new Date().toISOString(),
        // The same gauge as before, until another is named.
        gaugeStepUm: axis.tests.at(-1)?.gaugeStepUm ?? shop.gaugeStepUm,
      },
      newId,
    )
    edit(startTest(axis, test))
    focusFirstReading()
    reset()
    onStart()
  })
  return (
    <Panel
      title={axis.tests.length ? 'Test again' : 'First test'}
      note={
        axis.tests.length
          ? 'After each change, test again at the same places: only so can the change be proved, under Before and after.'
          : inItsWord(HOW_TO, axis)
      }
    >
      <chakra.form onSubmit={submit} data-hand display="flex" gap="2" flexWrap="wrap" alignItems="flex-end">
        <chakra.div flex="1 1 220px" maxW="360px">
          <TextField
            label="What is new since the last one"
            maxLength={TESTS.of.label.most}
            placeholder={axis.tests.length ? 'Bearing changed' : 'As first built'}
            {...register('label')}
          />
        </chakra.div>
        <Button variant="lamp" type="submit">
          Start a test
        </Button>
      </chakra.form>
    </Panel>
  )
}

function Test({ axis, test, latest }: { axis: Axis; test: ReversalTest; latest: boolean }) {
  const units = useUnits()
  const edit = useEdit()
  const evaluation = useEvaluation()
  const verdict = latest ? evaluation.finding('prove.reversal') : null
  const closed = test.finishedAt !== null
  const close = () =>
    edit(
      finishTest(
        axis,
        test.id,
        new Date().toISOString(),
        `Reversal “${test.label}”: ${verdict ? `${STATE_WORDS[verdict.state].toLowerCase()}. ${verdict.sentence}` : 'closed.'}`,
      ),
    )
  const typedIn = useReadingUnit()
  const nextPlaceMm = (test.stations.at(-1)?.positionMm ?? 0) + 50
  return (
    <Panel
      title={`Test: ${test.label}`}
      note={
        closed
          ? `Closed ${momentWords(test.finishedAt ?? test.startedAt)}.`
          : `${inItsWord(HOW_TO, axis)} ${FEWEST_OF_A_TEST} readings from each side at ${test.stations.length === 1 ? 'one place' : `each of ${test.stations.length} places`}, coming up and coming down in turn: Enter goes to the next one, and to the next place.`
      }
      action={
        closed ? undefined : (
          <chakra.div display="flex" gap="2" flexWrap="wrap" data-hand>
            <Button variant="danger" onClick={() => edit(removeTest(axis, test.id))}>
              Delete the test
            </Button>
            <Button variant="lamp" onClick={close}>
              Close the test
            </Button>
          </chakra.div>
        )
      }
    >
      <chakra.div mb="3">
        <GaugeFields
          stepUm={test.gaugeStepUm}
          disabled={closed}
          onStep={(stepUm, mergeKey) =>
            edit(withGauge(setTestGauge(axis, test.id, stepUm, mergeKey), stepUm))
          }
        />
      </chakra.div>
      <TestConditions
        of={REVERSAL_CONDITIONS}
        test={test}
        disabled={closed}
        onChange={(change, mergeKey) => edit(setTestConditions(axis, test.id, change, mergeKey))}
      />
      {verdict && (
        <chakra.div bg="raised" borderRadius="6px" p="3" mb="3">
          <chakra.div display="flex" justifyContent="space-between" gap="2">
            <StateMark state={verdict.state} />
            <WorkingButton checkId={verdict.checkId} of="the measured lost motion" />
          </chakra.div>
          <p>{verdict.sentence}</p>
          <Unexplained />
        </chakra.div>
      )}
      <chakra.div display="grid" gap="3">
        {test.stations.map((station, index) => (
          <ReversalStationCard
            key={station.id}
            axis={axis}
            test={test}
            station={station}
            index={index}
            units={units}
            closed={closed}
          />
        ))}
      </chakra.div>
      <chakra.div mt="3" display="flex" flexWrap="wrap" gap="2" alignItems="center">
        {!closed && (
          <Button
            onClick={() =>
              edit(
                addTestStation(
                  axis,
                  test.id,
                  blankRow(REVERSAL_STATIONS, newId(), { positionMm: nextPlaceMm }),
                ),
              )
            }
          >
            <Plus size={16} aria-hidden /> Another station
          </Button>
        )}
        <CopyTable label={test.label} cells={() => tableOf(test, units, typedIn)} />
      </chakra.div>
    </Panel>
  )
}

/** A test as lines and columns: a line for each reading, with its place, coming up and coming down. */
function tableOf(test: ReversalTest, units: UnitSystem, typedIn: ReadingUnit): string[][] {
  const unit = readingUnit(typedIn)
  const reading = (um: number | undefined) => (um === undefined ? '' : printReading(um, typedIn))
  return [
    [
      `Station, ${quantityFacts('length')[units].unit}`,
      `Coming up to it, ${unit.unit}`,
      `Coming down to it, ${unit.unit}`,
    ],
    ...test.stations.flatMap(({ positionMm, approachPositiveUm, approachNegativeUm }) =>
      Array.from({ length: Math.max(approachPositiveUm.length, approachNegativeUm.length) }, (_, index) => [
        printField(positionMm, 'length', units),
        reading(approachPositiveUm[index]),
        reading(approachNegativeUm[index]),
      ]),
    ),
  ]
}
