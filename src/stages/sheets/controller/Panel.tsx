import { chakra } from '@chakra-ui/react'
import { Printer } from 'lucide-react'
import { setIn } from '@/core/document/setIn'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { numberFields } from '@/core/field/field'
import { firstTries, type Setting, settingsOf } from '@/core/sheets/controller/paper'
import { CONTROLLER } from '@/core/sheets/shared/steps/controllerModel'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { FiguresButton } from '../../job/FiguresButton'
import { useJob, useJobContext, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { useAxis } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { useChange } from '../../job/useRows'

const { commandedMm, movedMm, countsPerRev, pulseLimitHz } = numberFields(CONTROLLER.of)
const SETTINGS = { countsPerRev, pulseLimitHz }
const MOVE = { commandedMm, movedMm }
const worked = (evaluation: EvaluationContext) => attempt(() => settingsOf(evaluation), evaluation.units)
const tries = (evaluation: EvaluationContext) =>
  firstTries(evaluation).map(({ title, how, caution = null }) => ({ title, how, caution }))
const COLUMNS: TableColumn<Setting>[] = [
  { id: 'what', head: 'Setting', cell: ({ what }) => what },
  { id: 'set', head: 'Set to', cell: ({ set }) => <chakra.b>{set}</chakra.b> },
  { id: 'first', head: 'For the first try', cell: ({ first }) => first },
  { id: 'from', head: 'From', cell: ({ from }) => <chakra.span color="quiet">{from}</chakra.span> },
]

/** What the controller is set to, what is tried first, and what the first long move came to. */
export function ControllerPanel() {
  const settings = useWorkedOut(worked)
  const first = useWorkedOut(tries)
  const values = useAxis(axis => axis.controller)
  const units = useUnits()
  const change = useChange()
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const setField = <K extends keyof typeof values>(key: K, value: (typeof values)[K], mergeKey?: string) =>
    change(CONTROLLER.of[key].label, axis => setIn(axis.controller, key, value), mergeKey)
  return (
    <>
      <Panel
        title="Controller"
        action={
          <chakra.span display="inline-flex" gap="2">
            <FiguresButton
              of="the steps a millimetre"
              sentence="Steps that move the axis a millimetre, corrected by the measured move where there is one."
              names={['controllerSteps', 'correctedSteps']}
            />
            <PlaceButton variant="outline" place={{ jobId, axisId, stage: 'evening', asked: 'moves' }}>
              <Printer size={16} aria-hidden /> First-moves sheet
            </PlaceButton>
          </chakra.span>
        }
      >
        {settings.value ? (
          <DataTable
            label="Settings of the controller"
            columns={COLUMNS}
            rows={settings.value}
            rowId={({ what }) => what}
          />
        ) : (
          <chakra.p color="quiet">{settings.ask}</chakra.p>
        )}
      </Panel>
      <Panel title="How the controller counts">
        <FieldGrid
          fields={SETTINGS}
          values={values}
          units={units}
          onValue={(key, value, mergeKey) => setField(key, value, mergeKey)}
        >
          {(['letter', 'dwellUnit', 'leadTableIn'] as const).map(key => (
            <FieldInput
              key={key}
              field={CONTROLLER.of[key]}
              value={values[key]}
              units={units}
              onValue={value => setField(key, value)}
            />
          ))}
        </FieldGrid>
      </Panel>
      <Panel title="A long move, measured">
        <FieldGrid
          fields={MOVE}
          values={values}
          units={units}
          onValue={(key, value, mergeKey) => setField(key, value, mergeKey)}
        >
          <FieldInput
            field={CONTROLLER.of.direction}
            value={values.direction}
            units={units}
            onValue={value => setField('direction', value)}
          />
        </FieldGrid>
      </Panel>
      <Panel title="First moves, in this order">
        <ScrollBox label="First moves, in their order">
          <chakra.ol pl="5" listStyleType="decimal" display="grid" gap="1">
            {first.map(({ title, how, caution }) => (
              <li key={title}>
                <b>{title}.</b> {how}
                {caution && <chakra.span color="close"> {caution}</chakra.span>}
              </li>
            ))}
          </chakra.ol>
        </ScrollBox>
        <Note mt="2">Drives, mains and guarding are for licensed people and follow local codes.</Note>
      </Panel>
    </>
  )
}
