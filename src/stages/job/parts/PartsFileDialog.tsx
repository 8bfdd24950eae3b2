import { chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { type CsvProblem, refuseLargeCsv } from '@/core/formats/csv'
import { type GoodRow, type PartsFile, readPartsCsv } from '@/core/formats/partsCsv'
import { CATALOGUE, MOST_OWN_PARTS } from '@/core/machine/parts'
import { takeParts } from '@/core/machine/parts/partEdits'
import { errorWords } from '@/store/errorWords'
import { Button } from '@/ui/controls'
import { Notice } from '@/ui/frame/Notice'
import { Modal } from '@/ui/Modal'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit, useJob } from '../JobContext'

import { KIND_WORDS } from '../kindWords'
import { useTextOf } from '../useTextOf'

/** So many wrong rows are shown: nobody mends more in one go. */
const SHOWN_PROBLEMS = 50

/** Reads a file of parts, tells row by row what is wrong, and takes the good ones when told to. */
export function PartsFileDialog({ file, onClose }: { file: File; onClose: () => void }) {
  const ownParts = useJob(job => job.ownParts)
  const edit = useEdit()
  const [read, setRead] = useState<PartsFile | null>(null)
  const [failure, setFailure] = useState<string | null>(null)
  const { textOf, ask } = useTextOf()
  const reader = useRef({ textOf })
  useEffect(() => {
    let current = true
    const reading = async () => {
      refuseLargeCsv(file.size)
      const text = await reader.current.textOf(file)
      if (text === null) throw new Error('Nobody knows how its letters are meant: save it as Unicode.')
      return readPartsCsv(text, ownParts, CATALOGUE)
    }
    reading().then(
      found => current && setRead(found),
      error => current && setFailure(errorWords(error)),
    )
    return () => {
      current = false
    }
  }, [file, ownParts])

  const fresh = read?.good.filter(({ is }) => is !== 'same') ?? []
  const added = fresh.filter(({ is }) => is === 'new').length
  const room = read ? MOST_OWN_PARTS - ownParts[read.kind].length : 0
  const take = () => {
    if (read) edit(takeParts(read.kind, fresh.map(({ part }) => part) as never, file.name.slice(0, 80)))
    onClose()
  }
  return (
    <Modal
      wide
      title={`Parts from ${file.name}`}
      open
      onClose={onClose}
      closeLabel={fresh.length > 0 ? 'Take none' : 'Close'}
      actions={
        fresh.length > 0 && added <= room ? (
          <Button variant="lamp" onClick={take}>
            {fresh.length === 1 ? 'Take the one good part' : `Take the ${fresh.length} good parts`}
          </Button>
        ) : undefined
      }
    >
      {failure && (
        <Notice title="Nothing was taken, and nothing was changed.">
          <chakra.span overflowWrap="anywhere">{failure}</chakra.span>
        </Notice>
      )}
      {!failure && !read && (ask || <p>Reading and checking…</p>)}
      {read && (
        <>
          <p>
            <strong>{KIND_WORDS[read.kind]}</strong>: {inAll(read)}.
          </p>
          {added > room && (
            <chakra.p mt="2" color="fails" fontWeight={700}>
              A job takes {MOST_OWN_PARTS} parts of a kind, and {room} more fit: take some out of the file, or
              of the job.
            </chakra.p>
          )}
          {read.leftOut.length > 0 && (
            <chakra.p mt="2" color="quiet">
              Left out, as no such part has it: {read.leftOut.join(', ')}.
            </chakra.p>
          )}
          {read.wrong.length > 0 && <Problems wrong={read.wrong} />}
        </>
      )}
    </Modal>
  )
}

/** "2 new parts, 1 changed, 3 rows that are wrong" */
function inAll({ good, wrong }: PartsFile): string {
  const count = (state: GoodRow['is']) => good.filter(({ is }) => is === state).length
  const counts: [number, one: string, more: string][] = [
    [count('new'), 'new part', 'new parts'],
    [count('changed'), 'changed', 'changed'],
    [count('same'), 'as it stands here already', 'as they stand here already'],
    [new Set(wrong.map(({ line }) => line)).size, 'row that is wrong', 'rows that are wrong'],
  ]
  const said = counts
    .filter(([number]) => number > 0)
    .map(([number, one, more]) => `${number} ${number === 1 ? one : more}`)
  return said.join(', ') || 'no part in it'
}

const PROBLEM_COLUMNS: TableColumn<CsvProblem>[] = [
  { id: 'line', head: 'Line', figures: true, cell: ({ line }) => line },
  { id: 'column', head: 'Column', cell: ({ column }) => column },
  { id: 'got', head: 'Got', cell: ({ got }) => <chakra.span overflowWrap="anywhere">{got}</chakra.span> },
  { id: 'takes', head: 'Takes', cell: ({ takes }) => takes },
]

function Problems({ wrong }: { wrong: CsvProblem[] }) {
  const shown = wrong.slice(0, SHOWN_PROBLEMS)
  return (
    <>
      <chakra.p mt="3" fontWeight={700}>
        Rows that are wrong are left out. Mend them in the file and take it again: what is here already stays.
      </chakra.p>
      <chakra.div mt="1">
        <DataTable
          label="What is wrong in the file"
          columns={PROBLEM_COLUMNS}
          rows={shown}
          rowId={({ line, column }) => `${line} ${column}`}
        />
      </chakra.div>
      {wrong.length > shown.length && <p>And {wrong.length - shown.length} more.</p>}
    </>
  )
}
