import { chakra } from '@chakra-ui/react'
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { CopyPlus, Pencil, Trash2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import type { PartKind } from '@/core/document/job'
import { STATE_WORDS, STATES } from '@/core/evaluation/finding'
import type { PartVerdict } from '@/core/sheets/judgeParts'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Cell, Figures, HeadCell, SideScroll } from '@/ui/Panel'
import { StateShape } from '@/ui/verdicts/StateMark'
import { columnHeads, type PartRow, rowsNamed } from './partRows'

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns })
const helper = createColumnHelper<typeof features, PartRow>()

interface Props {
  kind: PartKind
  rows: PartRow[]
  /** What each would do to the verdicts; null while that is not worked out. */
  verdicts: ReadonlyMap<string, PartVerdict> | null
  chosenId: string | null
  onChoose: (partId: string | null) => void
  onCopy: (partId: string) => void
  onChange: (partId: string) => void
  onRemove: (partId: string) => void
}

/** So many rows are shown at first: a screenful. */
const FIRST_ROWS = 12

/** Worst first, and the most of them first; what is not judged yet comes last. */
const urgency = (verdict: PartVerdict | undefined) =>
  verdict ? STATES.indexOf(verdict.worst) * 100 - verdict.worstCount : Number.POSITIVE_INFINITY

/** "2 fail", "1 close". */
const would = ({ worst, worstCount }: PartVerdict) =>
  `${worstCount} ${worst === 'fails' && worstCount > 1 ? 'fail' : STATE_WORDS[worst].toLowerCase()}`

/** Parts of a kind to choose from, each with what it would do to the verdicts. */
export function PartTable({ kind, rows: all, verdicts, chosenId, onChoose, ...own }: Props) {
  const [typed, setTyped] = useState('')
  const [isWhole, setWhole] = useState(false)
  const named = useMemo(() => rowsNamed(all, typed), [all, typed])
  const columns = useMemo(() => {
    const [first, second] = columnHeads(kind)
    return helper.columns([
      helper.accessor('name', { header: 'Part' }),
      helper.accessor(row => row.first.value, { id: 'first', header: first }),
      helper.accessor(row => row.second.value, { id: 'second', header: second }),
      helper.accessor('priceEur', { header: 'Price' }),
      helper.accessor(row => urgency(verdicts?.get(row.id)), {
        id: 'worst',
        header: 'Would give',
      }),
    ])
  }, [kind, verdicts])
  const table = useTable({ features, columns, data: named })
  const sorted = table.getRowModel().rows.map(({ original }) => original)
  // The part that is taken stands first, wherever the order would put it.
  const ordered = [
    ...sorted.filter(({ id }) => id === chosenId),
    ...sorted.filter(({ id }) => id !== chosenId),
  ]
  const shown = isWhole ? ordered : ordered.slice(0, FIRST_ROWS)
  return (
    <>
      <chakra.div maxW="320px" mb="2">
        <TextField
          label="Find a part"
          value={typed}
          onChange={event => setTyped(event.currentTarget.value)}
        />
      </chakra.div>
      <SideScroll>
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
                        <span aria-hidden="true">
                          {sorted === 'asc' ? '▲' : sorted === 'desc' ? '▼' : ''}
                        </span>
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
            {shown.map(row => {
              const chosen = row.id === chosenId
              const verdict = verdicts?.get(row.id)
              return (
                <chakra.tr key={row.id} bg={chosen ? 'raised' : undefined} data-part-row={row.id}>
                  <Cell>
                    <chakra.strong display="block">{row.name}</chakra.strong>
                    <chakra.span color="quiet" fontSize="13px">
                      {row.maker}
                      {row.isOwn && <chakra.strong color="lamp"> · your own</chakra.strong>}
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
                  <Cell title={verdict?.worstTitles}>
                    {verdict ? (
                      <chakra.span display="flex" gap="1.5" alignItems="center">
                        <StateShape state={verdict.worst} />
                        {verdict.worst === 'holds' ? 'all hold' : would(verdict)}
                      </chakra.span>
                    ) : (
                      <chakra.span color="quiet">judging…</chakra.span>
                    )}
                  </Cell>
                  <Cell>
                    <chakra.div display="flex" justifyContent="flex-end" alignItems="center">
                      <OwnButtons row={row} {...own} />
                      <Button
                        variant={chosen ? 'quiet' : 'outline'}
                        minW="70px"
                        aria-pressed={chosen}
                        aria-label={chosen ? `${row.name}, taken; put back` : `Take ${row.name}`}
                        onClick={() => onChoose(chosen ? null : row.id)}
                      >
                        {chosen ? 'Taken' : 'Take'}
                      </Button>
                    </chakra.div>
                  </Cell>
                </chakra.tr>
              )
            })}
          </tbody>
        </chakra.table>
      </SideScroll>
      {ordered.length === 0 && <chakra.p color="quiet">No part of this kind is named so.</chakra.p>}
      {ordered.length > FIRST_ROWS && (
        <Button variant="quiet" mt="2" onClick={() => setWhole(before => !before)}>
          {isWhole ? `Show the first ${FIRST_ROWS}` : `Show all ${ordered.length}`}
        </Button>
      )}
    </>
  )
}

/** What can be done to a part besides taking it. */
function OwnButtons({
  row: { id, name, isOwn },
  onCopy,
  onChange,
  onRemove,
}: { row: PartRow } & Pick<Props, 'onCopy' | 'onChange' | 'onRemove'>) {
  const icon = { variant: 'quiet', px: '2', minW: '44px' } as const
  return (
    <>
      {isOwn && (
        <>
          <Button {...icon} aria-label={`Take ${name} out of the parts`} onClick={() => onRemove(id)}>
            <Trash2 size={16} aria-hidden />
          </Button>
          <Button {...icon} aria-label={`Change ${name}`} onClick={() => onChange(id)}>
            <Pencil size={16} aria-hidden />
          </Button>
        </>
      )}
      <Button
        {...icon}
        aria-label={`Copy ${name} to change it`}
        title="Copy to change"
        onClick={() => onCopy(id)}
      >
        <CopyPlus size={16} aria-hidden />
      </Button>
    </>
  )
}
