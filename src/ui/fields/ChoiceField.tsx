import { type ComponentProps, useId } from 'react'
import { describedBy, Field } from './Field'
import styles from './fields.module.css'

type Props = Omit<ComponentProps<'select'>, 'className' | 'children'> & {
  label: string
  options: readonly string[]
  error?: string
}

/** A labelled choice out of a few words, for forms, with its error under it. */
export function ChoiceField({ label, options, error, ...rest }: Props) {
  const id = useId()
  return (
    <Field id={id} label={label} error={error}>
      <select id={id} className={styles.select} {...describedBy(id, error)} {...rest}>
        {options.map(option => (
          <option key={option} value={option}>
            {option}
          </option>
        ))}
      </select>
    </Field>
  )
}
