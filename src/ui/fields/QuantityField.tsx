import { chakra } from '@chakra-ui/react'
import { type KeyboardEvent, memo, type ReactNode, useId, useMemo } from 'react'
import { say } from '@/core/units/print'
import { quantityFacts } from '@/core/units/quantity'
import { Input } from '../controls'
import { focusNext, type QuantityRules, useDraft } from './useDraft'

interface Props extends QuantityRules {
  label: string
  value: number | null
  /** Called with every readable value, in base units; texts of one visit share the merge key. */
  onValue: (value: number | null, mergeKey: string) => void
  /** Takes the label off the screen, for cells of a table. */
  hideLabel?: boolean
  disabled?: boolean
  /** Stands right of the field, such as where the value comes from. */
  children?: ReactNode
  /** Called on Enter after the value is settled; by default the next reading is focused. */
  onEnter?: () => void
}

/** A field for one quantity: takes what people type, shows the other unit beside it and its error under it. */
export const QuantityField = memo(function QuantityField(props: Props) {
  const {
    label,
    kind,
    units,
    min,
    max,
    optional,
    clearOnLeave,
    value,
    onValue,
    hideLabel,
    disabled,
    children,
    onEnter,
  } = props
  const rules = useMemo(
    () => ({ kind, units, min, max, optional, clearOnLeave }),
    [kind, units, min, max, optional, clearOnLeave],
  )
  const draft = useDraft(value, rules, onValue)
  const id = useId()
  const { unit } = quantityFacts(kind)[units]
  const otherUnits = units === 'mm' ? 'inch' : 'mm'
  const hasOther = quantityFacts(kind)[otherUnits].unit !== unit
  const other =
    hasOther && draft.reading.ok && draft.reading.value !== null
      ? say(draft.reading.value, kind, otherUnits)
      : null

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') draft.escape()
    if (event.key !== 'Enter') return
    event.preventDefault()
    if (!draft.enter()) return
    if (onEnter) onEnter()
    else focusNext(event)
  }

  return (
    <chakra.div minW="0">
      <chakra.label
        htmlFor={id}
        display="block"
        fontWeight={700}
        fontSize="14px"
        mb="0.5"
        {...(hideLabel && { srOnly: true })}
      >
        {label}
      </chakra.label>
      <chakra.div display="flex" gap="2" alignItems="center" flexWrap={hideLabel ? 'nowrap' : 'wrap'}>
        <chakra.div position="relative" flex="1 1 110px" minW={hideLabel ? '84px' : '110px'} maxW="190px">
          <Input
            id={id}
            data-quantity={kind}
            inputMode="text"
            autoComplete="off"
            spellCheck={false}
            disabled={disabled}
            value={draft.text}
            aria-invalid={draft.message ? true : undefined}
            aria-describedby={draft.message ? `${id}-error` : `${id}-unit`}
            fontFamily="mono"
            pr="16"
            onFocus={event => {
              draft.focus()
              event.currentTarget.select()
            }}
            onChange={event => draft.type(event.currentTarget.value)}
            onBlur={draft.leave}
            onKeyDown={onKeyDown}
          />
          <chakra.span
            id={`${id}-unit`}
            position="absolute"
            right="2.5"
            top="50%"
            transform="translateY(-50%)"
            color="quiet"
            fontSize="13px"
            pointerEvents="none"
          >
            {unit}
          </chakra.span>
        </chakra.div>
        {hasOther && !hideLabel && (
          <chakra.span color="quiet" fontSize="13px" fontFamily="mono" minW="84px">
            {other ? `= ${other}` : ''}
          </chakra.span>
        )}
        {children}
      </chakra.div>
      {draft.message && (
        <chakra.p id={`${id}-error`} role="alert" color="fails" fontSize="14px" fontWeight={700} mt="1">
          {draft.message}
        </chakra.p>
      )}
    </chakra.div>
  )
})
