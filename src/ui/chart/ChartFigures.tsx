import { chakra } from '@chakra-ui/react'
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
    <chakra.details fontSize="14px">
      <chakra.summary
        cursor="pointer"
        color="lamp"
        fontWeight={700}
        minH={{ base: '44px', xl: '32px' }}
        display="flex"
        alignItems="center"
      >
        Figures of this chart
      </chakra.summary>
      <DataTable
        columns={columns}
        rows={rows.map((cells): Line => ({ cells }))}
        rowId={({ cells }) => cells.join()}
      />
    </chakra.details>
  )
}
