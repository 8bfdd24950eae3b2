import { chakra } from '@chakra-ui/react'
import { FileDown, FileUp, Plus } from 'lucide-react'
import dynamic from 'next/dynamic'
import { useCallback, useMemo, useState } from 'react'
import type { Axis } from '@/core/document/axis'
import type { PartKind } from '@/core/document/kinds'
import type { Catalogue, PartOf } from '@/core/document/parts/types'
import { fileName } from '@/core/formats/fileName'
import { choosePart } from '@/core/machine/driveEdits'
import { removeOwnPart } from '@/core/machine/parts/partEdits'
import { withShopParts } from '@/core/machine/parts/shopParts'
import type { PartVerdict } from '@/core/sheets/judgeParts'
import { useShopParts } from '@/store/shopParts'
import { Button } from '@/ui/controls'
import { FilePicker } from '@/ui/FilePicker'
import { askJudge } from '@/workers/client'
import { useCsvStyle } from '../../job/CsvStyleField'
import { download } from '../../job/download'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { KIND_WORDS } from '../../job/kindWords'
import { useAxisNow } from '../../job/useAxis'
import { useTask, useWholeCatalogue } from '../../job/useEvaluation'
import { useAnswer } from '../../job/useRun'
import { PartTable } from './PartTable'
import { type PartRow, partRows, rowsNamed } from './partRows'

// Forms and files come after the table: they load when they are asked for.
const PartDialog = dynamic(() => import('../../job/parts/PartDialog').then(module => module.PartDialog), {
  ssr: false,
})
const PartsFileDialog = dynamic(
  () => import('../../job/parts/PartsFileDialog').then(module => module.PartsFileDialog),
  {
    ssr: false,
  },
)

interface Props {
  axis: Axis
  kind: PartKind
  /** The part that is looked for, if any. */
  askedId: string | null
}

/** Parts of a kind to choose from, with the builder's own among them: added, copied, changed, and taken from files. */
export function PartList({ axis, kind, askedId }: Props) {
  const catalogue = useWholeCatalogue()
  const shopParts = useShopParts()
  const own = useJob(job => job.ownParts[kind]) as readonly PartOf[PartKind][]
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [form, setForm] = useState<{ from: PartOf[PartKind] | null; isNew: boolean } | null>(null)
  const [file, setFile] = useState<File | null>(null)
  const [style] = useCsvStyle()
  const [typed, setTyped] = useState(catalogue[kind].get(askedId ?? '')?.name ?? '')
  const shops = shopParts[kind] as readonly PartOf[PartKind][]
  const rows = useMemo(
    () => partRows(catalogue, kind, units, { own, shops }),
    [catalogue, kind, units, own, shops],
  )
  const named = useMemo(() => rowsNamed(rows, typed), [rows, typed])
  const verdicts = usePartVerdicts(axis, kind, named, catalogue)
  const partOf = (partId: string) => catalogue[kind].get(partId) as PartOf[PartKind]
  const save = async () => {
    const { writePartsCsv } = await import('@/core/formats/partsCsv')
    const name = fileName(`${KIND_WORDS[kind]} parts`, 'csv')
    download(
      name,
      writePartsCsv(kind, [...catalogue[kind].values()] as never, style),
      'text/csv;charset=utf-8',
    )
  }
  return (
    <>
      <PartTable
        kind={kind}
        rows={named}
        typed={typed}
        onTyped={setTyped}
        verdicts={verdicts}
        chosenId={axis.parts[kind]}
        onChoose={partId => edit(withShopParts(choosePart(axisNow(), catalogue, kind, partId), shopParts))}
        onCopy={partId => setForm({ from: partOf(partId), isNew: true })}
        onChange={partId => setForm({ from: partOf(partId), isNew: false })}
        onRemove={partId => edit(removeOwnPart(kind, partOf(partId)))}
      />
      <chakra.div display="flex" flexWrap="wrap" gap="2" mt="3" pt="3" borderTopWidth="1px">
        <Button variant="outline" onClick={() => setForm({ from: null, isNew: true })}>
          <Plus size={16} aria-hidden /> Add one of your own
        </Button>
        <FilePicker label="Parts file" accept=".csv,text/csv,text/plain" onFile={setFile}>
          <FileUp size={16} aria-hidden /> Take from a file
        </FilePicker>
        <Button variant="outline" onClick={save}>
          <FileDown size={16} aria-hidden /> Save these as a file
        </Button>
      </chakra.div>
      {form && <PartDialog kind={kind} {...form} onClose={() => setForm(null)} />}
      {file && <PartsFileDialog file={file} onClose={() => setFile(null)} />}
    </>
  )
}

/** So many parts of the shop's list are judged at once: a name that is typed brings others. */
const MOST_JUDGED = 150

/**
 * What each part of a kind would do to the verdicts, worked out beside the screen; the last answer stays meanwhile. Of the shop's
 * list the first of those that are named.
 */
function usePartVerdicts(
  axis: Axis,
  kind: PartKind,
  named: readonly PartRow[],
  catalogue: Catalogue,
): ReadonlyMap<string, PartVerdict> | null {
  const task = useTask(axis)
  const wanted = named
    .filter(({ of }) => of === 'shop')
    .slice(0, MOST_JUDGED)
    .map(({ id }) => id)
    .join('\n')
  const ask = useCallback(() => {
    const shops = wanted.split('\n').flatMap(id => catalogue[kind].get(id) ?? [])
    const ownParts = { ...task.ownParts, [kind]: [...task.ownParts[kind], ...shops] }
    return askJudge(judge => judge.judgeParts({ ...task, ownParts }, kind))
  }, [task, kind, wanted, catalogue])
  const judged = useAnswer(ask, kind)
  return useMemo(() => judged && new Map(judged.map(one => [one.partId, one])), [judged])
}
