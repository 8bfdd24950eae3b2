import { chakra } from '@chakra-ui/react'
import { FileDown, FileUp } from 'lucide-react'
import { memo, useState } from 'react'
import { newId } from '@/core/document/id'
import { fileName } from '@/core/formats/fileName'
import { putReadings } from '@/core/sheets/fullTest/edits'
import type { FullTest } from '@/core/sheets/fullTest/model'
import { errorWords } from '@/store/errorWords'
import { Button } from '@/ui/controls'
import { FilePicker } from '@/ui/FilePicker'
import { Fold } from '@/ui/Fold'
import { Note, Stated } from '@/ui/Note'
import { CsvStyleField, useCsvStyle } from '../../job/CsvStyleField'
import { download } from '../../job/download'
import { useEdit, useJob, useUnits } from '../../job/JobContext'
import { useAxis, useAxisNow } from '../../job/useAxis'
import { useTextOf } from '../../job/useTextOf'

/** The readings of the test to a file for a spreadsheet, and from one. */
export const Files = memo(function Files() {
  const isOpen = useAxis(axis => axis.fullTests.at(-1)?.finishedAt === null)
  const axisName = useAxis(axis => axis.name)
  const machine = useJob(job => job.name)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const [style, setStyle] = useCsvStyle()
  const [said, setSaid] = useState<{ text: string; bad: boolean } | null>(null)
  const { textOf, ask } = useTextOf()
  const testNow = () => axisNow().fullTests.at(-1) as FullTest
  const save = async () => {
    const test = testNow()
    const { writeFullTestCsv } = await import('@/core/formats/fullTestCsv')
    download(
      fileName(`${machine} ${axisName} ${test.label}`, 'csv'),
      writeFullTestCsv(test, units, style),
      'text/csv',
    )
  }
  const take = async (file: File) => {
    const test = testNow()
    const [{ readFullTestCsv }, { refuseLargeCsv }] = await Promise.all([
      import('@/core/formats/fullTestCsv'),
      import('@/core/formats/csv'),
    ])
    try {
      refuseLargeCsv(file.size)
      const text = await textOf(file)
      if (text === null) return
      const read = readFullTestCsv(text, test, newId)
      if (!read.ok) {
        const [first] = read.problems
        return setSaid({
          bad: true,
          text: `${read.problems.length} lines are wrong; line ${first?.line}, column ${first?.column}: got ${first?.got}, takes ${first?.takes}. Nothing was taken.`,
        })
      }
      edit(putReadings(axisNow(), test.id, read, read.taken, file.name))
      setSaid({ bad: false, text: `${read.taken} readings taken from ${file.name}.` })
    } catch (error) {
      setSaid({ bad: true, text: errorWords(error) })
    }
  }
  return (
    <chakra.div mt="2">
      <Fold name="Readings as a file">
        <Note maxW="72ch" my="1">
          A line a reading, with the columns targetMm, way (up or down), run and readingUm. A file may bring
          its own targets as long as nothing is read here; after that its readings go to the targets that
          stand.
        </Note>
        <chakra.div display="flex" gap="2" flexWrap="wrap" alignItems="flex-end">
          <CsvStyleField style={style} onStyle={setStyle} />
          <Button variant="outline" onClick={() => void save()}>
            <FileDown size={16} aria-hidden /> Save the readings (CSV)
          </Button>
          {isOpen && (
            <FilePicker
              label="File of readings"
              accept=".csv,.txt,text/csv,text/plain"
              onFile={file => void take(file)}
            >
              <FileUp size={16} aria-hidden /> Take readings from a file
            </FilePicker>
          )}
        </chakra.div>
        {ask}
        <Stated role="status" fontWeight={700} mt="1" color={said?.bad ? 'fails' : 'quiet'}>
          {said?.text}
        </Stated>
      </Fold>
    </chakra.div>
  )
})
