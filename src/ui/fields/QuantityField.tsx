import { type KeyboardEvent, memo, type ReactNode, useId, useLayoutEffect, useMemo, useRef } from 'react'
import { say } from '@/core/units/print'
import { quantityFacts, type UnitSystem } from '@/core/units/quantity'
import { cellsOf } from './cells'
import styles from './fields.module.css'
import { focusNext, type QuantityRules, useDraft } from './useDraft'

interface Props extends QuantityRules {
  label: string
  value: number | null
  /** Called with every readable value, in base units; texts of one visit share the merge key. */
  onValue: (value: number | null, mergeKey: string) => void
  /** Takes the label off the screen, for cells of a table. */
  hideLabel?: boolean
  /** The unit of a plain number, such as `°C`: it is shown, not reckoned with. */
  plainUnit?: string
  /** Leaves the unit to the head of a dense table. */
  hideUnit?: boolean
  disabled?: boolean
  /** Stands under the field in a quieter tone. */
  hint?: string
  /** Stands right of the field, such as where the value comes from. */
  children?: ReactNode
  /** Says under the field, while it is typed in, how it is read. */
  echoes?: boolean
  /** Takes lines and columns that are pasted from a table. */
  onPasteTable?: (cells: string[][]) => void
  /** Called on Enter after the value is settled; by default the next reading is focused. */
  onEnter?: () => void
}

/** A tablet's figures are enough in millimetres; fractions, inch marks and signs need all of its keys. */
const keysFor = (units: UnitSystem, min: number) => (units === 'mm' && min >= 0 ? 'decimal' : 'text')

/** Units such as mm leave more of the field to the figure. */
const SHORT_UNIT = 3

/** A field for one quantity: takes what people type, shows the other unit beside it and its error under it. */
export const QuantityField = memo(function QuantityField(props: Props) {
  const {
    label,
    kind,
    units,
    typedIn,
    min,
    max,
    optional,
    clearOnLeave,
    confirms,
    value,
    onValue,
    hideLabel,
    plainUnit,
    hideUnit,
    disabled,
    hint,
    children,
    echoes,
    onPasteTable,
    onEnter,
  } = props
  const rules = useMemo(
    () => ({ kind, units, typedIn, min, max, optional, clearOnLeave, confirms }),
    [kind, units, typedIn, min, max, optional, clearOnLeave, confirms],
  )
  const draft = useDraft(value, rules, onValue)
  const id = useId()
  const input = useRef<HTMLInputElement>(null)
  // What another tab puts into a field that was just entered stands ready to be typed over, as what stood there before.
  useLayoutEffect(() => {
    if (draft.followed > 0) input.current?.select()
  }, [draft.followed])
  const unit = plainUnit ?? (typedIn ?? quantityFacts(kind)[units]).unit
  const isMetric = typedIn ? typedIn.unit.endsWith('m') : units === 'mm'
  const otherUnits = isMetric ? 'inch' : 'mm'
  const hasOther = !plainUnit && quantityFacts(kind)[otherUnits].unit !== unit
  const other =
    hasOther && draft.reading.ok && draft.reading.value !== null
      ? say(draft.reading.value, kind, otherUnits)
      : null

  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key.length === 1 && !event.ctrlKey && !event.metaKey) draft.touch()
    if (event.key === 'Escape') draft.escape()
    if (event.key !== 'Enter') return
    event.preventDefault()
    // What is typed next stands in place of what was refused.
    if (!draft.enter()) return event.currentTarget.select()
    if (onEnter) onEnter()
    else focusNext(event)
  }

  return (
    <div className={styles.field}>
      <label htmlFor={id} className={hideLabel ? styles.hidden : styles.label}>
        {label}
      </label>
      <div className={styles.row}>
        <div className={hideUnit ? styles.cell : hideLabel ? `${styles.box} ${styles.narrow}` : styles.box}>
          <div className={styles.well}>
            <input
              id={id}
              ref={input}
              className={`${styles.input} ${hideUnit ? styles.dense : styles.quantity} ${unit.length > SHORT_UNIT ? '' : styles.shortUnit}`}
              data-quantity={kind}
              type="text"
              inputMode={keysFor(units, min)}
              autoComplete="off"
              spellCheck={false}
              disabled={disabled}
              value={draft.text}
              aria-invalid={draft.message ? true : undefined}
              aria-describedby={draft.message ? `${id}-error` : `${id}-unit`}
              onFocus={event => {
                draft.focus()
                event.currentTarget.select()
              }}
              onChange={event => draft.type(event.currentTarget.value)}
              onBlur={draft.leave}
              onKeyDown={onKeyDown}
              onPaste={event => {
                const cells = cellsOf(event.clipboardData.getData('text/plain'))
                if (!onPasteTable || !cells) return
                event.preventDefault()
                draft.escape()
                onPasteTable(cells)
              }}
            />
            <span id={`${id}-unit`} className={hideUnit ? styles.hidden : styles.unit}>
              {unit}
            </span>
          </div>
        </div>
        {hasOther && !hideLabel && (
          <span className={styles.other}>
            <span className={styles.otherWell}>{other ? `= ${other}` : ''}</span>
          </span>
        )}
        {children}
      </div>
      {echoes && (
        <p className={styles.echo} aria-live="polite">
          {draft.isOpen && other ? `= ${other}` : ''}
        </p>
      )}
      {hint && <p className={styles.hint}>{hint}</p>}
      {draft.message && (
        <p id={`${id}-error`} role="alert" className={styles.error}>
          {draft.message}
        </p>
      )}
    </div>
  )
})
