import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import { useState } from 'react'
import { LABEL_SHEET_IDS, LABEL_SHEETS, type LabelSheet, labelPages } from '@/core/drawing/labels'
import { usualPaper } from '@/core/drawing/pages'
import { plain } from '@/core/field/field'
import { fileName } from '@/core/formats/fileName'
import { bagLabels } from '@/core/sheets/teardown/labels'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { download } from '../../job/download'
import { useJob, useUnits, whole } from '../../job/JobContext'
import { pdfFonts } from '../../job/pdfFonts'
import { addressOf } from '../../job/place'
import { useAxis } from '../../job/useAxis'
import { useFileMaking } from '../../job/useFileMaking'
import { useKept } from '../../job/useKept'
import { hashOfBag } from './Bags'

const sheetIn = (kept: unknown): LabelSheet | null => LABEL_SHEET_IDS.find(id => id === kept) ?? null
/** Of a sheet from which labels were taken before. */
const FIRST_LABEL = plain('First label that is still on the sheet', [1, 60], { whole: true, blank: 1 })

const isPlainIn = (kept: unknown): boolean => kept !== false

/** The labels of this axis, or of all axes, as a PDF at true size. */
export function BagLabels() {
  const units = useUnits()
  const job = useJob(whole)
  const axis = useAxis(whole)
  const [chosen, choose] = useKept('dusk-labels', sheetIn)
  const [isPlain, setPlain] = useKept('dusk-labels-plain', isPlainIn)
  const [first, setFirst] = useState(1)
  const { make, said } = useFileMaking()
  const sheet = chosen ?? LABEL_SHEET_IDS.find(id => LABEL_SHEETS[id].paper === usualPaper(units)) ?? 'a4-3x8'
  const length = (mm: number) => say(mm, 'length', units, 1)
  const save = async (all: boolean) => {
    const labels = (all ? job.axes : [axis]).flatMap(one =>
      bagLabels(
        job.name,
        one,
        bag =>
          `${location.origin}${addressOf({ jobId: job.id, axisId: one.id, stage: 'build', sheet: 'teardown' })}${hashOfBag(bag)}`,
      ),
    )
    const title = `Bag labels, ${job.name}${all ? '' : `, axis ${axis.name}`}`
    const { missingWords, writePdf } = await import('@/core/drawing/pdf')
    const facts = { title, author: job.acceptance.testedBy }
    const { bytes, missing } = await writePdf(
      facts,
      labelPages(labels, sheet, isPlain, isPlain ? 1 : first),
      await pdfFonts(),
    )
    download(fileName(title, 'pdf'), bytes as Uint8Array<ArrayBuffer>, 'application/pdf')
    return missingWords(missing)
  }
  if (bagLabels(job.name, axis).length === 0) return null
  return (
    <div data-frame>
      <chakra.div data-frame display="flex" flexWrap="wrap" gap="2" mt="3" alignItems="end">
        <Button variant="outline" onClick={() => make(() => save(false))}>
          <FileDown size={16} aria-hidden /> Labels of axis {axis.name} as PDF
        </Button>
        {job.axes.length > 1 && (
          <Button variant="outline" onClick={() => make(() => save(true))}>
            <FileDown size={16} aria-hidden /> Labels of all axes
          </Button>
        )}
        <SelectField<LabelSheet>
          label="Sheet of labels"
          value={sheet}
          options={LABEL_SHEET_IDS.map(id => {
            const { paper, columns, rows, widthMm, heightMm } = LABEL_SHEETS[id]
            return {
              value: id,
              label: `${paper === 'a4' ? 'A4' : 'Letter'}, ${columns} by ${rows}: ${length(widthMm)} × ${length(heightMm)}`,
            }
          })}
          onChange={choose}
        />
        <chakra.label display="inline-flex" gap="2" alignItems="center" minH="44px">
          <chakra.input
            type="checkbox"
            checked={isPlain}
            onChange={event => setPlain(event.currentTarget.checked)}
            width="22px"
            height="22px"
            accentColor="var(--dusk-colors-lamp-fill)"
          />
          plain paper, with lines to cut along
        </chakra.label>
        {!isPlain && (
          <FieldInput
            field={FIRST_LABEL}
            value={first}
            units={units}
            onValue={value => typeof value === 'number' && setFirst(value)}
          />
        )}
      </chakra.div>
      <Note mt="1">
        Print at full size, without fitting to the page. The code on a label opens its bag in this app, on any
        device that reaches it under this address.
      </Note>
      {said}
    </div>
  )
}
