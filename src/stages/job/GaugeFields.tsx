import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import { setReadingUnit } from '@/core/document/shop'
import { GAUGE_STEP } from '@/core/readings/model'
import { READING_UNITS, type ReadingUnit, readingUnit, usualReadingUnit } from '@/core/units/readingUnit'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { useEdit, useJob, useUnits } from './JobContext'

/** The unit that readings are typed in: the one the builder has named, or the usual one of the job. */
export function useReadingUnit(): ReadingUnit {
  const units = useUnits()
  return useJob(job => job.shop.readingUnit) ?? usualReadingUnit(units)
}

const UNITS = READING_UNITS.map(value => ({ value, label: readingUnit(value).unit }))

/** What readings are typed in, to be changed: for the whole shop. */
export const ReadingUnitField = memo(function ReadingUnitField() {
  const unit = useReadingUnit()
  const edit = useEdit()
  return (
    <SelectField
      label="Readings are typed in"
      value={unit}
      options={UNITS}
      onChange={next => edit(setReadingUnit(next))}
    />
  )
})

interface Props {
  stepUm: number | null
  disabled: boolean
  onStep: (stepUm: number | null, mergeKey?: string) => void
}

/** The gauge of a table of readings: what one mark of it is, and what the readings are typed in. */
export function GaugeFields({ stepUm, disabled, onStep }: Props) {
  const units = useUnits()
  return (
    <chakra.div display="flex" flexWrap="wrap" gap="4" alignItems="flex-start">
      <chakra.div flex="0 1 250px">
        <FieldInput
          field={GAUGE_STEP}
          value={stepUm}
          units={units}
          disabled={disabled}
          onValue={(value, mergeKey) => onStep(value, mergeKey)}
        />
      </chakra.div>
      <ReadingUnitField />
    </chakra.div>
  )
}
