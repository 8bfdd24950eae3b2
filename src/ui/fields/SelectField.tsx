import { useId } from 'react'
import styles from './fields.module.css'

interface Props<T extends string> {
  label: string
  value: T
  options: readonly { value: T; label: string }[]
  onChange: (value: T) => void
  hideLabel?: boolean
  disabled?: boolean
}

/** A labelled choice out of a few. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel,
  disabled,
}: Props<T>) {
  const id = useId()
  return (
    <div>
      <label htmlFor={id} className={hideLabel ? styles.hidden : styles.label}>
        {label}
      </label>
      <select
        id={id}
        className={styles.select}
        value={value}
        disabled={disabled}
        onChange={event => onChange(event.currentTarget.value as T)}
      >
        {options.map(option => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </div>
  )
}
