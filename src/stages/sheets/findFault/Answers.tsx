import { chakra } from '@chakra-ui/react'
import type { Answered, Diagnosis } from '@/core/diagnose/diagnosis'
import { newId } from '@/core/document/id'
import { sheetOf } from '@/core/sheets'
import { setAnswer } from '@/core/sheets/findFault/edits'
import { minutesOf } from '@/core/sheets/findFault/table'
import { CHECK_WORDS, outcomeWords } from '@/core/sheets/findFault/words'
import { Button } from '@/ui/controls'
import { Note } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit } from '../../job/JobContext'
import { useAxisNow } from '../../job/useAxis'

/** What the ranking rests on: what the builder said, and what readings that were there already say. */
export function Answers({ found: { answered } }: { found: Diagnosis }) {
  const edit = useEdit()
  const axisNow = useAxisNow()
  const spent = answered.reduce((sum, { check, from }) => (from === null ? sum + minutesOf(check) : sum), 0)
  const columns: TableColumn<Answered>[] = [
    { id: 'check', head: 'Check', cell: ({ check }) => CHECK_WORDS[check].title },
    { id: 'outcome', head: 'Came out', cell: ({ check, outcome }) => outcomeWords(check, outcome) },
    {
      id: 'from',
      head: 'From',
      cell: ({ from }) =>
        from === null
          ? 'you'
          : from === 'drive'
            ? 'the drive that is chosen'
            : `readings: ${sheetOf(from).title}`,
    },
    {
      id: 'back',
      head: <chakra.span srOnly>Take back</chakra.span>,
      cell: ({ check, from }) =>
        from === null && (
          <Button
            variant="quiet"
            aria-label={`Take back: ${CHECK_WORDS[check].title}`}
            onClick={() =>
              edit(setAnswer(axisNow(), check, null, { id: newId(), at: new Date().toISOString() }))
            }
          >
            Take back
          </Button>
        ),
    },
  ]
  return (
    <Panel title="What it rests on">
      {answered.length === 0 ? (
        <chakra.p color="quiet">
          Nothing was said and nothing was read yet: it ranks by how often each is the one.
        </chakra.p>
      ) : (
        <>
          <DataTable
            label="Checks that were made"
            columns={columns}
            rows={answered}
            rowId={({ check }) => check}
          />
          {spent > 0 && (
            <Note mt="2">
              About {spent} {spent === 1 ? 'minute' : 'minutes'} of checks so far.
            </Note>
          )}
        </>
      )}
    </Panel>
  )
}
