import { chakra } from '@chakra-ui/react'
import { onAxis } from '@/core/document/edits'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { limitsOf } from '@/core/evaluation/limits'
import { stoppingMm } from '@/core/machine/travel/stopping'
import { STOPPING, type Stopping } from '@/core/machine/travel/stoppingModel'
import { ENDS, SAFETY_OF } from '@/core/sheets/stopping/check'
import { LIMITS } from '@/core/sheets/stopping/limits'
import { say } from '@/core/units/print'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { AxisField } from '../../job/AxisField'
import { useUnits } from '../../job/JobContext'
import { useWorkedOut } from '../../job/useEvaluation'
import { WorkingButton } from '../../job/WorkingButton'

const FIELDS = Object.entries(STOPPING.of) as [keyof Stopping, (typeof STOPPING.of)[keyof Stopping]][]

/** How far the axis runs on after its switch is struck, against what is kept clear at both ends. */
export function StoppingPanel() {
  return (
    <Panel
      title="Room to stop"
      note="From soft limit to switch to hard stop the axis needs room to stop in, from its top speed. What is kept clear is set on the travel sheet. A hard stop is for the day when all else fails: it must stand behind that."
      action={<WorkingButton checkId="stopping.far" of="the room to stop" />}
    >
      <chakra.div
        display="grid"
        gap="3"
        mb="3"
        alignItems="start"
        gridTemplateColumns={{ base: '1fr', lg: 'repeat(2, minmax(0, 1fr))' }}
        data-readings
      >
        {FIELDS.map(([key, field]) => (
          <AxisField
            key={key}
            field={field}
            select={axis => axis.stopping[key]}
            edit={(axis, value, mergeKey) =>
              onAxis(
                axis,
                field.label,
                draft => {
                  draft.stopping[key] = value
                },
                { mergeKey },
              )
            }
          />
        ))}
      </chakra.div>
      <BothEnds />
    </Panel>
  )
}

const CHECK_OF = { fixed: 'stopping.fixed', far: 'stopping.far' } as const

const bothEnds = (evaluation: EvaluationContext) =>
  attempt(() => {
    const { axis } = evaluation
    const needsMm = stoppingMm(evaluation)
    const wantedMm = limitsOf(axis.limits['limits.stopping'], LIMITS['limits.stopping']).holds * needsMm
    return ENDS.map(end => ({
      end,
      keptMm: axis.recesses[SAFETY_OF[end]],
      needsMm,
      wantedMm,
      state: evaluation.finding(CHECK_OF[end])?.state ?? 'unknown',
    }))
  })
type EndRow = NonNullable<ReturnType<typeof bothEnds>['value']>[number]

function BothEnds() {
  const ends = useWorkedOut(bothEnds)
  const units = useUnits()
  if (!ends.value) return <chakra.p color="quiet">{ends.ask}</chakra.p>
  const length = (mm: number) => say(mm, 'length', units, 1)
  const columns: TableColumn<EndRow>[] = [
    { id: 'end', head: 'At the', cell: ({ end }) => `${end} end` },
    { id: 'kept', head: 'Kept clear', figures: true, cell: ({ keptMm }) => length(keptMm) },
    { id: 'needs', head: 'Stops within', figures: true, cell: ({ needsMm }) => length(needsMm) },
    { id: 'wanted', head: 'Wanted', figures: true, cell: ({ wantedMm }) => length(wantedMm) },
    { id: 'verdict', head: 'Verdict', cell: ({ state }) => <StateMark state={state} /> },
  ]
  return (
    <DataTable
      label="Room to stop at both ends"
      columns={columns}
      rows={ends.value}
      rowId={({ end }) => end}
    />
  )
}
