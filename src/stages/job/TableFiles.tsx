import { FileDown } from 'lucide-react'
import { fileName } from '@/core/formats/fileName'
import type { Table } from '@/core/formats/workbook'
import { Button } from '@/ui/controls'
import { startWorkbook } from '@/workers/client'
import { CsvStyleField, useCsvStyle } from './CsvStyleField'
import { download } from './download'
import { useFileMaking } from './useFileMaking'

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
  const { make, said } = useFileMaking()
  const saveCsv = async () => {
    const { tableCsv } = await import('@/core/formats/csv')
    download(fileName(name, 'csv'), tableCsv(await tableOf(), style), 'text/csv;charset=utf-8')
    return null
  }
  const saveBook = async () => {
    const bytes = await startWorkbook([await tableOf()]).done
    download(fileName(name, 'xlsx'), bytes as Uint8Array<ArrayBuffer>, XLSX)
    return null
  }
  return (
    <>
      <Button variant="outline" onClick={() => make(saveCsv)}>
        <FileDown size={16} aria-hidden /> {label}
      </Button>
      <CsvStyleField style={style} onStyle={setStyle} />
      <Button variant="outline" onClick={() => make(saveBook)}>
        <FileDown size={16} aria-hidden /> Save as a workbook (XLSX)
      </Button>
      {said}
    </>
  )
}
