import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import type { LogEntry } from '@/core/document/job'
import { linesOfAxis, openFixes } from '@/core/document/logLines'
import { Button, LinkButton } from '@/ui/controls'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { useAxisNames, useJob, useJobContext } from '../../job/JobContext'
import { addressOf } from '../../job/place'
import { saveJob } from '../../job/saveJob'
import { WithLog } from '../../job/WithLog'

type Row = ReturnType<typeof useAxisNames>[number]

/** What goes with the machine: the record and the work sheet of every axis, and the file that holds everything. */
export function MachineRecordPanel() {
  return <WithLog>{entries => <Records entries={entries} />}</WithLog>
}

function Records({ entries }: { entries: LogEntry[] }) {
  const { session } = useJobContext()
  const axes = useAxisNames()
  const jobId = useJob(job => job.id)
  const columns: TableColumn<Row>[] = [
    {
      id: 'axis',
      head: 'Axis',
      cell: ({ name, title }) => (
        <>
          <strong>{name}</strong> {title}
        </>
      ),
    },
    {
      id: 'lines',
      head: 'Lines of the log',
      figures: true,
      cell: ({ id }) => linesOfAxis(entries, id).length,
    },
    {
      id: 'fixes',
      head: 'Fixes still open',
      figures: true,
      cell: ({ id }) => openFixes(linesOfAxis(entries, id)).length,
    },
    {
      id: 'print',
      head: 'To print',
      cell: ({ id, name }) => (
        <chakra.span display="flex" flexWrap="wrap" gap="2">
          <LinkButton
            href={addressOf({ jobId, axisId: id, stage: 'record' })}
            variant="outline"
            aria-label={`Record of axis ${name}, to print`}
          >
            Record
          </LinkButton>
          <LinkButton
            href={addressOf({ jobId, axisId: id, stage: 'worksheet' })}
            variant="outline"
            aria-label={`Work sheet of axis ${name}, to print`}
          >
            Work sheet
          </LinkButton>
        </chakra.span>
      ),
    },
  ]
  return (
    <Panel
      title="Record"
      note="The record of an axis holds its findings, parts, readings and log; the work sheet is what one takes to the machine. The file of the job holds everything, with its history."
      action={
        <Button variant="lamp" onClick={() => void saveJob(session)}>
          <FileDown size={16} aria-hidden /> Export the job to a file
        </Button>
      }
    >
      <DataTable
        label="Records of the axes"
        columns={columns}
        rows={axes}
        rowId={({ id }) => id}
        leastPx={520}
      />
    </Panel>
  )
}
