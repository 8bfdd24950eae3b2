import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import { useState } from 'react'
import type { Drawing } from '@/core/drawing/drawing'
import { framed, type Imprint, PAPERS, type Paper, pagesOf } from '@/core/drawing/pages'
import { fileName } from '@/core/formats/fileName'
import { dayWords } from '@/core/units/dateWords'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { DrawingView } from '@/ui/drawings/DrawingView'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { download } from './download'
import { useJob, useUnits } from './JobContext'
import { pdfFonts } from './pdfFonts'
import { useAxis } from './useAxis'
import { usePaper } from './usePaper'

type Format = 'PDF' | 'SVG' | 'DXF'

const PAPER_OPTIONS = (['a4', 'letter'] as const).map(value => ({
  value,
  label: `PDF on ${PAPERS[value].label}`,
}))

/** The file of a drawing; what writes it is loaded when it is asked for. */
async function fileOf(
  format: Format,
  drawing: Drawing,
  { paper, imprint, units }: { paper: Paper; imprint: Imprint; units: UnitSystem },
): Promise<[content: BlobPart, type: string]> {
  switch (format) {
    case 'PDF': {
      const [{ writePdf }, fonts] = await Promise.all([import('@/core/drawing/pdf'), pdfFonts()])
      const pages = pagesOf(drawing, paper, imprint, units)
      const bytes = await writePdf(drawing.title, pages, fonts)
      return [bytes as Uint8Array<ArrayBuffer>, 'application/pdf']
    }
    case 'SVG': {
      const { writeSvg } = await import('@/core/drawing/svg')
      return [writeSvg(framed(drawing, imprint, units)), 'image/svg+xml']
    }
    case 'DXF': {
      const { writeDxf } = await import('@/core/drawing/dxf')
      return [writeDxf(framed(drawing, imprint, units)), 'image/vnd.dxf']
    }
  }
}

/** A drawing to look at, and to take away at full size in three formats. */
export function DrawingSheet({ drawing }: { drawing: Drawing }) {
  const [failure, setFailure] = useState<string | null>(null)
  const units = useUnits()
  const machine = useJob(job => job.name)
  const axis = useAxis(({ name }) => name)
  const [paper, choosePaper] = usePaper(units)
  const sheets = pagesOf(drawing, paper, { machine, axis, date: '' }, units).length
  const save = async (format: Format) => {
    try {
      const imprint = { machine, axis, date: dayWords(new Date().toISOString()) }
      const [content, type] = await fileOf(format, drawing, { paper, imprint, units })
      download(fileName(drawing.title, format.toLowerCase()), content, type)
      setFailure(null)
    } catch (error) {
      setFailure(error instanceof Error ? error.message : String(error))
    }
  }
  return (
    <>
      <chakra.div bg="sunken" borderRadius="6px" p="2" mt="3">
        <DrawingView drawing={drawing} />
      </chakra.div>
      <chakra.div display="flex" flexWrap="wrap" gap="2" mt="2" alignItems="center">
        {(['PDF', 'SVG', 'DXF'] as const).map(format => (
          <Button
            key={format}
            variant="outline"
            aria-label={`Save as ${format}: ${drawing.title}`}
            onClick={() => void save(format)}
          >
            <FileDown size={16} aria-hidden /> {format}
          </Button>
        ))}
        <SelectField<Paper>
          label={`Paper of ${drawing.title}`}
          hideLabel
          value={paper}
          options={PAPER_OPTIONS}
          onChange={choosePaper}
        />
        <Note as="span">
          at full size
          {sheets > 1 && `, on ${sheets} sheets that are glued together by their crosses`}
        </Note>
      </chakra.div>
      {failure && (
        <chakra.p role="alert" color="fails" fontWeight={700}>
          The file could not be made: {failure}. Nothing was changed.
        </chakra.p>
      )}
    </>
  )
}
