import { type ComponentProps, useId } from 'react'
import { Textarea } from '../controls'
import { describedBy, Field } from './Field'

type Props = ComponentProps<typeof Textarea> & { label: string; hint?: string; error?: string }

/** Several labelled lines of text, with a hint and its error under them. */
export function LongTextField({ label, hint, error, ...rest }: Props) {
  const id = useId()
  return (
    <Field id={id} label={label} hint={hint} error={error}>
      <Textarea id={id} {...describedBy(id, error, hint ? 'hint' : undefined)} {...rest} />
    </Field>
  )
}
