import { chakra } from '@chakra-ui/react'
import type { Noted } from '@/core/practice/trainer/trainingBench'
import type { UnitSystem } from '@/core/units/quantity'
import { Note } from '@/ui/Note'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { notedWords, valueWords } from './words'

interface Line {
  noted: Noted
  index: number
}

/** What was read so far, the last at the top; those that a verdict points at stand out. */
export function Notebook({
  noted,
  marked,
  units,
}: {
  noted: readonly Noted[]
  marked: readonly number[]
  units: UnitSystem
}) {
  if (noted.length === 0) return <Note>Nothing is noted yet.</Note>
  const columns: TableColumn<Line>[] = [
    { id: 'number', head: 'No.', figures: true, widthPx: 44, cell: ({ index }) => index + 1 },
    {
      id: 'what',
      head: 'What',
      cell: ({ noted: one }) => {
        const { what, how } = notedWords(one, units)
        return `${what}, ${how}`
      },
    },
    { id: 'value', head: 'Read', figures: true, cell: ({ noted: one }) => valueWords(one, units) },
  ]
  return (
    <chakra.div
      maxH="300px"
      overflowY="auto"
      tabIndex={0}
      role="region"
      aria-label="Readings so far"
      data-notebook
      css={{ '& [data-marked]': { outline: '2px solid', outlineColor: 'lamp', outlineOffset: '-2px' } }}
    >
      <DataTable
        label="Readings"
        columns={columns}
        rows={noted.map((one, index) => ({ noted: one, index })).toReversed()}
        rowId={({ index }) => `${index}`}
        isMarked={({ index }) => marked.includes(index)}
        rowProps={({ index }) => ({ 'data-marked': marked.includes(index) ? '' : undefined })}
        fontSize="14px"
        inert
      />
    </chakra.div>
  )
}
