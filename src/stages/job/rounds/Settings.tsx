import { chakra } from '@chakra-ui/react'
import { memo, useCallback } from 'react'
import type { Field } from '@/core/field/field'
import { ROUND, type Round } from '@/core/sheets/shared/rounds/model'
import { stationsOf } from '@/core/sheets/shared/rounds/rounds'
import { type ReadingUnit, readingUnit } from '@/core/units/readingUnit'
import { Columns } from '@/ui/Columns'
import { FieldInput } from '@/ui/fields/FieldInput'
import { ReadingUnitField, useReadingUnit } from '../GaugeFields'
import { useUnits } from '../JobContext'
import { useAxis } from '../useAxis'
import type { RoundPanelProps } from './RoundPanel'
import { useRounds } from './useRounds'
/** The fields of the round, four abreast where there is room. */
export function Settings<R extends Round>({ rounds, fields, stations }: RoundPanelProps<R>) {
  const { all, round, isClosed, put } = useRounds(rounds)
  const unit = useReadingUnit()
  const screws = useAxis(axis => axis.drive.screws)
  if (!round) return null
  const of = stations?.(round) ?? stationsOf(rounds)
  const shown = [
    ...(screws === 2 && 'screw' in round ? (['screw'] as const) : []),
    ...(typeof fields === 'function' ? fields(round) : fields),
  ] as (keyof R & string)[]
  const readsSmall = [...Object.values(of.of), ...shown.map(key => rounds.of.of[key])].some(isReading)
  return (
    <Columns mt="3" data-readings data-hand={isClosed ? undefined : ''}>
      {shown.map(key => (
        <Setting
          key={key}
          of={key}
          field={rounds.of.of[key] as Field}
          value={round[key]}
          isClosed={isClosed}
          unit={unit}
          put={put as Put}
        />
      ))}
      {readsSmall && <ReadingUnitField />}
      {all.length > 1 && (
        <Setting of="done" field={DONE} value={round.done} isClosed={isClosed} unit={unit} put={put as Put} />
      )}
    </Columns>
  )
}

const DONE: Field = { ...ROUND.done, label: 'What was done since the last round' }
type Put = (key: string, value: unknown, mergeKey?: string) => void

/** One field of a round: it is drawn again only when its own value changes. */
const Setting = memo(function Setting({
  of,
  field,
  value,
  isClosed,
  unit,
  put,
}: {
  of: string
  field: Field
  value: unknown
  isClosed: boolean
  unit: ReadingUnit
  put: Put
}) {
  const units = useUnits()
  const onValue = useCallback((next: unknown, mergeKey?: string) => put(of, next, mergeKey), [put, of])
  return (
    <chakra.div gridColumn={isLong(field) ? { sm: 'span 2' } : undefined}>
      <FieldInput
        field={field}
        value={value}
        units={units}
        disabled={isClosed}
        {...(isReading(field) && of !== 'gaugeStepUm' && { typedIn: readingUnit(unit), echoes: !isClosed })}
        onValue={onValue}
      />
    </chakra.div>
  )
})

/** Longer words of a choice want room for two fields. */
const LONG_WORDS = 20
const isLong = (field: Field): boolean =>
  field.is === 'words' ||
  (field.is === 'choice' && Object.values(field.words ?? {}).some(words => (words ?? '').length > LONG_WORDS))

/** What a gauge says, or may say. */
const isReading = (field: Field | undefined) =>
  field?.is === 'number' && field.quantity === 'smallLength' && field.orNone === true
