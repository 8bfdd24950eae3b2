import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { setIn } from '@/core/document/setIn'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { nowOf } from '@/core/planning/days'
import { sittingNow } from '@/core/planning/sittings'
import { intervalOf, nextGreasing } from '@/core/sheets/grease/due'
import { addGreasing, addUsualPoints } from '@/core/sheets/grease/edits'
import { LUBE, LUBE_POINTS } from '@/core/sheets/grease/model'
import { dayWords, momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { FiguresButton } from '../../job/FiguresButton'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { useChange, useRows } from '../../job/useRows'

const pointsOf = (axis: Axis) => axis.lubePoints
const BECAUSE = {
  first: 'A week after the first time, when a new nut has shed its running-in',
  travel: 'By its travel',
  'half a year': 'After half a year at the most, however little it runs',
}
const worked = (evaluation: EvaluationContext) => ({
  interval: attempt(() => intervalOf(evaluation), evaluation.units),
  due: nextGreasing(evaluation),
})
const round = (value: number) => (value >= 10 ? Math.round(value) : Math.round(value * 10) / 10)

/** Where the axis is greased, with what, how much, and when next. */
export function GreasePanel() {
  const units = useUnits()
  const rows = useRows(LUBE_POINTS, pointsOf)
  const lube = useAxis(axis => axis.lube)
  const greasings = useAxis(axis => axis.greasings)
  const who = useJob(job => sittingNow(job.plan)?.who ?? '')
  const axisNow = useAxisNow()
  const change = useChange()
  const edit = useEdit()
  const { interval, due } = useWorkedOut(worked)
  const last = greasings.at(-1)
  const { day: today } = nowOf(new Date())
  return (
    <>
      <Panel
        title={
          due
            ? `Grease: ${due.day < today ? 'was due on' : 'next on'} ${dayWords(due.day)}`
            : 'Grease: not greased yet'
        }
      >
        <chakra.p mb="3" color={due && due.day < today ? 'close' : undefined}>
          {due
            ? `${BECAUSE[due.because]}.`
            : 'The first time is when it is put together; from then on the next day stands here and in the calendar of the schedule.'}{' '}
          {last && `Last on ${momentWords(last.at)}${last.who ? `, ${last.who}` : ''}.`}
        </chakra.p>
        <FieldGrid
          fields={LUBE.of}
          values={lube}
          units={units}
          onValue={(key, value, mergeKey) =>
            change(LUBE.of[key].label, axis => setIn(axis.lube, key, value), mergeKey)
          }
        />
        <chakra.p mt="3">
          {interval.value
            ? `It runs ${round(interval.value.kmPerHour * 1000)} m in an hour: ${lube.intervalKm} km are ${round(interval.value.hoursBetween)} hours, which is every ${round(interval.value.weeksBetween)} weeks.`
            : interval.ask}{' '}
          <FiguresButton
            of="the interval of greasing"
            sentence="How far the nut runs in a typical hour, against the travel between two greasings."
            names={['lubeInterval']}
          />
        </chakra.p>
        <Button
          variant="lamp"
          mt="3"
          onClick={() => edit(addGreasing(axisNow(), new Date().toISOString(), who))}
        >
          Greased now
        </Button>
      </Panel>
      <Panel
        title="Points"
        note="Look at each while it is still apart: a point that no hole and no fitting reaches when everything is together is never greased."
      >
        <RowsTable {...rows} units={units} addLabel="Another point" />
        {rows.rows.length === 0 && (
          <Button variant="outline" mt="2" onClick={() => edit(addUsualPoints(axisNow()))}>
            Put the usual points in
          </Button>
        )}
      </Panel>
    </>
  )
}
