import { chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { type CsvProblem, refuseLargeCsv } from '@/core/formats/csv'
import type { GoodRow, PartsFile } from '@/core/formats/partsCsv'
import { MOST_OWN_PARTS, MOST_SHOP_PARTS } from '@/core/machine/parts'
import { takeParts } from '@/core/machine/parts/partEdits'
import { getDatabase } from '@/store/database'
import { errorWords } from '@/store/errorWords'
import { putShopParts, useShopParts } from '@/store/shopParts'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { Notice } from '@/ui/frame/Notice'
import { Modal } from '@/ui/Modal'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { startParts } from '@/workers/client'
import { useEdit, useJob } from '../JobContext'

import { KIND_WORDS } from '../kindWords'
import { RunProgress } from '../RunProgress'
import { useRun } from '../useRun'
import { useTextOf } from '../useTextOf'

/** So many wrong rows are shown: nobody mends more in one go. */
const SHOWN_PROBLEMS = 50

/** Where the parts of a file go. */
const INTO = [
  { value: 'job', label: 'this machine' },
  { value: 'shop', label: "the shop's list, for every machine" },
] as const
type Into = (typeof INTO)[number]['value']

/** Reads a file of parts, tells row by row what is wrong, and takes the good ones when told to. */
export function PartsFileDialog({ file, onClose }: { file: File; onClose: () => void }) {
  const ownParts = useJob(job => job.ownParts)
  const shopParts = useShopParts()
  const edit = useEdit()
  const [into, setInto] = useState<Into>('job')
  const before = into === 'job' ? ownParts : shopParts
  const { textOf, ask } = useTextOf()
  const { run, start } = useRun<PartsFile>()
  const [failure, setFailure] = useState<string | null>(null)
  const reader = useRef({ textOf })
  useEffect(() => {
    start(onProgress => {
      let reading: ReturnType<typeof startParts> | null = null
      let stopped = false
      const read = async () => {
        refuseLargeCsv(file.size)
        const text = await reader.current.textOf(file)
        if (text === null) throw new Error('Nobody knows how its letters are meant: save it as Unicode.')
        if (stopped) return null
        reading = startParts(text, before, onProgress)
        return reading.done
      }
      return {
        done: read(),
        cancel: () => {
          stopped = true
          reading?.cancel()
        },
      }
    })
  }, [file, before, start])

  const read = run.kind === 'done' ? run.value : null
  const fresh = read?.good.filter(({ is }) => is !== 'same') ?? []
  const added = fresh.filter(({ is }) => is === 'new').length
  const most = into === 'job' ? MOST_OWN_PARTS : MOST_SHOP_PARTS
  const room = read ? most - before[read.kind].length : 0
  const take = async () => {
    if (!read) return
    const parts = fresh.map(({ part }) => part) as never
    if (into === 'job') edit(takeParts(read.kind, parts, file.name.slice(0, 80)))
    else
      try {
        await putShopParts(getDatabase(), read.kind, parts)
      } catch (error) {
        return setFailure(errorWords(error))
      }
    onClose()
  }
  const said = failure ?? (run.kind === 'failed' ? run.message : null)
  return (
    <Modal
      wide
      title={`Parts from ${file.name}`}
      open
      onClose={onClose}
      closeLabel={fresh.length > 0 ? 'Take none' : 'Close'}
      actions={
        fresh.length > 0 && added <= room ? (
          <Button variant="lamp" onClick={() => void take()}>
            {fresh.length === 1 ? 'Take the one good part' : `Take the ${fresh.length} good parts`}
          </Button>
        ) : undefined
      }
    >
      {said && (
        <Notice title="Nothing was taken, and nothing was changed.">
          <chakra.span overflowWrap="anywhere">{said}</chakra.span>
        </Notice>
      )}
      {!said && !read && (ask || <RunProgress run={run} doing="Reading and checking…" />)}
      {read && (
        <>
          <p>
            <strong>{KIND_WORDS[read.kind]}</strong>: {inAll(read)}.
          </p>
          <chakra.div mt="2" maxW="360px">
            <SelectField label="Take them into" value={into} options={INTO} onChange={setInto} />
          </chakra.div>
          {into === 'shop' && (
            <chakra.p mt="2" color="quiet">
              It stands in this browser beside every machine, in the parts to choose from and in the search.
              What a machine takes of it is kept with that machine.
            </chakra.p>
          )}
          {added > room && (
            <chakra.p mt="2" color="fails" fontWeight={700}>
              {into === 'job'
                ? `A machine takes ${MOST_OWN_PARTS} parts of a kind, and ${room} more fit: take them into the shop's list, or some out of the file.`
                : `The shop's list takes ${MOST_SHOP_PARTS} parts of a kind, and ${room} more fit: take some out of the file, or of the list.`}
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
