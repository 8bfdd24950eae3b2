import { chakra } from '@chakra-ui/react'
import { format } from 'date-fns'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { newId } from '@/core/document/id'
import type { Axis, ReversalTest } from '@/core/document/job'
import { STATE_WORDS } from '@/core/evaluation/finding'
import { addTestStation, finishTest, removeTest, spreadMm, startTest } from '@/core/sheets/readingCommands'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Panel } from '@/ui/Panel'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useAxis, useEdit, useEvaluation, useUnits, whole } from '../bench'
import { WorkingButton } from '../WorkingButton'
import { Comparison } from './Comparison'
import { ReversalStationCard } from './ReversalStationCard'
import { Unexplained } from './Unexplained'

const HOW_TO =
  'Indicator on the head, tip on the table. Go past the place from below, come back up to it, read; then past it from above and back down, read. Five times from either side, at two or more places.'

/** Is the lost motion good enough? */
export function ProveStage() {
  const axis = useAxis(whole)
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
              <chakra.span fontWeight={400}>{format(new Date(test.startedAt), 'd MMM')}</chakra.span>
            </Button>
          ))}
        </chakra.nav>
      )}
      {shown && <Test key={shown.id} axis={axis} test={shown} latest={shown === axis.tests.at(-1)} />}
      {axis.tests.length > 1 && <Comparison />}
      <NewTest axis={axis} onStart={() => setShownId(null)} />
    </>
  )
}

function NewTest({ axis, onStart }: { axis: Axis; onStart: () => void }) {
  const edit = useEdit()
  const [label, setLabel] = useState('')
  const travelMm = axis.dimensions.wayTravelMm.value ?? axis.goals.wantedTravelMm
  const start = () => {
    const before = axis.tests.at(-1)
    const places =
      before?.stations.map(station => station.positionMm) ?? spreadMm(travelMm * 0.15, travelMm * 0.85, 3)
    const test: ReversalTest = {
      id: newId(),
      startedAt: new Date().toISOString(),
      finishedAt: null,
      label: label.trim().slice(0, 120) || `Test ${axis.tests.length + 1}`,
      stations: places.map(positionMm => ({ positionMm, approachPositiveUm: [], approachNegativeUm: [] })),
    }
    edit(startTest(axis, test))
    setLabel('')
    onStart()
  }
  return (
    <Panel
      title={axis.tests.length ? 'Test again' : 'First test'}
      note={
        axis.tests.length
          ? 'After each change, test again at the same places: only so can the change be proved.'
          : HOW_TO
      }
    >
      <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="flex-end">
        <chakra.div flex="1 1 220px" maxW="360px">
          <TextField
            label="What is new since the last one"
            value={label}
            maxLength={120}
            placeholder={axis.tests.length ? 'Bearing changed' : 'As first built'}
            onChange={event => setLabel(event.currentTarget.value)}
            onKeyDown={event => event.key === 'Enter' && start()}
          />
        </chakra.div>
        <Button variant="lamp" onClick={start}>
          Start a test
        </Button>
      </chakra.div>
    </Panel>
  )
}

function Test({ axis, test, latest }: { axis: Axis; test: ReversalTest; latest: boolean }) {
  const units = useUnits()
  const edit = useEdit()
  const { findings } = useEvaluation()
  const verdict = latest ? findings.find(({ checkId }) => checkId === 'prove.reversal') : undefined
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
  const nextPlaceMm = (test.stations.at(-1)?.positionMm ?? 0) + 50
  return (
    <Panel
      title={`Test: ${test.label}`}
      note={
        closed
          ? `Closed ${format(new Date(test.finishedAt ?? test.startedAt), 'd MMM yyyy HH:mm')}.`
          : `${HOW_TO} Enter goes to the next reading.`
      }
      action={
        closed ? undefined : (
          <chakra.div display="flex" gap="2" flexWrap="wrap">
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
      {verdict && (
        <chakra.div bg="raised" borderRadius="6px" p="3" mb="3">
          <chakra.div display="flex" justifyContent="space-between" gap="2">
            <StateMark state={verdict.state} />
            <WorkingButton checkId={verdict.checkId} of="the measured lost motion" />
          </chakra.div>
          <p>{verdict.sentence}</p>
          <Unexplained axis={axis} test={test} units={units} />
        </chakra.div>
      )}
      <chakra.div display="grid" gap="3">
        {test.stations.map((station, index) => (
          <ReversalStationCard
            // biome-ignore lint/suspicious/noArrayIndexKey: a station is known by its number in the test
            key={index}
            axis={axis}
            test={test}
            station={station}
            index={index}
            units={units}
            closed={closed}
          />
        ))}
      </chakra.div>
      {!closed && (
        <chakra.div mt="3">
          <Button
            onClick={() =>
              edit(
                addTestStation(axis, test.id, {
                  positionMm: nextPlaceMm,
                  approachPositiveUm: [],
                  approachNegativeUm: [],
                }),
              )
            }
          >
            <Plus size={16} aria-hidden /> Another station
          </Button>
        </chakra.div>
      )}
    </Panel>
  )
}
