import { Fold } from '../Fold'
import { DataTable, type TableColumn } from '../table/DataTable'

interface Line {
  cells: string[]
}

/** The figures behind a chart, within reach of the keyboard and of those who would rather read. */
export function ChartFigures({ heads, rows }: { heads: string[]; rows: string[][] }) {
  const columns = heads.map(
    (head, index): TableColumn<Line> => ({ id: head, head, figures: true, cell: row => row.cells[index] }),
  )
  return (
    <Fold name="Figures of this chart">
      <DataTable
        columns={columns}
        rows={rows.map((cells): Line => ({ cells }))}
        rowId={({ cells }) => cells.join()}
      />
    </Fold>
  )
}
