import type { Axis } from '@/core/document/axis'
import { setAlignReading } from '@/core/sheets/screwLine/edits'
import { ALIGN_STATIONS, type AlignRound, type AlignStation } from '@/core/sheets/screwLine/model'
import { FieldInput } from '@/ui/fields/FieldInput'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useUnits } from '../../job/JobContext'

const { positionMm, heightUm, sideUm } = ALIGN_STATIONS.of

/** The readings of a round, place by place; Enter goes to the next one. */
export function AlignReadings({ axis, round, spanMm }: { axis: Axis; round: AlignRound; spanMm: number }) {
  const units = useUnits()
  const edit = useEdit()
  const closed = round.finishedAt !== null
  // A place of the round lies between the blocks.
  const fields = { positionMm: { ...positionMm, min: 0, max: spanMm }, heightUm, sideUm }
  const cell = (key: keyof typeof fields, label: string) => (station: AlignStation, index: number) => (
    <FieldInput
      field={fields[key]}
      label={`Place ${index + 1}, ${label}`}
      hideLabel
      value={station[key]}
      units={units}
      disabled={closed}
      onValue={(value, mergeKey) =>
        edit(setAlignReading(axis, round.id, station.id, { [key]: value }, mergeKey))
      }
    />
  )
  const columns: TableColumn<AlignStation>[] = [
    { id: 'place', head: 'Place', cell: (_, index) => <strong>{index + 1}</strong> },
    { id: 'along', head: positionMm.label, cell: cell('positionMm', 'along the screw') },
    { id: 'height', head: heightUm.label, cell: cell('heightUm', 'height') },
    { id: 'side', head: sideUm.label, cell: cell('sideUm', 'side') },
  ]
  return <DataTable columns={columns} rows={round.stations} rowId={({ id }) => id} leastPx={440} />
}
