import { chakra } from '@chakra-ui/react'
import { useCallback } from 'react'
import type { Field } from '@/core/field/field'
import { clockWords, readClock } from '@/core/units/clock'
import type { Unit, UnitSystem } from '@/core/units/quantity'
import { QuantityField } from './QuantityField'
import { SelectField } from './SelectField'
import { TextField } from './TextField'

interface Props<V> {
  field: Field
  label?: string
  value: V
  units: UnitSystem
  /** Called with what the field describes: of the type of the value that stands there. */
  onValue: (value: NoInfer<V>, mergeKey?: string) => void
  /** For the cells of a table. */
  hideLabel?: boolean
  dense?: boolean
  disabled?: boolean
  /** Of a figure; see QuantityField. */
  typedIn?: Unit
  echoes?: boolean
  onPasteTable?: (cells: string[][]) => void
  options?: readonly { value: string; label: string }[]
}

const NONE = 'null'

/** The field for a value as its description has it: a figure with its unit, words, or a choice. */
export function FieldInput<V>({
  field,
  label = field.label,
  value,
  units,
  onValue: onTyped,
  options,
  ...look
}: Props<V>) {
  const onValue = onTyped as (value: unknown, mergeKey?: string) => void
  switch (field.is) {
    case 'number':
      return (
        <NumberInput
          field={field}
          label={label}
          value={value as number | null}
          units={units}
          onValue={onValue}
          {...look}
        />
      )
    case 'words':
      // Words that stand for something else, such as a key, are chosen.
      if (options)
        return (
          <SelectField
            label={label}
            hideLabel={look.hideLabel}
            disabled={look.disabled}
            value={String(value)}
            options={options}
            onChange={next => onValue(next === NONE ? null : next)}
          />
        )
      return (
        <TextField
          label={label}
          hideLabel={look.hideLabel}
          disabled={look.disabled}
          // Anew where another tab or an undo has set other words.
          key={String(value)}
          defaultValue={String(value ?? '')}
          maxLength={field.most}
          onBlur={event => {
            const typed = event.currentTarget.value.trim()
            if (typed !== (value ?? '') && (typed || field.orNone)) onValue(typed || null)
          }}
        />
      )
    case 'day':
      return (
        <TextField
          type="date"
          label={label}
          hideLabel={look.hideLabel}
          disabled={look.disabled}
          key={String(value)}
          defaultValue={String(value ?? '')}
          onBlur={event => {
            const typed = event.currentTarget.value
            if (typed !== (value ?? '') && (typed || field.orNone)) onValue(typed || null)
          }}
        />
      )
    case 'clock':
      return (
        <TextField
          type="time"
          label={label}
          hideLabel={look.hideLabel}
          disabled={look.disabled}
          key={String(value)}
          defaultValue={clockWords(value as number)}
          onBlur={event => {
            const minute = readClock(event.currentTarget.value)
            if (minute !== null && minute !== value) onValue(minute)
          }}
        />
      )
    case 'flag':
      return (
        <chakra.label display="inline-flex" gap="2" alignItems="center" cursor="pointer" minH="44px">
          <chakra.input
            type="checkbox"
            checked={value === true}
            disabled={look.disabled}
            onChange={event => onValue(event.currentTarget.checked)}
            width="22px"
            height="22px"
            accentColor="var(--dusk-colors-lamp-fill)"
          />
          {label}
        </chakra.label>
      )
    case 'choice':
      return (
        <SelectField
          label={label}
          hideLabel={look.hideLabel}
          disabled={look.disabled}
          value={String(value)}
          options={
            options ?? [
              ...(field.orNone ? [{ value: NONE, label: 'not said' }] : []),
              ...field.of.map(one => ({ value: String(one), label: field.words?.[one] ?? String(one) })),
            ]
          }
          onChange={next => onValue(next === NONE ? null : field.of.find(one => String(one) === next))}
        />
      )
    default:
      return null
  }
}

type NumberProps = Omit<Props<unknown>, 'field' | 'value' | 'label' | 'options'> & {
  field: Extract<Field, { is: 'number' }>
  label: string
  value: number | null
}

/** Whole numbers are rounded as they come; a figure that must be there is not taken away. */
function NumberInput({ field, label, value, units, onValue, dense, ...look }: NumberProps) {
  const { quantity, unit, min, max, whole, orNone, help } = field
  const put = useCallback(
    (next: number | null, mergeKey: string) => {
      if (next === null && !orNone) return
      onValue(next !== null && whole ? Math.round(next) : next, mergeKey)
    },
    [onValue, orNone, whole],
  )
  return (
    <QuantityField
      label={label}
      kind={quantity}
      units={units}
      min={min}
      max={max}
      optional={orNone}
      value={value}
      onValue={put}
      plainUnit={unit}
      hideUnit={dense}
      hint={dense ? undefined : help}
      {...look}
    />
  )
}
