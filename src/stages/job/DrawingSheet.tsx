import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import { useState } from 'react'
import type { Drawing } from '@/core/drawing/drawing'
import { Button } from '@/ui/controls'
import { DrawingView } from '@/ui/drawings/DrawingView'
import { download, fileName } from './download'

type Format = 'PDF' | 'SVG' | 'DXF'

/** The file of a drawing; what writes it is loaded when it is asked for. */
async function fileOf(format: Format, drawing: Drawing): Promise<[content: BlobPart, type: string]> {
  switch (format) {
    case 'PDF': {
      const { writePdf } = await import('@/core/drawing/pdf')
      return [(await writePdf(drawing)) as Uint8Array<ArrayBuffer>, 'application/pdf']
    }
    case 'SVG': {
      const { writeSvg } = await import('@/core/drawing/svg')
      return [writeSvg(drawing), 'image/svg+xml']
    }
    case 'DXF': {
      const { writeDxf } = await import('@/core/drawing/dxf')
      return [writeDxf(drawing), 'image/vnd.dxf']
    }
  }
}

/** A drawing to look at, and to take away at full size in three formats. */
export function DrawingSheet({ drawing }: { drawing: Drawing }) {
  const [failure, setFailure] = useState<string | null>(null)
  const save = async (format: Format) => {
    try {
      const [content, type] = await fileOf(format, drawing)
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
        <chakra.span color="quiet" fontSize="14px">
          at full size
        </chakra.span>
      </chakra.div>
      {failure && (
        <chakra.p role="alert" color="fails" fontWeight={700}>
          The file could not be made: {failure}. Nothing was changed.
        </chakra.p>
      )}
    </>
  )
}
