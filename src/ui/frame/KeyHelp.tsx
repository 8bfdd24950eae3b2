import { chakra } from '@chakra-ui/react'
import { Modal } from '../Modal'
import { Note } from '../Note'
import { DataTable, type TableColumn } from '../table/DataTable'
import type { Action } from './Palette'

const TYPING: [keys: string, does: string][] = [
  ['Enter', 'settle a reading and go to the next one'],
  ['Esc', 'put back what the field held'],
  ['12.7   1/2 in   2-3/8"   2 thou   50 um', 'all of these can be typed in any length field'],
]

const COLUMNS: TableColumn<{ keys: string; does: string }>[] = [
  {
    id: 'keys',
    head: 'Keys',
    widthPx: 220,
    cell: ({ keys }) => (
      <chakra.span fontFamily="mono" whiteSpace="pre-wrap">
        {keys}
      </chakra.span>
    ),
  },
  { id: 'does', head: 'What they do', cell: ({ does }) => does },
]

/** All keys, and the cautions that hold everywhere. */
export function KeyHelp({
  open,
  actions,
  onClose,
}: {
  open: boolean
  actions: Action[]
  onClose: () => void
}) {
  const rows = [...actions.flatMap(({ keys, label }) => (keys ? [[keys, label] as const] : [])), ...TYPING]
  return (
    <Modal title="Help and keys" open={open} onClose={onClose}>
      <chakra.p mb="2">
        Work down the stages at the left. Every figure opens to its working, every verdict that is close or
        fails to its ways out. Everything is saved as you type.
      </chakra.p>
      <DataTable
        label="Keys"
        columns={COLUMNS}
        rows={rows.map(([keys, does]) => ({ keys, does }))}
        rowId={({ keys, does }) => keys + does}
        hideHead
        fontSize="15px"
      />
      <chakra.p mt="3">
        <chakra.a
          href="/reference"
          color="lamp"
          fontWeight={700}
          minH="44px"
          display="inline-flex"
          alignItems="center"
        >
          Reference of every calculation
        </chakra.a>
      </chakra.p>
      <Note mt="1">
        Mains wiring, guarding and lifting follow local codes and are for licensed or trained people. The
        figures here help you judge; they do not replace a maker's sheet or a qualified engineer.
      </Note>
    </Modal>
  )
}
