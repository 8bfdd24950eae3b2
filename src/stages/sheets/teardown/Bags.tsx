import { chakra } from '@chakra-ui/react'
import { useEffect } from 'react'
import { BAGGED } from '@/core/sheets/shared/steps/model'
import type { Bag, Bagged } from '@/core/sheets/teardown/bags'
import { setBagged } from '@/core/sheets/teardown/edits'
import { FieldInput } from '@/ui/fields/FieldInput'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useUnits } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'

type Row = Bagged & { name: string }

/** The part of an address that leads to a bag. @example hashOfBag('X1') // '#bag-X1' */
export const hashOfBag = (name: string): string => `#bag-${encodeURIComponent(name)}`

/** What went into each bag, how many, and how many were found in it again. */
export function Bags({ bags }: { bags: readonly Bag[] }) {
  const edit = useEdit()
  const axisNow = useAxisNow()
  const units = useUnits()
  const rows = bags.flatMap(({ name, things }) => things.map((thing): Row => ({ ...thing, name })))
  const count = (row: Row, key: 'count' | 'foundCount') =>
    row.isOwn ? (
      (row[key] ?? '–')
    ) : (
      <FieldInput
        field={BAGGED.of.of[key]}
        label={`${BAGGED.of.of[key].label}: ${row.what}, bag ${row.name}`}
        value={row[key]}
        units={units}
        dense
        hideLabel
        onValue={(value, mergeKey) =>
          edit(setBagged(axisNow(), row, { [key]: value as number | null }, mergeKey))
        }
      />
    )
  const columns: TableColumn<Row>[] = [
    {
      id: 'bag',
      head: 'Bag',
      widthPx: 56,
      cell: ({ name }) => <chakra.b fontFamily="mono">{name}</chakra.b>,
    },
    { id: 'what', head: 'What', cell: ({ what }) => what },
    { id: 'from', head: 'Where from', cell: ({ from }) => from },
    { id: 'count', head: 'How many', widthPx: 92, cell: row => count(row, 'count') },
    { id: 'found', head: 'Found again', widthPx: 92, cell: row => count(row, 'foundCount') },
    {
      id: 'back',
      head: 'Goes back',
      cell: ({ backAt, isOwn }) => (backAt ? 'yes' : isOwn ? '–' : 'no'),
      widthPx: 76,
    },
  ]
  useEffect(() => {
    // Whoever scanned a label is at its bag.
    const bag = decodeURIComponent(location.hash).replace(/^#bag-/, '')
    document.querySelector(`[data-bag="${CSS.escape(bag)}"]`)?.scrollIntoView({ block: 'center' })
  }, [])
  if (rows.length === 0) return <p>Nothing comes off that needs a bag.</p>
  return (
    <DataTable
      label="Bags"
      columns={columns}
      rows={rows}
      rowId={({ id }) => id}
      isMarked={({ name }) => location.hash === hashOfBag(name)}
      leastPx={560}
      rowProps={({ name }) => ({ 'data-bag': name })}
    />
  )
}
