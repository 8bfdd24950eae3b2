import { type ComponentProps, useId } from 'react'
import { describedBy, Field } from './Field'
import styles from './fields.module.css'

type Props = Omit<ComponentProps<'input'>, 'className'> & {
  label: string
  error?: string
  /** Stands under the field in a quieter tone. */
  hint?: string
  hideLabel?: boolean
  /** Stands at the end of the field. */
  unit?: string
}

/** A labelled line of text with its error under it. */
export function TextField({ label, error, hint, hideLabel, unit, ...rest }: Props) {
  const id = useId()
  return (
    <Field id={id} label={label} hideLabel={hideLabel} hint={hint} error={error}>
      <div className={unit ? styles.well : undefined}>
        <input
          id={id}
          className={unit ? `${styles.input} ${styles.quantity}` : styles.input}
          autoComplete="off"
          {...describedBy(id, error, unit ? 'unit' : undefined)}
          {...rest}
        />
        {unit && (
          <span id={`${id}-unit`} className={styles.unit}>
            {unit}
          </span>
        )}
      </div>
    </Field>
  )
}
