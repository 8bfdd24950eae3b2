import { chakra } from '@chakra-ui/react'
import { FileDown, FileUp, Pencil, Plus, Trash2 } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useState } from 'react'
import type { Job } from '@/core/document/job'
import { PART_KINDS, type PartKind } from '@/core/document/kinds'
import type { PartOf } from '@/core/document/parts/types'
import { fileName } from '@/core/formats/fileName'
import { removeOwnPart } from '@/core/machine/parts/partEdits'
import { money } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { FilePicker } from '@/ui/FilePicker'
import { SelectField } from '@/ui/fields/SelectField'
import { Panel } from '@/ui/Panel'
import { DataTable, type TableColumn } from '@/ui/table/DataTable'
import { CsvStyleField, useCsvStyle } from '../../job/CsvStyleField'
import { download } from '../../job/download'
import { useEdit, useJob, useJobDigest } from '../../job/JobContext'
import { KIND_WORDS } from '../../job/kindWords'
import { ShopList } from './ShopList'

const PartDialog = dynamic(() => import('../../job/parts/PartDialog').then(module => module.PartDialog), {
  ssr: false,
})
const PartsFileDialog = dynamic(
  () => import('../../job/parts/PartsFileDialog').then(module => module.PartsFileDialog),
  { ssr: false },
)

interface Row {
  kind: PartKind
  part: PartOf[PartKind]
}

/** Which axes have each part, by kind and id. */
const usedBy = ({ axes }: Job): Record<string, string[]> => {
  const used: Record<string, string[]> = {}
  for (const { name, parts } of axes)
    for (const kind of PART_KINDS) {
      const key = `${kind} ${parts[kind]}`
      used[key] = [...(used[key] ?? []), name]
    }
  return used
}

const KINDS = PART_KINDS.map(value => ({ value, label: KIND_WORDS[value] }))

/** The parts that the builder has added, for the whole machine: changed, taken out, and kept in files. */
export function OwnPartsPanel() {
  const ownParts = useJob(job => job.ownParts)
  const jobName = useJob(job => job.name)
  const used = useJobDigest(usedBy)
  const edit = useEdit()
  const [kind, setKind] = useState<PartKind>('screw')
  const [form, setForm] = useState<{ kind: PartKind; from: PartOf[PartKind] | null } | null>(null)
  const [file, setFile] = useState<File | null>(null)
  const [style, setStyle] = useCsvStyle()
  const rows: Row[] = PART_KINDS.flatMap(of =>
    (ownParts[of] as readonly PartOf[PartKind][]).map(part => ({ kind: of, part })),
  )
  const save = async () => {
    const { writePartsCsv } = await import('@/core/formats/partsCsv')
    download(
      fileName(`${jobName} own ${KIND_WORDS[kind]}`, 'csv'),
      writePartsCsv(kind, ownParts[kind] as never, style),
      'text/csv;charset=utf-8',
    )
  }
  const columns: TableColumn<Row>[] = [
    {
      id: 'name',
      head: 'Part',
      value: ({ part }) => part.name,
      cell: ({ part }) => <strong>{part.name}</strong>,
    },
    { id: 'kind', head: 'Kind', value: row => KIND_WORDS[row.kind], cell: row => KIND_WORDS[row.kind] },
    { id: 'maker', head: 'Maker', value: ({ part }) => part.maker, cell: ({ part }) => part.maker },
    {
      id: 'price',
      head: 'Price',
      figures: true,
      value: ({ part }) => part.priceEur,
      cell: ({ part }) => money(part.priceEur),
    },
    {
      id: 'used',
      head: 'Taken by',
      cell: row => used[`${row.kind} ${row.part.id}`]?.map(name => `axis ${name}`).join(', ') ?? 'no axis',
    },
    {
      id: 'do',
      head: <chakra.span srOnly>Change or take out</chakra.span>,
      cell: row => (
        <chakra.span display="flex" justifyContent="flex-end">
          <Button
            variant="quiet"
            px="2"
            aria-label={`Change ${row.part.name}`}
            onClick={() => setForm({ kind: row.kind, from: row.part })}
          >
            <Pencil size={16} aria-hidden />
          </Button>
          <Button
            variant="quiet"
            px="2"
            aria-label={`Take ${row.part.name} out of the parts`}
            onClick={() => edit(removeOwnPart(row.kind, row.part as never))}
          >
            <Trash2 size={16} aria-hidden />
          </Button>
        </chakra.span>
      ),
    },
  ]
  return (
    <Panel
      title="Parts of your own"
      note="They stand beside the parts that ship, for every axis of this machine. Taking one out opens the choice again where it was taken."
    >
      <chakra.div display="flex" flexWrap="wrap" gap="2" alignItems="end" mb="3">
        <SelectField label="Kind of part" value={kind} options={KINDS} onChange={setKind} />
        <Button variant="lamp" onClick={() => setForm({ kind, from: null })}>
          <Plus size={16} aria-hidden /> Add one of your own
        </Button>
        <FilePicker label="Parts file" accept=".csv,text/csv,text/plain" onFile={setFile}>
          <FileUp size={16} aria-hidden /> Take from a file
        </FilePicker>
        <Button variant="outline" disabled={ownParts[kind].length === 0} onClick={() => void save()}>
          <FileDown size={16} aria-hidden /> Save these as a file
        </Button>
        <CsvStyleField style={style} onStyle={setStyle} />
      </chakra.div>
      {rows.length === 0 ? (
        <chakra.p color="quiet">
          None yet. Add what lies in your drawer, or copy a part under Size and change it.
        </chakra.p>
      ) : (
        <DataTable
          label="Parts of your own"
          columns={columns}
          rows={rows}
          rowId={row => `${row.kind} ${row.part.id}`}
          leastPx={600}
        />
      )}
      {form && (
        <PartDialog
          kind={form.kind}
          from={form.from as never}
          isNew={form.from === null}
          onClose={() => setForm(null)}
        />
      )}
      {file && <PartsFileDialog file={file} onClose={() => setFile(null)} />}
      <ShopList style={style} />
    </Panel>
  )
}
