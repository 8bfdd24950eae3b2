import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { type Axis, turnsNut } from '@/core/document/axis'
import { takeDrive } from '@/core/machine/driveEdits'
import { withShopParts } from '@/core/machine/parts/shopParts'
import type { DrivePoint } from '@/core/search/field'
import { axisWith } from '@/core/search/levels'
import type { SearchOutcome } from '@/core/search/outcome'
import { givenThings } from '@/core/search/within'
import { printFixed } from '@/core/units/print'
import { sentenceCase } from '@/core/units/sentenceCase'
import { useShopParts } from '@/store/shopParts'
import { chartLater } from '@/ui/chart/chartLater'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { startSearch } from '@/workers/client'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { RunProgress } from '../../job/RunProgress'
import { useAxisNow, useSettledAxis } from '../../job/useAxis'
import { useSearchTask, useWholeCatalogue } from '../../job/useEvaluation'
import { useKeptRun } from '../../job/useRun'
import { driveWords } from './driveWords'
import { Handful } from './Handful'
import { Nothing } from './Nothing'
import { SearchTable } from './SearchTable'
import { WhyNotField } from './WhyNotField'
import { WithinForm } from './WithinForm'

const SearchChart = chartLater(() => import('./SearchChart').then(module => module.SearchChart), 380)

/** All of an axis that a search goes by: of the drive that stands there now only what the search keeps. */
function wants(axis: Axis): string {
  const { dimensions, goals, driveSizes, drive, duty, recesses, limits, searchWithin, parts, ends } = axis
  const { keepScrew, keepNut, keepEnds, keepBearing, keepLink, keepMotor } = searchWithin
  const kept = [
    (keepScrew || keepNut) && parts.screw,
    keepEnds && ends,
    keepBearing && parts.bearing,
    keepLink && [drive.transmission, parts.coupler, parts.belt],
    keepMotor && parts.motor,
    parts.brake,
  ]
  const given = [drive.screws, drive.leadTable, drive.handwheelKept]
  return JSON.stringify([dimensions, goals, driveSizes, given, duty, recesses, limits, searchWithin, kept])
}

/** Searches the whole parts list for drives that nothing beats, shows the best of them, and takes one. */
export function SearchPanel() {
  const axis = useSettledAxis()
  const units = useUnits()
  const edit = useEdit()
  const catalogue = useWholeCatalogue()
  const task = useSearchTask(axis)
  const axisNow = useAxisNow()
  const shopParts = useShopParts()

  const jobId = useJob(job => job.id)
  const { run, start, stop } = useKeptRun<{ axis: Axis; outcome: SearchOutcome }>(
    `search ${jobId} ${axis.id}`,
  )
  const search = () => {
    const searched = axisNow()
    start(onProgress => {
      const { done, cancel } = startSearch({ ...task, axis: searched }, onProgress)
      return { done: done.then(outcome => outcome && { axis: searched, outcome }), cancel }
    })
  }
  const [all, setAll] = useState(false)
  const found = run.kind === 'done' ? run.value : null
  const points = found?.outcome.points ?? []
  const holding = points.filter(({ margin }) => margin >= 1).length
  const given = found ? givenThings(found.axis, catalogue, units).map(({ words }) => words) : []
  const take = (point: DrivePoint) => {
    const now = axisNow()
    const taken = takeDrive(
      now,
      axisWith(now, point),
      `Taken from the search: ${driveWords(point, catalogue)}.`,
    )
    edit(withShopParts(taken, shopParts))
  }

  return (
    <Panel
      title="Search the parts list"
      note="Every screw, way to hold its ends, bearing set, coupler or belt, and motor, put together in every way. What stays is what nothing else beats at once on price, worst margin, lost motion and height under the slide."
      action={
        run.kind === 'running' ? (
          <Button onClick={stop}>Stop</Button>
        ) : (
          <Button variant="lamp" onClick={search}>
            {found ? 'Search again' : 'Search'}
          </Button>
        )
      }
    >
      {turnsNut(axis.drive) && (
        <Stated mb="2">
          It tries drives whose screw turns: what is found takes the place of the nut that turns now.
        </Stated>
      )}
      <WithinForm />
      <RunProgress run={run} doing="Searching…">
        {found && (
          <Stated mb="3">
            {sentenceCase(
              `${given.length > 0 ? `${given.join('; ')}: ` : ''}${points.length === 0 ? 'none ' : ''}of ${printFixed(found.outcome.combinations, 0)} drives ${points.length === 0 ? 'holds' : `${printFixed(holding, 0)} hold and are beaten by nothing`}`,
            )}
            {points.length > holding && `, and ${printFixed(points.length - holding, 0)} more are close`}.
            {points.length > 1 && ' The best of each kind:'}
            {wants(found.axis) !== wants(axis) && (
              <chakra.strong color="close">
                {' '}
                What is asked of the axis has changed since: search again for what suits it now.
              </chakra.strong>
            )}
          </Stated>
        )}
      </RunProgress>
      {found?.outcome.whyNothing && <Nothing why={found.outcome.whyNothing} />}
      {found && points.length > 0 && (
        <>
          <Handful handful={found.outcome.handful} axis={axis} units={units} onTake={take} />
          <WhyNotField axis={found.axis} units={units} points={points} onTake={take} />
          <chakra.details
            data-all
            mt="3"
            pt="2"
            borderTopWidth="1px"
            onToggle={event => setAll(event.currentTarget.open)}
          >
            <chakra.summary cursor="pointer" color="lamp" fontWeight={700} minH="44px" py="2.5">
              All {printFixed(points.length, 0)} drives, as a cloud and a table
            </chakra.summary>
            {all && (
              <>
                <SearchChart points={points} units={units} onTake={take} />
                <SearchTable points={points} axis={axis} units={units} onTake={take} />
              </>
            )}
          </chakra.details>
        </>
      )}
    </Panel>
  )
}
