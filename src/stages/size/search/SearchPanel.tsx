import { chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { Axis } from '@/core/document/job'
import { takeDrive } from '@/core/machine/driveEdits'
import type { DrivePoint } from '@/core/search/field'
import { axisWith } from '@/core/search/levels'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { type Running, startSearch } from '@/workers/client'
import type { SearchOutcome } from '@/workers/protocol'
import { useAxisNow, useCatalogue, useEdit, useJob } from '../../bench'
import { driveWords } from './driveWords'
import { SearchChart } from './SearchChart'
import { SearchTable } from './SearchTable'
import { WhyNotField } from './WhyNotField'

type State =
  | { kind: 'idle' }
  | { kind: 'running'; share: number }
  | { kind: 'stopped' }
  | { kind: 'failed'; message: string }
  | { kind: 'done'; axis: Axis; outcome: SearchOutcome }

/** Searches the whole parts list for drives that nothing beats, shows them, and takes one. */
export function SearchPanel({ axis, units }: { axis: Axis; units: UnitSystem }) {
  const [state, setState] = useState<State>({ kind: 'idle' })
  const run = useRef<Running<SearchOutcome | null> | null>(null)
  const edit = useEdit()
  const catalogue = useCatalogue()
  const ownParts = useJob(job => job.ownParts)
  const shop = useJob(job => job.shop)
  const axisNow = useAxisNow()
  useEffect(() => () => run.current?.cancel(), [])

  const start = () => {
    const searched = axisNow()
    setState({ kind: 'running', share: 0 })
    const started = startSearch({ axis: searched, ownParts, shop, units }, share =>
      setState({ kind: 'running', share }),
    )
    run.current = started
    started.done
      .then(outcome => outcome && setState({ kind: 'done', axis: searched, outcome }))
      .catch(error =>
        setState({ kind: 'failed', message: error instanceof Error ? error.message : String(error) }),
      )
  }
  const stop = () => {
    run.current?.cancel()
    setState({ kind: 'stopped' })
  }
  const take = (point: DrivePoint) => {
    const now = axisNow()
    edit(takeDrive(now, axisWith(now, point), `Taken from the search: ${driveWords(point, catalogue)}.`))
  }

  return (
    <Panel
      title="Search the parts list"
      note="Every screw, way to hold its ends, bearing set, coupler or belt, and motor, put together in every way. What stays is what nothing else beats at once on price, worst margin, lost motion and height under the table."
      action={
        state.kind === 'running' ? (
          <Button onClick={stop}>Stop</Button>
        ) : (
          <Button variant="lamp" onClick={start}>
            {state.kind === 'done' ? 'Search again' : 'Search'}
          </Button>
        )
      }
    >
      <div role="status" aria-live="polite">
        {state.kind === 'running' && (
          <chakra.label display="block" fontSize="14px">
            Searching…
            <chakra.progress
              display="block"
              width="100%"
              max={1}
              value={state.share}
              accentColor="var(--dusk-colors-lamp)"
            />
          </chakra.label>
        )}
        {state.kind === 'stopped' && <chakra.p color="quiet">Stopped. Nothing was changed.</chakra.p>}
        {state.kind === 'failed' && (
          <chakra.p color="fails">
            The search did not come to an end: {state.message}. Nothing was changed.
          </chakra.p>
        )}
        {state.kind === 'done' && (
          <chakra.p fontSize="14px" mb="3">
            {state.outcome.points.length.toLocaleString('en')} drives out of{' '}
            {state.outcome.combinations.toLocaleString('en')} are beaten by nothing.
            {state.axis !== axis && ' The axis has changed since: search again for what suits it now.'}
          </chakra.p>
        )}
      </div>
      {state.kind === 'done' && state.outcome.whyNothing && (
        <>
          <chakra.p fontWeight={700}>No drive of this list holds. On the nearest one:</chakra.p>
          <chakra.ul pl="5" listStyleType="disc" fontSize="14px">
            {state.outcome.whyNothing.map(({ title, sentence }) => (
              <li key={title}>
                <strong>{title}</strong>: {sentence}
              </li>
            ))}
          </chakra.ul>
        </>
      )}
      {state.kind === 'done' && state.outcome.points.length > 0 && (
        <>
          <SearchChart points={state.outcome.points} units={units} onTake={take} />
          <SearchTable points={state.outcome.points} axis={axis} units={units} onTake={take} />
          <WhyNotField axis={state.axis} units={units} points={state.outcome.points} onTake={take} />
        </>
      )}
    </Panel>
  )
}
