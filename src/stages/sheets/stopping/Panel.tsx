import { chakra } from '@chakra-ui/react'
import { attempt } from '@/core/evaluation/attempt'
import { limitsOf } from '@/core/evaluation/limits'
import type { Evaluation } from '@/core/sheets/evaluateAxis'
import { ENDS, LIMITS, SAFETY_OF, stoppingMm } from '@/core/sheets/stopping/check'
import { STOPPING, type Stopping } from '@/core/sheets/stopping/model'
import { say } from '@/core/units/print'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { useUnits } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { useChange } from '../../job/useRows'
import { WorkingButton } from '../../job/WorkingButton'

const FIELDS = Object.entries(STOPPING.of) as [keyof Stopping, (typeof STOPPING.of)[keyof Stopping]][]

/** How far the axis runs on after its switch is struck, against what is kept clear at both ends. */
export function StoppingPanel() {
  const stopping = useAxis(axis => axis.stopping)
  const units = useUnits()
  const change = useChange()
  return (
    <Panel
      title="Room to stop"
      note="From soft limit to switch to hard stop the axis needs room to stop in, from its top speed. What is kept clear is set above, under recesses and stops. A hard stop is for the day when all else fails: it must stand behind that."
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
          <div key={key}>
            <FieldInput
              field={field}
              value={stopping[key]}
              units={units}
              onValue={(value, mergeKey) =>
                change(
                  field.label,
                  axis => {
                    axis.stopping[key] = value as number | null
                  },
                  mergeKey,
                )
              }
            />
            <chakra.p color="quiet" fontSize="13px" mt="1">
              {field.help}
            </chakra.p>
          </div>
        ))}
      </chakra.div>
      <BothEnds />
    </Panel>
  )
}

const CHECK_OF = { fixed: 'stopping.fixed', far: 'stopping.far' } as const

const bothEnds = (evaluation: Evaluation) =>
  attempt(() => {
    const { axis } = evaluation
    const needsMm = stoppingMm(evaluation)
    const wantedMm = limitsOf(axis, LIMITS['limits.stopping']).holds * needsMm
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
