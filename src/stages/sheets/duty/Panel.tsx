import { chakra } from '@chakra-ui/react'
import { type Axis, DUTY, type DutyRow } from '@/core/document/axis'
import { newId } from '@/core/document/id'
import { attempt } from '@/core/evaluation/attempt'
import { type DutyLine, dutyLines } from '@/core/machine/drive/load'
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
  const reckoned = attempt(() => dutyLines(context.with({ ...context.axis, duty: null })))
  const columns: TableColumn<DutyLine>[] = [
    { id: 'work', head: 'Work', cell: line => line.label },
    { id: 'force', head: 'Force', figures: true, cell: line => say(line.forceN, 'force', units) },
    { id: 'speed', head: 'Speed', figures: true, cell: line => say(line.speedMmPerMin, 'speed', units) },
    { id: 'share', head: 'Share', figures: true, cell: line => say(line.timeShare, 'share', units) },
  ]
  return (
    <Panel
      title="Duty"
      note={
        isOwn
          ? 'Your own table. Forces along the screw, + one way and − the other, for the whole axis; shares of the time add up to 100 %.'
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
            onClick={() => edit(setDuty(axisNow(), rounded(reckoned.value)))}
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

/** The reckoned table with figures that a person would have typed. */
const rounded = (lines: DutyLine[] | undefined): DutyRow[] =>
  (lines ?? []).map(({ label, forceN, speedMmPerMin, timeShare }) => ({
    id: newId(),
    label,
    forceN: Math.round(forceN),
    speedMmPerMin: Math.round(speedMmPerMin),
    timeShare: Math.round(timeShare * 1000) / 1000,
  }))

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
      {Math.abs(shares - 1) > SHARES_OFF && (
        <Stated role="alert" color="fails" fontWeight={700} mt="2">
          Share of the time: got {say(shares, 'share', units)} in all, takes 100 %. Until then the shares are
          scaled to add up.
        </Stated>
      )}
    </>
  )
}
