import { chakra } from '@chakra-ui/react'
import { useId } from 'react'

const Select = chakra('select', {
  base: {
    minH: { base: '44px', xl: '36px' },
    px: '2',
    bg: 'sunken',
    color: 'ink',
    borderWidth: '1px',
    borderColor: 'edge',
    borderRadius: '6px',
    fontSize: '14px',
    maxW: '100%',
  },
})

interface Props<T extends string> {
  label: string
  value: T
  options: readonly { value: T; label: string }[]
  onChange: (value: T) => void
  hideLabel?: boolean
}

/** A labelled choice out of a few. */
export function SelectField<T extends string>({ label, value, options, onChange, hideLabel }: Props<T>) {
  const id = useId()
  return (
    <chakra.div>
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
      <Select id={id} value={value} onChange={event => onChange(event.currentTarget.value as T)}>
        {options.map(option => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </Select>
    </chakra.div>
  )
}
