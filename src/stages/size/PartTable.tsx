import { chakra } from '@chakra-ui/react'
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useMemo } from 'react'
import type { PartKind } from '@/core/job/types'
import { STATE_WORDS, STATES } from '@/core/verdicts/finding'
import { Button } from '@/ui/controls'
import { Cell, Figures, HeadCell } from '@/ui/Panel'
import { StateShape } from '@/ui/verdicts/StateMark'
import { columnHeads, type PartRow } from './partRows'

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns })
const helper = createColumnHelper<typeof features, PartRow>()

interface Props {
  kind: PartKind
  rows: PartRow[]
  chosenId: string | null
  onChoose: (partId: string | null) => void
}

/** "2 fail", "1 close". */
const would = ({ worst, worstCount }: PartRow) =>
  `${worstCount} ${worst === 'fails' && worstCount > 1 ? 'fail' : STATE_WORDS[worst].toLowerCase()}`

/** Parts of a kind to choose from, each with what it would do to the verdicts. */
export function PartTable({ kind, rows, chosenId, onChoose }: Props) {
  const columns = useMemo(() => {
    const [first, second] = columnHeads(kind)
    return helper.columns([
      helper.accessor('name', { header: 'Part' }),
      helper.accessor(row => row.first.value, { id: 'first', header: first }),
      helper.accessor(row => row.second.value, { id: 'second', header: second }),
      helper.accessor('priceEur', { header: 'Price' }),
      helper.accessor(row => STATES.indexOf(row.worst) * 100 - row.worstCount, {
        id: 'worst',
        header: 'Would give',
      }),
    ])
  }, [kind])
  const table = useTable({ features, columns, data: rows })
  return (
    <chakra.div overflowX="auto">
      <chakra.table width="100%" fontSize="14px" minW="560px">
        <thead>
          {table.getHeaderGroups().map(group => (
            <tr key={group.id}>
              {group.headers.map(header => {
                const sorted = header.column.getIsSorted()
                return (
                  <HeadCell
                    key={header.id}
                    aria-sort={sorted ? (sorted === 'asc' ? 'ascending' : 'descending') : 'none'}
                    py="0"
                  >
                    <Button
                      variant="quiet"
                      px="1"
                      ml="-1"
                      fontSize="13px"
                      color="quiet"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      <table.FlexRender header={header} />
                      <span aria-hidden="true">{sorted === 'asc' ? '▲' : sorted === 'desc' ? '▼' : ''}</span>
                    </Button>
                  </HeadCell>
                )
              })}
              <HeadCell>
                <chakra.span srOnly>Take</chakra.span>
              </HeadCell>
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map(({ original: row }) => {
            const chosen = row.id === chosenId
            return (
              <chakra.tr key={row.id} bg={chosen ? 'raised' : undefined} data-part-row={row.id}>
                <Cell>
                  <chakra.strong display="block">{row.name}</chakra.strong>
                  <chakra.span color="quiet" fontSize="13px">
                    {row.maker}
                  </chakra.span>
                </Cell>
                <Cell>
                  <Figures>{row.first.text}</Figures>
                </Cell>
                <Cell>
                  <Figures>{row.second.text}</Figures>
                </Cell>
                <Cell>
                  <Figures>€{row.priceEur}</Figures>
                </Cell>
                <Cell title={row.worstTitles}>
                  <chakra.span display="flex" gap="1.5" alignItems="center">
                    <StateShape state={row.worst} />
                    {row.worst === 'holds' ? 'all hold' : would(row)}
                  </chakra.span>
                </Cell>
                <Cell textAlign="right">
                  <Button
                    variant={chosen ? 'quiet' : 'outline'}
                    aria-pressed={chosen}
                    aria-label={chosen ? `${row.name}, taken; put back` : `Take ${row.name}`}
                    onClick={() => onChoose(chosen ? null : row.id)}
                  >
                    {chosen ? 'Taken' : 'Take'}
                  </Button>
                </Cell>
              </chakra.tr>
            )
          })}
        </tbody>
      </chakra.table>
    </chakra.div>
  )
}
