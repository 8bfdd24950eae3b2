import { chakra } from '@chakra-ui/react'
import { RECESS_KEYS, RECESSES } from '@/core/document/dimensions'
import { onAxis, setNutFacing, setRecess } from '@/core/document/edits'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { nutReach, travel } from '@/core/machine/travel/placement'
import { RECESS_ENDS, RECESS_OF, type RecessEnd } from '@/core/machine/travel/recess'
import { RECESS_METAL } from '@/core/sheets/travel/model'
import { say } from '@/core/units/print'
import { SelectField } from '@/ui/fields/SelectField'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { AxisField } from '../../job/AxisField'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { WorkingButton } from '../../job/WorkingButton'
import { TravelCompared } from './TravelCompared'

const FACINGS = [
  { value: 'far', label: 'the far end' },
  { value: 'fixed', label: 'the fixed end' },
] as const

/** Recesses and stops, and what travel they leave. */
export function TravelPanel() {
  const facing = useAxis(axis => axis.nutFacing)
  const axisNow = useAxisNow()
  const edit = useEdit()
  return (
    <>
      <chakra.div
        display="grid"
        gap="3"
        gridTemplateColumns={{ base: 'minmax(0, 1fr)', xl: 'minmax(0, 1fr) minmax(0, 1.1fr)' }}
        alignItems="start"
      >
        <Panel
          title="Recesses and stops"
          note="A recess lets the nut enter the metal before the bearings of a block. What is kept clear holds soft limit, switch and hard stop apart."
        >
          <chakra.div display="grid" gap="3" data-readings>
            {RECESS_KEYS.map(key => (
              <AxisField
                key={key}
                field={RECESSES[key]}
                select={axis => axis.recesses[key]}
                edit={(axis, value, mergeKey) => setRecess(axis, key, value, mergeKey)}
              />
            ))}
            {RECESS_ENDS.map(end => (
              <Metal key={end} end={end} />
            ))}
            <SelectField
              label="Nut body stands towards"
              value={facing}
              options={FACINGS}
              onChange={next => edit(setNutFacing(axisNow(), next))}
            />
          </chakra.div>
        </Panel>
        <Budget />
      </chakra.div>
      <TravelCompared />
    </>
  )
}

const METAL_OF = { fixed: 'fixedMm', far: 'farMm' } as const

/** The metal that a recess goes into, asked for where there is to be one. */
function Metal({ end }: { end: RecessEnd }) {
  const key = METAL_OF[end]
  const wanted = useAxis(axis => axis.recesses[RECESS_OF[end]] > 0 || axis.recessMetal[key] !== null)
  if (!wanted) return null
  const field = RECESS_METAL.of[key]
  return (
    <AxisField
      field={field}
      select={axis => axis.recessMetal[key]}
      edit={(axis, value, mergeKey) =>
        onAxis(
          axis,
          field.label,
          draft => {
            draft.recessMetal[key] = value
          },
          { mergeKey },
        )
      }
    />
  )
}

interface Line {
  label: string
  mm: number
  sign: '' | '+' | '−' | '='
}

const budgetOf = (evaluation: EvaluationContext) => ({
  budget: attempt(() => ({
    ...travel(evaluation),
    ...nutReach(evaluation),
    spanMm: evaluation.dimension('supportSpanMm'),
    wayMm: evaluation.dimension('wayTravelMm'),
  })),
  recesses: evaluation.axis.recesses,
  /** What is to be measured, and what to expect until then. */
  sentence: evaluation.finding('room.travel')?.sentence,
})

/** The travel budget as a sum, line by line. */
function Budget() {
  const { budget, recesses, sentence } = useWorkedOut(budgetOf)
  const units = useUnits()
  if (!budget.value)
    return (
      <Panel title="Travel budget">
        <chakra.p color="quiet">{sentence ?? budget.ask}</chakra.p>
      </Panel>
    )
  const { value } = budget
  const length = (mm: number) => say(mm, 'length', units, 1)
  const lines: Line[] = [
    { label: 'Between the blocks', mm: value.spanMm, sign: '' },
    { label: 'Recesses', mm: recesses.recessFixedMm + recesses.recessFarMm, sign: '+' },
    { label: 'Nut, towards the far end', mm: value.nutAheadMm, sign: '−' },
    { label: 'Nut, towards the fixed end', mm: value.nutBehindMm, sign: '−' },
    { label: 'Kept clear at both ends', mm: recesses.safetyFixedMm + recesses.safetyFarMm, sign: '−' },
    { label: 'The screw allows', mm: value.screwTravelMm, sign: '=' },
    { label: 'The ways allow', mm: value.wayMm, sign: '' },
    { label: 'Travel left: the smaller', mm: value.travelMm, sign: '=' },
    { label: 'Lost', mm: value.lostMm, sign: '' },
  ]
  const columns: TableColumn<Line>[] = [
    { id: 'label', head: 'Line', cell: line => line.label },
    { id: 'mm', head: 'Length', figures: true, cell: ({ sign, mm }) => `${sign} ${length(mm)}` },
  ]
  return (
    <Panel title="Travel budget" action={<WorkingButton checkId="room.travel" of="the travel budget" />}>
      <DataTable
        label="Travel budget, line by line"
        columns={columns}
        rows={lines}
        rowId={({ label }) => label}
        isStrong={({ sign }) => sign === '='}
        hideHead
        fontSize="15px"
      />
      <Stated mt="3">
        {value.lostMm > 0
          ? `${length(value.lostMm)} of the ways goes unused. A recess of ${length(value.recessNeededMm)} in all would bring it back; a shorter nut or a wider span does the same.`
          : 'Nothing is lost: the ways end the travel, not the screw.'}
      </Stated>
      <Note mt="2">
        Before cutting a recess: check the wall that is left, clamp the casting, wear eye protection, and do
        not breathe cast-iron dust.
      </Note>
    </Panel>
  )
}
