import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { compareTests } from '@/core/sheets/reversal/judgeTest'
import { say } from '@/core/units/print'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useUnits } from '../../job/JobContext'
import { useSettledAxis } from '../../job/useAxis'

/** Before against after: only a difference larger than its uncertainty counts. */
export function Comparison() {
  const axis = useSettledAxis()
  const units = useUnits()
  const [beforeId, setBeforeId] = useState<string | null>(null)
  const [afterId, setAfterId] = useState<string | null>(null)
  const before = axis.tests.find(({ id }) => id === beforeId) ?? axis.tests.at(-2)
  const after = axis.tests.find(({ id }) => id === afterId) ?? axis.tests.at(-1)
  if (!before || !after) return null
  const options = axis.tests.map(test => ({ value: test.id, label: test.label }))
  const rows = compareTests(before, after)
  const small = (um: number) => say(um, 'smallLength', units)
  const columns: TableColumn<(typeof rows)[number]>[] = [
    {
      id: 'place',
      head: 'Place',
      cell: ({ positionMm }) => (positionMm === null ? 'worst of each' : say(positionMm, 'length', units, 1)),
    },
    { id: 'before', head: 'Before', figures: true, cell: row => small(row.beforeUm) },
    { id: 'after', head: 'After', figures: true, cell: row => small(row.afterUm) },
    {
      id: 'difference',
      head: 'Difference',
      figures: true,
      cell: row => `${small(row.differenceUm)} ± ${small(row.expandedUm)}`,
    },
    {
      id: 'says',
      head: 'Says',
      cell: ({ counts, differenceUm }) =>
        counts ? (differenceUm < 0 ? 'less: it counts' : 'more: it counts') : 'no change that counts',
    },
  ]
  return (
    <Panel
      title="Before against after"
      note="A difference counts only when it is larger than what the readings are uncertain by, 19 times in 20. Anything less is their noise."
    >
      <chakra.div display="flex" gap="3" flexWrap="wrap" mb="3">
        <SelectField label="Before" value={before.id} options={options} onChange={setBeforeId} />
        <SelectField label="After" value={after.id} options={options} onChange={setAfterId} />
      </chakra.div>
      {rows.length === 0 ? (
        <chakra.p color="quiet">Both tests need two readings from either side at one place or more.</chakra.p>
      ) : (
        <DataTable columns={columns} rows={rows} rowId={({ positionMm }) => String(positionMm ?? 'worst')} />
      )}
    </Panel>
  )
}
