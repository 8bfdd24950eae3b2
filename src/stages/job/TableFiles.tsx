import { chakra } from '@chakra-ui/react'
import { FileDown } from 'lucide-react'
import { useState } from 'react'
import { fileName } from '@/core/formats/fileName'
import type { Table } from '@/core/formats/workbook'
import { errorWords } from '@/store/errorWords'
import { Button } from '@/ui/controls'
import { startWorkbook } from '@/workers/client'
import { CsvStyleField, useCsvStyle } from './CsvStyleField'
import { download } from './download'

const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'

interface Props {
  /** What the file is called, without its ending. */
  name: string
  /** What is written on the button of the CSV. */
  label: string
  tableOf: () => Promise<Table>
}

/** Takes a table away for a spreadsheet: as CSV, or as a workbook. */
export function TableFiles({ name, label, tableOf }: Props) {
  const [style, setStyle] = useCsvStyle()
  const [failure, setFailure] = useState<string | null>(null)
  const attempt = (work: () => Promise<void>) => {
    setFailure(null)
    void work().catch(error => setFailure(`${errorWords(error)} Nothing was changed.`))
  }
  const saveCsv = async () => {
    const { tableCsv } = await import('@/core/formats/csv')
    download(fileName(name, 'csv'), tableCsv(await tableOf(), style), 'text/csv;charset=utf-8')
  }
  const saveBook = async () => {
    const bytes = await startWorkbook([await tableOf()]).done
    download(fileName(name, 'xlsx'), bytes as Uint8Array<ArrayBuffer>, XLSX)
  }
  return (
    <>
      <Button variant="outline" onClick={() => attempt(saveCsv)}>
        <FileDown size={16} aria-hidden /> {label}
      </Button>
      <CsvStyleField style={style} onStyle={setStyle} />
      <Button variant="outline" onClick={() => attempt(saveBook)}>
        <FileDown size={16} aria-hidden /> Save as a workbook (XLSX)
      </Button>
      {failure && (
        <chakra.span role="alert" color="fails" fontWeight={700}>
          {failure}
        </chakra.span>
      )}
    </>
  )
}
