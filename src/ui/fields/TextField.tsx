import { chakra } from '@chakra-ui/react'
import { type ComponentProps, useId } from 'react'
import { Input } from '../controls'

type Props = ComponentProps<typeof Input> & { label: string; error?: string }

/** A labelled line of text with its error under it. */
export function TextField({ label, error, ...rest }: Props) {
  const id = useId()
  return (
    <chakra.div>
      <chakra.label htmlFor={id} display="block" fontWeight={700} fontSize="14px" mb="0.5">
        {label}
      </chakra.label>
      <Input
        id={id}
        autoComplete="off"
        aria-invalid={error ? true : undefined}
        aria-describedby={error ? `${id}-error` : undefined}
        {...rest}
      />
      {error && (
        <chakra.p id={`${id}-error`} role="alert" color="fails" fontSize="14px" fontWeight={700} mt="1">
          {error}
        </chakra.p>
      )}
    </chakra.div>
  )
}
