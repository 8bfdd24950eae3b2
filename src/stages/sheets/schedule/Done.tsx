import { chakra } from '@chakra-ui/react'
import { nameOf } from '@/core/planning/entries'
import { reopenTask } from '@/core/planning/planEdits'
import type { Task } from '@/core/planning/tasks'
import { momentWords } from '@/core/units/dateWords'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useEdit } from '../../job/JobContext'

/** What is done: it stays as it was, and what was noted by hand can be opened again. */
export function Done({ tasks }: { tasks: readonly Task[] }) {
  const edit = useEdit()
  const done = tasks.filter(({ isDone }) => isDone)
  if (done.length === 0) return null
  const columns: TableColumn<Task>[] = [
    { id: 'what', head: 'What', cell: nameOf },
    {
      id: 'when',
      head: 'Done',
      cell: ({ note }) => (note.doneAt ? momentWords(note.doneAt) : 'as steps and readings have it'),
    },
    {
      id: 'took',
      head: 'Took',
      figures: true,
      cell: ({ note }) => (note.tookMinutes === null ? '–' : `${note.tookMinutes} min`),
    },
    {
      id: 'again',
      head: <chakra.span srOnly>Open again</chakra.span>,
      cell: task =>
        task.note.doneAt && (
          <Button
            variant="quiet"
            aria-label={`Open again: ${nameOf(task)}`}
            onClick={() => edit(reopenTask(task))}
          >
            Open again
          </Button>
        ),
    },
  ]
  return (
    <Panel title={`Done: ${done.length} of ${tasks.length}`}>
      <Fold name="Show what is done">
        <DataTable label="Tasks that are done" columns={columns} rows={done} rowId={({ key }) => key} />
      </Fold>
    </Panel>
  )
}
