import { chakra } from '@chakra-ui/react'
import { memo, useCallback } from 'react'
import { DIMENSION_KEYS, DIMENSIONS, type DimensionKey, SOURCE } from '@/core/document/dimensions'
import { setDimension } from '@/core/document/edits'
import { inItsWord } from '@/core/machine/movingPart'
import { isAsked } from '@/core/machine/stillToMeasure'
import { QuantityField } from '@/ui/fields/QuantityField'
import { SelectField } from '@/ui/fields/SelectField'
import { useEdit, useUnits } from './JobContext'
import { useAxis, useAxisNow } from './useAxis'

/** A screw whose far end is free has no second block to measure to. */
const FREE_SPAN = {
  label: 'Fixed block to the free end of the screw',
  help: 'From the inner face of the fixed block to where the thread ends, by a tape or calipers.',
}

const SOURCES = SOURCE.of.map(value => ({ value, label: SOURCE.words?.[value] ?? value }))

/** The dimensions of a group, each with where it comes from and how to measure it. */
export function DimensionFields({ group }: { group: (typeof DIMENSIONS)[DimensionKey]['group'] }) {
  const level = useAxis(axis => axis.dimensions.inclineDeg)
  const balance = useAxis(axis => axis.dimensions.counterbalanceN)
  const keys = DIMENSION_KEYS.filter(
    key =>
      DIMENSIONS[key].group === group &&
      isAsked({ dimensions: { inclineDeg: level, counterbalanceN: balance } }, key),
  )
  return (
    <chakra.div display="grid" gap="3" data-readings>
      {keys.map(key => (
        <DimensionField key={key} dimension={key} />
      ))}
    </chakra.div>
  )
}

const DimensionField = memo(function DimensionField({ dimension: key }: { dimension: DimensionKey }) {
  const { value, provenance } = useAxis(axis => axis.dimensions[key])
  const title = useAxis(axis => axis.title)
  const units = useUnits()
  const edit = useEdit()
  const axisNow = useAxisNow()
  const { quantity, min, max, help: usual } = DIMENSIONS[key]
  const isFarFree = useAxis(axis => axis.ends === 'fixed-free') && key === 'supportSpanMm'
  const label = isFarFree ? FREE_SPAN.label : DIMENSIONS[key].label
  const help = isFarFree ? FREE_SPAN.help : usual
  const open = provenance === 'assumed' || value === null
  const onValue = useCallback(
    (next: number | null, mergeKey: string) => edit(setDimension(axisNow(), key, next, 'measured', mergeKey)),
    [edit, key, axisNow],
  )
  return (
    <div data-field={key}>
      <QuantityField
        label={label}
        kind={quantity}
        units={units}
        min={min}
        max={max}
        optional
        confirms={provenance === 'assumed'}
        value={value}
        onValue={onValue}
        hint={open ? `To measure: ${inItsWord(help, { title })}` : undefined}
      >
        <SelectField
          label={`Where ${label.toLowerCase()} comes from`}
          hideLabel
          value={provenance}
          options={SOURCES}
          onChange={next => edit(setDimension(axisNow(), key, value, next))}
        />
      </QuantityField>
    </div>
  )
})
