import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { compareTravel, type TravelWay } from '@/core/sheets/travel/compareTravel'
import { say } from '@/core/units/print'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useUnits } from '../../job/JobContext'
import { useWorkedOut } from '../../job/useEvaluation'

const compared = (evaluation: EvaluationContext) => ({
  ways: attempt(() => compareTravel(evaluation)),
  wanted: evaluation.axis.goals.wantedTravelMm,
})

/** Ways to lay out the axis side by side: what travel each keeps, and what metal it costs. */
export function TravelCompared() {
  const { ways, wanted } = useWorkedOut(compared)
  const units = useUnits()
  const length = (mm: number) => say(mm, 'length', units, 1)
  const columns: TableColumn<TravelWay>[] = [
    { id: 'name', head: 'Way', cell: way => way.name },
    { id: 'travel', head: 'Travel', figures: true, cell: way => length(way.travelMm) },
    {
      id: 'against',
      head: 'Against wanted',
      figures: true,
      cell: ({ travelMm }) => (
        <chakra.span color={travelMm < wanted ? 'fails' : undefined}>
          {travelMm < wanted ? '−' : '+'}
          {length(Math.abs(travelMm - wanted))}
        </chakra.span>
      ),
    },
    { id: 'recess', head: 'Recess', figures: true, cell: way => length(way.cutMm) },
    { id: 'moved', head: 'Block moved', figures: true, cell: way => length(way.movedMm) },
  ]
  return (
    <Panel
      title="Travel compared"
      note="What each way keeps of the travel, and what it costs in metal. Drag the nut on the drive line, or use its arrow keys, to run the axis to its ends."
    >
      {ways.value ? (
        <DataTable
          label="Travel by way of making room"
          columns={columns}
          rows={ways.value}
          rowId={({ name }) => name}
          isStrong={way => way === ways.value[0]}
        />
      ) : (
        <chakra.p color="quiet">{ways.ask}</chakra.p>
      )}
    </Panel>
  )
}
