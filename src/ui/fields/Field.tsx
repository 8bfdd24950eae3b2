import type { ReactNode } from 'react'
import styles from './fields.module.css'

interface Props {
  id: string
  label: string
  hideLabel?: boolean
  hint?: string
  error?: string
  children: ReactNode
}

/** A label above a control, with its hint and its error under it. */
export function Field({ id, label, hideLabel, hint, error, children }: Props) {
  return (
    <div className={styles.field}>
      <label htmlFor={id} className={hideLabel ? styles.hidden : styles.label}>
        {label}
      </label>
      {children}
      {hint && (
        <p id={`${id}-hint`} className={styles.hint}>
          {hint}
        </p>
      )}
      {error && (
        <p id={`${id}-error`} role="alert" className={styles.error}>
          {error}
        </p>
      )}
    </div>
  )
}

/** What tells a control of its error, or of what stands beside it. */
export const describedBy = (id: string, error?: string, beside?: 'hint' | 'unit') => ({
  'aria-invalid': error ? (true as const) : undefined,
  'aria-describedby': error ? `${id}-error` : beside && `${id}-${beside}`,
})
