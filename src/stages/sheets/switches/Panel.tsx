import { chakra } from '@chakra-ui/react'
import type { Axis } from '@/core/document/axis'
import { setIn } from '@/core/document/setIn'
import { attempt } from '@/core/evaluation/attempt'
import type { EvaluationContext } from '@/core/evaluation/context'
import { numberFields } from '@/core/field/field'
import { chain, runsOnMm } from '@/core/sheets/switches/calculation'
import { CABLE, SWITCHES } from '@/core/sheets/switches/model'
import { say } from '@/core/units/print'
import { FieldGrid } from '@/ui/fields/FieldGrid'
import { FieldInput } from '@/ui/fields/FieldInput'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { RowsTable } from '@/ui/table/RowsTable'
import { useUnits } from '../../job/JobContext'
import { useAxis } from '../../job/useAxis'
import { useWorkedOut } from '../../job/useEvaluation'
import { useChange, useRows } from '../../job/useRows'
import { WorkingButton } from '../../job/WorkingButton'

const switchesOf = (axis: Axis) => axis.switches
const FIGURES = numberFields(CABLE.of)
const CHOICES = ['side', 'relief'] as const
const worked = (evaluation: EvaluationContext) => ({
  runsOn: attempt(() => runsOnMm(evaluation, 0), evaluation.units),
  chain: attempt(() => chain(evaluation), evaluation.units),
})

/** Where the switches stand and of what kind they are; how long the chain is and how high. */
export function SwitchesPanel() {
  const units = useUnits()
  const rows = useRows(SWITCHES, switchesOf)
  const cable = useAxis(axis => axis.cable)
  const change = useChange()
  const { runsOn, chain: loop } = useWorkedOut(worked)
  const length = (mm: number, decimals = 0) => say(mm, 'length', units, decimals)
  return (
    <>
      <Panel
        title="Switches"
        note="A limit switch stands between the soft limit and the hard stop, with room behind it to stop in. Normally closed: a broken wire then stops the machine like the switch itself."
        action={<WorkingButton checkId="switches.far" of="the room behind a switch" />}
      >
        <RowsTable {...rows} units={units} addLabel="Another switch" />
        <Stated mt="2">
          {runsOn.value !== undefined
            ? `From top speed the axis runs on ${length(runsOn.value, 1)} once a switch without a filter is struck; half as much again should lie behind it.`
            : `${runsOn.ask} It stands under Make room, Room to stop.`}
        </Stated>
      </Panel>
      <Panel title="Cable to the motor" action={<WorkingButton checkId="cable.chain" of="the cable chain" />}>
        <FieldGrid
          fields={FIGURES}
          values={cable}
          units={units}
          onValue={(key, value, mergeKey) =>
            change(FIGURES[key].label, axis => setIn(axis.cable, key, value), mergeKey)
          }
        >
          {CHOICES.map(key => (
            <FieldInput
              key={key}
              field={CABLE.of[key]}
              value={cable[key]}
              units={units}
              onValue={value => change(CABLE.of[key].label, axis => setIn(axis.cable, key, value))}
            />
          ))}
        </FieldGrid>
        <chakra.p mt="3" fontWeight={700}>
          {loop.value
            ? `The chain is ${length(loop.value.chainLengthMm)} long; its loop stands ${length(loop.value.heightMm)} high.`
            : loop.ask}
        </chakra.p>
        {cable.side === 'chips' && (
          <chakra.p mt="1" color="close">
            Turn the motor so that its cable leaves away from the chips: hot ones melt into it.
          </chakra.p>
        )}
        {cable.relief === 'none' && (
          <chakra.p mt="1" color="close">
            Without strain relief the plug carries every pull. One face screw of the motor can hold a tie.
          </chakra.p>
        )}
        <Note mt="2">
          Leave a loop at every motor that moves. Cables of motors and of switches apart from each other.
          Mains wiring is for licensed people and follows local codes.
        </Note>
      </Panel>
    </>
  )
}
