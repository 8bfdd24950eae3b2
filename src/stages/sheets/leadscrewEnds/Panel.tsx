import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { type ScrewStep, screwDrawing, screwSteps, totalLengthMm } from '@/core/sheets/leadscrewEnds/drawing'
import { say, saySold } from '@/core/units/print'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { DrawingSheet } from '../../job/DrawingSheet'
import { useJob, useUnits } from '../../job/JobContext'
import { useWorkedOut } from '../../job/useEvaluation'

type Line = Pick<ScrewStep, 'name' | 'lengthMm'> & Partial<ScrewStep>

const linesOf = (steps: ScrewStep[]): Line[] => [
  ...steps,
  { name: 'Whole length', lengthMm: totalLengthMm(steps) },
]

const turned = (evaluation: EvaluationContext) => ({
  axisName: evaluation.axis.name,
  steps: attempt(() => screwSteps(evaluation)),
  fit: (evaluation.finding('coupler.bores') ?? evaluation.finding('belt.bores'))?.sentence,
})

/** The ends of the screw as they are turned, out of the parts that are chosen. */
export function LeadscrewEndsPanel() {
  const { axisName, steps, fit } = useWorkedOut(turned)
  const units = useUnits()
  const jobName = useJob(job => job.name)
  const length = (mm: number | undefined) => (mm === undefined ? '' : say(mm, 'length', units))
  const columns: TableColumn<Line>[] = [
    { id: 'name', head: 'Step', cell: step => step.name },
    {
      id: 'diameter',
      head: 'Diameter',
      figures: true,
      cell: ({ diameterMm }) => (diameterMm === undefined ? '' : saySold(diameterMm, units)),
    },
    {
      id: 'tolerance',
      head: 'Tolerance',
      cell: step => <chakra.span fontFamily="mono">{step.tolerance}</chakra.span>,
    },
    { id: 'length', head: 'Length', figures: true, cell: step => length(step.lengthMm) },
    { id: 'note', head: 'To heed', cell: step => <chakra.span color="quiet">{step.note}</chakra.span> },
  ]
  return (
    <Panel
      title="Ends of the screw"
      note="From the coupler to the far end, out of the bearings, the coupler and the span that you chose. Check it against the maker's sheets of your parts before anyone cuts."
    >
      {!steps.value ? (
        <chakra.p color="quiet">{steps.ask}</chakra.p>
      ) : (
        <>
          <DrawingSheet drawing={screwDrawing(`${jobName}, ${axisName}: screw`, steps.value, units)} />
          <DataTable
            label="Steps of the screw"
            columns={columns}
            rows={linesOf(steps.value)}
            rowId={({ name }) => name}
            isStrong={({ diameterMm }) => diameterMm === undefined}
            leastPx={560}
          />
          {fit && <chakra.p mt="2">{fit}</chakra.p>}
        </>
      )}
    </Panel>
  )
}
