import { type ComponentProps, useId } from 'react'
import styles from './fields.module.css'

type Props = Omit<ComponentProps<'input'>, 'className'> & {
  label: string
  error?: string
  hideLabel?: boolean
}

/** A labelled line of text with its error under it. */
export function TextField({ label, error, hideLabel, ...rest }: Props) {
  const id = useId()
  return (
    <div className={styles.field}>
      <label htmlFor={id} className={hideLabel ? styles.hidden : styles.label}>
        {label}
      </label>
      <input
        id={id}
        className={styles.input}
        autoComplete="off"
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        {...rest}
      />
      {error && (
        <p id={`${id}-error`} role="alert" className={styles.error}>
          {error}
        </p>
      )}
    </div>
  )
}
