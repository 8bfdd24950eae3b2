import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import type { Drawing } from '@/core/drawing/drawing'
import { framed, type Imprint, PAPERS, type Paper, pagesOf } from '@/core/drawing/pages'
import { type Solid, solidProblem } from '@/core/drawing/solid'
import { fileName } from '@/core/formats/fileName'
import { dayWords } from '@/core/units/dateWords'
import { say } from '@/core/units/print'
import type { UnitSystem } from '@/core/units/quantity'
import { Button } from '@/ui/controls'
import { DrawingView } from '@/ui/drawings/DrawingView'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { download } from './download'
import { useJob, useUnits } from './JobContext'
import { pdfFonts } from './pdfFonts'
import { useAxis } from './useAxis'
import { useFileMaking } from './useFileMaking'
import { usePaper } from './usePaper'

/** The files of a drawing: DXF R12 for programs that read no newer one, STL where it has a body. */
const FORMATS = ['PDF', 'SVG', 'DXF', 'DXF R12', 'STL'] as const
type Format = (typeof FORMATS)[number]
const ENDINGS: Readonly<Record<Format, string>> = {
  PDF: 'pdf',
  SVG: 'svg',
  DXF: 'dxf',
  'DXF R12': 'dxf',
  STL: 'stl',
}

const PAPER_OPTIONS = (['a4', 'letter'] as const).map(value => ({
  value,
  label: `PDF on ${PAPERS[value].label}`,
}))

/** The file of a drawing; what writes it is loaded when it is asked for. */
async function fileOf(
  format: Format,
  drawing: Drawing,
  {
    paper,
    imprint,
    units,
    solid,
  }: { paper: Paper; imprint: Imprint; units: UnitSystem; solid: Solid | null },
): Promise<[content: BlobPart, type: string, lacking?: string | null]> {
  switch (format) {
    case 'PDF': {
      const [{ missingWords, writePdf }, fonts] = await Promise.all([
        import('@/core/drawing/pdf'),
        pdfFonts(),
      ])
      const pages = pagesOf(drawing, paper, imprint, units)
      const { bytes, missing } = await writePdf(
        { title: drawing.title, author: imprint.author },
        pages,
        fonts,
      )
      return [bytes as Uint8Array<ArrayBuffer>, 'application/pdf', missingWords(missing)]
    }
    case 'SVG': {
      const { writeSvg } = await import('@/core/drawing/svg')
      return [writeSvg(framed(drawing, imprint, units)), 'image/svg+xml']
    }
    case 'DXF': {
      const { writeDxf } = await import('@/core/drawing/dxf')
      return [writeDxf(framed(drawing, imprint, units)), 'image/vnd.dxf']
    }
    case 'DXF R12': {
      const { writeDxfR12 } = await import('@/core/drawing/dxfR12')
      return [writeDxfR12(framed(drawing, imprint, units)), 'image/vnd.dxf']
    }
    case 'STL': {
      if (!solid) throw new Error('It has no body that is measured all round.')
      const { writeStl } = await import('@/core/drawing/stl')
      return [writeStl(solid) as Uint8Array<ArrayBuffer>, 'model/stl']
    }
  }
}

/** A drawing to look at, and to take away at full size in every format; with its body, where it has one. */
export function DrawingSheet({ drawing, solid = null }: { drawing: Drawing; solid?: Solid | null }) {
  const { make, said } = useFileMaking()
  const units = useUnits()
  const machine = useJob(job => job.name)
  const author = useJob(job => job.acceptance.testedBy)
  const axis = useAxis(({ name }) => name)
  const [paper, choosePaper] = usePaper(units)
  const problem = solid && solidProblem(solid, mm => say(mm, 'length', units))
  const sheets = pagesOf(drawing, paper, { machine, axis, date: '' }, units).length
  const save = async (format: Format) => {
    const imprint = { machine, axis, author, date: dayWords(new Date().toISOString()) }
    const [content, type, missing = null] = await fileOf(format, drawing, { paper, imprint, units, solid })
    download(fileName(drawing.title, ENDINGS[format]), content, type)
    return missing
  }
  return (
    <>
      <chakra.div bg="sunken" borderRadius="6px" p="2" mt="3">
        <DrawingView drawing={drawing} />
      </chakra.div>
      {problem && (
        <chakra.p mt="2" color="fails" fontWeight={700}>
          It cannot be made like this. {problem}
        </chakra.p>
      )}
      <chakra.div data-frame display="flex" flexWrap="wrap" gap="2" mt="2" alignItems="center">
        {FORMATS.filter(format => format !== 'STL' || (solid && !problem)).map(format => (
          <Button
            key={format}
            variant="outline"
            aria-label={`Save as ${format}: ${drawing.title}`}
            onClick={() => make(() => save(format))}
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
      {said}
    </>
  )
}
