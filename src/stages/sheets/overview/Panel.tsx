import { chakra } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { Axis } from '@/core/document/axis'
import { driveLine } from '@/core/drawing/driveLine'
import { countWords } from '@/core/evaluation/finding'
import { stateCounts } from '@/core/evaluation/verdictGroups'
import { nextOf } from '@/core/sheets/nextAction'
import { DriveStrip } from '@/ui/driveline/DriveStrip'
import { Panel } from '@/ui/Panel'
import { StateShape } from '@/ui/verdicts/StateMark'
import { useJob, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { evaluationOf, useCatalogue } from '../../job/useEvaluation'

/** The longest drive of the machine is drawn so wide; the others are to the same scale. */
const LONGEST_PX = 520

/** Where every axis of the machine stands: its drive, all at one scale, its verdicts, and what it needs next. */
export function OverviewPanel() {
  const axes = useJob(job => job.axes)
  const jobId = useJob(job => job.id)
  const catalogue = useCatalogue()
  const units = useUnits()
  const rows = useMemo(
    () =>
      axes.map(axis => {
        const context = evaluationOf(axis, catalogue, units)
        return { axis, context, line: driveLine(context, 0.5) }
      }),
    [axes, catalogue, units],
  )
  const scale = LONGEST_PX / Math.max(1, ...rows.map(({ line }) => line.rightMm - line.leftMm))
  return (
    <Panel
      title="Overview"
      note="The drives are drawn at one scale. What is dashed is not chosen or not measured yet."
    >
      <chakra.ul display="grid" gap="3">
        {rows.map(({ axis, context, line }) => (
          <chakra.li
            key={axis.id}
            data-overview={axis.name}
            borderTopWidth="1px"
            pt="3"
            display="grid"
            gap="2"
            gridTemplateColumns="minmax(0, 1fr)"
          >
            <chakra.div
              display="flex"
              flexWrap="wrap"
              alignItems="center"
              justifyContent="space-between"
              gap="2"
            >
              <PlaceButton variant="quiet" ml="-3" place={{ jobId, axisId: axis.id, stage: 'survey' }}>
                Axis {axis.name}: {axis.title}
              </PlaceButton>
              <Counts context={context} />
            </chakra.div>
            <chakra.div overflowX="auto">
              <DriveStrip line={line} scale={scale} />
            </chakra.div>
            <Next axis={axis} jobId={jobId} next={nextOf(context)} />
          </chakra.li>
        ))}
      </chakra.ul>
    </Panel>
  )
}

function Counts({ context }: { context: ReturnType<typeof evaluationOf> }) {
  return (
    <chakra.span display="inline-flex" flexWrap="wrap" gap="3" fontSize="14px">
      {stateCounts(context.findings).map(({ state, count }) => (
        <chakra.span key={state} display="inline-flex" alignItems="center" gap="1.5">
          <StateShape state={state} />
          {countWords(state, count)}
        </chakra.span>
      ))}
    </chakra.span>
  )
}

function Next({ axis, jobId, next }: { axis: Axis; jobId: string; next: ReturnType<typeof nextOf> }) {
  if (!next) return <chakra.p color="quiet">Axis {axis.name}: nothing left to do.</chakra.p>
  return (
    <div>
      <PlaceButton
        place={{ jobId, axisId: axis.id, stage: next.stage, sheet: next.sheet }}
        variant="outline"
        justifyContent="flex-start"
        textAlign="left"
      >
        <strong>Next</strong> {next.text}
      </PlaceButton>
    </div>
  )
}
