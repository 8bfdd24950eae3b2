import { chakra } from '@chakra-ui/react'
import { CopyPlus, Pencil, Trash2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import type { PartKind } from '@/core/document/kinds'
import { STATE_WORDS } from '@/core/evaluation/finding'
import type { PartVerdict } from '@/core/sheets/judgeParts'
import { money } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { TextField } from '@/ui/fields/TextField'
import { Figures } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { StateShape } from '@/ui/verdicts/StateMark'
import { columnHeads, type PartRow } from './partRows'

interface Props {
  kind: PartKind
  /** Those that are named so. */
  rows: PartRow[]
  typed: string
  onTyped: (typed: string) => void
  /** What each would do to the verdicts; null while that is not worked out. */
  verdicts: ReadonlyMap<string, PartVerdict> | null
  chosenId: string | null
  onChoose: (partId: string | null) => void
  onCopy: (partId: string) => void
  onChange: (partId: string) => void
  onRemove: (partId: string) => void
}

/** So many rows are shown at first: a screenful. */
const FIRST_ROWS = 10
/** So many more at a time: a table of thousands holds the screen up. */
const MORE_ROWS = 150

/** "2 fail", "1 close". */
const would = ({ worst, worstCount }: PartVerdict) =>
  `${worstCount} ${worst === 'fails' && worstCount > 1 ? 'fail' : STATE_WORDS[worst].toLowerCase()}`

/** Parts of a kind to choose from, each with what it would do to the verdicts. */
export function PartTable({ kind, rows, typed, onTyped, verdicts, chosenId, onChoose, ...own }: Props) {
  const [shown, setShown] = useState(FIRST_ROWS)
  // Rows anew with each judgement: a table keeps the order that it has worked out for the same rows.
  const named = useMemo(
    () =>
      rows.map(row => ({
        ...row,
        rank: verdicts?.get(row.id)?.rank ?? Number.POSITIVE_INFINITY,
      })),
    [rows, verdicts],
  )
  const [first, second] = columnHeads(kind)
  const columns: TableColumn<(typeof named)[number]>[] = [
    {
      id: 'name',
      head: 'Part',
      value: row => row.name,
      cell: row => (
        <>
          <chakra.strong display="block">{row.name}</chakra.strong>
          <chakra.span color="quiet" fontSize="13px">
            {row.maker}
            {row.of && (
              <chakra.strong color="lamp">{row.of === 'own' ? ' · your own' : ' · shop list'}</chakra.strong>
            )}
          </chakra.span>
        </>
      ),
    },
    {
      id: 'first',
      head: first,
      value: row => row.first.value,
      cell: row => <Figures>{row.first.text}</Figures>,
    },
    {
      id: 'second',
      head: second,
      value: row => row.second.value,
      cell: row => <Figures>{row.second.text}</Figures>,
    },
    {
      id: 'price',
      head: 'Price',
      value: row => row.priceEur,
      cell: row => <Figures>{money(row.priceEur)}</Figures>,
    },
    {
      id: 'worst',
      head: 'Would give',
      value: row => row.rank,
      cell: row => (
        <WouldGive
          verdict={verdicts?.get(row.id)}
          isAsked={!(verdicts && row.of === 'shop')}
          isChosen={row.id === chosenId}
        />
      ),
    },
    {
      id: 'take',
      head: <chakra.span srOnly>Take</chakra.span>,
      cell: row => {
        const chosen = row.id === chosenId
        return (
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
        )
      },
    },
  ]
  const isChosen = (row: Pick<PartRow, 'id'>) => row.id === chosenId
  return (
    <>
      <chakra.div maxW="320px" mb="2">
        <TextField label="Find a part" value={typed} onChange={event => onTyped(event.currentTarget.value)} />
      </chakra.div>
      <DataTable
        columns={columns}
        rows={named}
        // What serves the drive best stands first.
        sortedBy="worst"
        rowId={row => row.id}
        // The part that is taken stands first, wherever the order would put it.
        isFirst={isChosen}
        isMarked={isChosen}
        most={shown}
        leastPx={560}
        rowProps={row => ({ 'data-part-row': row.id })}
      />
      {named.length === 0 && <chakra.p color="quiet">No part of this kind is named so.</chakra.p>}
      {named.length > shown && (
        <Button variant="quiet" mt="2" onClick={() => setShown(before => before + MORE_ROWS)}>
          {named.length <= shown + MORE_ROWS
            ? `Show all ${named.length}`
            : `Show ${MORE_ROWS} more of ${named.length}; a name narrows them down`}
        </Button>
      )}
      {named.length > FIRST_ROWS && named.length <= shown && (
        <Button variant="quiet" mt="2" onClick={() => setShown(FIRST_ROWS)}>
          Show the first {FIRST_ROWS}
        </Button>
      )}
    </>
  )
}

/** A line for the worst, and one or two for what would be mended and broken. */
const JUDGED_HEIGHT = '60px'

/** What a part would leave the drive with, and what it would mend and break against the drive as it stands. */
function WouldGive({
  verdict,
  isAsked,
  isChosen,
}: {
  verdict: PartVerdict | undefined
  /** Whether its verdict is on its way. */
  isAsked: boolean
  isChosen: boolean
}) {
  // As tall as what will stand there, as a rule: what is below does not move away under a finger.
  if (!verdict)
    return (
      <chakra.span display="block" minH={JUDGED_HEIGHT} color="quiet">
        {isAsked ? 'judging…' : 'judged once its name is typed'}
      </chakra.span>
    )
  return (
    <chakra.span display="block" title={verdict.worstTitles}>
      <chakra.span display="flex" gap="1.5" alignItems="center">
        <StateShape state={verdict.worst} />
        {verdict.worst === 'holds' ? 'all hold' : would(verdict)}
      </chakra.span>
      {!isChosen && <Change word="mends" titles={verdict.mends} />}
      {!isChosen && <Change word="breaks" titles={verdict.breaks} />}
    </chakra.span>
  )
}

/** No cell names more verdicts than these; the rest are counted. */
const MOST_NAMED = 2

function Change({ word, titles }: { word: 'mends' | 'breaks'; titles: readonly string[] }) {
  if (titles.length === 0) return null
  const more = titles.length - MOST_NAMED
  return (
    <chakra.span display="block" fontSize="13px" title={titles.join(', ')}>
      <chakra.strong color={word === 'mends' ? 'holds' : 'fails'}>{word}</chakra.strong>{' '}
      {titles.slice(0, MOST_NAMED).join(', ').toLowerCase()}
      {more > 0 && ` and ${more} more`}
    </chakra.span>
  )
}

/** What can be done to a part besides taking it. */
function OwnButtons({
  row: { id, name, of },
  onCopy,
  onChange,
  onRemove,
}: { row: PartRow } & Pick<Props, 'onCopy' | 'onChange' | 'onRemove'>) {
  const icon = { variant: 'quiet', px: '2', minW: '44px' } as const
  return (
    <>
      {of === 'own' && (
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
