import { chakra } from '@chakra-ui/react'
import { type Axis, DUTY, type DutyRow } from '@/core/document/axis'
import { attempt } from '@/core/evaluation/attempt'
import { type DutyLine, ownDuty, reckonedDuty } from '@/core/machine/drive/duty'
import { strokeWork } from '@/core/machine/drive/torque'
import { setDuty } from '@/core/machine/driveEdits'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { RowsTable } from '@/ui/table/RowsTable'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useSettledEvaluation } from '../../job/useEvaluation'
import { useRows } from '../../job/useRows'

/** Shares are typed in per cent, rarely to the last digit. */
const SHARES_OFF = 0.005

/** What a typical hour is made of: what the life of screw and bearings is reckoned from. */
export function DutyPanel() {
  const context = useSettledEvaluation()
  const { units } = context
  const axisNow = useAxisNow()
  const edit = useEdit()
  const isOwn = useAxis(axis => axis.duty !== null)
  const reckoned = attempt(() => reckonedDuty(context))
  const columns: TableColumn<DutyLine>[] = [
    { id: 'work', head: 'Work', cell: line => line.label },
    { id: 'force', head: 'Force', figures: true, cell: line => say(line.forceN, 'force', units) },
    { id: 'speed', head: 'Speed', figures: true, cell: line => say(line.speedMmPerMin, 'speed', units) },
    {
      id: 'speeding',
      head: 'Speeding up',
      figures: true,
      cell: line => say(line.accelerationMmPerS2, 'acceleration', units),
    },
    { id: 'share', head: 'Share', figures: true, cell: line => say(line.timeShare, 'share', units) },
  ]
  return (
    <Panel
      title="Duty"
      note={
        isOwn
          ? 'Your own table, for the whole axis. Forces and speeding up along the screw, + one way and − the other: with the same sign it speeds up, with another it slows. A row with a stroke goes to and fro without end: its force is what resists it at a steady speed, and its weight and mass come on top. Shares of the time add up to 100 %.'
          : 'Reckoned from the goals of the survey: cutting both ways, and rapid moves over the whole travel both ways.'
      }
      action={
        isOwn ? (
          <Button variant="quiet" onClick={() => edit(setDuty(axisNow(), null))}>
            Reckon it again
          </Button>
        ) : (
          <Button
            variant="quiet"
            disabled={!reckoned.value}
            onClick={() => edit(setDuty(axisNow(), ownDuty(reckoned.value ?? [])))}
          >
            Make it my own
          </Button>
        )
      }
    >
      {isOwn ? (
        <OwnDuty />
      ) : reckoned.value ? (
        <DataTable columns={columns} rows={reckoned.value} rowId={({ label }) => label} />
      ) : (
        <chakra.p color="quiet">{reckoned.ask}</chakra.p>
      )}
    </Panel>
  )
}

const NO_ROWS: DutyRow[] = []
const dutyOf = (axis: Axis) => axis.duty ?? NO_ROWS
const numberedWork = (rows: readonly DutyRow[]) => ({ label: `Work ${rows.length + 1}` })

function OwnDuty() {
  const duty = useRows(DUTY, dutyOf, numberedWork)
  const units = useUnits()
  const shares = duty.rows.reduce((sum, { timeShare }) => sum + timeShare, 0)
  return (
    <>
      <RowsTable {...duty} units={units} least={1} addLabel="Another kind of work" />
      <Strokes rows={duty.rows} />
      {Math.abs(shares - 1) > SHARES_OFF && (
        <Stated role="alert" color="fails" fontWeight={700} mt="2">
          Share of the time: got {say(shares, 'share', units)} in all, takes 100 %. Until then the shares are
          scaled to add up.
        </Stated>
      )}
    </>
  )
}

/** What each row that goes to and fro comes to, and whether it asks for more than the axis is held to. */
function Strokes({ rows }: { rows: readonly DutyRow[] }) {
  const context = useSettledEvaluation()
  const { units } = context
  const { accelerationMmPerS2: wanted, topSpeedMmPerMin } = context.axis.goals
  return rows
    .filter(({ strokeMm }) => strokeMm !== null)
    .map(row => {
      const { value, ask } = attempt(() => strokeWork(context, row))
      const harder = Math.abs(row.accelerationMmPerS2) > wanted
      const faster = row.speedMmPerMin > topSpeedMmPerMin
      return (
        <Stated key={row.id} mt="2">
          <strong>{row.label}</strong>:{' '}
          {value
            ? `${say(value.strokesPerMinute, 'ratio', units, 0)} strokes a minute, up to ${say(value.peakSpeedMmPerS * 60, 'speed', units)}; the motor feels ${say(value.rmsTorqueNm, 'torque', units)} all along.`
            : (ask ?? 'a stroke needs a speed.')}
          {(harder || faster) && (
            <chakra.strong color="close">
              {' '}
              {harder
                ? `It speeds up harder than the ${say(wanted, 'acceleration', units)} that the axis is held to`
                : `It is faster than the ${say(topSpeedMmPerMin, 'speed', units)} that the axis is held to`}
              : put that goal up, so that motor and screw are judged by it.
            </chakra.strong>
          )}
        </Stated>
      )
    })
}
