import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import { useState } from 'react'
import { LABEL_SHEET_IDS, LABEL_SHEETS, type LabelSheet, labelPages } from '@/core/drawing/labels'
import { usualPaper } from '@/core/drawing/pages'
import { fileName } from '@/core/formats/fileName'
import { bagLabels } from '@/core/sheets/teardown/labels'
import { say } from '@/core/units/print'
import { Button } from '@/ui/controls'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { download } from '../../job/download'
import { useJob, useUnits, whole } from '../../job/JobContext'
import { pdfFonts } from '../../job/pdfFonts'
import { useAxis } from '../../job/useAxis'
import { useKept } from '../../job/useKept'

const sheetIn = (kept: unknown): LabelSheet | null => LABEL_SHEET_IDS.find(id => id === kept) ?? null
const isPlainIn = (kept: unknown): boolean => kept !== false

/** The labels of this axis, or of all axes, as a PDF at true size. */
export function BagLabels() {
  const units = useUnits()
  const job = useJob(whole)
  const axis = useAxis(whole)
  const [chosen, choose] = useKept('dusk-labels', sheetIn)
  const [isPlain, setPlain] = useKept('dusk-labels-plain', isPlainIn)
  const [failure, setFailure] = useState<string | null>(null)
  const sheet = chosen ?? LABEL_SHEET_IDS.find(id => LABEL_SHEETS[id].paper === usualPaper(units)) ?? 'a4-3x8'
  const length = (mm: number) => say(mm, 'length', units, 1)
  const save = async (all: boolean) => {
    try {
      const labels = (all ? job.axes : [axis]).flatMap(one => bagLabels(job.name, one))
      const title = `Bag labels, ${job.name}${all ? '' : `, axis ${axis.name}`}`
      const { writePdf } = await import('@/core/drawing/pdf')
      const bytes = await writePdf(title, labelPages(labels, sheet, isPlain), await pdfFonts())
      download(fileName(title, 'pdf'), bytes as Uint8Array<ArrayBuffer>, 'application/pdf')
      setFailure(null)
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error))
    }
  }
  if (bagLabels(job.name, axis).length === 0) return null
  return (
    <div data-frame>
      <chakra.div display="flex" flexWrap="wrap" gap="2" mt="3" alignItems="end">
        <Button variant="outline" onClick={() => void save(false)}>
          <FileDown size={16} aria-hidden /> Labels of axis {axis.name} as PDF
        </Button>
        {job.axes.length > 1 && (
          <Button variant="outline" onClick={() => void save(true)}>
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
      </chakra.div>
      <Note mt="1">Print at full size, without fitting to the page.</Note>
      {failure && (
        <chakra.p role="alert" color="fails" fontWeight={700}>
          The file could not be made: {failure}. Nothing was changed.
        </chakra.p>
      )}
    </div>
  )
}
