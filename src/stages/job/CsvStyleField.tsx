import { CSV_STYLES, type CsvStyle, isCsvStyle, usualCsvStyle } from '@/core/formats/csv'
import { numberMarks } from '@/core/units/marks'
import { SelectField } from '@/ui/fields/SelectField'
import { useKept } from './useKept'

const CHOICES = (Object.keys(CSV_STYLES) as CsvStyle[]).map(value => ({
  value,
  label: CSV_STYLES[value].label,
}))

const styleIn = (kept: unknown): CsvStyle | null =>
  typeof kept === 'string' && isCsvStyle(kept) ? kept : null

/** How files for a spreadsheet are written: as chosen last in this browser, else as those of its language open them. */
export function useCsvStyle() {
  const [chosen, choose] = useKept<CsvStyle | null>('dusk-csv', styleIn)
  return [chosen ?? usualCsvStyle(numberMarks().decimal), choose] as const
}

export function CsvStyleField({ style, onStyle }: { style: CsvStyle; onStyle: (style: CsvStyle) => void }) {
  return <SelectField label="Files are saved with" value={style} options={CHOICES} onChange={onStyle} />
}
