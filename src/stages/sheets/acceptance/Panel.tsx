import { chakra } from '@chakra-ui/react'
import { FileDown, Printer } from 'lucide-react'
import {
  type AcceptanceSheet,
  type AcceptedAxis,
  agreedPoints,
  openPoints,
} from '@/core/acceptance/acceptanceOf'
import { ACCEPTANCE, OPEN_POINTS } from '@/core/document/acceptance'
import { setAcceptance } from '@/core/document/acceptanceEdits'
import type { Job, LogEntry } from '@/core/document/job'
import { fileName } from '@/core/formats/fileName'
import { dayWords } from '@/core/units/dateWords'
import { Columns } from '@/ui/Columns'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { LongTextField } from '@/ui/fields/LongTextField'
import { Note, Stated } from '@/ui/Note'
import { Panel } from '@/ui/Panel'
import { ScrollBox } from '@/ui/ScrollBox'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { RowsTable } from '@/ui/table/RowsTable'
import { StateMark } from '@/ui/verdicts/StateMark'
import { measureWords } from '../../job/acceptance/measureWords'
import { useAcceptance } from '../../job/acceptance/useAcceptance'
import { download } from '../../job/download'
import { useEdit, useJob, useJobContext, useUnits } from '../../job/JobContext'
import { PlaceButton } from '../../job/PlaceLink'
import { TableFiles } from '../../job/TableFiles'
import { useJobRows } from '../../job/useRows'
import { WithLog } from '../../job/WithLog'
import { Accepted } from './Accepted'

const TERMS = ['serialNumber', 'customer', 'place', 'testedBy', 'acceptedBy'] as const
const pointsOf = (job: Job) => job.acceptance.points

/** The whole machine as it is handed over: how each axis stands, what is open, who takes it over, and when it is proved again. */
export function AcceptancePanel() {
  return <WithLog>{entries => <Acceptance entries={entries} />}</WithLog>
}

function Acceptance({ entries }: { entries: LogEntry[] }) {
  const sheet = useAcceptance(entries)
  return (
    <>
      <Terms sheet={sheet} />
      <Results axes={sheet.axes} />
      <OpenPoints sheet={sheet} />
      <Accepted sheet={sheet} />
    </>
  )
}

function Terms({ sheet }: { sheet: AcceptanceSheet }) {
  const terms = useJob(job => job.acceptance)
  const { axisId } = useJobContext()
  const jobId = useJob(job => job.id)
  const units = useUnits()
  const edit = useEdit()
  const saveJson = async () => {
    const { acceptanceJson } = await import('@/core/acceptance/acceptanceFiles')
    download(
      fileName(`${sheet.machine} acceptance`, 'json'),
      acceptanceJson(sheet, new Date().toISOString()),
      'application/json',
    )
  }
  return (
    <Panel
      title="Acceptance"
      note="What goes to whoever takes the machine over: what was wanted of every axis, what it came to and how sure that is, before and after, and what is still open. It proves what was measured, and nothing else."
      action={
        <PlaceButton variant="lamp" place={{ jobId, axisId, stage: 'handover' }}>
          <Printer size={16} aria-hidden /> The sheet, to print
        </PlaceButton>
      }
    >
      <Columns leastPx={210}>
        {TERMS.map(key => (
          <FieldInput
            key={key}
            field={ACCEPTANCE.of[key]}
            value={terms[key]}
            units={units}
            onValue={value => edit(setAcceptance(key, value as string | null))}
          />
        ))}
      </Columns>
      <chakra.div mt="3">
        <LongTextField
          label="Remarks"
          rows={2}
          minH="0"
          maxLength={ACCEPTANCE.of.remarks.most}
          key={terms.remarks}
          defaultValue={terms.remarks ?? ''}
          onBlur={event => {
            const typed = event.currentTarget.value.trim() || null
            if (typed !== terms.remarks) edit(setAcceptance('remarks', typed))
          }}
        />
      </chakra.div>
      <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="flex-end" mt="3" data-frame>
        <TableFiles
          name={`${sheet.machine} acceptance`}
          label="Save as a table (CSV)"
          tableOf={async () => (await import('@/core/acceptance/acceptanceFiles')).acceptanceTable(sheet)}
        />
        <Button variant="outline" onClick={() => void saveJson()}>
          <FileDown size={16} aria-hidden /> Save as JSON
        </Button>
      </chakra.div>
    </Panel>
  )
}

type Row = AcceptedAxis['results'][number] & { axis: AcceptedAxis }

/** What every axis came to, in one table. */
function Results({ axes }: { axes: readonly AcceptedAxis[] }) {
  const units = useUnits()
  const jobId = useJob(job => job.id)
  const columns: TableColumn<Row>[] = [
    {
      id: 'axis',
      head: 'Axis',
      cell: ({ axis, checkId }) =>
        axis.results[0]?.checkId === checkId && (
          <PlaceButton
            data-words
            variant="quiet"
            px="1"
            aria-label={`To the tests of axis ${axis.name}`}
            place={{ jobId, axisId: axis.axisId, stage: 'prove', sheet: 'reversal' }}
          >
            {axis.name}
          </PlaceButton>
        ),
    },
    { id: 'what', head: 'What', cell: ({ title }) => title },
    { id: 'result', head: 'Result', figures: true, cell: ({ figure }) => measureWords(figure, units) },
    { id: 'accepted', head: 'Accepted', figures: true, cell: ({ target }) => measureWords(target, units) },
    {
      id: 'state',
      head: 'Verdict',
      cell: ({ at, state }) => (at === null ? 'Not tested' : <StateMark state={state} />),
    },
    {
      id: 'test',
      head: 'Test',
      cell: ({ test, at }) => [test, at && dayWords(at)].filter(Boolean).join(', '),
    },
  ]
  return (
    <Panel title="Results" note="With what each is uncertain by, to either side, 19 times in 20.">
      <DataTable
        label="Results of all axes"
        columns={columns}
        rows={axes.flatMap(axis => axis.results.map(result => ({ ...result, axis })))}
        rowId={({ axis, checkId }) => `${axis.axisId} ${checkId}`}
        leastPx={620}
      />
    </Panel>
  )
}

/** What is still open of every axis and of the machine, and what both agreed beside it. */
function OpenPoints({ sheet }: { sheet: AcceptanceSheet }) {
  const units = useUnits()
  const rows = useJobRows(OPEN_POINTS, pointsOf)
  const all = openPoints(sheet)
  const agreed = agreedPoints(sheet.terms)
  const found = all.filter(point => !agreed.includes(point))
  return (
    <Panel title={`Still open: ${all.length}`}>
      {found.length > 0 && (
        <ScrollBox label="Open points">
          <Stated as="ul" pl="5" listStyleType="disc" mb="3" data-open-points>
            {found.map(point => (
              <li key={point}>{point}</li>
            ))}
          </Stated>
        </ScrollBox>
      )}
      <Note mb="2">What both agree is still to be done, with the day by which it is:</Note>
      <RowsTable {...rows} units={units} addLabel="Another open point" />
    </Panel>
  )
}
